export {
  PLANNING_SWR,
  TUBE_MARGIN,
  chooseTube,
  highestFiringV,
  lowestFiringV,
  type TubeChoice,
} from './tube.js';
export { tubeSteps, type TubeStep } from './tubeCard.js';

export {
  PLANNING_SWR,
  TUBE_MARGIN,
  chooseTube,
  highestFiringV,
  lowestFiringV,
  type TubeChoice,
} from './tube.js';

export { PLANNING_SWR, TUBE_MARGIN, chooseTube, lowestFiringV, type TubeChoice } from './tube.js';

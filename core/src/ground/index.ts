export {
  PLANNING_SWR,
  TUBE_MARGIN,
  chooseTube,
  highestFiringV,
  letThrough,
  lowestFiringV,
  type TubeChoice,
} from './tube.js';
export { tubeSteps, type TubeStep } from './tubeCard.js';
export {
  bondRoleNames,
  bondRoles,
  codeProfile,
  codeProfiles,
  type BondRole,
  type CodeProfile,
} from './codeProfiles.js';

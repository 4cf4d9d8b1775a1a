export { driftByPlace, type PlaceDrift } from './driftByPlace.js';
export { lastVisit, type LastVisit } from './lastVisit.js';

export { driftByPlace, type PlaceDrift } from './driftByPlace.js';
export { sweepsToCompare } from './sweepsToCompare.js';
export { lastVisit, type LastVisit } from './lastVisit.js';

export { MISSED_WEIGHT, below, shuffled } from './chance.js';
export { normals } from './normals.js';

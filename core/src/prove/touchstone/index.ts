export { MAX_TRACE_POINTS, readTouchstone, type ReadTrace } from './read.js';
export { writeTouchstone } from './write.js';

/** Phase left over in one piece that nobody can use, degrees either way. Common practice, no source. */
export const PHASE_TOLERANCE_DEG = 1;

/** Between the longest and the shortest piece of a set, each within its own tolerance, degrees. */
export const SET_SPREAD_DEG = 2 * PHASE_TOLERANCE_DEG;

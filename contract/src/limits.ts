/** More points than any bench analyser sweeps; larger files are thinned before they are sent. */
export const MAX_KEPT_POINTS = 10_001;

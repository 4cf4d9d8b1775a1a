/** More points than any bench analyser sweeps; larger files are thinned before they are sent. */
export const MAX_KEPT_POINTS = 10_001;

/** A customer’s link lasts through the warranty of most work, and not for ever. */
export const MAX_LINK_DAYS = 730;

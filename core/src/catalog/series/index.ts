import { bnc } from './bnc.js';
import { f } from './f.js';
import { n } from './n.js';
import type { Series, SeriesId } from './series.js';
import { sma } from './sma.js';
import { uhf } from './uhf.js';

/** Every series; adding one touches this list and its own file only. */
export const seriesById: Record<SeriesId, Series> = { uhf, n, bnc, sma, f };

export type { Series, SeriesId, SeriesVariant } from './series.js';

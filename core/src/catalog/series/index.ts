import { bnc } from './bnc.js';
import { f } from './f.js';
import { fme } from './fme.js';
import { fourThreeTen } from './fourThreeTen.js';
import { miniUhf } from './miniUhf.js';
import { n } from './n.js';
import { pair } from './pair.js';
import { rca } from './rca.js';
import type { Series, SeriesId } from './series.js';
import { sevenSixteen } from './sevenSixteen.js';
import { sma } from './sma.js';
import { tnc } from './tnc.js';
import { uhf } from './uhf.js';

/** Every series; adding one touches this list and its own file only. */
export const seriesById: Record<SeriesId, Series> = {
  uhf,
  'mini-uhf': miniUhf,
  n,
  bnc,
  tnc,
  sma,
  f,
  '7-16': sevenSixteen,
  '43-10': fourThreeTen,
  fme,
  rca,
  pair,
};

export type { Series, SeriesId, SeriesVariant } from './series.js';

import { bnc } from './bnc.js';
import { f } from './f.js';
import { fme } from './fme.js';
import { fourThreeTen } from './fourThreeTen.js';
import { mcx } from './mcx.js';
import { miniUhf } from './miniUhf.js';
import { mmcx } from './mmcx.js';
import { n } from './n.js';
import { pair } from './pair.js';
import { rca } from './rca.js';
import type { Series, SeriesId } from './series.js';
import { sevenSixteen } from './sevenSixteen.js';
import { sma } from './sma.js';
import { smb } from './smb.js';
import { smc } from './smc.js';
import { threePointFive } from './threePointFive.js';
import { tnc } from './tnc.js';
import { tv } from './tv.js';
import { twoPointFour } from './twoPointFour.js';
import { twoPointNineTwo } from './twoPointNineTwo.js';
import { uhf } from './uhf.js';

/** Every series; adding one touches this list and its own file only. */
export const seriesById: Record<SeriesId, Series> = {
  uhf,
  'mini-uhf': miniUhf,
  n,
  bnc,
  tnc,
  sma,
  '3-5mm': threePointFive,
  '2-92mm': twoPointNineTwo,
  '2-4mm': twoPointFour,
  smb,
  smc,
  mcx,
  mmcx,
  f,
  tv,
  '7-16': sevenSixteen,
  '43-10': fourThreeTen,
  fme,
  rca,
  pair,
};

export type { Series, SeriesId, SeriesVariant } from './series.js';

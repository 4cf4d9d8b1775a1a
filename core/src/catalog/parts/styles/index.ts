import type { Style } from '../../part.js';
import { bulkhead } from './bulkhead.js';
import { compression } from './compression.js';
import { corrugated } from './corrugated.js';
import { crimp } from './crimp.js';
import { gland } from './gland.js';
import { piercing } from './piercing.js';
import { pigtail } from './pigtail.js';
import { reducer } from './reducer.js';
import { rightAngle } from './rightAngle.js';
import { screwOn } from './screwOn.js';
import { sideEntry } from './sideEntry.js';
import { solder } from './solder.js';
import type { StyleKind } from './style.js';
import { washers } from './washers.js';

/** Every style; adding one touches this list and its own file only. */
export const styleById: Record<Style, StyleKind> = {
  crimp,
  solder,
  'screw-on': screwOn,
  reducer,
  washers,
  gland,
  corrugated,
  compression,
  piercing,
  'side-entry': sideEntry,
  'right angle': rightAngle,
  bulkhead,
  pigtail,
};

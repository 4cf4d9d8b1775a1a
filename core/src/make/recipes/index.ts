import type { Recipe, Work, WorkId } from '../recipe.js';
import { adhesiveShrink } from './adhesiveShrink.js';
import { bulkheadJack } from './bulkheadJack.js';
import { compressionF } from './compressionF.js';
import { corrugatedClamp } from './corrugatedClamp.js';
import { crimpBnc } from './crimpBnc.js';
import { crimpF } from './crimpF.js';
import { crimpSma } from './crimpSma.js';
import { crimpUhf } from './crimpUhf.js';
import { dipolePigtail } from './dipolePigtail.js';
import { glandBnc } from './glandBnc.js';
import { glandN } from './glandN.js';
import { glandUhf } from './glandUhf.js';
import { piercingUhf } from './piercingUhf.js';
import { rcaPlug } from './rcaPlug.js';
import { reEnd } from './reEnd.js';
import { reducerUhf } from './reducerUhf.js';
import { rightAngle } from './rightAngle.js';
import { screwOnUhf } from './screwOnUhf.js';
import { slotBnc } from './slotBnc.js';
import { solderUhf } from './solderUhf.js';
import { washersUhf } from './washersUhf.js';

/** Every recipe for a new end; adding one touches this list and its own file only. */
export const recipes: Recipe[] = [
  crimpUhf,
  solderUhf,
  screwOnUhf,
  reducerUhf,
  washersUhf,
  glandUhf,
  piercingUhf,
  glandN,
  glandBnc,
  corrugatedClamp,
  crimpBnc,
  crimpSma,
  slotBnc,
  rightAngle,
  compressionF,
  crimpF,
  rcaPlug,
  bulkheadJack,
  dipolePigtail,
];

/** Work on ends which exist. */
export const works: Record<WorkId, Work> = { 're-end': reEnd, shrink: adhesiveShrink };

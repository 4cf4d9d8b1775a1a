import { isOutdoors, zoneAt } from '../../route/index.js';
import type { RunToPlan } from './draft.js';
import type { TaskPlace } from './task.js';

/** Where hands are at a place of a run: aloft on a tower leg, else outside or inside as its leg says. */
export function whereDone(
  { design, sheet: { route } }: Pick<RunToPlan, 'design' | 'sheet'>,
  atM: number,
): Exclude<TaskPlace, 'bench'> {
  const span = route.spans.find(({ toM }) => atM <= toM) ?? route.spans.at(-1);
  if (span && design.legs[span.leg].kind === 'tower leg') return 'aloft';
  return isOutdoors(zoneAt(route.spans, atM)) ? 'ground' : 'inside';
}

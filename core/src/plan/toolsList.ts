import { cardFor, formatTool, owns, type ToolNeed } from '../make/index.js';
import { makeSchools, type Practice } from '../practice/index.js';
import type { PlannedRun } from './partsList.js';

/** A tool which the cards of a site ask for. */
export interface ToolsRow {
  need: ToolNeed;
  name: string;
  owned: boolean;
  /** Ends which are made with it. */
  ends: number;
}

/** The one list of tools with their dies, for every end that is still to be made; what the shop has not stands first. */
export function toolsList(runs: readonly Pick<PlannedRun, 'sheet'>[], practice: Practice): ToolsRow[] {
  const rows = new Map<string, ToolsRow>();
  for (const { part, cable, made } of runs.flatMap(({ sheet }) => sheet.ends)) {
    if (made) continue;
    // The figures of the card do not matter here: tools are the same in every system of units.
    const card = cardFor(part, cable, 'metric', { schools: makeSchools(practice) });
    for (const need of card?.tools ?? []) {
      const name = formatTool(need);
      const known = rows.get(name);
      rows.set(name, { need, name, owned: owns(practice, need), ends: (known?.ends ?? 0) + 1 });
    }
  }
  return [...rows.values()].sort((x, y) => Number(x.owned) - Number(y.owned) || y.ends - x.ends);
}

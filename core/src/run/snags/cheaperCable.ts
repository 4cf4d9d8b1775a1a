import { entry } from '../../catalog/index.js';
import { matchedLossDb } from '../../line/index.js';
import { formatDecibels } from '../../quantity/index.js';
import { betterCables } from '../edit/betterCables.js';
import { longestAssembly } from '../design/lookups.js';
import { receptionOf } from '../wave/reception.js';
import type { MildRule } from './snag.js';

/** Signal-to-noise nobody hears, dB. Common practice, no source. */
const UNHEARD_DB = 0.5;

/** A receive run with cable better than the noise from outside lets it be: thinner cable is enough. Source: Friis, ITU-R P.372. */
export const cheaperCable: MildRule = ({ design, catalog, reception, lossDb, topHz }) => {
  if (!reception) return [];
  const longest = longestAssembly(design);
  if (!longest) return [];
  const now = entry(catalog.cables, longest.cable);
  const costs = (cable: typeof now): number => {
    const other =
      lossDb - matchedLossDb(now, topHz, longest.lengthM) + matchedLossDb(cable, topHz, longest.lengthM);
    return receptionOf(design.service, topHz, other).costs.value;
  };
  const enough = betterCables(
    longest,
    catalog,
    topHz,
    (cable) => cable.jacketMm < now.jacketMm - 0.5 && costs(cable) <= UNHEARD_DB,
    2,
  );
  if (enough.length === 0) return [];
  return [
    {
      rule: 'cheaper-cable',
      of: longest.id,
      level: 'note',
      stage: 'plan',
      at: longest.id,
      distanceM: 0,
      what: `${now.name} is better than this receive run needs`,
      why: `It costs ${formatDecibels(reception.costs.value)} of signal-to-noise; up to ${formatDecibels(UNHEARD_DB)} goes unheard against the noise from outside.`,
      remedies: enough,
      source: 'Friis’s formula; ITU-R P.372, from memory',
    },
  ];
};

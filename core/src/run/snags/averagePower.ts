import { entry } from '../../catalog/index.js';
import { averagePowerW } from '../../line/index.js';
import { formatFrequency, formatPower } from '../../quantity/index.js';
import { betterCables } from '../edit/betterCables.js';
import type { Finding, SnagRule } from './snag.js';

/** Heat: average power over what the cable sheds at this ambient. Source: heat balance of the jacket, see `averagePowerW`. */
export const averagePower: SnagRule = ({ design, catalog, layout, topHz, swr }) =>
  layout.pieces.flatMap(({ piece, fromM }): Finding[] => {
    if (piece.kind !== 'assembly') return [];
    const { powerW, duty, ambientC } = design.service;
    const cable = entry(catalog.cables, piece.cable);
    const limitW = averagePowerW(cable, topHz, ambientC, swr);
    const averageW = powerW * duty;
    if (averageW <= limitW) return [];
    return [
      {
        rule: 'average-power',
        of: piece.id,
        level: 'stop',
        stage: 'plan',
        at: piece.id,
        distanceM: fromM,
        what: `${cable.name} runs hot`,
        why: `${formatPower(averageW)} on average against ${formatPower(limitW)} at ${formatFrequency(topHz)}, ${ambientC} °C and SWR ${swr.toFixed(1)}.`,
        remedies: betterCables(
          piece,
          catalog,
          topHz,
          (other) => averagePowerW(other, topHz, ambientC, swr) >= averageW,
        ),
        source: 'heat balance of the jacket, within 30 %',
      },
    ];
  });

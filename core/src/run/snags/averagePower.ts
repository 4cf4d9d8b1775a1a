import { entry, faceName, seriesOf } from '../../catalog/index.js';
import { AVERAGE_POWER_SPREAD, averagePowerW, connectorAverageW } from '../../line/index.js';
import { formatFrequency, formatPower } from '../../quantity/index.js';
import { hottestC } from '../design/hottest.js';
import { betterCables } from '../edit/betterCables.js';
import { lessPower } from '../edit/lessPower.js';
import type { Look } from '../wave/looks.js';
import type { Finding, SnagContext, SnagRule } from './snag.js';

/** Heat: average power over what cable and connectors shed where they are hottest, at every edge of the bands and where the antenna is worst. */
export const averagePower: SnagRule = (context) => [...cables(context), ...joints(context)];

/** The least of a limit over all frequencies that are looked at, and where it is. */
function leastOf(looks: readonly Look[], limitOf: (look: Look) => number): { limitW: number; look: Look } {
  return looks
    .map((look) => ({ look, limitW: limitOf(look) }))
    .reduce((least, one) => (one.limitW < least.limitW ? one : least));
}

const reason = (averageW: number, { limitW, look }: ReturnType<typeof leastOf>, ambientC: number): string =>
  `${formatPower(averageW)} on average against ${formatPower(limitW)} at ${formatFrequency(look.hz)}, ${ambientC} °C and SWR ${look.swr.toFixed(1)}.`;

/** What a cable bears for sure. */
const surelyW = (limitW: number): number => limitW * (1 - AVERAGE_POWER_SPREAD);

function cables({ design, catalog, layout, route, topHz, looks }: SnagContext): Finding[] {
  const { powerW, duty } = design.service;
  const averageW = powerW * duty;
  return layout.pieces.flatMap(({ piece, fromM, toM }): Finding[] => {
    if (piece.kind !== 'assembly') return [];
    const ambientC = hottestC(design, route.spans, fromM, toM);
    const cable = entry(catalog.cables, piece.cable);
    const least = leastOf(looks, ({ hz, swr }) => averagePowerW(cable, hz, ambientC, swr));
    if (averageW <= surelyW(least.limitW)) return [];
    const over = averageW > least.limitW * (1 + AVERAGE_POWER_SPREAD);
    const holds = (other: typeof cable): boolean =>
      surelyW(leastOf(looks, ({ hz, swr }) => averagePowerW(other, hz, ambientC, swr)).limitW) >= averageW;
    return [
      {
        rule: 'average-power',
        of: piece.id,
        level: over ? 'stop' : 'caution',
        stage: 'plan',
        at: piece.id,
        distanceM: fromM,
        what: over ? `${cable.name} runs hot` : `${cable.name} may run hot`,
        why: reason(averageW, least, ambientC),
        remedies: betterCables(piece, catalog, topHz, holds),
        source: `heat balance of centre, dielectric and jacket with the standing wave, within ${Math.round(AVERAGE_POWER_SPREAD * 100)} %`,
      },
    ];
  });
}

function joints({ design, layout, route, looks }: SnagContext): Finding[] {
  const { powerW, duty } = design.service;
  const averageW = powerW * duty;
  return layout.joints.flatMap(({ id, atM, left, right }): Finding[] => {
    const series = [left, right].map(seriesOf);
    const ambientC = hottestC(design, route.spans, atM, atM);
    const weaker = series[0].averageAt100MhzW <= series[1].averageAt100MhzW ? left : right;
    const least = leastOf(looks, ({ hz, swr }) => connectorAverageW(seriesOf(weaker), hz, ambientC, swr));
    if (averageW <= least.limitW) return [];
    return [
      {
        rule: 'average-power',
        of: id,
        level: 'stop',
        stage: 'plan',
        at: id,
        distanceM: atM,
        what: `${faceName(weaker)} runs hot`,
        why: reason(averageW, least, ambientC),
        remedies: lessPower(powerW * (least.limitW / averageW)),
        source: `average power of ${seriesOf(weaker).name}, falling as 1/√f, nominal from memory`,
      },
    ];
  });
}

import { formatLength } from '../../quantity/index.js';
import { longestAssembly } from '../design/lookups.js';
import { slackOf } from '../facts/slack.js';
import type { Finding, SnagRule } from './snag.js';

/** How much longer than the route a run may be before it is worth a word, m. */
const SPARE_M = 3;

const say = (metres: number): string => formatLength(metres, { system: 'metric' });

/** The pieces against the route: too short is a stop, no cable for a re-make a caution, much too long a note. */
export const reach: SnagRule = ({ design, layout, route, practice, facts }) => {
  if (design.legs.length === 0) {
    if (design.pieces.length === 0) return [];
    return [
      {
        rule: 'reach',
        of: 'run',
        level: 'note',
        stage: 'route',
        at: 'run',
        distanceM: 0,
        what: 'No route yet',
        why: `${say(layout.totalM)} of cable is taken as dry all along, since no legs say where it goes.`,
        remedies: [
          {
            title: 'Enter the legs',
            detail: 'lengths and zones follow from them',
            changes: [],
            open: 'route',
          },
        ],
        source: 'the design',
      },
    ];
  }
  const slack = slackOf(design, layout.totalM, practice, facts);
  const longest = longestAssembly(design);
  if (!slack || !longest) return [];
  const shortM = Math.max(0, slack.reservedM - slack.spareM);
  const longM = slack.spareM - slack.reservedM;
  const wantedM = Math.ceil((longest.lengthM - longM) * 100) / 100;
  const shared = {
    rule: 'reach',
    of: 'run',
    stage: 'route',
    at: longest.id,
    distanceM: layout.totalM,
    remedies:
      wantedM >= 0.02
        ? [
            {
              title: `Make ${longest.label} ${say(wantedM)} long`,
              detail: `now ${say(longest.lengthM)}`,
              changes: [{ op: 'set piece' as const, piece: { ...longest, lengthM: wantedM } }],
            },
          ]
        : [],
    source: 'sum of the legs, their slack and the spare',
  } as const;
  const asked = `The route asks for ${say(route.total.value)} with slack and spare; the pieces make ${say(layout.totalM)}.`;
  const snag = (level: Finding['level'], what: string, why: string): Finding[] => [
    { ...shared, level, what, why },
  ];
  if (slack.spareM < -0.005) return snag('stop', `Does not reach: ${say(-slack.spareM)} short`, asked);
  if (shortM > 0.005)
    return snag(
      'caution',
      slack.remakes === 0
        ? 'Reaches, with no spare for re-terminating'
        : `Reaches, with spare to re-terminate ${slack.remakes === 1 ? 'once' : `${slack.remakes} times`} only`,
      `${asked} ${slack.endsToMake} ${slack.endsToMake === 1 ? 'end is' : 'ends are'} still to be made.`,
    );
  return longM > SPARE_M + 0.1 * route.total.value
    ? snag('note', `${say(longM)} longer than the route`, asked)
    : [];
};

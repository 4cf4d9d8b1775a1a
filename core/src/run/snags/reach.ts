import { formatLength } from '../../quantity/index.js';
import type { Assembly } from '../design.js';
import type { Snag, SnagRule } from '../snag.js';

/** How much longer than the route a run may be before it is worth a word, m. */
const SPARE_M = 3;

const say = (metres: number): string => formatLength(metres, { system: 'metric' });

/** The pieces against the route: too short is a stop, much too long a note. */
export const reach: SnagRule = ({ design, layout, route }) => {
  if (design.legs.length === 0) {
    if (design.pieces.length === 0) return [];
    return [
      {
        id: 'reach@run',
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
  const spareM = layout.totalM - route.total.value;
  const longest = design.pieces
    .filter((piece): piece is Assembly => piece.kind === 'assembly')
    .reduce<Assembly | undefined>(
      (best, piece) => (best && best.lengthM >= piece.lengthM ? best : piece),
      undefined,
    );
  if (!longest) return [];
  const wantedM = Math.ceil((longest.lengthM - spareM) * 100) / 100;
  const shared = {
    id: 'reach@run',
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
    source: 'sum of the legs, their slack and the re-makes',
  } as const;
  const asked = `The route asks for ${say(route.total.value)} with slack and re-makes; the pieces make ${say(layout.totalM)}.`;
  const tooShort: Snag = {
    ...shared,
    level: 'stop',
    what: `Does not reach: ${say(-spareM)} short`,
    why: asked,
  };
  const tooLong: Snag = {
    ...shared,
    level: 'note',
    what: `${say(spareM)} longer than the route`,
    why: asked,
  };
  if (spareM < -0.005) return [tooShort];
  return spareM > SPARE_M + 0.1 * route.total.value ? [tooLong] : [];
};

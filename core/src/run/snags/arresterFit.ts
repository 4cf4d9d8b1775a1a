import { lowestFiringV } from '../../ground/index.js';
import { entry } from '../../catalog/index.js';
import { formatFrequency } from '../../quantity/index.js';
import type { ArresterPiece } from '../design/design.js';
import type { PlacedPiece } from '../wave/layout.js';
import type { Remedy } from '../design/remedy.js';
import type { Finding, SnagContext, SnagRule } from './snag.js';

type Placed = PlacedPiece & { piece: ArresterPiece };

const base = ({ piece, fromM, name }: Placed) => ({
  at: piece.id,
  distanceM: fromM,
  stage: 'ground' as const,
  name,
});

/** Arresters in the run: direct current, tube voltage, band and direction. Sources beside each. */
export const arresterFit: SnagRule = (context) =>
  context.layout.pieces
    .filter((placed): placed is Placed => placed.piece.kind === 'arrester')
    .flatMap((placed) => [
      ...blocksDc(placed, context),
      ...tube(placed, context),
      ...band(placed, context),
      ...direction(placed, context),
    ]);

/** Other arresters with the same faces which satisfy the band and pass direct current when it is fed. */
function others({ piece }: Placed, { catalog, lowHz, topHz, design }: SnagContext): Remedy[] {
  const now = entry(catalog.arresters, piece.arrester);
  return [...catalog.arresters.values()]
    .filter(
      (a) =>
        a.id !== now.id &&
        a.faces.join() === now.faces.join() &&
        (a.passesDc || !design.service.dcFeed) &&
        a.lowHz <= lowHz &&
        topHz <= a.highHz,
    )
    .map((a) => ({
      title: `Take ${a.name}`,
      detail: `same connectors${a.tubeChangeable ? ` · ${piece.tubeV} V tube` : ''}`,
      changes: [{ op: 'set piece', piece: { ...piece, arrester: a.id } }],
    }));
}

function blocksDc(placed: Placed, context: SnagContext): Finding[] {
  const { name, ...where } = base(placed);
  if (!context.design.service.dcFeed || entry(context.catalog.arresters, placed.piece.arrester).passesDc)
    return [];
  return [
    {
      ...where,
      rule: 'arrester-dc',
      of: placed.piece.id,
      level: 'stop',
      what: 'This arrester blocks the direct current',
      why: `${name} ${entry(context.catalog.arresters, placed.piece.arrester).groundsDc ? 'joins pin and shell for direct current' : 'has a blocking capacitor'}: 0 V of the feed reaches the mast.`,
      remedies: others(placed, context),
      source: 'construction of the arrester',
    },
  ];
}

function tube(placed: Placed, { tube: choice, design, catalog }: SnagContext): Finding[] {
  const { piece } = placed;
  if (!choice || design.service.powerW === 0 || !entry(catalog.arresters, piece.arrester).tubeChangeable)
    return [];
  const { at, distanceM, stage } = base(placed);
  const where = { at, distanceM, stage };
  const remedies: Remedy[] =
    choice.tubeV === undefined
      ? []
      : [
          {
            title: `Fit a ${choice.tubeV} V tube`,
            detail: 'same arrester',
            changes: [{ op: 'set piece', piece: { ...piece, tubeV: choice.tubeV } }],
          },
        ];
  const source = 'IEC 61643-311 tolerance of 20 %, from memory; margin is common practice';
  if (lowestFiringV(piece.tubeV) < choice.needed.value) {
    return [
      {
        ...where,
        rule: 'arrester-tube',
        of: piece.id,
        level: 'stop',
        what: `The ${piece.tubeV} V tube fires on the transmitter`,
        why: `It may fire from ${Math.round(lowestFiringV(piece.tubeV))} V; the run needs ${Math.round(choice.needed.value)} V (${Math.round(choice.peak.value)} V peak of net power, with margin).`,
        remedies,
        source,
      },
    ];
  }
  if (choice.tubeV === undefined || piece.tubeV <= choice.tubeV) return [];
  return [
    {
      ...where,
      rule: 'arrester-tube',
      of: piece.id,
      level: 'note',
      what: `A ${choice.tubeV} V tube would protect better`,
      why: `The fitted ${piece.tubeV} V tube has a higher let-through voltage; ${choice.tubeV} V already holds ${Math.round(choice.needed.value)} V.`,
      remedies,
      source,
    },
  ];
}

function band(placed: Placed, context: SnagContext): Finding[] {
  const { lowHz, highHz } = entry(context.catalog.arresters, placed.piece.arrester);
  if (lowHz <= context.lowHz && context.topHz <= highHz) return [];
  const { name, ...where } = base(placed);
  const outside = context.lowHz < lowHz ? context.lowHz : context.topHz;
  return [
    {
      ...where,
      rule: 'arrester-band',
      of: placed.piece.id,
      level: 'stop',
      what: 'Arrester outside its band',
      why: `${name} works from ${formatFrequency(lowHz)} to ${formatFrequency(highHz)}; the run uses ${formatFrequency(outside)}.`,
      remedies: others(placed, context),
      source: entry(context.catalog.arresters, placed.piece.arrester).source,
    },
  ];
}

function direction(placed: Placed, { catalog }: SnagContext): Finding[] {
  const { symmetrical } = entry(catalog.arresters, placed.piece.arrester);
  if (symmetrical || placed.piece.reversed) return [];
  const { name, ...where } = base(placed);
  return [
    {
      ...where,
      rule: 'arrester-side',
      of: placed.piece.id,
      level: 'caution',
      what: 'Arrester the wrong way round',
      why: `${name}: its surge side faces the radio, 0 m of cable between the surge and the set is protected.`,
      remedies: [
        {
          title: 'Turn the arrester round',
          detail: 'surge side to the antenna',
          changes: [{ op: 'set piece', piece: { ...placed.piece, reversed: true } }],
        },
      ],
      source: 'marking of the arrester',
    },
  ];
}

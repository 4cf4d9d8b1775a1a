import { entry, faceOf, seriesOf, type SeriesId } from '../../catalog/index.js';
import { partsFor } from '../../fit/index.js';
import { freshId } from '../design/change.js';
import type { PlacedPiece } from '../wave/layout.js';
import type { Remedy } from '../design/remedy.js';
import type { SnagContext, MildRule } from './snag.js';
import { adapterPiece, article, chainToCable, needsOf, partsToMeet } from '../edit/waysToJoin.js';

/** Rigid length a small port bears, mm, and the series which are small. Common practice, no source. */
const LEVER_MM = 45;
const delicate = new Set<SeriesId>([
  'sma',
  'fme',
  'mini-uhf',
  'smb',
  'smc',
  'mcx',
  'mmcx',
  '3-5mm',
  '2-92mm',
  '2-4mm',
]);

/** Rigid pieces stacked on a small port: the stack is a lever on it. */
export const adapterStack: MildRule = (context) => {
  const [first] = context.layout.joints;
  if (!delicate.has(first.left.series)) return [];
  const stack = rigidFrom(context.layout.pieces);
  const leverMm = Math.round(stack.reduce((sum, { fromM, toM }) => sum + toM - fromM, 0) * 1000);
  if (leverMm <= LEVER_MM) return [];
  return [
    {
      rule: 'adapter-stack',
      of: first.id,
      level: 'caution',
      stage: 'plan',
      at: first.id,
      distanceM: 0,
      what: `${stack.length} rigid ${stack.length === 1 ? 'piece hangs' : 'pieces hang'} on a small port`,
      why: `${leverMm} mm of lever on an ${seriesOf(first.left).name} port; about ${LEVER_MM} mm is what it takes.`,
      remedies: [...shorter(context, stack), ...pigtail(context, stack)],
      source: 'common practice, no source',
    },
  ];
};

/** The rigid pieces from the port up to the first cable. */
function rigidFrom(pieces: readonly PlacedPiece[]): PlacedPiece[] {
  const cable = pieces.findIndex(({ piece }) => piece.kind === 'assembly');
  return cable < 0 ? [...pieces] : pieces.slice(0, cable);
}

/** The first cable ended so that it meets the port itself, or behind a shorter chain. */
function shorter({ design, catalog, layout }: SnagContext, stack: PlacedPiece[]): Remedy[] {
  const next = layout.pieces.at(stack.length);
  if (next?.piece.kind !== 'assembly' || stack.some(({ piece }) => piece.kind !== 'adapter')) return [];
  const assembly = next.piece;
  const port = faceOf(design.radio.face);
  const direct = partsToMeet(port, assembly.cable, catalog).at(0);
  const parts = partsFor(entry(catalog.cables, assembly.cable), catalog.parts.values());
  const found = direct
    ? { part: direct, chain: undefined }
    : chainToCable(port, parts, catalog, needsOf(design, catalog, false));
  const adapters = found?.chain?.adapters ?? [];
  if (!found || adapters.length >= stack.length) return [];
  const insert = adapters.map((one, k) => adapterPiece(freshId(design.pieces, `short-${k + 1}`), one));
  return [
    {
      title: `End ${assembly.label} with ${article(found.part.name)}`,
      detail: `${found.chain?.leverMm ?? 0} mm of lever left on the port`,
      changes: [
        {
          op: 'splice pieces',
          at: 0,
          remove: stack.length + 1,
          insert: [...insert, { ...assembly, a: { part: found.part.id } }],
        },
      ],
    },
  ];
}

const PIGTAIL_M = 0.3;

/** A short thin cable between the port and the stack takes the strain. */
function pigtail({ design, catalog }: SnagContext, [first]: PlacedPiece[]): Remedy[] {
  const ends = [...catalog.cables.values()]
    .filter(({ impedanceOhm, centreKind }) => impedanceOhm === 50 && centreKind === 'stranded')
    .sort((x, y) => x.jacketMm - y.jacketMm)
    .flatMap((cable) => {
      const a = partsToMeet(faceOf(design.radio.face), cable.id, catalog).at(0);
      const b = partsToMeet(first.faces[0], cable.id, catalog).at(0);
      return a && b ? [{ cable, a, b }] : [];
    });
  return ends.slice(0, 1).map(({ cable, a, b }) => ({
    title: `Put ${PIGTAIL_M} m of ${cable.name} between the port and the stack`,
    detail: '+1 joint · the cable takes the strain',
    changes: [
      {
        op: 'splice pieces',
        at: 0,
        remove: 0,
        insert: [
          {
            kind: 'assembly',
            id: freshId(design.pieces, 'pigtail'),
            label: 'Pigtail',
            cable: cable.id,
            lengthM: PIGTAIL_M,
            a: { part: a.id },
            b: { part: b.id },
          },
        ],
      },
    ],
  }));
}

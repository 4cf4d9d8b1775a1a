import { entry, faceCode, faceOf, opposite, type Arrester } from '../../catalog/index.js';
import { mate } from '../../fit/index.js';
import { entryM, isOutdoors } from '../../route/index.js';
import { partFor } from '../edit/betterCables.js';
import { freshId } from '../design/change.js';
import type { ArresterPiece, Assembly } from '../design/design.js';
import type { Remedy } from '../design/remedy.js';
import type { MildFinding, SnagContext, MildRule } from './snag.js';

/** An outdoor run without an arrester at the entry. Handbook practice; local code and a licensed electrician decide. */
export const arresterMissing: MildRule = (context) => {
  const { design, layout, route } = context;
  if (design.pieces.some(({ kind }) => kind === 'arrester')) return [];
  if (design.legs.some(({ kind }) => kind === 'boat deck or mast')) return afloat(context);
  const outM = entryM(route.spans);
  if (outM === undefined) return startsOutdoors(context);
  return [
    {
      rule: 'arrester-missing',
      of: 'run',
      level: 'caution',
      stage: 'ground',
      at: layout.pieces.find(({ fromM, toM }) => fromM <= outM && outM < toM)?.piece.id ?? 'run',
      distanceM: outM,
      what: 'No arrester where the run comes in',
      why: `The run is outdoors from ${outM.toFixed(1)} m on; a surge on it ends in the radio.`,
      remedies: [
        ...atJoint(context, outM),
        ...bySplitting(context, outM),
        {
          title: 'See what the arrester must hold',
          detail: 'tube, direct current, where it goes',
          changes: [],
          open: 'ground' as const,
        },
      ].slice(0, 3),
      source: 'common practice, no source; local electrical code decides',
    },
  ];
};

/** On a boat no rod is driven and few carry an arrester: what there is to tie to is mast, rig and the sea. Common practice, no source. */
function afloat({ layout }: SnagContext): MildFinding[] {
  return [
    {
      rule: 'arrester-missing',
      of: 'run',
      level: 'note',
      stage: 'ground',
      at: layout.pieces.at(-1)?.piece.id ?? 'run',
      distanceM: layout.totalM,
      what: 'On a boat the ground is mast, rig and sea',
      why: 'A stroke goes down mast and stays to the keel or a plate in the water: shield and set are tied to that, by the straightest way. An arrester at the deck is a choice; before a thunderstorm the plug is pulled.',
      remedies: [
        {
          title: 'See what an arrester must hold',
          detail: 'tube, direct current, where it goes',
          changes: [],
          open: 'ground',
        },
      ],
      source: 'common practice, no source; builder and surveyor of the boat decide',
    },
  ];
}

/** A run which starts outdoors (a cabinet, a set at the mast head) has no wall to come in by, and the surge all the same. */
function startsOutdoors({ route }: SnagContext): MildFinding[] {
  const [first] = route.spans;
  if (route.spans.length === 0 || !isOutdoors(first.zone)) return [];
  return [
    {
      rule: 'arrester-missing',
      of: 'run',
      level: 'caution',
      stage: 'ground',
      at: 'radio',
      distanceM: 0,
      what: 'No arrester where the run starts outdoors',
      why: 'It is outdoors from 0 m on: the cabinet or set at its start needs an arrester and its ground too.',
      remedies: [
        {
          title: 'See what the arrester must hold',
          detail: 'tube, direct current, where it goes',
          changes: [],
          open: 'ground',
        },
      ],
      source: 'common practice, no source; local electrical code decides',
    },
  ];
}

const ohmOf = ({ faces: [face] }: Arrester): number | null => faceOf(face).impedanceOhm;

/** Arresters which suit the band, the DC feed and a tube for this power. */
function suitable({ design, catalog, lowHz, topHz, tube, referenceOhm }: SnagContext): ArresterPiece[] {
  // A run keeps its family of connectors: the series of its own ports come first.
  const ownSeries = new Set([design.radio.face, design.antenna.face].map((face) => faceOf(face).series));
  return [...catalog.arresters.values()]
    .filter(
      ({ lowHz: low, highHz: high, passesDc, faces: [face] }) =>
        low <= lowHz &&
        topHz <= high &&
        (passesDc || !design.service.dcFeed) &&
        (faceOf(face).impedanceOhm ?? referenceOhm) === referenceOhm,
    )
    .sort(
      (x, y) =>
        Number(ownSeries.has(faceOf(y.faces[0]).series)) - Number(ownSeries.has(faceOf(x.faces[0]).series)) ||
        Number(ohmOf(y) === referenceOhm) - Number(ohmOf(x) === referenceOhm),
    )
    .map(({ id }): ArresterPiece => ({
      kind: 'arrester',
      id: freshId(design.pieces, 'arrester'),
      arrester: id,
      reversed: true,
      tubeV: tube?.tubeV ?? 90,
    }));
}

/** At an existing joint near the entry, when both neighbours mate with it. */
function atJoint(context: SnagContext, outM: number): Remedy[] {
  const { layout, catalog } = context;
  const near = layout.joints.filter(
    ({ atM, leftPiece, rightPiece }) => Math.abs(atM - outM) <= 2 && leftPiece && rightPiece,
  );
  return near.flatMap((joint) =>
    suitable(context)
      .filter(({ arrester }) => {
        const [surge, radio] = entry(catalog.arresters, arrester).faces.map(faceOf);
        return mate(joint.left, radio).verdict === 'mates' && mate(surge, joint.right).verdict === 'mates';
      })
      .slice(0, 1)
      .map((piece) => ({
        title: `Put ${entry(catalog.arresters, piece.arrester).name} in at J${joint.number}`,
        detail: `+1 joint · ${piece.tubeV} V tube`,
        changes: [{ op: 'splice pieces' as const, at: joint.number - 1, remove: 0, insert: [piece] }],
      })),
  );
}

/** By cutting the cable at the entry and ending both halves. */
function bySplitting(context: SnagContext, outM: number): Remedy[] {
  const { layout, catalog, design } = context;
  const placed = layout.pieces.find(
    ({ piece, fromM, toM }) => piece.kind === 'assembly' && outM - fromM > 0.3 && toM - outM > 0.3,
  );
  if (!placed || placed.piece.kind !== 'assembly') return [];
  const whole = placed.piece;
  const cable = entry(catalog.cables, whole.cable);
  return suitable(context).flatMap((piece): Remedy[] => {
    const { name, faces } = entry(catalog.arresters, piece.arrester);
    const plug = faceCode(opposite(faceOf(faces[0])));
    const part = partFor(plug, cable, catalog);
    if (!part) return [];
    const indoor: Assembly = {
      ...whole,
      id: freshId(design.pieces, `${whole.id}-in`.slice(0, 36)),
      label: `${whole.label} (inside)`,
      lengthM: outM - placed.fromM,
      b: { part },
    };
    const outdoor: Assembly = { ...whole, lengthM: placed.toM - outM, a: { part } };
    return [
      {
        title: `Cut ${whole.label} at the entry and put ${name} in`,
        detail: `+2 ends · ${piece.tubeV} V tube`,
        changes: [{ op: 'splice pieces', at: placed.index, remove: 1, insert: [indoor, piece, outdoor] }],
      },
    ];
  });
}

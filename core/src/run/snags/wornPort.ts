import { entry, faceName, faceOf, seriesOf } from '../../catalog/index.js';
import { adapterChains, isWorn, ratedMatings, WORN_SHARE } from '../../fit/index.js';
import { freshId } from '../design/change.js';
import type { Remedy } from '../design/remedy.js';
import type { MildFinding, SnagContext, MildRule } from './snag.js';
import { adapterPiece, needsOf } from '../edit/waysToJoin.js';

/** A port or an adapter coupled nearly as often as its series is rated for. Source: matings of the interface standard. */
export const wornPort: MildRule = (context) => {
  const { design, catalog, layout } = context;
  const ports = [design.radio, design.antenna].flatMap(({ name, face }, k): MildFinding[] => {
    const known = [...catalog.ports.values()].find((port) => port.name === name && port.face === face);
    const { matings, standard } = seriesOf(faceOf(face));
    if (!known || known.matings < WORN_SHARE * matings) return [];
    const joint = layout.joints[k === 0 ? 0 : layout.joints.length - 1];
    return [
      {
        rule: 'worn',
        of: k === 0 ? 'radio' : 'antenna',
        level: 'caution',
        stage: 'plan',
        at: joint.id,
        distanceM: joint.atM,
        what: `${name}: its ${faceName(faceOf(face))} is worn`,
        why: `Coupled ${known.matings} times of the ${matings} it is rated for.`,
        remedies: k === 0 ? saver(context) : [],
        source: standard,
      },
    ];
  });
  const adapters = layout.pieces.flatMap(({ piece, fromM, name, faces }): MildFinding[] => {
    if (piece.kind !== 'adapter') return [];
    const adapter = entry(catalog.adapters, piece.adapter);
    const stock = catalog.stock.get(adapter.id);
    const rated = ratedMatings(adapter);
    if (!stock || !isWorn(adapter, stock)) return [];
    return [
      {
        rule: 'worn',
        of: piece.id,
        level: 'note',
        stage: 'plan',
        at: piece.id,
        distanceM: fromM,
        what: `${name}: the one on the shelf is worn`,
        why: `Coupled ${stock.matings} times of the ${rated} it is rated for.`,
        remedies: [],
        source: seriesOf(faces[0]).standard,
      },
    ];
  });
  return [...ports, ...adapters];
};

/** A saver stays on the port, so that wear falls on the saver. */
function saver({ design, catalog, layout }: SnagContext): Remedy[] {
  const [first] = layout.joints;
  if (!first.mating.passes) return [];
  return adapterChains(first.left, first.right, catalog.adapters, {
    ...needsOf(design, catalog, false),
    most: 1,
  })
    .filter(({ adapters: [own] }) => own.adapter.form === 'saver')
    .slice(0, 1)
    .map(({ adapters: [own] }) => ({
      title: `Leave a ${own.adapter.name} on the port`,
      detail: '+1 joint · wear falls on the saver',
      changes: [
        {
          op: 'splice pieces',
          at: 0,
          remove: 0,
          insert: [adapterPiece(freshId(design.pieces, 'saver'), own)],
        },
      ],
    }));
}

import { entry, faceOf, opposite, type Style } from '../../catalog/index.js';
import { endId, endSides } from '../design/ids.js';
import { betterCables } from '../edit/betterCables.js';
import { article, partsToMeet } from '../edit/waysToJoin.js';
import type { MildFinding, SnagContext, MildRule } from './snag.js';

/** Styles which let salt water to the braid. Common practice, no source. */
const leaking = new Set<Style>(['piercing', 'washers', 'screw-on']);

/** Salt eats bare copper under the jacket: tinned throughout, or the shield at least; and no part that leaves the braid open. */
export const saltAir: MildRule = (context) => [...cables(context), ...ends(context)];

/** Does any of it stand in salt? Beyond the last leg its zone goes on. */
const inSalt = ({ design, route: { spans } }: SnagContext, fromM: number, toM: number): boolean =>
  spans.some(
    (span, k) =>
      design.legs[span.leg].zone === 'salt' &&
      span.fromM < toM &&
      (k === spans.length - 1 ? Infinity : span.toM) > fromM,
  );

function cables(context: SnagContext): MildFinding[] {
  const { catalog, layout, topHz } = context;
  return layout.pieces.flatMap(({ piece, fromM, toM }): MildFinding[] => {
    if (piece.kind !== 'assembly' || !inSalt(context, fromM, toM)) return [];
    const cable = entry(catalog.cables, piece.cable);
    if (cable.salt === 'tinned throughout') return [];
    const shieldOnly = cable.salt === 'shield only';
    return [
      {
        rule: 'salt-cable',
        of: piece.id,
        level: shieldOnly ? 'note' : 'caution',
        stage: 'plan',
        at: piece.id,
        distanceM: fromM,
        what: `${cable.name} is not tinned throughout`,
        why: `Salt water creeps ${(toM - fromM).toFixed(0)} m under the jacket and turns ${shieldOnly ? 'the bare centre' : 'bare copper'} black.`,
        remedies: betterCables(piece, catalog, topHz, (other) => other.salt === 'tinned throughout'),
        source: 'common practice, no source',
      },
    ];
  });
}

function ends(context: SnagContext): MildFinding[] {
  const { catalog, layout } = context;
  return layout.pieces.flatMap(({ piece, fromM, toM }): MildFinding[] => {
    if (piece.kind !== 'assembly') return [];
    return endSides.flatMap((end): MildFinding[] => {
      const atM = end === 'a' ? fromM : toM;
      const part = entry(catalog.parts, piece[end].part);
      if (!leaking.has(part.style) || !inSalt(context, atM - 1e-6, atM + 1e-6)) return [];
      const others = partsToMeet(opposite(faceOf(part.face)), piece.cable, catalog, true).filter(
        ({ style, face }) => !leaking.has(style) && face === part.face,
      );
      return [
        {
          rule: 'salt-end',
          of: endId(piece.id, end),
          level: 'caution',
          stage: 'plan',
          at: piece.id,
          distanceM: atM,
          what: `${part.name} in salt air`,
          why: `Its braid lies open over ${part.gripMm} mm; salt water finds it within a season.`,
          remedies: others.slice(0, 2).map((other) => ({
            title: `Take ${article(other.name)}`,
            detail: `closes on the braid · ${other.minutes} min`,
            changes: [{ op: 'set piece', piece: { ...piece, [end]: { part: other.id } } }],
          })),
          source: 'common practice, no source',
        },
      ];
    });
  });
}

import { entry, faceName, faceOf, type Cable, type Catalog } from '../../catalog/index.js';
import { fitCable } from '../../fit/index.js';
import type { Assembly } from '../design/design.js';
import { endId, endSides } from '../design/ids.js';
import { partFor } from '../edit/betterCables.js';
import type { Remedy } from '../design/remedy.js';
import type { Finding, SnagRule } from './snag.js';

/** Ends of the same kind which fit, both in one action, where neither fits: the cable was changed. */
function bothEnds(piece: Assembly, cable: Cable, catalog: Catalog): Remedy[] {
  const found = endSides.map((end) => {
    const part = entry(catalog.parts, piece[end].part);
    const fits = fitCable(part, cable).verdict === 'fits';
    return { fits, id: fits ? part.id : partFor(part.face, cable, catalog, part.id) };
  });
  const [a, b] = found.map(({ id }) => id);
  if (found.some(({ fits }) => fits) || a === undefined || b === undefined) return [];
  return [
    {
      title: `Take both ends for ${cable.name}`,
      detail: [a, b].map((id) => entry(catalog.parts, id).name).join(' · '),
      changes: [{ op: 'set piece', piece: { ...piece, a: { part: a }, b: { part: b } } }],
    },
  ];
}

/** A connector part whose bores do not suit the cable. Source: dimensions of part and cable. */
export const cableFit: SnagRule = ({ catalog, layout }) =>
  layout.pieces.flatMap(({ piece, fromM, toM }) => {
    if (piece.kind !== 'assembly') return [];
    const cable = entry(catalog.cables, piece.cable);
    return endSides.flatMap((end): Finding[] => {
      const part = entry(catalog.parts, piece[end].part);
      const fit = fitCable(part, cable);
      if (fit.verdict === 'fits') return [];
      const better = [...catalog.parts.values()].filter(
        (other) => other.face === part.face && fitCable(other, cable).verdict === 'fits',
      );
      const cables = [...catalog.cables.values()].filter(
        (other) => other.impedanceOhm === cable.impedanceOhm && fitCable(part, other).verdict === 'fits',
      );
      return [
        {
          rule: 'cable-fit',
          of: endId(piece.id, end),
          level: fit.verdict === 'loose' ? 'caution' : 'stop',
          stage: 'plan',
          at: piece.id,
          distanceM: end === 'a' ? fromM : toM,
          what: `${part.name} on ${cable.name}, ${end === 'a' ? 'radio' : 'antenna'} end: ${fit.verdict}`,
          why: `${fit.reason.charAt(0).toUpperCase()}${fit.reason.slice(1)}`,
          remedies: [
            ...bothEnds(piece, cable, catalog),
            ...better.map((other) => ({
              title: `Take ${other.name}`,
              detail: `${faceName(faceOf(other.face))} · ${other.minutes} min`,
              changes: [{ op: 'set piece' as const, piece: { ...piece, [end]: { part: other.id } } }],
            })),
            ...cables.slice(0, 1).map((other) => ({
              title: `Take ${other.name} cable`,
              detail: 'keeps both connectors in view: check the other end',
              changes: [{ op: 'set piece' as const, piece: { ...piece, cable: other.id } }],
            })),
          ].slice(0, 4),
          source: part.source,
        },
      ];
    });
  });

import { entry, type Catalog } from '../../catalog/index.js';
import { finishedLengthM } from '../../cut/index.js';
import type { Design } from './design.js';

/** The design with the length each target asks for: one length for every stage, whatever was drawn before. */
export function withTargetLengths(design: Design, catalog: Catalog): Design {
  if (!design.pieces.some((piece) => piece.kind === 'assembly' && piece.target)) return design;
  const pieces = design.pieces.map((piece) => {
    if (piece.kind !== 'assembly' || !piece.target) return piece;
    const [a, b] = [piece.a, piece.b].map(({ part }) => entry(catalog.parts, part));
    return { ...piece, lengthM: finishedLengthM(piece.target, [a, b], entry(catalog.cables, piece.cable)) };
  });
  return { ...design, pieces };
}

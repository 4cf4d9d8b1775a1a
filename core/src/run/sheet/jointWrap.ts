import { entry, seriesById, styleById, type Catalog, type Face } from '../../catalog/index.js';
import { isExposed } from '../../route/index.js';
import { wrapJoint, type ProfileStep, type Wrap } from '../../seal/index.js';
import type { PlacedJoint, PlacedPiece } from '../wave/layout.js';
import type { Practice } from '../../practice/index.js';

/** Diameter of what carries on behind a face: the cable's jacket, or the body of a rigid piece or port, m. */
function behindM(face: Face, piece: PlacedPiece | undefined, catalog: Catalog): number {
  if (piece?.piece.kind === 'assembly') return entry(catalog.cables, piece.piece.cable).jacketMm / 1000;
  return (seriesById[face.series].jackBodyMm * 1.1) / 1000;
}

/** Steps of one side, from the cable inwards: ferrule or gland nut, then the body's own diameter. */
function sideSteps(
  face: Face,
  end: 'a' | 'b',
  piece: PlacedPiece | undefined,
  catalog: Catalog,
): ProfileStep[] {
  const series = seriesById[face.series];
  const body: ProfileStep =
    face.body === 'plug'
      ? {
          name: `${series.name} coupling nut`,
          lengthM: (series.plugLengthMm * 0.55) / 1000,
          diameterM: series.plugNutMm / 1000,
        }
      : {
          name: `${series.name} jack body`,
          lengthM: (series.jackLengthMm * 0.6) / 1000,
          diameterM: series.jackBodyMm / 1000,
        };
  if (piece?.piece.kind !== 'assembly') return [body];
  const part = entry(catalog.parts, piece.piece[end].part);
  return [
    {
      name: styleById[part.style].grip ?? 'split',
      lengthM: Math.max(part.gripMm, 1) / 1000,
      diameterM: ((part.gripBoreMm ?? entry(catalog.cables, piece.piece.cable).jacketMm) + 1.2) / 1000,
    },
    body,
  ];
}

/** The stepped profile of a joint, lower (radio) side first; runs go up to their antenna. */
export function jointProfile(
  { left, right, leftPiece, rightPiece }: PlacedJoint,
  catalog: Catalog,
): ProfileStep[] {
  return [
    ...sideSteps(left, 'b', leftPiece, catalog),
    ...sideSteps(right, 'a', rightPiece, catalog).reverse(),
  ];
}

/** The wrap of an exposed joint; nothing for a dry one. */
export function jointWrap(joint: PlacedJoint, catalog: Catalog, practice: Practice): Wrap | undefined {
  if (!isExposed(joint.zone)) return undefined;
  const jackets = {
    lowerM: behindM(joint.left, joint.leftPiece, catalog),
    upperM: behindM(joint.right, joint.rightPiece, catalog),
  };
  return wrapJoint(jointProfile(joint, catalog), jackets, joint.zone, practice.tapeStretch);
}

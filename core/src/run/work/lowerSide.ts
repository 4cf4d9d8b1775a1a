import { isExposed, zoneAt, type ZoneSpan } from '../../route/index.js';
import type { Design, Hang, Leg } from '../design/design.js';
import type { PlacedJoint, PlacedPiece } from '../wave/layout.js';

/** From where it is known which side of a joint is the lower one. */
export type LowerSource = 'said' | 'drip loop' | 'heights' | 'assumed';

/** How a joint hangs: water runs down, and tape goes on from its lower side up. */
export interface JointHang {
  lower: Hang['lower'];
  from: LowerSource;
  /** The side which ends at a flange: a socket flush in a plate, box or deck; nothing where cable goes on at both. */
  flange: Hang['lower'] | undefined;
}

/** A leg which rises or falls by less hangs level, m. */
const LEVEL_M = 0.3;

/** By how much a leg rises on the way from the radio: as the site says, else by what it is; nothing where neither does. */
const riseOf = ({ riseM, kind, lengthM }: Leg): number | undefined =>
  riseM ?? (kind === 'tower leg' || kind === 'riser' ? lengthM : undefined);

const legAt = (spans: readonly ZoneSpan[], legs: readonly Leg[], atM: number): Leg | undefined => {
  const span = spans.find(({ toM }) => atM < toM) ?? spans.at(-1);
  return span && legs[span.leg];
};

/** Beside a joint, m. */
const BESIDE_M = 1e-3;

/** A rigid piece whose other side is dry goes through a wall or plate; a set that stands outdoors is a box: there the joint ends at a flange. */
function flangeOf(
  { leftPiece }: PlacedJoint,
  { rightPiece }: PlacedJoint,
  spans: readonly ZoneSpan[],
): JointHang['flange'] {
  const isDry = (atM: number): boolean => !isExposed(zoneAt(spans, atM));
  const isRigid = (placed: PlacedPiece): boolean => placed.piece.kind !== 'assembly';
  if (!leftPiece || (isRigid(leftPiece) && isDry(leftPiece.fromM - BESIDE_M))) return 'radio';
  return rightPiece && isRigid(rightPiece) && isDry(rightPiece.toM + BESIDE_M) ? 'antenna' : undefined;
}

/**
 * Which side of joints under one wrap is the lower one. What somebody said of it comes first. At a plate or wall the cable outside comes from below, by
 * its drip loop. Else the heights of the site, or a leg that climbs, decide; where nothing does, runs are taken to go up to their antenna, and it is
 * asked. Handbook of the trade, 6 and 11.
 */
export function hangOf(
  first: PlacedJoint,
  last: PlacedJoint,
  { legs, hangs }: Pick<Design, 'legs' | 'hangs'>,
  spans: readonly ZoneSpan[],
): JointHang {
  const flange = flangeOf(first, last, spans);
  const said = hangs?.find(({ joint }) => joint === first.id)?.lower;
  if (said) return { lower: said, from: 'said', flange };
  if (flange) return { lower: flange === 'radio' ? 'antenna' : 'radio', from: 'drip loop', flange };
  const byHeight = [legAt(spans, legs, last.atM + BESIDE_M), legAt(spans, legs, first.atM - BESIDE_M)]
    .map((leg) => leg && riseOf(leg))
    .find((rise) => rise !== undefined && Math.abs(rise) >= LEVEL_M);
  if (byHeight !== undefined) return { lower: byHeight > 0 ? 'radio' : 'antenna', from: 'heights', flange };
  return { lower: 'radio', from: 'assumed', flange };
}

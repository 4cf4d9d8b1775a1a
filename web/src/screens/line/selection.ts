import type { AnyPiece, Design, JointSheet, PieceSheet, Sheet } from '@kobran/core';

/** What the ends of the run are called in the address and the selection. */
const ENDS = ['radio', 'service', 'antenna'];

/** The chosen place of a run. */
export interface Place {
  /** Nothing when the run has no such place, as after an old link. */
  id: string | undefined;
  joint: JointSheet | undefined;
  placed: PieceSheet | undefined;
  piece: AnyPiece | undefined;
  /** Of the piece among the pieces; −1 when none is chosen. */
  index: number;
  /** The middle of it on the ruler, m. */
  atM: number | undefined;
  /** Where a new piece goes: at the joint, behind the piece, else at the antenna. */
  insertAt: number;
}

/** The place which is asked for by its name: a joint, a piece, an end of the run. */
export function placeNamed(
  asked: string | undefined,
  sheet: Pick<Sheet, 'joints' | 'pieces'>,
  { pieces }: Pick<Design, 'pieces'>,
): Place {
  const joint = sheet.joints.find(({ id }) => id === asked);
  const placed = sheet.pieces.find(({ id }) => id === asked);
  const index = pieces.findIndex(({ id }) => id === asked);
  return {
    id: joint || placed || ENDS.includes(asked ?? '') ? asked : undefined,
    joint,
    placed,
    piece: index < 0 ? undefined : pieces[index],
    index,
    atM: joint?.atM ?? (placed && (placed.fromM + placed.toM) / 2),
    insertAt: joint ? joint.number - 1 : index < 0 ? pieces.length : index + 1,
  };
}

/** The next joint along the ruler; from nowhere the first or the last, and never beyond them. */
export function nextJoint(from: string | undefined, joints: readonly JointSheet[], by: number): string {
  const now = joints.findIndex(({ id }) => id === from);
  const last = joints.length - 1;
  const next = now < 0 ? (by > 0 ? 0 : last) : Math.min(Math.max(now + by, 0), last);
  return joints[next].id;
}

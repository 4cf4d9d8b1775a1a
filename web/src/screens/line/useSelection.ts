import {
  movePiece,
  removePiece,
  turnPiece,
  type AnyPiece,
  type JointSheet,
  type PieceSheet,
} from '@kobran/core';
import { useSearchParams } from 'react-router';
import { useOpenRun } from '../../store/RunContext.js';

/** What the ends of the run are called in the address and the selection. */
const ENDS = ['radio', 'service', 'antenna'];

/** The chosen place of the run: it lives in the address, so that a link leads to it. */
export interface Selection {
  id: string | undefined;
  joint: JointSheet | undefined;
  placed: PieceSheet | undefined;
  piece: AnyPiece | undefined;
  /** The middle of it on the ruler, m. */
  atM: number | undefined;
  /** Where a new piece goes: at the joint, behind the piece, else at the antenna. */
  insertAt: number;
  show: (id: string | undefined) => void;
  /** Chooses, or lets go of what is chosen already. */
  toggle: (id: string) => void;
  /** Joint by joint along the ruler. */
  step: (by: number) => void;
  move: (id: string, toIndex: number) => void;
  moveBy: (by: number) => void;
  turn: () => void;
  takeOut: () => void;
}

export function useSelection(): Selection {
  const { sheet, editor } = useOpenRun();
  const [search, setSearch] = useSearchParams();
  const asked = search.get('at') ?? undefined;
  const joint = sheet.joints.find(({ id }) => id === asked);
  const placed = sheet.pieces.find(({ id }) => id === asked);
  const index = editor.design.pieces.findIndex(({ id }) => id === asked);
  const piece = editor.design.pieces.at(index < 0 ? editor.design.pieces.length : index);
  const id = joint || placed || ENDS.includes(asked ?? '') ? asked : undefined;
  const show = (to: string | undefined): void =>
    setSearch(to === undefined ? {} : { at: to }, { replace: true });
  const move = (pieceId: string, toIndex: number): void => {
    const changes = movePiece(editor.design, pieceId, toIndex);
    if (changes.length > 0) editor.change(changes);
    show(pieceId);
  };
  return {
    id,
    joint,
    placed,
    piece,
    atM: joint?.atM ?? (placed && (placed.fromM + placed.toM) / 2),
    insertAt: joint ? joint.number - 1 : index < 0 ? editor.design.pieces.length : index + 1,
    show,
    toggle: (to) => show(to === id ? undefined : to),
    step: (by) => {
      const now = sheet.joints.findIndex((one) => one.id === id);
      const last = sheet.joints.length - 1;
      const next = now < 0 ? (by > 0 ? 0 : last) : Math.min(Math.max(now + by, 0), last);
      show(sheet.joints[next].id);
    },
    move,
    moveBy: (by) => {
      if (piece) move(piece.id, index + by);
    },
    turn: () => {
      if (piece) editor.change(turnPiece(piece));
    },
    takeOut: () => {
      if (!piece) return;
      editor.change(removePiece(editor.design, piece.id));
      show(undefined);
    },
  };
}

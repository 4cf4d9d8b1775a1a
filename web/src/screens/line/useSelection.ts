import { movePiece, removePiece, turnPiece } from '@kobran/core';
import { useOpenRun } from '../../store/RunContext.js';
import { useAddress } from '../../ui/useAddress.js';
import { nextJoint, placeNamed, type Place } from './selection.js';

/** The chosen place of the run: it lives in the address, so that a link leads to it. */
export interface Selection extends Omit<Place, 'index'> {
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
  const [address, change] = useAddress();
  const { index, ...place } = placeNamed(address.get('at') ?? undefined, sheet, editor.design);
  const { id, piece } = place;
  const show = (to: string | undefined): void => change({ at: to });
  const move = (pieceId: string, toIndex: number): void => {
    const changes = movePiece(editor.design, pieceId, toIndex);
    if (changes.length > 0) editor.change(changes);
    show(pieceId);
  };
  return {
    ...place,
    show,
    toggle: (to) => show(to === id ? undefined : to),
    step: (by) => show(nextJoint(id, sheet.joints, by)),
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

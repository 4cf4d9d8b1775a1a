import { useRef, type PointerEvent } from 'react';

/** A hand is never quite still: what moved less than this between down and up is a click, px. */
export const DRAG_PX = 6;

interface Grip {
  x: number;
  y: number;
  isDrag: boolean;
}

/**
 * Moves something by mouse, finger or pen from where it was taken; a click with a shaking hand moves nothing.
 *
 * @param of.onDrag px from where it was taken, once it is further than a click
 * @param of.onDrop where it was let go
 * @param of.onCancel taken away by the system: everything stays as it was
 * @returns handlers for what is moved, among them one for clicks which did not end a drag
 */
export function useDrag(of: {
  onDrag: (dx: number, dy: number) => void;
  onDrop: (dx: number, dy: number) => void;
  onCancel: () => void;
  onClick?: () => void;
}): {
  onPointerDown: (event: PointerEvent) => void;
  onPointerMove: (event: PointerEvent) => void;
  onPointerUp: (event: PointerEvent) => void;
  onPointerCancel: () => void;
  onClick: () => void;
} {
  const grip = useRef<Grip>(undefined);
  const dragged = useRef(false);
  return {
    onPointerDown: ({ currentTarget, pointerId, clientX: x, clientY: y, button }) => {
      dragged.current = false;
      if (button !== 0) return;
      currentTarget.setPointerCapture(pointerId);
      grip.current = { x, y, isDrag: false };
    },
    onPointerMove: ({ clientX, clientY }) => {
      const held = grip.current;
      if (!held) return;
      const [dx, dy] = [clientX - held.x, clientY - held.y];
      held.isDrag ||= Math.hypot(dx, dy) >= DRAG_PX;
      if (held.isDrag) of.onDrag(dx, dy);
    },
    onPointerUp: ({ clientX, clientY }) => {
      const held = grip.current;
      grip.current = undefined;
      if (!held?.isDrag) return;
      dragged.current = true;
      of.onDrop(clientX - held.x, clientY - held.y);
    },
    onPointerCancel: () => {
      grip.current = undefined;
      of.onCancel();
    },
    onClick: () => {
      if (!dragged.current) of.onClick?.();
      dragged.current = false;
    },
  };
}

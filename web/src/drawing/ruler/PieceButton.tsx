import { useDraggable } from '@dnd-kit/core';
import { formatLength, type PieceSheet } from '@kobran/core';
import { useEffect, useRef, type ReactNode } from 'react';
import { usePreferences } from '../../ui/Preferences.js';

/** Where a piece is pressed to choose it, or dragged to move it. */
export function PieceButton({
  piece,
  target,
  y,
  pressed,
  onSelect,
}: {
  piece: PieceSheet;
  target: { left: number; width: number };
  y: number;
  pressed: boolean;
  onSelect: (id: string) => void;
}): ReactNode {
  const { units } = usePreferences();
  const { setNodeRef, listeners, transform, isDragging } = useDraggable({ id: piece.id });
  const wasDragged = useRef(false);
  useEffect(() => {
    if (isDragging) wasDragged.current = true;
  }, [isDragging]);
  return (
    <button
      ref={setNodeRef}
      {...listeners}
      className={`absolute rounded hover:bg-ink/10 ${isDragging ? 'z-10 cursor-grabbing border-2 border-copper bg-copper/20' : 'cursor-grab'}`}
      style={{
        ...target,
        top: y - 13,
        height: 26,
        ...(transform ? { transform: `translateX(${transform.x}px)` } : {}),
      }}
      aria-pressed={pressed}
      aria-label={`${piece.name}, ${piece.what}, ${formatLength(piece.toM - piece.fromM, { system: units })}`}
      title={`${piece.name}, ${piece.what}. Drag to move it.`}
      onClick={() => {
        // The press which ends a drag is not a choice.
        if (wasDragged.current) wasDragged.current = false;
        else onSelect(piece.id);
      }}
    />
  );
}

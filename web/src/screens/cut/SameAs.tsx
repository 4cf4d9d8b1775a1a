import { electricalDegrees, entry, setMember, type Assembly } from '@kobran/core';
import type { ReactNode } from 'react';
import { useOpenRun } from '../../store/RunContext.js';
import { useCatalog } from '../../store/Shop.js';
import { Choice } from '../../ui/Choice.js';
import { useJobPieces, type JobPiece } from './useJobPieces.js';

/** Takes the electrical length of another piece of the job: as it was read, or as it is drawn while it was not. */
export function SameAs({
  piece,
  frequencyHz,
  onTake,
}: {
  piece: Assembly;
  frequencyHz: number;
  onTake: (degrees: number) => void;
}): ReactNode {
  const { id: runId } = useOpenRun();
  const catalog = useCatalog();
  const others = useJobPieces().filter((one) => one.runId !== runId || one.piece.id !== piece.id);
  if (others.length === 0) return null;
  const degreesOf = ({ piece: other, facts }: JobPiece): { degrees: number; read: boolean } => {
    const member = setMember(other, facts, catalog);
    if (member) return { degrees: member.delayS * frequencyHz * 360, read: true };
    const { velocityFactor } = entry(catalog.cables, other.cable);
    return { degrees: electricalDegrees(other.lengthM, frequencyHz, velocityFactor), read: false };
  };
  const options = others.map((one, k) => {
    const { degrees, read } = degreesOf(one);
    return {
      value: String(k),
      label: `${one.piece.label}, ${one.runName}: ${degrees.toFixed(1)}° ${read ? 'as read' : 'as drawn'}`,
    };
  });
  return (
    <div className="col-span-2">
      <Choice
        label="Or the same length as"
        value=""
        options={[{ value: '', label: 'another piece…' }, ...options]}
        onChange={(to) => {
          const other = others.at(Number(to));
          if (to !== '' && other) onTake(Number(degreesOf(other).degrees.toFixed(3)));
        }}
      />
    </div>
  );
}

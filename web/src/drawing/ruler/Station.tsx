import { faceInFull, formatLength, type JointSheet } from '@kobran/core';
import type { ReactNode } from 'react';
import { JointDrawing } from '../faces/FaceDrawing.js';
import { usePreferences } from '../../ui/Preferences.js';
import { SnagMark, snagColour } from '../../ui/SnagMark.js';

/** A joint large enough to see and to press: its faces, its place and its verdict. */
export function Station({
  joint,
  width,
  selected,
  onSelect,
}: {
  joint: JointSheet;
  width: number;
  selected: boolean;
  onSelect: (id: string) => void;
}): ReactNode {
  const { units } = usePreferences();
  const level =
    joint.mating.verdict === 'mates' ? (joint.snag === 'note' ? undefined : joint.snag) : joint.snag;
  return (
    <button
      className={`relative block w-full rounded border-2 bg-paper text-left hover:border-ink ${selected ? 'border-copper' : level === 'stop' ? 'border-stop' : 'border-rule'}`}
      aria-pressed={selected}
      data-joint={joint.id}
      onClick={() => onSelect(joint.id)}
    >
      <span className="flex justify-between gap-1 px-2 pt-1 text-sm">
        <span className="font-bold">J{joint.number}</span>
        <span className="figures truncate text-muted">
          {formatLength(joint.atM, { system: units, digits: 2 })}
        </span>
      </span>
      <span className="sr-only">
        {joint.between[0]} to {joint.between[1]}: {faceInFull(joint.left)} into {faceInFull(joint.right)},{' '}
        {joint.zone}.
      </span>
      <JointDrawing left={joint.left} right={joint.right} width={width - 4} height={62} />
      <span
        className={`flex items-center gap-1 px-2 pb-1 text-sm leading-tight ${level ? `font-semibold ${snagColour[level]}` : 'text-muted'}`}
      >
        {level && <SnagMark level={level} size={13} />}
        <span className="truncate">
          {joint.mating.verdict === 'mates' && level ? `mates, ${level}` : joint.mating.verdict}
        </span>
      </span>
    </button>
  );
}

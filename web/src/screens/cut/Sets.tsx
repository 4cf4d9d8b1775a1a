import { assembliesOf, setMember, setSpread, setToleranceDeg, type SetMember } from '@kobran/core';
import type { ReactNode } from 'react';
import { useOpenRun } from '../../store/RunContext.js';
import { useCatalog } from '../../store/Shop.js';
import { useJobPieces } from './useJobPieces.js';

/** The matched sets this run has a part in: how alike their pieces are. */
export function Sets(): ReactNode {
  const { editor } = useOpenRun();
  const all = useJobPieces();
  const names = new Set(assembliesOf(editor.design).flatMap(({ set }) => set ?? []));
  return [...names].map((name) => (
    <OneSet key={name} name={name} pieces={all.filter(({ piece }) => piece.set === name)} />
  ));
}

function OneSet({ name, pieces }: { name: string; pieces: ReturnType<typeof useJobPieces> }): ReactNode {
  const catalog = useCatalog();
  const read = pieces.flatMap(({ piece, facts }): SetMember[] => {
    const member = setMember(piece, facts, catalog);
    return member ? [member] : [];
  });
  const target = pieces.find(({ piece }) => piece.target)?.piece.target;
  return (
    <section className="mt-5" aria-label={`Set ${name}`}>
      <h2 className="text-lg font-bold">Set: {name}</h2>
      {read.length < 2 || !target ? (
        <p className="text-muted">
          {pieces.length} {pieces.length === 1 ? 'piece' : 'pieces'}, {read.length} read: with two readings
          the set’s spread stands here.
        </p>
      ) : (
        <Spread
          members={read}
          frequencyHz={target.frequencyHz}
          toleranceDeg={setToleranceDeg(target, read[0].cable.velocityFactor)}
        />
      )}
    </section>
  );
}

function Spread({
  members,
  frequencyHz,
  toleranceDeg,
}: {
  members: SetMember[];
  frequencyHz: number;
  toleranceDeg: number;
}): ReactNode {
  const {
    degrees,
    sigmaDegrees,
    seconds,
    members: each,
    against,
    notes,
    alike: good,
  } = setSpread(members, frequencyHz, toleranceDeg);
  return (
    <>
      <p className="text-lg">
        <strong className={good ? 'text-lake' : 'text-caution'}>
          Spread {degrees.toFixed(1)}° ± {(2 * sigmaDegrees).toFixed(1)}°
        </strong>
        , {(seconds * 1e12).toFixed(0)} ps; {toleranceDeg.toFixed(1)}° may be
        {good ? '' : ': trim the longest on, down to the shortest'}.
      </p>
      <ul className="figures">
        {each.map((one, k) => (
          <li key={k}>
            {one.name}: {one.degrees >= 0 ? '+' : '−'}
            {Math.abs(one.degrees).toFixed(2)}° of the mean
          </li>
        ))}
      </ul>
      {against.map((why) => (
        <p key={why} className="text-caution">
          {why}
        </p>
      ))}
      {notes.map((note) => (
        <p key={note} className="text-muted">
          {note}
        </p>
      ))}
    </>
  );
}

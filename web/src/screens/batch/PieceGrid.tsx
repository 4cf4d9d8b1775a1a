import { formatFigure, formatResistance, isDone, judge, nextPiece, parseResistance } from '@kobran/core';
import { useState, type ReactNode } from 'react';
import { usePreferences } from '../../ui/Preferences.js';
import { QuantityField } from '../../ui/QuantityField.js';
import { useKeys } from '../../ui/useKeys.js';
import { Window } from '../../ui/Window.js';
import type { BatchInWork } from './useBatch.js';

/** The pieces in a row: a tick for each, its reading where the step asks for one. Space ticks the next piece. */
export function PieceGrid({ work }: { work: BatchInWork }): ReactNode {
  const { batch, step } = work;
  const [failing, setFailing] = useState<number>();
  const next = batch && nextPiece(batch, step);
  useKeys('space', () => next !== undefined && work.toggle(next), { preventDefault: true });
  if (!batch) return null;
  const pieces = Array.from({ length: batch.count }, (_, k) => k + 1);
  return (
    <>
      <ExpectedReading work={work} />
      <ol className="flex flex-wrap gap-3" aria-label="Pieces">
        {pieces.map((piece) => (
          <li key={piece} className={step.reading ? 'w-52' : 'w-36'}>
            <Piece work={work} piece={piece} isNext={piece === next} onFailed={() => setFailing(piece)} />
          </li>
        ))}
      </ol>
      <p className="mt-2 text-sm text-muted">
        <kbd className="key">Space</kbd> ticks the next piece; after the last one the next step comes.
      </p>
      <Window
        title={`Piece ${failing ?? ''}: what went wrong?`}
        description="It goes into the log and drops out of the batch."
        open={failing !== undefined}
        onOpenChange={(open) => !open && setFailing(undefined)}
      >
        {failing !== undefined && (
          <Causes
            causes={step.goesWrong}
            onCause={(cause) => {
              work.fail(failing, cause);
              setFailing(undefined);
            }}
          />
        )}
      </Window>
    </>
  );
}

function ExpectedReading({ work: { expectation } }: { work: BatchInWork }): ReactNode {
  const { units } = usePreferences();
  if (!expectation) return null;
  const { expected, most } = expectation;
  return (
    <p className="mb-3 text-lg">
      Each should show <strong className="figures">{formatFigure(expected, units)}</strong>
      {expected.value === Infinity ? ', above 100 MΩ.' : `, at most ${formatResistance(most)}.`}
    </p>
  );
}

function Piece({
  work,
  piece,
  isNext,
  onFailed,
}: {
  work: BatchInWork;
  piece: number;
  isNext: boolean;
  onFailed: () => void;
}): ReactNode {
  const { batch, step } = work;
  if (!batch) return null;
  if (piece in batch.failed)
    return (
      <div className="rounded border-2 border-dashed border-stop p-2">
        <p className="font-bold text-stop">{piece} failed</p>
        <p className="text-sm">{batch.failed[piece].cause}</p>
      </div>
    );
  const done = isDone(batch, step, piece);
  return (
    <div className={`rounded border-2 p-2 ${done ? 'border-lake' : isNext ? 'border-ink' : 'border-rule'}`}>
      <label className="flex min-h-11 cursor-pointer items-center gap-3">
        <input
          type="checkbox"
          className="size-6 accent-ink"
          aria-label={`Piece ${piece}`}
          checked={done}
          onChange={() => work.toggle(piece)}
        />
        <span className="figures text-xl font-bold" aria-hidden="true">
          {piece}
        </span>
      </label>
      <PieceReading work={work} piece={piece} />
      <button
        className="min-h-9 text-sm text-muted underline underline-offset-4 hover:text-stop"
        onClick={onFailed}
      >
        It failed<span className="sr-only">, piece {piece}</span>
      </button>
    </div>
  );
}

function PieceReading({ work, piece }: { work: BatchInWork; piece: number }): ReactNode {
  const { batch, step, expectation } = work;
  if (!batch || !expectation) return null;
  const value = batch.readings[step.id]?.[piece];
  const read = value === undefined ? undefined : (value ?? Infinity);
  const judged = read === undefined ? undefined : judge(expectation, read);
  return (
    <>
      <div className="flex items-end gap-1">
        <QuantityField
          label={`Piece ${piece} shows`}
          hideLabel
          value={read}
          format={formatResistance}
          parse={parseResistance}
          onChange={(ohm) => work.read(piece, ohm)}
          placeholder="reading"
        />
        {expectation.expected.value === Infinity && (
          <button className="button" onClick={() => work.read(piece, Infinity)}>
            open<span className="sr-only">, piece {piece}</span>
          </button>
        )}
      </div>
      {judged && judged.verdict !== 'pass' && (
        <p className={`text-sm ${judged.verdict === 'fail' ? 'text-stop' : 'text-caution'}`}>
          <strong className="capitalize">{judged.verdict}.</strong> {judged.why}
        </p>
      )}
    </>
  );
}

function Causes({
  causes,
  onCause,
}: {
  causes: readonly string[];
  onCause: (cause: string) => void;
}): ReactNode {
  const [own, setOwn] = useState('');
  return (
    <div className="mt-3 grid gap-2">
      {causes.map((cause) => (
        <button key={cause} className="button min-h-11 text-left" onClick={() => onCause(cause)}>
          {cause}
        </button>
      ))}
      <form
        className="flex gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          if (own.trim() !== '') onCause(own.trim());
        }}
      >
        <input
          className="field"
          aria-label="Another cause"
          placeholder="Another cause"
          maxLength={300}
          value={own}
          onChange={({ target }) => setOwn(target.value)}
        />
        <button className="button">Log it</button>
      </form>
    </div>
  );
}

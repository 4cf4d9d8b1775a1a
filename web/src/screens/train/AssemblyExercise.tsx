import type { AssemblyQuestion, DrawnEnd, TrainItem } from '@kobran/core';
import { useState, type ReactNode } from 'react';
import { EndDrawing } from '../../drawing/gauge/EndDrawing.js';
import { TrainDrawing } from '../../drawing/gauge/TrainDrawing.js';
import { useWidth } from '../../ui/useWidth.js';
import { Options } from './Options.js';

/** A question about assembling: parts to put in order, strips to choose from, or an end to find fault with. */
export function AssemblyExercise({
  question,
  answer,
  onAnswer,
}: {
  question: AssemblyQuestion;
  answer: string | undefined;
  onAnswer: (id: string) => void;
}): ReactNode {
  const { kind, end, card, options, right } = question;
  return (
    <section className="mt-4">
      <h2 className="text-lg font-bold">{question.question}</h2>
      {end && <FoundOnBench end={end} card={card} />}
      {kind === 'strip' && (
        <p className="mt-1 text-muted">
          Neck {card.part.neckMm} mm, seat {card.part.seatMm} mm, pin or tip takes{' '}
          {(card.gauge.fit.pin.depthMm + card.part.proudMm).toFixed(1)} mm of conductor.
        </p>
      )}
      {kind === 'order' ? (
        <InOrder
          key={question.id + question.bench.map(({ id }) => id).join()}
          question={question}
          answer={answer}
          onAnswer={onAnswer}
        />
      ) : (
        <div className="mt-3 max-w-xl">
          <Options options={options} right={right} answer={answer} onAnswer={onAnswer} />
        </div>
      )}
    </section>
  );
}

function FoundOnBench({ end, card }: { end: DrawnEnd; card: AssemblyQuestion['card'] }): ReactNode {
  const [ref, width] = useWidth<HTMLDivElement>();
  return (
    <div ref={ref} className="mt-3 overflow-hidden rounded border border-rule bg-paper">
      {width > 0 && <EndDrawing end={end} width={width - 2} />}
      <p className="px-4 pb-2 text-sm text-muted">
        Before the body goes on, to scale. Neck {card.part.neckMm} mm; the conductor is {card.cable.centreMm}{' '}
        mm, {card.cable.centreKind}.
      </p>
    </div>
  );
}

/** The parts as they lie on the bench: press them in the order in which they go on. */
function InOrder({
  question: { bench, card, right },
  answer,
  onAnswer,
}: {
  question: AssemblyQuestion;
  answer: string | undefined;
  onAnswer: (id: string) => void;
}): ReactNode {
  const [ref, width] = useWidth<HTMLDivElement>();
  const [taken, setTaken] = useState<readonly TrainItem[]>([]);
  function take(item: TrainItem): void {
    if (answer !== undefined) return;
    const now = [...taken, item];
    setTaken(now);
    if (now.length === bench.length) onAnswer(now.map(({ id }) => id).join('>'));
  }
  const slip = answer?.split('>').findIndex((id, k) => id !== right.split('>')[k]) ?? -1;
  return (
    <>
      <p className="mt-1 text-muted">Press the parts in the order in which they slide on to the cable.</p>
      <ol className="mt-3 flex flex-wrap gap-2">
        {bench.map((item, k) => {
          const place = taken.findIndex(({ id }) => id === item.id);
          return (
            <li key={item.id}>
              <button
                className={`button min-h-11 ${place >= 0 ? 'border-copper' : ''}`}
                aria-pressed={place >= 0}
                aria-disabled={place >= 0 || answer !== undefined}
                onClick={() => place < 0 && take(item)}
              >
                <span aria-hidden="true" className="figures text-muted">
                  {k + 1}
                </span>
                {item.name}
                {place >= 0 && <span className="figures font-normal text-muted">goes on as {place + 1}</span>}
              </button>
            </li>
          );
        })}
      </ol>
      <div ref={ref} className="mt-3 min-h-24 rounded border border-rule bg-paper">
        {taken.length === 0 && <p className="p-4 text-muted">Nothing is on the cable yet.</p>}
        {width > 0 && taken.length > 0 && (
          <TrainDrawing
            items={taken}
            confirmed={taken.filter((_, k) => slip < 0 || k < slip).map(({ id }) => id)}
            jacketMm={card.cable.jacketMm}
            width={width - 2}
            tall={70}
          />
        )}
      </div>
      <p className="mt-2 flex gap-3">
        <button
          className="button"
          disabled={taken.length === 0 || answer !== undefined}
          onClick={() => setTaken(taken.slice(0, -1))}
        >
          Remove the last one
        </button>
      </p>
    </>
  );
}

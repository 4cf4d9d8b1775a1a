import type { Card } from '@kobran/core';
import type { ReactNode } from 'react';
import { TrainDrawing } from '../../drawing/gauge/TrainDrawing.js';
import { usePreferences, useWords } from '../../ui/Preferences.js';
import { useWidth } from '../../ui/useWidth.js';
import { SnagMark } from '../../ui/SnagMark.js';
import { rightIs } from './spoken.js';
import { showsParts } from './Bench.js';
import type { CardInWork } from './useCard.js';

/** What to mind: the caution, what is right, what is wrong, what is on the cable. */
export function Advice({ card, inWork }: { card: Card; inWork: CardInWork }): ReactNode {
  const { step, progress } = inWork;
  const { card: how } = usePreferences();
  return (
    <div className="space-y-4 text-lg">
      {step.caution && (
        <p className="flex gap-2 font-bold text-caution">
          <span className="mt-1">
            <SnagMark level="caution" size={20} />
          </span>
          {step.caution}
        </p>
      )}
      {step.irreversible && <p className="font-bold text-stop">No way back from here.</p>}
      <Lines title={how.touch ? 'Feels right' : 'Looks right'} lines={rightIs(step, how.touch)} />
      {!how.touch && <Lines title="Feels right" lines={step.feelsRight} />}
      {step.goesWrong.length > 0 && <Lines title="Goes wrong" lines={step.goesWrong} tone="text-stop" />}
      {step.school && <p className="text-base text-muted">{step.school}</p>}
      {progress.deviations.length > 0 && <Lines title="Noted so far" lines={progress.deviations} />}
      {!showsParts(step) && (
        <OnCable
          items={card.train.filter(({ id }) => progress.confirmed.includes(id))}
          jacketMm={card.cable.jacketMm}
        />
      )}
    </div>
  );
}

function Lines({
  title,
  lines,
  tone = '',
}: {
  title: string;
  lines: readonly string[];
  tone?: string;
}): ReactNode {
  const words = useWords();
  return (
    <section>
      <h2 className={`text-base font-bold ${tone}`}>{title}</h2>
      <ul>
        {lines.map((line) => (
          <li key={line}>{words(line)}</li>
        ))}
      </ul>
    </section>
  );
}

function OnCable({ items, jacketMm }: { items: Card['train']; jacketMm: number }): ReactNode {
  const [ref, width] = useWidth<HTMLDivElement>();
  if (items.length === 0) return null;
  return (
    <section>
      <h2 className="text-base font-bold">On the cable already</h2>
      <div ref={ref} className="rounded border border-rule bg-paper">
        {width > 0 && (
          <TrainDrawing
            items={items}
            confirmed={items.map(({ id }) => id)}
            jacketMm={jacketMm}
            width={width - 2}
          />
        )}
        <p className="px-2 pb-1 text-sm text-muted">
          {items
            .map(({ name, direction }, k) => `${k + 1} ${name}${direction ? ` (${direction})` : ''}`)
            .join(', ')}
        </p>
      </div>
    </section>
  );
}

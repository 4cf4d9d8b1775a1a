import {
  MAX_IN_BATCH,
  findAssembly,
  lostOnFailureMm,
  formatTool,
  formatLength,
  type Card,
  type EndSheet,
} from '@kobran/core';
import { useState, type ReactNode } from 'react';
import { StripGaugeDrawing } from '../../drawing/gauge/StripGaugeDrawing.js';
import { useOpenRun } from '../../store/RunContext.js';
import { usePreferences } from '../../ui/Preferences.js';
import { useWidth } from '../../ui/useWidth.js';
import { StagePage } from '../../ui/StagePage.js';

const USUAL = 10;

/** How many, and what the one set-up is. */
export function BatchStart({
  card,
  end,
  onStart,
}: {
  card: Card;
  end: EndSheet;
  onStart: (count: number) => void;
}): ReactNode {
  const { units } = usePreferences();
  const { editor } = useOpenRun();
  const [text, setText] = useState(() => String(findAssembly(editor.design, end.pieceId)?.count ?? USUAL));
  const [ref, width] = useWidth<HTMLDivElement>();
  const count = Number(text);
  const sound = Number.isInteger(count) && count >= 1 && count <= MAX_IN_BATCH;
  const metres = sound ? count * end.lengthM : 0;
  return (
    <StagePage
      headline={`Make several of the same: ${end.name}`}
      reason={`${end.part.name}, on ${end.cable.name}. One set-up; each step is done on every piece before the next begins. The first one signed is this run’s, the others are spares.`}
    >
      <form
        className="flex flex-wrap items-end gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          if (sound) onStart(count);
        }}
      >
        <label>
          <span className="mb-1 block text-sm text-muted">How many</span>
          <input
            className="field figures w-28"
            inputMode="numeric"
            aria-invalid={!sound}
            aria-describedby="count-said"
            value={text}
            onChange={({ target }) => setText(target.value)}
          />
        </label>
        <button className="button button-primary min-h-11">Start the batch</button>
        <p id="count-said" role="status" className={sound ? 'text-muted' : 'font-semibold text-stop'}>
          {sound
            ? `${formatLength(metres, { system: units })} of cable, ${count * end.part.minutes} minutes at most; a failed end costs up to ${formatLength(lostOnFailureMm(card, card.steps.length - 1) / 1000, { system: units, small: true })} more`
            : `Type a whole number from 1 to ${MAX_IN_BATCH}.`}
        </p>
      </form>
      <h2 className="mt-6 font-bold">The one set-up</h2>
      <div ref={ref} className="mt-2 max-w-2xl rounded border border-rule bg-paper">
        {width > 0 && <StripGaugeDrawing gauge={card.gauge} active={undefined} width={width - 2} tall={80} />}
      </div>
      <p className="mt-2">{card.tools.map(formatTool).join(', ')}.</p>
    </StagePage>
  );
}

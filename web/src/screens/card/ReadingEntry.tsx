import { formatFigure, formatResistance, judge, parseResistance, type Expectation } from '@kobran/core';
import { useEffect, useRef, type ReactNode } from 'react';
import { usePreferences } from '../../preferences/Preferences.js';
import { QuantityField } from '../../shell/QuantityField.js';

const tone = { pass: 'text-lake', marginal: 'text-caution', fail: 'text-stop' };

/** What the meter should show, what it shows, and what that means. */
export function ReadingEntry({
  expectation,
  value,
  onRead,
}: {
  expectation: Expectation;
  value: number | null | undefined;
  onRead: (ohm: number) => void;
}): ReactNode {
  const { units } = usePreferences();
  const box = useRef<HTMLDivElement>(null);
  const read = value === undefined ? undefined : (value ?? Infinity);
  const judged = read === undefined ? undefined : judge(expectation, read);
  useEffect(() => box.current?.querySelector('input')?.focus(), []);
  return (
    <div ref={box} className="rounded border border-rule bg-paper p-4">
      <p className="text-lg">
        The meter should show <strong className="figures">{formatFigure(expectation.expected, units)}</strong>
        {expectation.expected.value === Infinity
          ? ', above 100 MΩ.'
          : ` or a little more, at most ${formatResistance(expectation.most)}.`}
      </p>
      <div className="mt-3 flex flex-wrap items-end gap-3">
        <div className="w-48">
          <QuantityField
            label="It shows"
            value={read}
            format={formatResistance}
            parse={parseResistance}
            onChange={onRead}
            placeholder="0.3, 200 Mohm, OL"
          />
        </div>
        <button className="button min-h-11" onClick={() => onRead(Infinity)}>
          It shows open
        </button>
      </div>
      {judged && (
        <p role="status" className={`mt-3 text-lg ${tone[judged.verdict]}`}>
          <strong className="capitalize">{judged.verdict}. </strong>
          {judged.why}
        </p>
      )}
    </div>
  );
}

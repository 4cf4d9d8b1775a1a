import {
  BY_TONE_OHM,
  dcShorts,
  formatFigure,
  formatResistance,
  formatSpread,
  judge,
  parseResistance,
  unitDoubt,
  type Expectation,
  type UnitDoubt,
} from '@kobran/core';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { usePreferences } from '../../ui/Preferences.js';
import { useOpenRun } from '../../store/RunContext.js';
import { useCatalog } from '../../store/Shop.js';
import { soundResistance } from '../../ui/sound.js';
import { QuantityField } from '../../ui/QuantityField.js';

const tone = { pass: 'text-lake', marginal: 'text-caution', fail: 'text-stop' };
/** Below this a meter beeps: it is a short and not dampness, ohm. */
const SHORT_OHM = 100;

/** What the meter should show, what it shows, and what that means. A slip of the unit is asked about before it is taken. */
export function ReadingEntry({
  expectation,
  value,
  onRead,
}: {
  expectation: Expectation;
  value: number | null | undefined;
  onRead: (ohm: number) => void;
}): ReactNode {
  const { units, sound } = usePreferences();
  const { editor } = useOpenRun();
  const catalog = useCatalog();
  const box = useRef<HTMLDivElement>(null);
  const [doubt, setDoubt] = useState<UnitDoubt>();
  const read = value === undefined ? undefined : (value ?? Infinity);
  const judged = read === undefined ? undefined : judge(expectation, read);
  const wantsOpen = expectation.expected.value === Infinity;
  const question = useRef<HTMLParagraphElement>(null);
  useEffect(() => box.current?.querySelector('input')?.focus(), []);
  // Not on the answer itself: the Enter which brought the question would give it.
  useEffect(() => question.current?.focus(), [doubt]);
  const take = (ohm: number): void => {
    const asked = unitDoubt(expectation, ohm);
    setDoubt(asked);
    if (!asked) settle(ohm);
  };
  const settle = (ohm: number): void => {
    setDoubt(undefined);
    if (sound) soundResistance(ohm);
    onRead(ohm);
  };
  return (
    <div ref={box} className="rounded border border-rule bg-paper p-4">
      <p className="text-lg">
        The meter should show <strong className="figures">{formatFigure(expectation.expected, units)}</strong>
        {wantsOpen
          ? ', above 100 MΩ.'
          : ` (${formatSpread(expectation.expected, units)}), at most ${formatResistance(expectation.most)}.`}
      </p>
      <div className="mt-3 flex flex-wrap items-end gap-3">
        <div className="w-48">
          <QuantityField
            label="It shows"
            value={doubt?.value ?? read}
            format={formatResistance}
            parse={parseResistance}
            onChange={take}
            placeholder="0.3, 200 Mohm, OL"
          />
        </div>
        <button className="button min-h-11" onClick={() => settle(BY_TONE_OHM)}>
          It beeps
        </button>
        <button className="button min-h-11" onClick={() => settle(Infinity)}>
          It stays silent, or shows OL
        </button>
      </div>
      {doubt && (
        <div role="alert" className="mt-3 border-l-4 border-caution pl-3">
          <p ref={question} tabIndex={-1} className="text-lg font-bold text-caution outline-none">
            {doubt.question}
          </p>
          <div className="mt-2 flex flex-wrap gap-3">
            <button className="button button-primary min-h-11" onClick={() => settle(doubt.meant)}>
              Yes, {formatResistance(doubt.meant)}
            </button>
            <button className="button min-h-11" onClick={() => settle(doubt.value)}>
              No, it really shows {formatResistance(doubt.value)}
            </button>
          </div>
        </div>
      )}
      {/* It stands there empty at first: only what changes within it is spoken. */}
      <div role="status">
        {judged && !doubt && (
          <p className={`mt-3 text-lg ${tone[judged.verdict]}`}>
            <strong className="capitalize">{judged.verdict}. </strong>
            {judged.why}
          </p>
        )}
      </div>
      {wantsOpen && !doubt && read !== undefined && read < SHORT_OHM && (
        <LegitimateShorts reasons={dcShorts(editor.design, catalog)} />
      )}
    </div>
  );
}

/** A short is right only while something that joins pin and shell is coupled on. */
function LegitimateShorts({ reasons }: { reasons: string[] }): ReactNode {
  return (
    <div className="mt-3 text-base">
      <p className="font-bold">Is the far end free? A short is right only with one of these on it:</p>
      <ul className="list-disc pl-5">
        {reasons.map((reason) => (
          <li key={reason}>{reason}</li>
        ))}
        <li>A shorted stub, a balun or transformer, or a quarter-wave arrester.</li>
      </ul>
      <p>Take it off and read again; a short which stays is this end’s own.</p>
    </div>
  );
}

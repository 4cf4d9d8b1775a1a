import {
  fail,
  fitLossLaw,
  formatFrequency,
  METRES_PER_FOOT,
  ok,
  parseFrequency,
  parsePlainNumber,
  type LossPoint,
  type Result,
} from '@kobran/core';
import { Plus, Trash2 } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { usePreferences } from '../../ui/Preferences.js';
import { QuantityField } from '../../ui/QuantityField.js';

/** More figures than any sheet gives. */
const MAX_FIGURES = 20;

function parseLoss(text: string): Result<number> {
  const read = parsePlainNumber(text.replace(/\s*dB.*$/i, ''), 'loss');
  if (!read.ok || read.value > 0) return read;
  return fail(
    'loss.zero',
    'A loss is more than 0 dB.',
    'loss',
    'Type what the sheet gives, for example 6.9.',
  );
}

/** Figures of the cable’s sheet, loss at frequencies; the law is fitted to them, and says how well it meets them. */
export function LossField({
  points,
  onChange,
}: {
  points: readonly LossPoint[];
  onChange: (to: { lossPoints: LossPoint[]; k1?: number; k2?: number }) => void;
}): ReactNode {
  const { units } = usePreferences();
  const [rows, setRows] = useState<Partial<LossPoint>[]>(() => (points.length > 0 ? [...points] : [{}, {}]));
  // Sheets give dB per 100 m or per 100 ft, as the shop measures.
  const per = units === 'metric' ? 1 : 1 / METRES_PER_FOOT;
  const unit = units === 'metric' ? 'dB per 100 m' : 'dB per 100 ft';
  const put = (to: Partial<LossPoint>[]): void => {
    setRows(to);
    const whole = to.filter(
      (row): row is LossPoint => row.frequencyHz !== undefined && row.dbPer100M !== undefined,
    );
    const law = fitLossLaw(whole);
    onChange({
      lossPoints: whole,
      ...(law && { k1: Number(law.k1.toPrecision(4)), k2: Number(law.k2.toPrecision(4)) }),
    });
  };
  const set = (k: number, change: Partial<LossPoint>): void =>
    put(rows.map((row, at) => (at === k ? { ...row, ...change } : row)));
  return (
    <fieldset className="sm:col-span-2">
      <legend className="font-semibold">Loss as its sheet gives it</legend>
      {rows.map((row, k) => (
        <div key={k} className="mt-2 grid grid-cols-[1fr_1fr_auto] items-end gap-2">
          <QuantityField
            label={`Figure ${k + 1}, at`}
            value={row.frequencyHz}
            format={formatFrequency}
            parse={parseFrequency}
            placeholder="100 MHz"
            onChange={(frequencyHz) => set(k, { frequencyHz })}
          />
          <QuantityField
            label={unit}
            value={row.dbPer100M}
            format={(db) => String(Number((db / per).toPrecision(4)))}
            parse={(text) => {
              const read = parseLoss(text);
              return read.ok ? ok(read.value * per) : read;
            }}
            placeholder="6.9"
            onChange={(dbPer100M) => set(k, { dbPer100M })}
          />
          <button
            type="button"
            className="button"
            aria-label={`Take figure ${k + 1} out`}
            disabled={rows.length === 1}
            onClick={() => put(rows.filter((_, at) => at !== k))}
          >
            <Trash2 size={16} aria-hidden />
          </button>
        </div>
      ))}
      {rows.length < MAX_FIGURES && (
        <button type="button" className="button mt-2" onClick={() => setRows([...rows, {}])}>
          <Plus size={16} aria-hidden /> Another figure
        </button>
      )}
      <LawFit points={points} />
    </fieldset>
  );
}

function LawFit({ points }: { points: readonly LossPoint[] }): ReactNode {
  const law = fitLossLaw(points);
  if (!law)
    return (
      <p className="mt-2 text-sm text-muted">
        Two frequencies or more make the law; three or more say how well it fits.
      </p>
    );
  const off = (law.residual * 100).toFixed(1);
  return (
    <p role="status" className={`mt-2 ${law.isSuspect ? 'text-caution' : 'text-lake'}`}>
      Loss = {law.k1.toPrecision(3)}·√f + {law.k2.toPrecision(3)}·f, f in MHz.{' '}
      {points.length === 2
        ? 'Two figures always fit: a third would check them.'
        : `It meets the figures within ${off} %, worst at ${formatFrequency(law.worst.frequencyHz)}.`}
      {law.isSuspect && ' Look at that figure again, and at its unit.'}
    </p>
  );
}

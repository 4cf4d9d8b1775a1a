import { parseCelsius, parseLength, parsePlainNumber, tapeFor, type Tape } from '@kobran/core';
import { Plus, Trash2 } from 'lucide-react';
import type { ReactNode } from 'react';
import { Choice } from '../../ui/Choice.js';
import { LengthField, RunLengthField } from '../../ui/LengthField.js';
import { QuantityField } from '../../ui/QuantityField.js';
import { TextField } from '../../ui/TextField.js';
import { Tick } from '../../ui/Tick.js';

const kinds: Record<Tape['kind'], string> = {
  rubber: 'self-fusing rubber',
  silicone: 'self-fusing silicone',
  vinyl: 'vinyl',
  mastic: 'mastic',
};

/** Begins as the usual rubber: what is different is changed. */
const freshTape = (id: string): Tape => ({
  ...tapeFor('fusing', undefined),
  id,
  name: 'own rubber, 38 mm',
  source: 'of the shop',
});

/** Tapes which lie on the shop’s shelf and are not among the shipped ones. */
export function OwnTapes({
  tapes,
  onChange,
}: {
  tapes: readonly Tape[];
  onChange: (tapes: Tape[]) => void;
}): ReactNode {
  const add = (): void => {
    let k = tapes.length + 1;
    while (tapes.some(({ id }) => id === `own-tape-${k}`)) k++;
    onChange([...tapes, freshTape(`own-tape-${k}`)]);
  };
  return (
    <div className="mt-5">
      <h3 className="font-semibold">Tapes of our own</h3>
      <ul className="divide-y divide-rule">
        {tapes.map((tape) => (
          <TapeFields
            key={tape.id}
            tape={tape}
            onChange={(to) => onChange(tapes.map((one) => (one.id === to.id ? to : one)))}
            onRemove={() => onChange(tapes.filter(({ id }) => id !== tape.id))}
          />
        ))}
      </ul>
      {tapes.length < MAX_OWN_TAPES && (
        <button className="button mt-2" onClick={add}>
          <Plus size={16} aria-hidden /> Add a tape
        </button>
      )}
    </div>
  );
}

const MAX_OWN_TAPES = 20;

function TapeFields({
  tape,
  onChange,
  onRemove,
}: {
  tape: Tape;
  onChange: (tape: Tape) => void;
  onRemove: () => void;
}): ReactNode {
  const put = (over: Partial<Tape>): void => onChange({ ...tape, ...over });
  const [least, most] = tape.stretch;
  const times = (label: string, value: number, stretch: (to: number) => [number, number]): ReactNode => (
    <QuantityField
      label={label}
      value={value}
      format={(to) => `${to} times`}
      parse={(text) => parsePlainNumber(text.replace(/times$/, ''), label.toLowerCase())}
      onChange={(to) => put({ stretch: stretch(Math.min(5, Math.max(1, to))) })}
    />
  );
  return (
    <li className="grid items-end gap-3 py-3 sm:grid-cols-3 lg:grid-cols-5" aria-label={tape.name}>
      <TextField label="Name" value={tape.name} maxLength={80} onChange={(name) => put({ name })} />
      <Choice
        label="Kind"
        value={tape.kind}
        options={Object.entries(kinds).map(([value, label]) => ({ value, label }))}
        onChange={(kind) => put({ kind: kind as Tape['kind'] })}
      />
      <LengthField
        label="Width"
        valueM={tape.widthMm / 1000}
        onChange={(metres) => put({ widthMm: within(metres * 1000, 5, 200) })}
      />
      <QuantityField
        label="Thickness"
        value={tape.thicknessMm}
        format={(mm) => `${mm} mm`}
        parse={(text) => parseLength(text, { unit: 'mm' })}
        onChange={(metres) => put({ thicknessMm: within(metres * 1000, 0.05, 10) })}
      />
      <RunLengthField
        label="Roll"
        valueM={tape.rollM}
        onChange={(rollM) => put({ rollM: within(rollM, 0.1, 200) })}
      />
      {times('Stretched at least', least, (to) => [to, Math.max(to, most)])}
      {times('Stretched at most', most, (to) => [Math.min(to, least), to])}
      <QuantityField
        label="Coldest air"
        value={tape.lowestC}
        format={(celsius) => `${celsius} °C`}
        parse={parseCelsius}
        onChange={(celsius) => put({ lowestC: within(celsius, -60, 40) })}
      />
      <QuantityField
        label="Keeps, months"
        value={tape.shelfMonths}
        format={String}
        parse={(text) => parsePlainNumber(text, 'months')}
        onChange={(months) => put({ shelfMonths: within(Math.round(months), 1, 240) })}
      />
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
        <Tick label="Has a liner" checked={tape.liner} onChange={(liner) => put({ liner })} />
        <Tick label="Stands the sun" checked={tape.uv} onChange={(uv) => put({ uv })} />
        <button className="button" aria-label={`Remove ${tape.name}`} onClick={onRemove}>
          <Trash2 size={16} aria-hidden />
        </button>
      </div>
    </li>
  );
}

/** What the practice takes: nearer than this nobody measures a roll. */
const within = (value: number, least: number, most: number): number =>
  Math.min(most, Math.max(least, Number(value.toFixed(3))));

import { parseCelsius, parsePlainNumber, tapeFor, type Tape } from '@kobran/core';
import { Trash2 } from 'lucide-react';
import type { ReactNode } from 'react';
import { Choice } from '../../ui/Choice.js';
import { LengthField, RunLengthField } from '../../ui/LengthField.js';
import { inMm, parseMm } from './millimetres.js';
import { OwnEntries } from './OwnEntries.js';
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
export const OwnTapes = ({
  tapes,
  onChange,
}: {
  tapes: readonly Tape[];
  onChange: (tapes: Tape[]) => void;
}): ReactNode => (
  <OwnEntries
    title="Tapes of our own"
    addLabel="Add a tape"
    idStem="own-tape"
    entries={tapes}
    fresh={freshTape}
    fields={(tape, put, remove) => <TapeFields tape={tape} put={put} onRemove={remove} />}
    onChange={onChange}
  />
);

function TapeFields({
  tape,
  put,
  onRemove,
}: {
  tape: Tape;
  put: (over: Partial<Tape>) => void;
  onRemove: () => void;
}): ReactNode {
  const [least, most] = tape.stretch;
  const times = (label: string, value: number, stretch: (to: number) => [number, number]): ReactNode => (
    <QuantityField
      label={label}
      value={value}
      format={(to) => `${to} times`}
      parse={(text) => parsePlainNumber(text.replace(/times$/, ''), label.toLowerCase())}
      range={[1, 5]}
      onChange={(to) => put({ stretch: stretch(to) })}
    />
  );
  return (
    <>
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
        range={[0.005, 0.2]}
        onChange={(metres) => put({ widthMm: inMm(metres) })}
      />
      <QuantityField
        label="Thickness"
        value={tape.thicknessMm}
        format={(mm) => `${mm} mm`}
        parse={parseMm}
        range={[0.05, 10]}
        onChange={(thicknessMm) => put({ thicknessMm })}
      />
      <RunLengthField
        label="Roll"
        valueM={tape.rollM}
        range={[0.1, 200]}
        onChange={(rollM) => put({ rollM })}
      />
      {times('Stretched at least', least, (to) => [to, Math.max(to, most)])}
      {times('Stretched at most', most, (to) => [Math.min(to, least), to])}
      <QuantityField
        label="Coldest air"
        value={tape.lowestC}
        format={(celsius) => `${celsius} °C`}
        parse={parseCelsius}
        range={[-60, 40]}
        onChange={(lowestC) => put({ lowestC })}
      />
      <QuantityField
        label="Keeps, months"
        value={tape.shelfMonths}
        format={String}
        parse={(text) => parsePlainNumber(text, 'months')}
        range={[1, 240]}
        onChange={(months) => put({ shelfMonths: Math.round(months) })}
      />
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1 self-end">
        <Tick label="Has a liner" checked={tape.liner} onChange={(liner) => put({ liner })} />
        <Tick label="Stands the sun" checked={tape.uv} onChange={(uv) => put({ uv })} />
        <button className="button" aria-label={`Remove ${tape.name}`} onClick={onRemove}>
          <Trash2 size={16} aria-hidden />
        </button>
      </div>
    </>
  );
}

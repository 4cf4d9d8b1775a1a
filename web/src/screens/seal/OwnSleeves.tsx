import { parseCelsius, parsePlainNumber, sleeveKinds, sleevesOf, type Sleeve } from '@kobran/core';
import { Trash2 } from 'lucide-react';
import type { ReactNode } from 'react';
import { Choice } from '../../ui/Choice.js';
import { LengthField } from '../../ui/LengthField.js';
import { QuantityField } from '../../ui/QuantityField.js';
import { TextField } from '../../ui/TextField.js';
import { inMm, parseMm } from './millimetres.js';
import { OwnEntries } from './OwnEntries.js';

/** Begins as the smallest usual one: what is different is changed. */
const freshSleeve = (id: string): Sleeve => ({
  ...sleevesOf()[0],
  id,
  name: 'own cold shrink',
  source: 'of the shop',
});

/** Sleeves and boots which lie on the shop’s shelf: where there are some of a kind, only those are taken. */
export const OwnSleeves = ({
  sleeves,
  onChange,
}: {
  sleeves: readonly Sleeve[];
  onChange: (sleeves: Sleeve[]) => void;
}): ReactNode => (
  <OwnEntries
    title="Sleeves and boots of our own"
    hint={
      sleeves.length === 0
        ? 'None stated: the usual sizes of each kind are taken.'
        : 'Of a kind which stands here no other size is taken.'
    }
    addLabel="Add a sleeve"
    idStem="own-sleeve"
    entries={sleeves}
    fresh={freshSleeve}
    fields={(sleeve, put, remove) => <SleeveFields sleeve={sleeve} put={put} onRemove={remove} />}
    onChange={onChange}
  />
);

function SleeveFields({
  sleeve,
  put,
  onRemove,
}: {
  sleeve: Sleeve;
  put: (over: Partial<Sleeve>) => void;
  onRemove: () => void;
}): ReactNode {
  return (
    <>
      <TextField label="Name" value={sleeve.name} maxLength={80} onChange={(name) => put({ name })} />
      <Choice
        label="Kind"
        value={sleeve.kind}
        options={sleeveKinds.map((kind) => ({ value: kind, label: kind }))}
        onChange={(to) => put({ kind: sleeveKinds.find((kind) => kind === to) ?? sleeve.kind })}
      />
      <LengthField
        label="Passes over"
        valueM={sleeve.openMm / 1000}
        range={[Math.max(0.002, sleeve.closedMm / 1000), 0.2]}
        onChange={(metres) => put({ openMm: inMm(metres) })}
      />
      <LengthField
        label="Closes down to"
        valueM={sleeve.closedMm / 1000}
        range={[0.001, sleeve.openMm / 1000]}
        onChange={(metres) => put({ closedMm: inMm(metres) })}
      />
      <LengthField
        label="Length as it comes"
        valueM={sleeve.lengthMm / 1000}
        range={[0.02, 2]}
        onChange={(metres) => put({ lengthMm: inMm(metres) })}
      />
      <QuantityField
        label="Length left when closed"
        value={Math.round(sleeve.keeps * 100)}
        format={(percent) => `${percent} %`}
        parse={(text) => parsePlainNumber(text.replace(/%$/, ''), 'percent')}
        range={[50, 100]}
        onChange={(percent) => put({ keeps: percent / 100 })}
      />
      <QuantityField
        label="Wall when closed"
        value={sleeve.wallMm}
        format={(mm) => `${mm} mm`}
        parse={parseMm}
        range={[0.2, 20]}
        onChange={(wallMm) => put({ wallMm })}
      />
      <QuantityField
        label="Coldest air"
        value={sleeve.lowestC}
        format={(celsius) => `${celsius} °C`}
        parse={parseCelsius}
        range={[-60, 40]}
        onChange={(lowestC) => put({ lowestC })}
      />
      <button
        className="button self-end justify-self-start"
        aria-label={`Remove ${sleeve.name}`}
        onClick={onRemove}
      >
        <Trash2 size={16} aria-hidden />
      </button>
    </>
  );
}

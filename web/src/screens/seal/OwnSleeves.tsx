import { parseCelsius, parsePlainNumber, sleeveKinds, sleevesOf, type Sleeve } from '@kobran/core';
import { Plus, Trash2 } from 'lucide-react';
import type { ReactNode } from 'react';
import { Choice } from '../../ui/Choice.js';
import { LengthField } from '../../ui/LengthField.js';
import { QuantityField } from '../../ui/QuantityField.js';
import { TextField } from '../../ui/TextField.js';
import { inMm, parseMm } from './millimetres.js';

const MAX_OWN_SLEEVES = 20;

/** Begins as the smallest usual one: what is different is changed. */
const freshSleeve = (id: string): Sleeve => ({
  ...sleevesOf()[0],
  id,
  name: 'own cold shrink',
  source: 'of the shop',
});

/** Sleeves and boots which lie on the shop’s shelf: where there are some of a kind, only those are taken. */
export function OwnSleeves({
  sleeves,
  onChange,
}: {
  sleeves: readonly Sleeve[];
  onChange: (sleeves: Sleeve[]) => void;
}): ReactNode {
  const add = (): void => {
    let k = sleeves.length + 1;
    while (sleeves.some(({ id }) => id === `own-sleeve-${k}`)) k++;
    onChange([...sleeves, freshSleeve(`own-sleeve-${k}`)]);
  };
  return (
    <div className="mt-5">
      <h3 className="font-semibold">Sleeves and boots of our own</h3>
      <p className="text-sm text-muted">
        {sleeves.length === 0
          ? 'None stated: the usual sizes of each kind are taken.'
          : 'Of a kind which stands here no other size is taken.'}
      </p>
      <ul className="divide-y divide-rule">
        {sleeves.map((sleeve) => (
          <SleeveFields
            key={sleeve.id}
            sleeve={sleeve}
            onChange={(to) => onChange(sleeves.map((one) => (one.id === to.id ? to : one)))}
            onRemove={() => onChange(sleeves.filter(({ id }) => id !== sleeve.id))}
          />
        ))}
      </ul>
      {sleeves.length < MAX_OWN_SLEEVES && (
        <button className="button mt-2" onClick={add}>
          <Plus size={16} aria-hidden /> Add a sleeve
        </button>
      )}
    </div>
  );
}

function SleeveFields({
  sleeve,
  onChange,
  onRemove,
}: {
  sleeve: Sleeve;
  onChange: (sleeve: Sleeve) => void;
  onRemove: () => void;
}): ReactNode {
  const put = (over: Partial<Sleeve>): void => onChange({ ...sleeve, ...over });
  return (
    <li className="grid items-start gap-3 py-3 sm:grid-cols-3 lg:grid-cols-5" aria-label={sleeve.name}>
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
    </li>
  );
}

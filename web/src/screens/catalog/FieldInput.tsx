import {
  formatFrequency,
  formatLength,
  formatPower,
  ok,
  parseCount,
  parseFrequency,
  parseLength,
  parsePlainNumber,
  parsePower,
  type Result,
  type UnitSystem,
} from '@kobran/core';
import type { ReactNode } from 'react';
import { usePreferences } from '../../ui/Preferences.js';
import { Choice } from '../../ui/Choice.js';
import { QuantityField } from '../../ui/QuantityField.js';
import { TextField } from '../../ui/TextField.js';
import { Tick } from '../../ui/Tick.js';
import { faceOptions } from '../../ui/faceOptions.js';
import type { Field } from './fields.js';

/** Millimetres are kept as they are on the sheet; inches are understood too. */
const mmFormat = (units: UnitSystem) => (mm: number) =>
  units === 'metric' ? `${mm} mm` : formatLength(mm / 1000, { system: units, small: true, fraction: 32 });

function parseMm(text: string, units: UnitSystem): Result<number> {
  // Nothing of this size is a mistake here: a part may have no seat at all.
  if (/^\s*0+([.,]0*)?\s*(mm)?\s*$/i.test(text)) return ok(0);
  const read = parseLength(text, { unit: units === 'metric' ? 'mm' : 'in' });
  return read.ok ? ok(Number((read.value * 1000).toFixed(4))) : read;
}

/** More couplings than any port has seen. */
const MAX_COUNT = 1e6;

const asNumber = (value: unknown): number | undefined => (typeof value === 'number' ? value : undefined);
const asText = (value: unknown): string => (typeof value === 'string' ? value : '');

/** One property of an entry, asked for in the way its kind wants. */
export function FieldInput({
  field,
  value,
  problem,
  onChange,
}: {
  field: Field;
  value: unknown;
  problem: string | undefined;
  onChange: (value: unknown) => void;
}): ReactNode {
  return (
    <div>
      <Input field={field} value={value} onChange={onChange} />
      {problem && (
        <p role="alert" className="mt-1 text-sm text-stop">
          {problem}
        </p>
      )}
    </div>
  );
}

function Input({
  field,
  value,
  onChange,
}: {
  field: Field;
  value: unknown;
  onChange: (value: unknown) => void;
}): ReactNode {
  const { units } = usePreferences();
  const { label, type, options = [], hint } = field;
  const onClear = (): void => onChange(undefined);
  const quantity = { label, value: asNumber(value), onChange, onClear, ...(hint ? { hint } : {}) };
  switch (type) {
    case 'text':
      return <TextField label={label} value={asText(value)} maxLength={100} allowEmpty onChange={onChange} />;
    case 'flag':
      return <Tick label={label} checked={value === true} onChange={onChange} />;
    case 'face':
      return <Choice label={label} value={String(value)} options={faceOptions} onChange={onChange} />;
    case 'choice':
      return (
        <Choice
          label={label}
          value={String(value)}
          options={options.map((one) => ({ value: one, label: one }))}
          onChange={onChange}
        />
      );
    case 'mm':
      return <QuantityField {...quantity} format={mmFormat(units)} parse={(text) => parseMm(text, units)} />;
    case 'mm or none':
      return <MmOrNone field={field} value={value} onChange={onChange} />;
    case 'number':
      return (
        <QuantityField {...quantity} format={String} parse={(text) => parsePlainNumber(text, 'number')} />
      );
    case 'count':
      return <QuantityField {...quantity} format={String} parse={(text) => parseCount(text, 0, MAX_COUNT)} />;
    case 'hz':
      return <QuantityField {...quantity} format={formatFrequency} parse={parseFrequency} />;
    case 'watts':
      return (
        <QuantityField
          {...quantity}
          format={formatPower}
          parse={(text) => parsePower(text, { allowZero: true })}
        />
      );
  }
}

/** A dimension which some styles do not have. */
function MmOrNone({
  field: { label },
  value,
  onChange,
}: {
  field: Field;
  value: unknown;
  onChange: (value: unknown) => void;
}): ReactNode {
  const { units } = usePreferences();
  return (
    <div className="flex items-end gap-3">
      <div className="flex-1">
        <QuantityField
          label={label}
          value={asNumber(value)}
          placeholder="none"
          format={mmFormat(units)}
          parse={(text) => parseMm(text, units)}
          onChange={onChange}
        />
      </div>
      <Tick label="none" checked={value === null} onChange={(none) => onChange(none ? null : FIRST_MM)} />
    </div>
  );
}

/** Where a dimension begins that was absent before. */
const FIRST_MM = 5;

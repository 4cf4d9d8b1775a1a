import { formatLength, parseLength } from '@kobran/core';
import type { ReactNode } from 'react';
import { usePreferences } from './Preferences.js';
import { QuantityField } from './QuantityField.js';

/** A field for a length of bench size: bare numbers are mm or inches, zero is allowed. */
export function LengthField({
  label,
  valueM,
  onChange,
  onClear,
}: {
  label: string;
  valueM: number | undefined;
  onChange: (metres: number) => void;
  onClear?: () => void;
}): ReactNode {
  const { units } = usePreferences();
  return (
    <QuantityField
      label={label}
      value={valueM}
      format={(metres) => formatLength(metres, { system: units, small: true, digits: tenthsOf(metres) })}
      parse={(text) => parseLength(text, { unit: units === 'metric' ? 'mm' : 'in', allowZero: true })}
      onChange={onChange}
      {...(onClear ? { onClear } : {})}
    />
  );
}

/** A tenth of a millimetre is written only where there is one. */
const tenthsOf = (metres: number): 0 | 1 =>
  Math.abs(metres * 1000 - Math.round(metres * 1000)) < 0.05 ? 0 : 1;

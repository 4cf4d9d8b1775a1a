import { formatLength, parseLength } from '@kobran/core';
import type { ReactNode } from 'react';
import { usePreferences } from './Preferences.js';
import { QuantityField } from './QuantityField.js';

interface Props {
  label: string;
  valueM: number | undefined;
  onChange: (metres: number) => void;
  onClear?: () => void;
  /** Least and most that is taken, m. */
  range?: readonly [least: number, most: number];
  hint?: string;
  placeholder?: string;
}

/** A field for a length of bench size: bare numbers are mm or inches, zero is allowed. */
export function LengthField({ valueM, ...field }: Props): ReactNode {
  const { units } = usePreferences();
  return (
    <QuantityField
      {...field}
      value={valueM}
      format={(metres) => formatLength(metres, { system: units, small: true, digits: tenthsOf(metres) })}
      parse={(text) => parseLength(text, { unit: units === 'metric' ? 'mm' : 'in', allowZero: true })}
    />
  );
}

/** A tenth of a millimetre is written only where there is one. */
const tenthsOf = (metres: number): 0 | 1 =>
  Math.abs(metres * 1000 - Math.round(metres * 1000)) < 0.05 ? 0 : 1;

/** A field for a length of the size of a run: bare numbers are m or feet. */
export function RunLengthField({
  valueM,
  digits,
  allowZero = false,
  ...field
}: Props & {
  /** Behind the point, in metres. */
  digits?: number;
  allowZero?: boolean;
}): ReactNode {
  const { units } = usePreferences();
  return (
    <QuantityField
      {...field}
      value={valueM}
      format={(metres) =>
        formatLength(metres, { system: units, ...(digits === undefined ? {} : { digits }) })
      }
      parse={(text) => parseLength(text, { unit: units === 'metric' ? 'm' : 'ft', allowZero })}
    />
  );
}

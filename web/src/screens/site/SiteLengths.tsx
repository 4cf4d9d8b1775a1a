import { formatLength, parseLength, parsePosition } from '@kobran/core';
import type { ReactNode } from 'react';
import { usePreferences } from '../../ui/Preferences.js';
import { QuantityField } from '../../ui/QuantityField.js';

interface Props {
  label: string;
  valueM: number | undefined;
  onChange: (metres: number) => void;
  onClear?: () => void;
  placeholder?: string;
}

/** A coordinate: a bare number is metres or feet, on either side of nought. */
export function PositionField({ label, valueM, onChange }: Props): ReactNode {
  const { units } = usePreferences();
  return (
    <QuantityField
      label={label}
      value={valueM}
      format={(metres) => formatLength(metres, { system: units })}
      parse={(text) => parsePosition(text, units === 'metric' ? 'm' : 'ft')}
      onChange={onChange}
    />
  );
}

/** A length of a way: a bare number is metres or feet. */
export function WayLengthField({ label, valueM, onChange, onClear, placeholder }: Props): ReactNode {
  const { units } = usePreferences();
  return (
    <QuantityField
      label={label}
      value={valueM}
      format={(metres) => formatLength(metres, { system: units })}
      parse={(text) => parseLength(text, { unit: units === 'metric' ? 'm' : 'ft', allowZero: true })}
      onChange={onChange}
      {...(onClear ? { onClear } : {})}
      {...(placeholder === undefined ? {} : { placeholder })}
    />
  );
}

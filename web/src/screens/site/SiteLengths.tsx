import { formatLength, parsePosition } from '@kobran/core';
import type { ReactNode } from 'react';
import { usePreferences } from '../../ui/Preferences.js';
import { QuantityField } from '../../ui/QuantityField.js';

/** A coordinate: a bare number is metres or feet, on either side of nought. */
export function PositionField({
  label,
  valueM,
  onChange,
}: {
  label: string;
  valueM: number;
  onChange: (metres: number) => void;
}): ReactNode {
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

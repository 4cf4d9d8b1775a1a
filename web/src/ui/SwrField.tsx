import { parseSwr } from '@kobran/core';
import type { ReactNode } from 'react';
import { QuantityField } from './QuantityField.js';

export function SwrField({ value, onChange }: { value: number; onChange: (swr: number) => void }): ReactNode {
  return (
    <QuantityField
      label="SWR of the antenna itself"
      value={value}
      format={(swr) => String(swr)}
      parse={parseSwr}
      onChange={onChange}
      hint="in the band of the service, at its own port"
    />
  );
}

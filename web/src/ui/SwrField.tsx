import { fail, ok, parseDecibels, type Result } from '@kobran/core';
import type { ReactNode } from 'react';
import { QuantityField } from './QuantityField.js';

/** A standing-wave ratio from 1 to 100. */
export function parseSwr(text: string): Result<number> {
  const read = parseDecibels(text.replace(/:\s*1\s*$/, ''));
  if (!read.ok) return fail('swr.not-a-number', `“${text}” is not a ratio.`, 'field', 'Type it like 1.5.');
  return read.value >= 1 && read.value <= 100
    ? ok(read.value)
    : fail('swr.range', 'A standing-wave ratio is from 1 to 100.', 'field', 'Type it like 1.5.');
}

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

import { duties, dutyIdOf, fail, ok, parsePlainNumber, type Result } from '@kobran/core';
import type { ReactNode } from 'react';
import { Choice } from '../ui/Choice.js';
import { QuantityField } from '../ui/QuantityField.js';

/** A share of the time, typed in per cent. */
function parseShare(text: string): Result<number> {
  const read = parsePlainNumber(text.replace(/%\s*$/, ''), 'duty');
  if (!read.ok) return read;
  return read.value > 0 && read.value <= 100
    ? ok(read.value / 100)
    : fail('duty.range', `${read.value} % of the time cannot be.`, 'field', 'Type 1 to 100 %.');
}

/** How much of the time the transmitter is at full power: what heats cable and connectors. */
export function DutyField({ duty, onChange }: { duty: number; onChange: (duty: number) => void }): ReactNode {
  return (
    <div className="grid grid-cols-[1fr_6rem] items-end gap-2">
      <Choice
        label="On the air"
        value={dutyIdOf(duty) ?? 'own'}
        options={[
          ...duties.map(({ id, name }) => ({ value: id, label: name })),
          { value: 'own', label: 'Own share of the time' },
        ]}
        onChange={(to) => onChange(duties.find(({ id }) => id === to)?.duty ?? duty)}
      />
      <QuantityField
        label="at full power"
        value={duty}
        format={(share) => `${Number((share * 100).toFixed(1))} %`}
        parse={parseShare}
        onChange={onChange}
      />
    </div>
  );
}

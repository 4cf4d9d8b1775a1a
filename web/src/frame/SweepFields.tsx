import type { SweepSetup } from '@kobran/contract';
import { fail, formatFrequency, ok, parseFrequency, parsePlainNumber, type Result } from '@kobran/core';
import type { ReactNode } from 'react';
import { Choice } from '../ui/Choice.js';
import { QuantityField } from '../ui/QuantityField.js';

const MAX_POINTS = 10_001;

const within = (read: Result<number>, least: number, most: number, message: string): Result<number> =>
  !read.ok || (read.value >= least && read.value <= most)
    ? read
    : fail('sweep.range', message, 'sweep', 'Change one of the two.');

/** From, to, points, averages and ports of a sweep. */
export function SweepFields({
  setup,
  onChange,
}: {
  setup: SweepSetup;
  onChange: (change: Partial<SweepSetup>) => void;
}): ReactNode {
  const whole = (text: string, most: number): Result<number> => {
    const read = parsePlainNumber(text, 'sweep');
    if (!read.ok) return read;
    const least = most === MAX_POINTS ? 2 : 1;
    return Number.isInteger(read.value) && read.value >= least && read.value <= most
      ? ok(read.value)
      : fail(
          'sweep.count',
          `${text} is not a whole number from ${least} to ${most}.`,
          'sweep',
          'Type another one.',
        );
  };
  return (
    <div className="grid grid-cols-2 gap-3 sm:grid-cols-3 lg:grid-cols-5">
      <QuantityField
        label="Sweep from"
        value={setup.startHz}
        format={formatFrequency}
        parse={(text) => within(parseFrequency(text), 1e5, setup.stopHz - 1, 'A sweep starts below its end.')}
        onChange={(startHz) => onChange({ startHz })}
      />
      <QuantityField
        label="To"
        value={setup.stopHz}
        format={formatFrequency}
        parse={(text) =>
          within(parseFrequency(text), setup.startHz + 1, 100e9, 'A sweep ends above its start.')
        }
        onChange={(stopHz) => onChange({ stopHz })}
      />
      <QuantityField
        label="Points"
        value={setup.points}
        format={String}
        parse={(text) => whole(text, MAX_POINTS)}
        onChange={(points) => onChange({ points })}
      />
      <QuantityField
        label="Averages"
        value={setup.averages}
        format={String}
        parse={(text) => whole(text, 100)}
        onChange={(averages) => onChange({ averages })}
      />
      <Choice
        label="Ports"
        value={String(setup.ports)}
        options={[
          { value: '1', label: 'one: what comes back' },
          { value: '2', label: 'two: also what passes' },
        ]}
        onChange={(ports) => onChange({ ports: ports === '2' ? 2 : 1 })}
      />
    </div>
  );
}

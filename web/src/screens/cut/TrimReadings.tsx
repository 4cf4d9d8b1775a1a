import { formatFrequency, formatLength, type FarEnd } from '@kobran/core';
import { useState, type ReactNode } from 'react';
import { usePreferences } from '../../ui/Preferences.js';
import { Choice } from '../../ui/Choice.js';
import { FrequencyField } from '../../ui/unitFields.js';
import { RunLengthField } from '../../ui/LengthField.js';

const ORDERS = [1, 2, 3, 4, 5];

/** A resonance as it is read at the bench. */
export interface Read {
  lengthM: number;
  frequencyHz: number;
  far: FarEnd;
  order: number;
}

/** Where a reading is entered. */
export function Entry({
  askedM,
  onRead,
}: {
  askedM: number | undefined;
  onRead: (reading: Read) => void;
}): ReactNode {
  const [lengthM, setLengthM] = useState(askedM);
  const [frequencyHz, setFrequencyHz] = useState<number>();
  const [far, setFar] = useState<FarEnd>('open');
  const [order, setOrder] = useState(1);
  const ready = lengthM !== undefined && frequencyHz !== undefined;
  return (
    <div className="mt-3 grid items-end gap-3 sm:grid-cols-2 lg:grid-cols-5">
      <RunLengthField label="Cable now, cut to cut" valueM={lengthM} digits={3} onChange={setLengthM} />
      <FrequencyField
        label="Resonance read"
        value={frequencyHz}
        onChange={setFrequencyHz}
        placeholder="26.05 MHz"
      />
      <Choice
        label="Far end"
        value={far}
        options={[
          { value: 'open', label: 'open' },
          { value: 'shorted', label: 'shorted' },
        ]}
        onChange={(to) => setFar(to === 'shorted' ? 'shorted' : 'open')}
      />
      <Choice
        label="Which one"
        value={String(order)}
        options={ORDERS.map((n) => ({ value: String(n), label: n === 1 ? 'the lowest' : `number ${n}` }))}
        onChange={(to) => setOrder(Number(to))}
      />
      <button
        className="button button-primary min-h-9"
        disabled={!ready}
        onClick={() => ready && onRead({ lengthM, frequencyHz, far, order })}
      >
        Next cut
      </button>
    </div>
  );
}

/** The readings of a piece so far. */
export function Readings({ readings }: { readings: readonly Read[] }): ReactNode {
  const { units } = usePreferences();
  if (readings.length === 0) return null;
  return (
    <details className="mt-3">
      <summary className="cursor-pointer text-muted">
        {readings.length} {readings.length === 1 ? 'reading' : 'readings'} of this piece
      </summary>
      <ol className="mt-1 list-decimal pl-6">
        {readings.map(({ lengthM, frequencyHz, far, order }, k) => (
          <li key={k} className="figures">
            {formatLength(lengthM, { system: units, digits: 3 })}: {formatFrequency(frequencyHz)}, far end{' '}
            {far}
            {order === 1 ? '' : `, number ${order}`}
          </li>
        ))}
      </ol>
    </details>
  );
}

/** A reading which cannot be of this piece: another resonance, a slip, or a cable that is not as it is named. */
export function DoubtfulReading({
  reading,
  order,
  ownVelocity,
  lotName,
  onKeep,
  onForget,
}: {
  reading: Read;
  order: number | undefined;
  ownVelocity: number | undefined;
  lotName: string;
  onKeep: (reading: Read, notAsNamed?: boolean) => void;
  onForget: () => void;
}): ReactNode {
  const why =
    ownVelocity === undefined
      ? 'Read it again before anything is cut: a second reading which agrees says that the cable is not as it is named.'
      : lotName === ''
        ? 'This cable is not as it is named. Name its lot, and the lot is taken as it was read.'
        : 'This cable is not as it is named.';
  return (
    <>
      <p className="mt-2 flex flex-wrap items-center gap-3">
        {order !== undefined && (
          <button className="button button-primary" onClick={() => onKeep({ ...reading, order })}>
            Yes, number {order}
          </button>
        )}
        {ownVelocity !== undefined && lotName !== '' && (
          <button className="button button-primary" onClick={() => onKeep(reading, true)}>
            Both readings agree: take velocity factor {ownVelocity.toFixed(3)} for lot {lotName}
          </button>
        )}
        <button className="button" onClick={onForget}>
          Discard this reading: it was a slip
        </button>
      </p>
      <p className="mt-1 text-sm text-muted">{why}</p>
    </>
  );
}

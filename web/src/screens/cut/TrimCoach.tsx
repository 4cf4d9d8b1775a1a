import { routes } from '@kobran/contract';
import {
  formatFrequency,
  formatLength,
  lotOf,
  nextCut,
  parseLength,
  resonanceOfDelay,
  trimGoalOf,
  trimReadings,
  velocityOfDoubts,
  wantedS,
  type Assembly,
  type FarEnd,
  type Residual,
  type TrimAdvice,
  type TrimGoal,
  type TrimReading,
} from '@kobran/core';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { call } from '../../store/client.js';
import { usePreferences } from '../../ui/Preferences.js';
import { useOpenRun } from '../../store/RunContext.js';
import { useCatalog } from '../../store/Shop.js';
import { Choice } from '../../ui/Choice.js';
import { soundResonance } from '../../ui/sound.js';
import { QuantityField } from '../../ui/QuantityField.js';
import { TextField } from '../../ui/TextField.js';
import { LotHistory, LotVelocity } from './Lot.js';
import { AnalyserReading } from './AnalyserReading.js';
import { FrequencyField } from '../../ui/unitFields.js';

const ORDERS = [1, 2, 3, 4, 5];

/** A reading goes in, the next cut comes out; the lot remembers its true velocity factor. */
export function TrimCoach({ piece }: { piece: Assembly }): ReactNode {
  const { editor, facts } = useOpenRun();
  const catalog = useCatalog();
  const { data: trims = [] } = useQuery({
    queryKey: ['trims'],
    queryFn: () => call(routes.listTrims),
  });
  const lotName = piece.lot ?? '';
  const readings = trimReadings(facts, piece.id);
  // What this piece itself has read is fitted by the coach; the lot is what the others taught.
  const lot = lotOf(
    trims.filter(({ about, notAsNamed }) => about !== piece.id || notAsNamed),
    piece.cable,
    lotName,
    catalog,
  );
  const goal = trimGoalOf(piece, catalog, lot);
  const lots = [...new Set(trims.filter(({ cable }) => cable === piece.cable).map((one) => one.lot))].filter(
    Boolean,
  );
  if (!goal) return null;
  return (
    <section
      className="mt-3 rounded border border-rule bg-paper p-4"
      aria-label={`Trim coach for ${piece.label}`}
    >
      <h3 className="font-bold">Trim coach</h3>
      <TrimWork piece={piece} goal={goal} readings={readings}>
        <div className="mt-3 grid gap-4 sm:grid-cols-[12rem_minmax(0,1fr)]">
          <TextField
            label="Lot of the cable"
            value={lotName}
            maxLength={40}
            allowEmpty
            suggestions={lots}
            onChange={(to) => {
              const { lot: _, ...rest } = piece;
              editor.change([{ op: 'set piece', piece: to === '' ? rest : { ...rest, lot: to } }]);
            }}
          />
          <p className="self-end text-sm text-muted">
            <LotVelocity lot={lot} name={lotName} />
          </p>
        </div>
        <LotHistory lot={lot} />
      </TrimWork>
    </section>
  );
}

/** The advice from the readings so far, and where the next one goes in. */
function TrimWork({
  piece,
  goal,
  readings,
  children,
}: {
  piece: Assembly;
  goal: TrimGoal;
  readings: readonly TrimReading[];
  children: ReactNode;
}): ReactNode {
  const { writer } = useOpenRun();
  const { sound } = usePreferences();
  const [doubted, setDoubted] = useState<readonly Read[]>([]);
  const doubtful = doubted.at(-1);
  // A reading which cannot be of this piece is a question, and is not kept.
  const advice = nextCut(goal, doubtful ? [...readings, doubtful] : readings);
  const last = nextCut(goal, readings);
  const askedM = last.kind === 'first' || last.kind === 'cut' ? last.lengthM : readings.at(-1)?.lengthM;
  const lotName = piece.lot ?? '';
  const keep = (reading: Read, notAsNamed = false): void => {
    setDoubted([]);
    writer.add({
      kind: 'trimmed',
      pieceId: piece.id,
      trim: {
        ...reading,
        cable: piece.cable,
        lot: lotName,
        nearS: goal.nearS,
        ...(notAsNamed ? { notAsNamed: true as const } : {}),
      },
    });
  };
  const take = (reading: Read): void => {
    if (sound)
      soundResonance(reading.frequencyHz, resonanceOfDelay(wantedS(goal), reading.far, reading.order));
    if (nextCut(goal, [...readings, reading]).kind === 'doubt') setDoubted([...doubted, reading]);
    else keep(reading);
  };
  return (
    <>
      <Advice advice={advice} />
      {children}
      {doubtful && advice.kind === 'doubt' && (
        <DoubtfulReading
          reading={doubtful}
          order={advice.order}
          ownVelocity={velocityOfDoubts(goal, doubted)}
          lotName={lotName}
          onKeep={keep}
          onForget={() => setDoubted([])}
        />
      )}
      <Entry
        key={`${readings.length} ${doubted.length} ${askedM?.toFixed(4) ?? ''}`}
        askedM={askedM}
        onRead={take}
      />
      <AnalyserReading
        piece={piece}
        goal={goal}
        lengthM={askedM}
        cutToM={last.kind === 'cut' ? last.lengthM : undefined}
        onRead={take}
      />
      <Readings readings={readings} />
    </>
  );
}

/** A reading which cannot be of this piece: another resonance, a slip, or a cable that is not as it is named. */
function DoubtfulReading({
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

/** What to do next, in one sentence, with what is left. */
function Advice({ advice }: { advice: TrimAdvice }): ReactNode {
  const { units } = usePreferences();
  const mm = (metres: number): string => formatLength(metres, { system: units, small: true });
  const m = (metres: number): string => formatLength(metres, { system: units, digits: 3 });
  const left = ({ metres, metresSigma, degrees, hz }: Residual): string =>
    `${mm(Math.abs(metres))} ± ${mm(2 * metresSigma)}, ${Math.abs(degrees).toFixed(1)}°, ${(Math.abs(hz) / 1e3).toFixed(0)} kHz`;
  const textOf = (): [head: string, why: string, tone: string] => {
    switch (advice.kind) {
      case 'first':
        return [
          `Cut ${m(advice.lengthM)} first`,
          `Between the two cut ends; ${mm(advice.longM)} longer than it will be, since a cable cannot be cut longer. Fit the first connector, leave the far end open or shorted, and read the lowest resonance.`,
          '',
        ];
      case 'cut':
        return [
          `Cut ${mm(advice.cutM)} off: ${m(advice.lengthM)} is left`,
          `Trim to ${formatFrequency(advice.trimToHz)}, then stop. Too long by ${left(advice.residual)}. ${advice.first ? 'Of a first reading only 80 % is cut.' : 'What the reading and the hand may err is kept.'}`,
          'text-ink',
        ];
      case 'done':
        return ['Done: fit the second connector', `Left over: ${left(advice.residual)}.`, 'text-lake'];
      case 'too short':
        return [
          'Too short: use this piece elsewhere',
          `Below its target by ${left(advice.residual)}. A cable cannot be cut longer.`,
          'text-stop',
        ];
      case 'doubt':
        return [
          advice.order === undefined
            ? 'This reading cannot be of this piece'
            : `Was it resonance ${advice.order}?`,
          advice.why,
          'text-caution',
        ];
    }
  };
  const [head, why, tone] = textOf();
  return (
    <div role="status" className="mt-1">
      <p className={`text-xl font-bold ${tone}`}>{head}</p>
      <p className="text-muted">{why}</p>
    </div>
  );
}

interface Read {
  lengthM: number;
  frequencyHz: number;
  far: FarEnd;
  order: number;
}

function Entry({
  askedM,
  onRead,
}: {
  askedM: number | undefined;
  onRead: (reading: Read) => void;
}): ReactNode {
  const { units } = usePreferences();
  const [lengthM, setLengthM] = useState(askedM);
  const [frequencyHz, setFrequencyHz] = useState<number>();
  const [far, setFar] = useState<FarEnd>('open');
  const [order, setOrder] = useState(1);
  const ready = lengthM !== undefined && frequencyHz !== undefined;
  return (
    <div className="mt-3 grid items-end gap-3 sm:grid-cols-2 lg:grid-cols-5">
      <QuantityField
        label="Cable now, cut to cut"
        value={lengthM}
        format={(metres) => formatLength(metres, { system: units, digits: 3 })}
        parse={(text) => parseLength(text, { unit: units === 'metric' ? 'm' : 'ft' })}
        onChange={setLengthM}
      />
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

function Readings({ readings }: { readings: readonly Read[] }): ReactNode {
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

import { routes } from '@kobran/contract';
import {
  formatFrequency,
  formatLength,
  lotOf,
  trimsOfOthers,
  nextCut,
  resonanceOfDelay,
  trimGoalOf,
  trimReadings,
  velocityOfDoubts,
  wantedS,
  type Assembly,
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
import { soundResonance } from '../../ui/sound.js';
import { TextField } from '../../ui/TextField.js';
import { LotHistory, LotVelocity } from './Lot.js';
import { DoubtfulReading, Entry, Readings, type Read } from './TrimReadings.js';
import { AnalyserReading } from './AnalyserReading.js';

/** A reading goes in, the next cut comes out; the lot remembers its true velocity factor. */
export function TrimCoach({ piece }: { piece: Assembly }): ReactNode {
  const { editor, facts, id: runId } = useOpenRun();
  const catalog = useCatalog();
  const { data: trims = [] } = useQuery({
    queryKey: ['trims'],
    queryFn: () => call(routes.listTrims),
  });
  const lotName = piece.lot ?? '';
  const readings = trimReadings(facts, piece.id);
  // What this piece itself has read is fitted by the coach; the lot is what the others taught.
  const lot = lotOf(trimsOfOthers(trims, runId, piece.id), piece.cable, lotName, catalog);
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

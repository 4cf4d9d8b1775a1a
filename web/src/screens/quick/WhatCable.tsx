import {
  cableCandidates,
  cableFromSweeps,
  formatDecibels,
  formatFrequency,
  formatLength,
  metresOf,
  type CableCandidate,
  type CableEvidence,
  type Trace,
  type Result,
  type UnknownCable,
} from '@kobran/core';
import { useMemo, useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { useCatalog } from '../../store/Shop.js';
import { readTraceFile } from '../../store/useTraces.js';
import { Choice } from '../../ui/Choice.js';
import { FilePick } from '../../ui/FilePick.js';
import { LengthField, RunLengthField } from '../../ui/LengthField.js';
import { usePreferences } from '../../ui/Preferences.js';
import { Rows } from '../../ui/Rows.js';

type Sweeps = Partial<Record<'open' | 'short', { name: string; trace: Trace }>>;
type Diameters = Pick<CableEvidence, 'centreMm' | 'dielectricMm' | 'jacketMm' | 'centreKind' | 'shieldKind'>;

/** More candidates say nothing. */
const MAX_CANDIDATES = 6;

/** A cable without a marking: what a caliper finds, what two sweeps of it say, and which cables that fits. */
export function WhatCable(): ReactNode {
  const { cables } = useCatalog();
  const [seen, setSeen] = useState<Diameters>({});
  const [sweeps, setSweeps] = useState<Sweeps>({});
  const [lengthM, setLength] = useState<number>();
  const measured = useMemo(() => measuredOf(sweeps, lengthM), [sweeps, lengthM]);
  const evidence: CableEvidence = { ...seen, ...evidenceOf(measured) };
  const some = Object.keys(evidence).length > 0;
  const candidates = some ? cableCandidates(evidence, cables.values()) : [];
  return (
    <div className="mt-3 grid gap-x-10 gap-y-6 lg:grid-cols-2">
      <div className="space-y-5">
        <Caliper seen={seen} onChange={setSeen} />
        <Analyser
          sweeps={sweeps}
          onSweep={(one) => setSweeps((now) => ({ ...now, ...one }))}
          lengthM={lengthM}
          onLength={setLength}
        />
      </div>
      <div>
        <SweepFigures measured={measured} />
        {some ? (
          <Candidates candidates={candidates} />
        ) : (
          <p className="text-lg text-muted">
            Measure one diameter, or take two sweeps: the cables it can be are listed here.
          </p>
        )}
      </div>
    </div>
  );
}

function Caliper({ seen, onChange }: { seen: Diameters; onChange: (seen: Diameters) => void }): ReactNode {
  const set = (change: { [K in keyof Diameters]?: Diameters[K] | undefined }): void => {
    const merged = { ...seen, ...change };
    onChange(Object.fromEntries(Object.entries(merged).filter(([, value]) => value !== undefined)));
  };
  const diameter = (key: 'centreMm' | 'dielectricMm' | 'jacketMm', label: string): ReactNode => {
    const mm = seen[key];
    return (
      <LengthField
        label={label}
        valueM={mm === undefined ? undefined : mm / 1000}
        onChange={(metres) => set({ [key]: Number((metres * 1000).toFixed(3)) })}
        onClear={() => set({ [key]: undefined })}
      />
    );
  };
  return (
    <section aria-labelledby="caliper">
      <h2 id="caliper" className="font-bold">
        With a caliper, on a stripped end
      </h2>
      <div className="mt-1 grid grid-cols-3 gap-3">
        {diameter('centreMm', 'Centre')}
        {diameter('dielectricMm', 'Dielectric')}
        {diameter('jacketMm', 'Jacket')}
      </div>
      <div className="mt-3 grid gap-3 sm:grid-cols-2">
        <Choice
          label="Centre is"
          value={seen.centreKind ?? ''}
          options={[
            { value: '', label: 'not looked' },
            { value: 'solid', label: 'solid' },
            { value: 'stranded', label: 'stranded' },
          ]}
          onChange={(kind) => set({ centreKind: kind === 'solid' || kind === 'stranded' ? kind : undefined })}
        />
        <Choice
          label="Shield is"
          value={seen.shieldKind ?? ''}
          options={[
            { value: '', label: 'not looked' },
            ...shields.map((one) => ({ value: one, label: one })),
          ]}
          onChange={(kind) => set({ shieldKind: shields.find((one) => one === kind) })}
        />
      </div>
    </section>
  );
}

const shields = ['braid', 'two braids', 'foil and braid', 'tube'] as const;

function Analyser({
  sweeps,
  onSweep,
  lengthM,
  onLength,
}: {
  sweeps: Sweeps;
  onSweep: (one: Sweeps) => void;
  lengthM: number | undefined;
  onLength: (lengthM: number | undefined) => void;
}): ReactNode {
  const { units } = usePreferences();
  const [problem, setProblem] = useState<string>();
  const take = async (far: 'open' | 'short', file: File): Promise<void> => {
    const read = await readTraceFile(file);
    setProblem(read.ok ? undefined : `${file.name}: ${read.problem.message} ${read.problem.remedy}`);
    if (read.ok) onSweep({ [far]: { name: file.name, trace: read.value.trace } });
  };
  return (
    <section aria-labelledby="analyser">
      <h2 id="analyser" className="font-bold">
        With an analyser, on one end
      </h2>
      <p className="text-muted">Two sweeps of the same piece: its far end open, then shorted.</p>
      <div className="mt-2 grid gap-3 sm:grid-cols-2">
        {(['open', 'short'] as const).map((far) => (
          <FilePick
            key={far}
            label={far === 'open' ? 'Sweep, far end open' : 'Sweep, far end shorted'}
            accept=".s1p,.S1P,.s2p,.S2P,.txt"
            picked={sweeps[far]?.name}
            onPick={(file) => void take(far, file)}
          />
        ))}
      </div>
      {problem && (
        <p role="alert" className="mt-2 text-stop">
          {problem}
        </p>
      )}
      <div className="mt-3 sm:w-1/2 sm:pr-1.5">
        <RunLengthField
          label="Its length, for the velocity factor"
          valueM={lengthM}
          placeholder={units === 'metric' ? '12.40 m' : '40 ft'}
          onChange={onLength}
          onClear={() => onLength(undefined)}
        />
      </div>
    </section>
  );
}

/** What the two sweeps say together; nothing while one is missing. */
const measuredOf = ({ open, short }: Sweeps, lengthM: number | undefined): Measurement =>
  open && short ? cableFromSweeps(open.trace, short.trace, lengthM) : undefined;

type Measurement = Result<UnknownCable> | undefined;

/** What of it speaks for one cable or another. */
function evidenceOf(measured: Measurement): CableEvidence {
  if (!measured?.ok) return {};
  const { impedanceOhm, velocityFactor, lossDbPer100M, middleHz } = measured.value;
  return {
    impedanceOhm,
    ...(velocityFactor === undefined ? {} : { velocityFactor }),
    ...(lossDbPer100M === undefined ? {} : { loss: { frequencyHz: middleHz, dbPer100M: lossDbPer100M } }),
  };
}

/** Velocity factors between which a length nobody measured lies: solid and foam. */
const SLOW_AND_FAST = [0.66, 0.88];

function SweepFigures({ measured }: { measured: Measurement }): ReactNode {
  const { units } = usePreferences();
  if (!measured) return null;
  if (!measured.ok)
    return (
      <p role="alert" className="mb-4 text-stop">
        {measured.problem.message} {measured.problem.remedy}
      </p>
    );
  const { impedanceOhm, velocityFactor, delayS, rangeS, lossDb, lossDbPer100M, middleHz } = measured.value;
  const metres = (seconds: number): string =>
    SLOW_AND_FAST.map((vf) => formatLength(metresOf(seconds, vf), { system: units, digits: 1 })).join(' to ');
  return (
    <div className="mb-5">
      <Rows
        rows={[
          ['Impedance', `${impedanceOhm.toFixed(1)} ohm`],
          ['Delay, one way', `${(delayS * 1e9).toFixed(2)} ns`],
          velocityFactor === undefined
            ? ['Its length, solid to foam', metres(delayS)]
            : ['Velocity factor', velocityFactor.toFixed(3)],
          [`Loss one way at ${formatFrequency(middleHz)}`, formatDecibels(lossDb)],
          ...(lossDbPer100M === undefined
            ? []
            : [['That is, per 100 m', formatDecibels(lossDbPer100M)] as const]),
        ]}
      />
      <p className="mt-1 text-sm text-muted">
        √(open · shorted), middle of all points. A piece longer than {metres(rangeS)} needs more points.
      </p>
    </div>
  );
}

function Candidates({ candidates }: { candidates: CableCandidate[] }): ReactNode {
  if (candidates.length === 0)
    return (
      <p className="text-lg">
        <strong>No cable of the catalogue fits that.</strong> Measure again, or add it as your own in the{' '}
        <Link className="underline underline-offset-4" to="/catalog/cable/new">
          catalogue
        </Link>
        .
      </p>
    );
  const [first, ...others] = candidates.slice(0, MAX_CANDIDATES);
  const fitting = candidates.filter(({ worst }) => worst <= 1).length;
  return (
    <section aria-live="polite" aria-label="Cables it can be">
      <p className="text-2xl font-bold">
        {fitting === 1
          ? first.cable.name
          : fitting > 1
            ? `It can be any of ${fitting}`
            : `Perhaps ${first.cable.name}`}
      </p>
      <ul className="mt-2 divide-y divide-rule border-y border-rule">
        {[first, ...others].map(({ cable, against }) => (
          <li key={cable.id} className="flex flex-wrap items-baseline justify-between gap-x-4 py-1.5">
            <Link
              className="font-semibold underline decoration-rule underline-offset-4"
              to={`/catalog/cable/${cable.id}`}
            >
              {cable.name}
            </Link>
            <span className={against.length > 0 ? 'text-caution' : 'text-lake'}>
              {against.length > 0 ? against.join('; ') : 'fits'}
            </span>
          </li>
        ))}
      </ul>
      <p className="mt-2 text-sm text-muted">
        Nominal figures; several cables can share them. The marking on the jacket wins.
      </p>
    </section>
  );
}

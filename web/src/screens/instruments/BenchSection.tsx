import { routes, type OnBench, type RevealedFault, type RunDocument } from '@kobran/contract';
import {
  farEndNames,
  farEnds,
  formatLength,
  parseLength,
  type Assembly,
  type FarEndKind,
} from '@kobran/core';
import { useState, type ReactNode } from 'react';
import { useSearchParams } from 'react-router';
import { call } from '../../store/client.js';
import { useJob, useJobs, useRun } from '../../store/queries.js';
import { useDoing, type Instruments } from '../../store/useInstruments.js';
import { usePreferences } from '../../ui/Preferences.js';
import { Chips, Choice } from '../../ui/Choice.js';
import { QuantityField } from '../../ui/QuantityField.js';
import { Tick } from '../../ui/Tick.js';
import { BenchDrawing } from './BenchDrawing.js';

/** Work of one seed is bad in the same way each time: another exercise takes another. */
const anySeed = (): number => 1 + Math.floor(Math.random() * 999_999);

/** What lies on the simulated bench, and what hands do to it. */
export function BenchSection({ instruments }: { instruments: Instruments }): ReactNode {
  const bench = instruments.document?.bench;
  return (
    <section className="mt-5" aria-labelledby="bench">
      <h2 id="bench" className="text-lg font-bold">
        Simulated bench
      </h2>
      {bench && <Lying bench={bench} instruments={instruments} />}
      <PutOn instruments={instruments} isEmpty={!bench} />
    </section>
  );
}

function Lying({ bench, instruments }: { bench: OnBench; instruments: Instruments }): ReactNode {
  const { data: run } = useRun(bench.runId);
  const { busy, run: act } = useDoing();
  const [told, setTold] = useState<RevealedFault>();
  const piece = run?.design.pieces.find(
    (one): one is Assembly => one.kind === 'assembly' && one.id === bench.pieceId,
  );
  const { hands } = bench;
  const touch = (change: Parameters<Instruments['touch']>[0]): void =>
    act('changing it', () => instruments.touch(change));
  return (
    <div className="mt-2">
      <BenchDrawing
        name={piece?.label ?? bench.runName}
        lengthM={hands.cableM ?? piece?.lengthM}
        hands={hands}
      />
      <div className="mt-3 flex flex-wrap items-end gap-x-5 gap-y-3" aria-busy={busy !== undefined}>
        <div className="w-48">
          <Choice
            label="On the far end"
            value={hands.far}
            options={farEnds.map((value) => ({ value, label: farEndNames[value] }))}
            onChange={(far) => touch({ far: far as FarEndKind })}
          />
        </div>
        <Tick label="After rain" checked={hands.rained} onChange={(rained) => touch({ rained })} />
        <Tick
          label="Flex it at its ends"
          checked={hands.wiggled}
          onChange={(wiggled) => touch({ wiggled })}
        />
        {hands.cableM !== undefined && (
          <CutShorter cableM={hands.cableM} onCut={(cableM) => touch({ cableM })} />
        )}
        <span className="flex-1" />
        {bench.seed !== 0 && (
          <button
            className="button"
            onClick={() => act('asking', async () => setTold(await call(routes.revealFault)))}
          >
            Show the hidden fault
          </button>
        )}
        <button className="button" onClick={() => act('clearing', instruments.clear)}>
          Clear the bench
        </button>
      </div>
      {told && (
        <p role="status" className="mt-2 text-lg font-semibold">
          {told.cause === 'nothing' ? 'Nothing was wrong: sound work.' : <FaultText fault={told} />}
        </p>
      )}
    </div>
  );
}

function FaultText({ fault }: { fault: RevealedFault }): ReactNode {
  const { units } = usePreferences();
  return `${fault.name}, ${formatLength(fault.atM, { system: units, digits: 2 })} from the near end.`;
}

/** A piece that is trimmed: it can only become shorter. */
function CutShorter({ cableM, onCut }: { cableM: number; onCut: (cableM: number) => void }): ReactNode {
  const { units } = usePreferences();
  return (
    <div className="w-44">
      <QuantityField
        key={cableM}
        label="Cut it to"
        value={cableM}
        format={(metres) => formatLength(metres, { system: units, digits: 4 })}
        parse={(text) => {
          const read = parseLength(text, { unit: units === 'metric' ? 'm' : 'ft' });
          if (!read.ok || read.value <= cableM) return read;
          return {
            ok: false,
            problem: {
              code: 'bench.longer',
              message: 'A cable cannot be cut longer.',
              where: 'cut',
              remedy: 'Type a shorter length.',
            },
          };
        }}
        onChange={onCut}
      />
    </div>
  );
}

const assembliesOf = (run: RunDocument | undefined): Assembly[] =>
  run?.design.pieces.flatMap((piece) => (piece.kind === 'assembly' ? [piece] : [])) ?? [];

/** Job, run and assembly as they are chosen; the address may ask for a run and a piece. */
function useBenchChoice() {
  const [params] = useSearchParams();
  const { data: jobs = [] } = useJobs();
  const asked = params.get('run') ?? '';
  const { data: askedRun } = useRun(asked);
  const [chosen, setChosen] = useState({ job: '', run: '', piece: params.get('piece') ?? '' });
  const jobId = chosen.job || (askedRun?.jobId ?? jobs.at(0)?.id ?? '');
  const { data: job } = useJob(jobId);
  const runs = job?.runs ?? [];
  const run = runs.find(({ id }) => id === (chosen.run || asked)) ?? runs.at(0);
  const assemblies = assembliesOf(run);
  const pieceId = assemblies.some(({ id }) => id === chosen.piece) ? chosen.piece : '';
  return { jobs, jobId, runs, run, assemblies, pieceId, chosen, setChosen };
}

/** Which run or assembly is put on, and how well it was made. */
function PutOn({ instruments, isEmpty }: { instruments: Instruments; isEmpty: boolean }): ReactNode {
  const { jobs, jobId, runs, run, assemblies, pieceId, chosen, setChosen } = useBenchChoice();
  const [made, setMade] = useState<'sound' | 'any'>('any');
  const { busy, run: act } = useDoing();
  return (
    <details className="mt-4 rounded border border-rule bg-paper p-4" open={isEmpty}>
      <summary className="cursor-pointer font-bold">
        {isEmpty ? 'Put a run on the bench' : 'Put another run on the bench'}
      </summary>
      <div className="mt-3 grid gap-3 sm:grid-cols-2 lg:grid-cols-3">
        <Choice
          label="Job"
          value={jobId}
          options={jobs.map(({ id, name }) => ({ value: id, label: name }))}
          onChange={(to) => setChosen({ job: to, run: '', piece: '' })}
        />
        <Choice
          label="Run"
          value={run?.id ?? ''}
          options={runs.map(({ id, design }) => ({ value: id, label: design.name }))}
          onChange={(to) => setChosen({ ...chosen, run: to, piece: '' })}
        />
        <Choice
          label="Piece"
          value={pieceId}
          options={[
            { value: '', label: 'The whole run' },
            ...assemblies.map(({ id, label }) => ({ value: id, label: `${label} alone` })),
          ]}
          onChange={(piece) => setChosen({ ...chosen, piece })}
        />
      </div>
      <div className="mt-3 flex flex-wrap items-center gap-4">
        <Chips
          legend="How it was made"
          value={made}
          options={[
            ['any', 'As made: it may have a fault'],
            ['sound', 'Without a fault'],
          ]}
          onChange={setMade}
        />
        <button
          className="button button-primary min-h-11"
          disabled={!run || busy !== undefined}
          onClick={() =>
            run &&
            act('putting it on', () =>
              instruments.putOnBench({
                runId: run.id,
                pieceId,
                seed: made === 'sound' ? 0 : anySeed(),
                hands: { far: 'load', rained: false, wiggled: false },
              }),
            )
          }
        >
          {busy ? 'Switching the instruments on…' : 'Put it on the bench'}
        </button>
      </div>
    </details>
  );
}

import { traceOf, type ListedTrace, type StoredTrace } from '@kobran/contract';
import {
  arrestersOf,
  driftFinding,
  lossOneWay,
  referenceOhmOf,
  type Findings,
  type Measured,
  farEndNames,
  farEnds,
  predictSweep,
  sweepFindings,
  weatherReaches,
  type FarEndKind,
} from '@kobran/core';
import { Upload } from 'lucide-react';
import { useMemo, useState, type DragEvent, type ReactNode } from 'react';
import { messageOf } from '../../store/client.js';
import { useCatalog } from '../../store/Shop.js';
import { useOpenRun } from '../../store/RunContext.js';
import { Choice } from '../../ui/Choice.js';
import { FileInput } from '../../ui/FilePick.js';
import { Tick } from '../../ui/Tick.js';
import { SweepNow } from '../../frame/SweepNow.js';
import {
  readTraceFile,
  traceAgainst,
  useTraces,
  useWholeTraces,
  type Traces,
  type TraceSetting,
} from '../../store/useTraces.js';
import { Causes } from './Causes.js';
import { SweepRow } from './SweepRow.js';
import { SweepView } from './SweepView.js';

/** Sweeps of the analyser: imported as files, held against what was computed, laid on the ruler. */
export function Sweeps(): ReactNode {
  const traces = useTraces();
  const [chosen, setChosen] = useState<string>();
  const [beside, setBeside] = useState<ReadonlySet<string>>(new Set());
  const trace = traces.all.find(({ id }) => id === chosen) ?? traces.all.at(-1);
  const birth = trace && birthOf(trace, traces.all);
  const drawn = traces.all.filter(({ id }) => beside.has(id) && id !== trace?.id);
  const { wholes, error } = useWholeTraces([...(trace ? [trace] : []), ...(birth ? [birth] : []), ...drawn]);
  const whole = trace && wholes.get(trace.id);
  const first = birth && wholes.get(birth.id);
  const isPending = isVerdictOpen(traces, error, [
    [trace, whole],
    [birth, first],
  ]);
  const { findings, measured } = useSweepFindings(whole, first);
  return (
    <>
      <section className="mt-8" aria-labelledby="sweeps">
        <h2 id="sweeps" className="text-lg font-bold">
          Sweeps
        </h2>
        {traces.error && <p className="text-stop">The sweeps cannot be read: {traces.error.message}</p>}
        <ImportSweeps traces={traces} />
        {traces.all.length > 0 && (
          <ul className="mt-3 divide-y divide-rule border-y border-rule">
            {traces.all.map((one) => (
              <SweepRow
                key={one.id}
                trace={one}
                traces={traces}
                chosen={one.id === trace?.id}
                beside={beside.has(one.id)}
                onBeside={(on) => setBeside(on ? new Set([...beside, one.id]) : without(beside, one.id))}
                onChoose={() => setChosen(one.id)}
              />
            ))}
          </ul>
        )}
        {error && <p className="mt-3 text-stop">The sweep cannot be read: {messageOf(error)}</p>}
        {isPending && !whole && <p className="mt-3 text-muted">Reading the sweep…</p>}
        {whole && (
          <SweepView
            key={whole.id}
            trace={whole}
            birth={first}
            beside={drawn.flatMap(({ id }) => wholes.get(id) ?? [])}
          />
        )}
      </section>
      <Causes swept={findings} measured={measured} pending={isPending} />
    </>
  );
}

/** The birth record a sweep is held against: of the same thing, with the same on its far end. */
const birthOf = (kept: ListedTrace, all: readonly ListedTrace[]): ListedTrace | undefined =>
  all.find((one) => one.birth && one.id !== kept.id && one.pieceId === kept.pieceId && one.far === kept.far);

/** What is still read may say otherwise: no verdict before every listed sweep is here as a whole. */
const isVerdictOpen = (
  { isLoading }: Pick<Traces, 'isLoading'>,
  error: Error | null,
  read: readonly (readonly [ListedTrace | undefined, StoredTrace | undefined])[],
): boolean => isLoading || (!error && read.some(([listed, whole]) => listed && !whole));

const without = (set: ReadonlySet<string>, gone: string): Set<string> =>
  new Set([...set].filter((id) => id !== gone));

/** What the shown sweep says in the words of the causes, and of what it was taken. */
function useSweepFindings(
  kept: StoredTrace | undefined,
  birth: StoredTrace | undefined,
): { findings: Findings; measured: Measured } {
  const { editor, sheet } = useOpenRun();
  const catalog = useCatalog();
  const { design } = editor;
  return useMemo(() => {
    const hasArrester = arrestersOf(design).length > 0;
    const known = kept && (kept.pieceId === '' || design.pieces.some(({ id }) => id === kept.pieceId));
    const weather = weatherReaches(design, sheet, kept?.pieceId ?? '');
    if (!kept || !known) return { findings: {}, measured: { antenna: true, arrester: hasArrester, weather } };
    const ohm = referenceOhmOf(design);
    const trace = traceAgainst(kept, ohm);
    const predicted = predictSweep(design, catalog, kept.pieceId, kept.far, trace.frequencyHz);
    const delayS = predicted.ruler.delayS.at(-1);
    const lossDb = lossOneWay(trace, kept.far, delayS);
    const found = sweepFindings(predicted, {
      frequencyHz: trace.frequencyHz,
      s11: trace.s.s11,
      ...(lossDb ? { lossDb } : {}),
    });
    const first = birth && traceAgainst(birth, ohm);
    const firstLoss = first && lossOneWay(first, kept.far, delayS);
    const drift =
      lossDb && firstLoss
        ? driftFinding(
            { frequencyHz: first.frequencyHz, lossDb: firstLoss },
            { frequencyHz: trace.frequencyHz, lossDb },
            kept.rained,
          )
        : {};
    // With the far end open or shorted everything comes back: match says nothing, echo and loss do.
    const { match: _, ...rest } = found;
    return {
      findings: { ...(kept.far === 'load' ? found : rest), ...drift },
      measured: { antenna: kept.far === 'antenna', arrester: kept.pieceId === '' && hasArrester, weather },
    };
  }, [kept, birth, design, sheet, catalog]);
}

/** What was measured, and the file; several at once. */
function ImportSweeps({ traces }: { traces: Traces }): ReactNode {
  const { editor, id: runId } = useOpenRun();
  const [setting, setSetting] = useState<TraceSetting>({ pieceId: '', far: 'load', rained: false });
  const [problems, setProblems] = useState<string[]>([]);
  const [over, setOver] = useState(false);
  const assemblies = editor.design.pieces.flatMap((piece) => (piece.kind === 'assembly' ? [piece] : []));

  async function bring(files: readonly File[]): Promise<void> {
    const messages: string[] = [];
    for (const file of files) {
      const result = await readTraceFile(file);
      if (!result.ok) {
        messages.push(`${file.name}: ${result.problem.message} ${result.problem.remedy}`);
        continue;
      }
      messages.push(...result.value.notes.map((note) => `${file.name}: ${note}`));
      traces.add(result.value.trace, file.name.slice(0, 120), setting);
    }
    setProblems(messages);
  }
  const drop = (event: DragEvent): void => {
    event.preventDefault();
    setOver(false);
    void bring([...event.dataTransfer.files]);
  };
  return (
    <div
      className={`mt-2 rounded border-2 border-dashed p-3 ${over ? 'border-copper' : 'border-rule'}`}
      onDragOver={(event) => {
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={drop}
    >
      <div className="flex flex-wrap items-end gap-4">
        <div className="w-52">
          <Choice
            label="Measured"
            value={setting.pieceId}
            options={[
              { value: '', label: 'The whole run' },
              ...assemblies.map(({ id, label }) => ({ value: id, label: `${label} alone` })),
            ]}
            onChange={(pieceId) => setSetting({ ...setting, pieceId })}
          />
        </div>
        <div className="w-44">
          <Choice
            label="On the far end"
            value={setting.far}
            options={farEnds.map((value) => ({ value, label: farEndNames[value] }))}
            onChange={(far) => setSetting({ ...setting, far: far as FarEndKind })}
          />
        </div>
        <Tick
          label="Taken after rain"
          checked={setting.rained}
          onChange={(rained) => setSetting({ ...setting, rained })}
        />
        <label className="button button-primary relative min-h-11 cursor-pointer focus-within:outline-3 focus-within:outline-offset-2 focus-within:outline-ink">
          <Upload size={16} aria-hidden /> Import .s1p or .s2p
          <FileInput accept=".s1p,.s2p,.S1P,.S2P,.txt" multiple onPick={(files) => void bring(files)} />
        </label>
        <span className="pb-2.5 text-muted">or drop files here</span>
        <SweepNow
          runId={runId}
          pieceId={setting.pieceId}
          onSwept={(measured, lying) =>
            traces.add(
              traceOf(measured),
              `sweep ${traces.all.length + 1}`,
              lying ? { pieceId: lying.pieceId, far: lying.hands.far, rained: lying.hands.rained } : setting,
            )
          }
        />
      </div>
      {problems.length > 0 && (
        <ul role="alert" className="mt-2">
          {problems.map((problem) => (
            <li key={problem} className="font-semibold text-caution">
              {problem}
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}

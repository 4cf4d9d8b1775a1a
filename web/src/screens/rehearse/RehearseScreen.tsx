import {
  canRehearse,
  causes,
  farEndNames,
  farEnds,
  formatDecibels,
  formatLength,
  formatResistance,
  magnitudes,
  predictSweep,
  rehearsalCauses,
  rehearsalSight,
  rehearsalTruth,
  returnLossDb,
  scored,
  type BenchHands,
  type CauseId,
} from '@kobran/core';
import { useMemo, useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { EchoView } from '../../drawing/charts/EchoView.js';
import { FrequencyChart } from '../../drawing/charts/FrequencyChart.js';
import { useOpenRun } from '../../store/RunContext.js';
import { useCatalog } from '../../store/Shop.js';
import { freshSeed, useDrillScore } from '../../store/useDrillScore.js';
import { Chips } from '../../ui/Choice.js';
import { usePreferences } from '../../ui/Preferences.js';
import { soundResistance } from '../../ui/sound.js';
import { StagePage } from '../../ui/StagePage.js';
import { Tick } from '../../ui/Tick.js';

const still: BenchHands = { far: 'load', rained: false, wiggled: false };

/** The simulated bench hides a fault in this very run: find it by sweep, meter, water and hand, before it is a real one. */
export function RehearseScreen(): ReactNode {
  const { editor, id } = useOpenRun();
  const [seed, setSeed] = useState(freshSeed);
  if (!canRehearse(editor.design))
    return (
      <StagePage headline="Nothing to rehearse yet: this run has no cable">
        <Link className="underline underline-offset-4 hover:decoration-2" to={`/runs/${id}/plan`}>
          Put in a cable
        </Link>
      </StagePage>
    );
  return (
    <StagePage
      headline="Rehearse: something may be wrong with this run. Find it."
      reason="The simulated bench has built this design with one hidden fault, or none. Measure as you would on the roof, then say what it is."
    >
      <Rehearsal key={seed} seed={seed} onNext={() => setSeed(freshSeed())} />
    </StagePage>
  );
}

function Rehearsal({ seed, onNext }: { seed: number; onNext: () => void }): ReactNode {
  const { editor } = useOpenRun();
  const { design } = editor;
  const catalog = useCatalog();
  const [hands, setHands] = useState(still);
  const [answer, setAnswer] = useState<CauseId>();
  const [score, setScore] = useDrillScore('kobran.rehearsal');
  const truth = useMemo(() => rehearsalTruth(design, catalog, seed), [design, catalog, seed]);
  const give = (cause: CauseId): void => {
    if (answer !== undefined) return;
    setAnswer(cause);
    setScore(scored(score, { id: truth.cause.id, right: truth.cause.id }, cause));
  };
  return (
    <>
      <Hands hands={hands} onChange={setHands} />
      <Sight seed={seed} hands={hands} />
      <section className="mt-5" aria-labelledby="answer">
        <h2 id="answer" className="text-lg font-bold">
          What is wrong?
        </h2>
        <ol className="mt-2 flex flex-wrap gap-2">
          {rehearsalCauses.map(({ id, name }) => (
            <li key={id}>
              <button
                className={`button min-h-11 ${answer === undefined ? '' : id === truth.cause.id ? 'border-lake text-lake' : id === answer ? 'border-stop text-stop' : ''}`}
                aria-pressed={answer === id}
                aria-disabled={answer !== undefined}
                onClick={() => give(id)}
              >
                {name}
              </button>
            </li>
          ))}
        </ol>
        <div role="status">
          {answer !== undefined && <Truth truth={truth} right={answer === truth.cause.id} />}
        </div>
        {answer !== undefined && (
          <button className="button button-primary mt-3 min-h-11" onClick={onNext}>
            Hide another fault
          </button>
        )}
      </section>
      <ByFault score={score} onForget={() => setScore({})} />
    </>
  );
}

function Truth({ truth, right }: { truth: ReturnType<typeof rehearsalTruth>; right: boolean }): ReactNode {
  const { units } = usePreferences();
  const { cause, atM } = truth;
  const where = atM === undefined ? '' : `, ${formatLength(atM, { system: units })} from the radio`;
  return (
    <>
      <p className={`mt-3 text-lg font-bold ${right ? 'text-lake' : 'text-stop'}`}>
        {right ? 'Right: ' : 'No: '}
        {cause.name}
        {where}.
      </p>
      <p className="max-w-2xl">{cause.remedy}</p>
    </>
  );
}

/** What hands and weather do while the instruments look. */
function Hands({ hands, onChange }: { hands: BenchHands; onChange: (hands: BenchHands) => void }): ReactNode {
  return (
    <div className="flex flex-wrap items-center gap-x-6 gap-y-2">
      <Chips
        legend="Far end"
        value={hands.far}
        options={farEnds.map((far) => [far, farEndNames[far]])}
        onChange={(far) => onChange({ ...hands, far })}
      />
      <Tick
        label="Flex it at its ends"
        checked={hands.wiggled}
        onChange={(wiggled) => onChange({ ...hands, wiggled })}
      />
      <Tick
        label="Pour water over it"
        checked={hands.rained}
        onChange={(rained) => onChange({ ...hands, rained })}
      />
    </div>
  );
}

/** Meter, echo and return loss as the hands are now. */
function Sight({ seed, hands }: { seed: number; hands: BenchHands }): ReactNode {
  const { editor } = useOpenRun();
  const { design } = editor;
  const { bands } = design.service;
  const catalog = useCatalog();
  const { sound } = usePreferences();
  const { sight, swept } = useMemo(() => {
    const found = rehearsalSight({ ...hands, design, catalog, seed });
    return { sight: found, swept: predictSweep(design, catalog, '', hands.far, found.frequencyHz) };
  }, [hands, design, catalog, seed]);
  const { frequencyHz, s11, ohm } = sight;
  const measuredDb = magnitudes(s11).map(returnLossDb);
  const predictedDb = magnitudes(swept.s11).map(returnLossDb);
  return (
    <>
      <p className="mt-3 text-lg">
        Ohm-meter, pin to shell at the radio’s end:{' '}
        <strong className="figures" role="status">
          {formatResistance(ohm)}
        </strong>{' '}
        {sound && (
          <button className="button ml-2" onClick={() => soundResistance(ohm)}>
            Play its tone
          </button>
        )}
      </p>
      <EchoView frequencyHz={frequencyHz} s11={s11} swept={swept} bands={bands} />
      <div className="mt-4">
        <FrequencyChart
          title="Return loss, measured over predicted"
          summary={`Measured at least ${formatDecibels(Math.min(...measuredDb))}, predicted ${formatDecibels(Math.min(...predictedDb))}.`}
          unit="dB"
          frequencyHz={frequencyHz}
          series={[
            { name: 'predicted', values: predictedDb, tone: 'ink', dashed: true },
            { name: 'measured', values: measuredDb, tone: 'lake' },
          ]}
          bands={bands}
          height={190}
          format={formatDecibels}
          most={50}
        />
      </div>
    </>
  );
}

/** The score by kind of fault. */
function ByFault({
  score,
  onForget,
}: {
  score: ReturnType<typeof useDrillScore>[0];
  onForget: () => void;
}): ReactNode {
  const rows = causes.flatMap(({ id, name }) => (id in score ? [{ id, name, ...score[id] }] : []));
  if (rows.length === 0) return null;
  return (
    <section className="mt-6" aria-labelledby="by-fault">
      <h2 id="by-fault" className="text-lg font-bold">
        Found so far, by kind of fault
      </h2>
      <table className="mt-1">
        <thead>
          <tr className="text-left text-sm text-muted">
            <th className="pr-8 font-normal">Fault</th>
            <th className="pr-8 font-normal">Found</th>
            <th className="font-normal">Last time</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ id, name, asked, missed, last }) => (
            <tr key={id}>
              <td className="pr-8">{name}</td>
              <td className="figures pr-8">
                {asked - missed} of {asked}
              </td>
              <td className={last === 'missed' ? 'text-stop' : 'text-lake'}>
                {last === 'missed' ? 'missed' : 'found'}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <button className="button mt-2" onClick={onForget}>
        Clear the score
      </button>
    </section>
  );
}

import {
  causeTests,
  causesOf,
  factsOf,
  lossIntoLoad,
  powerFinding,
  fail,
  nextTests,
  rankCauses,
  withPriors,
  parsePlainNumber,
  readingFindings,
  type Cause,
  type CausePrior,
  type Findings,
  type Measured,
  type Result,
  type TestId,
  lowerFirst,
} from '@kobran/core';
import { useState, type ReactNode } from 'react';
import { useOpenRun } from '../../store/RunContext.js';
import { useCatalog } from '../../store/Shop.js';
import { usePractice } from '../../store/usePractice.js';
import { Choice } from '../../ui/Choice.js';
import { QuantityField } from '../../ui/QuantityField.js';

const UNKNOWN = 'not looked at';
const testIds = Object.keys(causeTests) as TestId[];
const SHOWN = 4;

/** Nothing is ruled out: what is unlikely is below one in a hundred, never none. */
const percentOf = (probability: number): string =>
  probability < 0.01 ? 'under 1 %' : `${Math.round(probability * 100)} %`;

/** What is wrong? Causes ranked from everything seen so far, and the test which would separate them best. */
export function Causes({
  swept,
  measured,
  pending,
}: {
  swept: Findings;
  measured: Measured;
  /** Is a sweep still being read? Then nothing is judged. */
  pending: boolean;
}): ReactNode {
  const { sheet, facts, editor } = useOpenRun();
  const catalog = useCatalog();
  const [answers, setAnswers] = useState<Partial<Record<TestId, string>>>({});
  const steps = factsOf(facts, 'power step').map(({ power }) => power);
  const known: Findings = {
    ...readingFindings(sheet.proofs),
    ...(steps.length > 0
      ? powerFinding(steps, editor.design.service.powerW, lossIntoLoad(editor.design, catalog))
      : {}),
    ...swept,
  };
  const answered = Object.fromEntries(
    testIds.flatMap((test) => {
      const answer = answers[test] ?? known[test];
      return answer === undefined || answer === UNKNOWN ? [] : [[test, answer]];
    }),
  ) as Findings;
  const [practice, setPractice] = usePractice();
  const ours = practice.causePriors ?? [];
  const model = withPriors(ours);
  // What was measured can have some of them only: a bare assembly accuses neither antenna nor arrester.
  const possible = causesOf(measured, model);
  const ranked = rankCauses(answered, possible);
  const [next] = nextTests(answered, possible) as ReturnType<typeof nextTests> | [undefined];
  const any = Object.keys(answered).length > 0;
  const [likeliest] = ranked;
  return (
    <section className="mt-8" aria-labelledby="causes">
      <h2 id="causes" className="text-lg font-bold">
        {pending
          ? 'Reading the sweep: no verdict yet'
          : any
            ? `Most likely: ${lowerFirst(likeliest.cause.name)}`
            : 'What is wrong?'}
      </h2>
      <p className="max-w-3xl text-muted">
        Say what you have seen; readings and the sweep above are filled in.{' '}
        {!pending && next && next.settlesBits > 0.01
          ? `The next test to take: ${causeTests[next.test].name.toLowerCase()}. ${causeTests[next.test].how}`
          : pending
            ? ''
            : 'No further test would separate these causes.'}
      </p>
      <div className="mt-3 grid gap-x-8 gap-y-4 lg:grid-cols-2">
        <div className="grid content-start gap-3 sm:grid-cols-2">
          {testIds.map((test) => (
            <Choice
              key={test}
              label={causeTests[test].name}
              value={answered[test] ?? UNKNOWN}
              options={[UNKNOWN, ...causeTests[test].answers].map((value) => ({ value, label: value }))}
              onChange={(to) => setAnswers({ ...answers, [test]: to })}
            />
          ))}
        </div>
        <ol className="content-start" aria-label="Causes, most likely first">
          {(pending ? [] : ranked.slice(0, SHOWN)).map(({ cause, probability }) => (
            <li key={cause.id} className="border-b border-rule py-2">
              <p className="flex items-baseline justify-between gap-4">
                <strong>{cause.name}</strong>
                <span className="figures">{percentOf(probability)}</span>
              </p>
              <div className="h-1.5 bg-rule" aria-hidden="true">
                <div className="h-1.5 bg-ink" style={{ width: `${(probability * 100).toFixed(1)}%` }} />
              </div>
              <p className="mt-1 text-sm text-muted">{cause.remedy}</p>
            </li>
          ))}
        </ol>
      </div>
      <Priors known={model} ours={ours} onChange={(causePriors) => setPractice({ causePriors })} />
    </section>
  );
}

/** How common each cause is in this shop: what the ranking starts from. */
function Priors({
  known,
  ours,
  onChange,
}: {
  known: readonly Cause[];
  ours: readonly CausePrior[];
  onChange: (priors: CausePrior[]) => void;
}): ReactNode {
  return (
    <details className="mt-4">
      <summary className="cursor-pointer text-muted">How common each is here</summary>
      <p className="mt-1 max-w-3xl text-sm text-muted">
        The ranking starts from these shares and multiplies them by how often each test answers as it did when
        the cause is there (Bayes’ rule; the tables are practice, not measured). Change a share and the others
        keep their proportion.
      </p>
      <div className="mt-2 grid gap-3 sm:grid-cols-3 lg:grid-cols-4">
        {known.map(({ id, name, prior }) => (
          <QuantityField
            key={id}
            label={name}
            value={prior * 100}
            format={(share) => `${Number(share.toFixed(1))} %`}
            parse={(text) => parseShare(text)}
            onChange={(share) =>
              onChange(
                known.map((one) => ({ cause: one.id, share: one.id === id ? share / 100 : one.prior })),
              )
            }
          />
        ))}
      </div>
      {ours.length > 0 && (
        <button className="button mt-3" onClick={() => onChange([])}>
          As everywhere
        </button>
      )}
    </details>
  );
}

function parseShare(text: string): Result<number> {
  const read = parsePlainNumber(text.replace(/\s*%\s*$/, ''), 'share');
  if (!read.ok) return read;
  return read.value >= 0 && read.value <= 100
    ? read
    : fail('share.range', 'A share is from 0 to 100 %.', 'field', 'Type it like 12.');
}

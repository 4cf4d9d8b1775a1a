import {
  acrossMm,
  assemblyDrills,
  catalog,
  faceInFull,
  faceOf,
  nextAssembly,
  nextDrill,
  scored,
  seriesOf,
  variantOf,
  type AssemblyDrill,
  type AssemblyQuestion,
  type DrillQuestion,
  type DrillScore,
  type Face,
  type UnitSystem,
} from '@kobran/core';
import { useEffect, useState, type ReactNode } from 'react';
import { FaceDrawing, JointDrawing } from '../../drawing/faces/FaceDrawing.js';
import { FaceFront } from '../../drawing/faces/FaceFront.js';
import { usePreferences } from '../../ui/Preferences.js';
import { Chips } from '../../ui/Choice.js';
import { TopBar } from '../../frame/TopBar.js';
import { useKeys } from '../../ui/useKeys.js';
import { AssemblyExercise } from './AssemblyExercise.js';
import { Options } from './Options.js';

const KEY = 'kobran.drill';
const DRILL_MINUTES = 10;

function kept(): DrillScore {
  try {
    return JSON.parse(localStorage.getItem(KEY) ?? '{}') as DrillScore;
  } catch {
    return {}; // Somebody else’s text under our key: start afresh.
  }
}

const freshSeed = (): number => crypto.getRandomValues(new Uint32Array(1))[0] & 0x7fffffff;

type Kind = DrillQuestion['kind'] | AssemblyDrill;
type Question = DrillQuestion | AssemblyQuestion;

const drills: [Kind, string][] = [
  ['face', 'Know the face'],
  ['verdict', 'Does it mate?'],
  ['order', 'Parts in order'],
  ['strip', 'Strip lengths'],
  ['fault', 'Spot the fault'],
];

const isAssembly = (kind: Kind): kind is AssemblyDrill => assemblyDrills.some((one) => one === kind);

const nextOf = (kind: Kind, score: DrillScore, units: UnitSystem): Question =>
  isAssembly(kind) ? nextAssembly(kind, score, freshSeed(), units) : nextDrill(kind, score, freshSeed());

const rightAnswer = (question: Question): string => {
  if (question.kind === 'order')
    return question.right
      .split('>')
      .map((id) => question.card.train.find((item) => item.id === id)?.name ?? id)
      .join(', ');
  return question.options.find(({ id }) => id === question.right)?.text ?? question.right;
};

/** Ten-minute drills on faces, verdicts and assembling, made from catalogue and recipes; what was missed comes back. */
export function TrainScreen(): ReactNode {
  const { units } = usePreferences();
  const [kind, setKind] = useState<Kind>('face');
  const [score, setScore] = useState(kept);
  const [question, setQuestion] = useState<Question>(() => nextOf('face', kept(), units));
  const [answer, setAnswer] = useState<string>();
  const [session, setSession] = useState({ right: 0, asked: 0 });
  const [startedAt, setStartedAt] = useState<number>();
  const left = useMinutesLeft(startedAt);
  useEffect(() => localStorage.setItem(KEY, JSON.stringify(score)), [score]);
  useEffect(() => {
    document.title = 'Trainer – Kobran';
  }, []);
  const next = (of = kind): void => {
    setAnswer(undefined);
    setQuestion(nextOf(of, score, units));
  };
  const give = (id: string): void => {
    if (answer !== undefined) return;
    setAnswer(id);
    setStartedAt((known) => known ?? Date.now());
    setScore((now) => scored(now, question, id));
    setSession((now) => ({
      asked: now.asked + 1,
      right: now.right + Number(id === question.right),
    }));
  };
  useKeys(
    '1, 2, 3, 4, 5',
    (_, { keys }) => {
      const option = question.options.at(Number(keys?.at(0)) - 1);
      if (option && question.options.length > 0) give(option.id);
      // The choice of the drill has the focus at first; a digit means nothing to it.
    },
    { enableOnFormTags: ['input'] },
  );
  useKeys('space, enter', () => answer !== undefined && next(), { preventDefault: true });
  return (
    <div className="min-h-screen">
      <TopBar crumbs={[{ label: 'Board', to: '/' }, { label: 'Trainer' }]} />
      <main className="mx-auto max-w-4xl px-4 py-4">
        <div className="flex flex-wrap items-baseline gap-x-6 gap-y-2">
          <h1 className="text-xl font-bold">Trainer</h1>
          <Chips
            legend="Drill"
            value={kind}
            options={drills}
            onChange={(to) => {
              setKind(to);
              next(to);
            }}
          />
          <p className="figures text-muted" role="status">
            {session.asked === 0
              ? 'Ten minutes, as many as you like'
              : `${session.right} of ${session.asked} right, ${left > 0 ? `${left} min left` : 'ten minutes are over, well done'}`}
          </p>
        </div>
        {'card' in question ? (
          <AssemblyExercise question={question} answer={answer} onAnswer={give} />
        ) : (
          <FaceQuestion question={question} answer={answer} onAnswer={give} />
        )}
        {answer !== undefined && (
          <section aria-live="polite" className="mt-4 border-t-2 border-ink pt-3">
            <p className={`text-lg font-bold ${answer === question.right ? 'text-lake' : 'text-stop'}`}>
              {answer === question.right ? 'Right.' : `No: ${rightAnswer(question)}.`}
            </p>
            <p className="mt-1 max-w-2xl">
              {typeof question.reason === 'string' ? question.reason : question.reason(answer)}
            </p>
            {question.kind === 'verdict' && (
              <p className="text-muted">
                {question.faces.map((code) => faceInFull(faceOf(code))).join(' on ')}
              </p>
            )}
            <button className="button button-primary mt-3 min-h-11" onClick={() => next()} autoFocus>
              Next
              <kbd className="key border-on-ink text-on-ink">Space</kbd>
            </button>
          </section>
        )}
        <Missed score={score} onForget={() => setScore({})} />
      </main>
    </div>
  );
}

/** Minutes of the drill that are left since its first answer. */
function useMinutesLeft(startedAt: number | undefined): number {
  const [now, setNow] = useState(0);
  useEffect(() => {
    if (startedAt === undefined) return undefined;
    const timer = setInterval(() => setNow(Date.now()), 10_000);
    return () => clearInterval(timer);
  }, [startedAt]);
  if (startedAt === undefined) return DRILL_MINUTES;
  const passedMinutes = Math.max(0, now - startedAt) / 60_000;
  return Math.max(0, Math.ceil(DRILL_MINUTES - passedMinutes));
}

function FaceQuestion({
  question: { kind, faces, question, options, right },
  answer,
  onAnswer,
}: {
  question: DrillQuestion;
  answer: string | undefined;
  onAnswer: (id: string) => void;
}): ReactNode {
  const [first, second] = faces.map(faceOf);
  /** As much as the drawing shows, without the name. */
  const faceText = (face: Face): string =>
    `${acrossMm(face)} mm across, ${face.body === 'plug' ? 'with a ring or nut' : 'without a nut'}, coupling over ${seriesOf(face).threadMm} mm by ${seriesOf(face).coupling}; in the centre a ${face.contact} of ${variantOf(face).pinMm} mm.`;
  return (
    <section className="mt-4 grid gap-6 md:grid-cols-2">
      <div className="flex flex-col items-center justify-center gap-2 rounded border border-rule bg-paper p-3">
        {kind === 'face' ? (
          <>
            <FaceFront face={first} size={220} label={faceText(first)} />
            <FaceDrawing face={first} width={300} height={110} unnamed />
          </>
        ) : (
          <>
            <div className="flex gap-4">
              <FaceFront
                face={first}
                size={150}
                label={answer === undefined ? `Left face: ${faceText(first)}` : undefined}
              />
              <FaceFront
                face={second}
                size={150}
                label={answer === undefined ? `Right face: ${faceText(second)}` : undefined}
              />
            </div>
            <JointDrawing left={first} right={second} width={320} height={120} />
          </>
        )}
      </div>
      <div>
        <h2 className="text-lg font-bold">{question}</h2>
        <div className="mt-3">
          <Options options={options} right={right} answer={answer} onAnswer={onAnswer} />
        </div>
      </div>
    </section>
  );
}

function Missed({ score, onForget }: { score: DrillScore; onForget: () => void }): ReactNode {
  const missed = Object.entries(score).filter(([, { last }]) => last === 'missed');
  const asked = Object.values(score).reduce((sum, one) => sum + one.asked, 0);
  if (asked === 0) return null;
  const itemText = (id: string): string => {
    const [kind, about] = id.split(':');
    if (isAssembly(kind as Kind)) {
      const [part, cable] = about.split('|');
      const drill = drills.find(([one]) => one === kind)?.[1] ?? kind;
      return `${drill}: ${catalog.parts.get(part)?.name ?? part}, on ${catalog.cables.get(cable)?.name ?? cable}`;
    }
    const names = about.split('|').map((code) => faceInFull(faceOf(code)));
    return kind === 'face' ? names[0] : names.join(' on ');
  };
  return (
    <details className="mt-6">
      <summary className="cursor-pointer text-muted">
        {asked} answered in all, {missed.length} to learn yet
      </summary>
      <ul className="mt-2 list-disc pl-5">
        {missed.map(([id]) => (
          <li key={id}>{itemText(id)}</li>
        ))}
      </ul>
      <button className="button mt-2" onClick={onForget}>
        Forget the score
      </button>
    </details>
  );
}

import {
  allSubjects,
  defaultPractice,
  drillKinds,
  drillsOf,
  faceInFull,
  faceOf,
  nextQuestion,
  ownSubjects,
  scored,
  type Catalog,
  type DrillKind,
  type DrillScore,
  type DrillSetting,
} from '@kobran/core';
import { useEffect, useMemo, useState, type ReactNode } from 'react';
import { usePreferences } from '../../ui/Preferences.js';
import { Chips } from '../../ui/Choice.js';
import { TopBar } from '../../frame/TopBar.js';
import { useCatalog } from '../../store/Shop.js';
import { freshSeed, useDrillScore } from '../../store/useDrillScore.js';
import { useShopPractice } from '../../store/usePractice.js';
import { useKeys } from '../../ui/useKeys.js';
import { AssemblyExercise } from './AssemblyExercise.js';
import { FaceExercise } from './FaceExercise.js';
import { Options } from './Options.js';

const KEY = 'kobran.drill';
const DRILL_MINUTES = 10;

type Asked = ReturnType<typeof nextQuestion>;

const drillNames: Record<DrillKind, string> = {
  face: 'Name the connector',
  verdict: 'Does it mate?',
  order: 'Parts in order',
  strip: 'Strip lengths',
  fault: 'Spot the fault',
  blade: 'Blade depth',
  reading: 'Meter readings',
  seal: 'Weatherproofing',
};

const rightAnswer = (question: Asked): string => {
  if ('card' in question && question.kind === 'order')
    return question.right
      .split('>')
      .map((id) => question.card.train.find((item) => item.id === id)?.name ?? id)
      .join(', ');
  return question.options.find(({ id }) => id === question.right)?.text ?? question.right;
};

/** What is asked about: what this shop works with, or everything in the catalogue. */
type Source = 'ours' | 'all';

function useSetting(source: Source): DrillSetting & { hasOwn: boolean } {
  const { units: system } = usePreferences();
  const catalog = useCatalog();
  const [practice = defaultPractice] = useShopPractice();
  return useMemo(() => {
    const own = ownSubjects(catalog);
    const subjects = source === 'ours' && own ? own : allSubjects(catalog);
    return { subjects, catalog, practice, system, hasOwn: own !== undefined };
  }, [catalog, practice, system, source]);
}

/** Ten-minute drills made from catalogue, recipes and rules; what was missed comes back. */
export function TrainScreen(): ReactNode {
  const [source, setSource] = useState<Source>('ours');
  const setting = useSetting(source);
  const drills = drillsOf(setting.subjects);
  const [kind, setKind] = useState<DrillKind>('face');
  const [score, setScore] = useDrillScore(KEY);
  const [seed, setSeed] = useState(freshSeed);
  // What is asked stays while it is answered: the score it was drawn from is that of its own beginning.
  const [drawnFrom, setDrawnFrom] = useState(score);
  const question = useMemo(
    () => nextQuestion(kind, setting, drawnFrom, seed),
    [kind, setting, drawnFrom, seed],
  );
  const [answer, setAnswer] = useState<string>();
  const [session, setSession] = useState({ right: 0, asked: 0 });
  const [startedAt, setStartedAt] = useState<number>();
  const left = useMinutesLeft(startedAt);
  useEffect(() => {
    document.title = 'Trainer – Kobran';
  }, []);
  const next = (of = kind): void => {
    setAnswer(undefined);
    setKind(of);
    setDrawnFrom(score);
    setSeed(freshSeed());
  };
  const from = (to: Source): void => {
    setSource(to);
    next(drillKinds[0]);
  };
  const give = (id: string): void => {
    if (answer !== undefined) return;
    setAnswer(id);
    setStartedAt((known) => known ?? Date.now());
    setScore(scored(score, question, id));
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
            options={drills.map((one) => [one, drillNames[one]])}
            onChange={next}
          />
          {setting.hasOwn && (
            <Chips
              legend="About"
              value={source}
              options={[
                ['ours', 'What we work with'],
                ['all', 'The whole catalogue'],
              ]}
              onChange={from}
            />
          )}
          <p className="figures text-muted" role="status">
            {session.asked === 0
              ? 'Ten minutes, as many as you like'
              : `${session.right} of ${session.asked} right, ${left > 0 ? `${left} min left` : 'ten minutes are over, well done'}`}
          </p>
        </div>
        <Exercise question={question} answer={answer} onAnswer={give} />
        {answer !== undefined && (
          <section aria-live="polite" className="mt-4 border-t-2 border-ink pt-3">
            <p className={`text-lg font-bold ${answer === question.right ? 'text-lake' : 'text-stop'}`}>
              {answer === question.right ? 'Right.' : `No: ${rightAnswer(question)}.`}
            </p>
            <p className="mt-1 max-w-2xl">{question.reason(answer)}</p>
            {'faces' in question && question.kind === 'verdict' && (
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
        <MissedQuestions score={score} onForget={() => setScore({})} />
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

function Exercise({
  question,
  ...rest
}: {
  question: Asked;
  answer: string | undefined;
  onAnswer: (id: string) => void;
}): ReactNode {
  if ('card' in question) return <AssemblyExercise question={question} {...rest} />;
  if ('faces' in question) return <FaceExercise question={question} {...rest} />;
  return (
    <section className="mt-4">
      <h2 className="max-w-2xl text-lg font-bold">{question.question}</h2>
      <div className="mt-3 max-w-2xl">
        <Options options={question.options} right={question.right} {...rest} />
      </div>
    </section>
  );
}

/** What an id is about, in words. */
function itemText(id: string, { parts, cables }: Catalog): string {
  const [kind, about] = id.split(':');
  const names = about.split('|').map((one) => parts.get(one)?.name ?? cables.get(one)?.name ?? one);
  const drill = drillNames[kind as DrillKind];
  if (kind === 'face' || kind === 'verdict')
    return `${drill}: ${about
      .split('|')
      .map((code) => faceInFull(faceOf(code)))
      .join(' on ')}`;
  return `${drill}: ${names.join(', ')}`;
}

function MissedQuestions({ score, onForget }: { score: DrillScore; onForget: () => void }): ReactNode {
  const catalog = useCatalog();
  const missed = Object.entries(score).filter(([, { last }]) => last === 'missed');
  const asked = Object.values(score).reduce((sum, one) => sum + one.asked, 0);
  if (asked === 0) return null;
  return (
    <details className="mt-6">
      <summary className="cursor-pointer text-muted">
        {asked} answered in all, {missed.length} to learn yet
      </summary>
      <ul className="mt-2 list-disc pl-5">
        {missed.map(([id]) => (
          <li key={id}>{itemText(id, catalog)}</li>
        ))}
      </ul>
      <button className="button mt-2" onClick={onForget}>
        Clear the score
      </button>
    </details>
  );
}

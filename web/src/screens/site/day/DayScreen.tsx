import type { JobDocument } from '@kobran/contract';
import {
  dayAfter,
  formatClock,
  MAX_DAYS,
  workOf,
  type DaySetup,
  type FixedTask,
  type Schedule,
  type Site,
} from '@kobran/core';
import { useEffect, useState, type ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import type { PlanSearch } from '../../../background/useDayPlan.js';
import { SaveNotice } from '../../../frame/SaveNotice.js';
import { TopBar } from '../../../frame/TopBar.js';
import { messageOf } from '../../../store/client.js';
import type { Versioned } from '../../../store/documentEditor.js';
import { useJob } from '../../../store/queries.js';
import { useSiteDraft, useSiteEditor } from '../../../store/useSiteEditor.js';
import { Chips } from '../../../ui/Choice.js';
import { Message } from '../../../ui/Message.js';
import { useAddress } from '../../../ui/useAddress.js';
import { useKeys } from '../../../ui/useKeys.js';
import { SiteTabs } from '../SiteTabs.js';
import { DayBars } from './DayBars.js';
import { DayCrew } from './DayCrew.js';
import { DayList } from './DayList.js';
import { TaskInspector } from './TaskInspector.js';
import { useDay } from './useDay.js';

/** Who does what until when on a site, what decides the end, and what does not go into the day. */
export function DayScreen(): ReactNode {
  const { jobId = '' } = useParams();
  const { data: job, error } = useJob(jobId);
  const draft = useSiteDraft(jobId);
  useEffect(() => {
    document.title = 'Day – Kobran';
  }, []);
  if (job && draft) return <DayOf key={job.id} job={job} draft={draft.draft} />;
  return error ? (
    <Message title={messageOf(error)} action={{ label: 'Go to the board', to: '/' }} />
  ) : (
    <Message title="Opening the site…" />
  );
}

function DayOf({ job, draft }: { job: JobDocument; draft: Versioned<Site> | undefined }): ReactNode {
  const editor = useSiteEditor(job, draft);
  const { document: site, change } = editor;
  const [address, setAddress] = useAddress();
  const { n, days, tasks, setup, plan, search, stopSearch } = useDay(
    job,
    site,
    Number(address.get('day') ?? 1) - 1,
  );
  const put = (to: DaySetup): void =>
    change([{ op: 'set days', days: mapDays(days, (one, k) => (k === n ? to : one)) }]);
  const [selected, select] = useState<string>();
  useKeys('mod+z', () => editor.undo?.(), { preventDefault: true });
  useKeys('mod+shift+z, mod+y', () => editor.redo?.(), { preventDefault: true });
  useKeys('escape', () => select(undefined));
  const fix = (task: string, to: Omit<FixedTask, 'task'> | undefined): void => {
    const others = setup.fixed.filter((one) => one.task !== task);
    put({ ...setup, fixed: to ? [...others, { task, ...to }] : others });
  };
  const one = plan.placed.find(({ task }) => task.id === selected);
  return (
    <div className="min-h-screen">
      <TopBar crumbs={[{ label: job.name, to: `/?job=${job.id}` }, { label: 'Day' }]} editor={editor} />
      <SaveNotice what="site" editor={editor} />
      <main className="mx-auto max-w-7xl px-4 py-4 md:px-6">
        <SiteTabs jobId={job.id} />
        <Days
          days={days}
          n={n}
          isLeft={plan.left.length > 0}
          onOpen={(k) => setAddress({ day: k === 0 ? undefined : String(k + 1) })}
          onChange={(to) => change([{ op: 'set days', days: to }])}
        />
        <h1 className="text-xl leading-tight font-bold">{headline(plan, n)}</h1>
        <div className="mt-1 flex flex-wrap items-center gap-x-3">
          <p className="text-muted" role="status">
            {quality(plan)} {searchWords[search]}
          </p>
          {search !== 'over' && (
            <button className="underline underline-offset-4" onClick={stopSearch}>
              Stop looking
            </button>
          )}
        </div>
        {tasks.length > 0 && (
          <>
            <DayBars plan={plan} setup={setup} selected={selected} onSelect={select} onFix={fix} />
            <p className="mt-2 flex flex-wrap gap-x-5 gap-y-1">
              {setup.people.map(({ name }) => (
                <Link
                  key={name}
                  className="underline underline-offset-4"
                  to={`/jobs/${job.id}/day/${encodeURIComponent(name)}${n === 0 ? '' : `?day=${n + 1}`}`}
                >
                  Day sheet of {name}
                </Link>
              ))}
            </p>
            {one && (
              <TaskInspector
                one={one}
                plan={plan}
                setup={setup}
                jobId={job.id}
                onFix={fix}
                onClose={() => select(undefined)}
              />
            )}
          </>
        )}
        <DayCrew setup={setup} onChange={put} />
        <DayList plan={plan} selected={selected} onSelect={select} />
      </main>
    </div>
  );
}

type SomeDays = [DaySetup, ...DaySetup[]];

const mapDays = (
  [first, ...rest]: readonly [DaySetup, ...DaySetup[]],
  to: (day: DaySetup, k: number) => DaySetup,
): SomeDays => [to(first, 0), ...rest.map((day, k) => to(day, k + 1))];

/** The days which are planned, one after the other: what does not go into one goes into the next. */
function Days({
  days,
  n,
  isLeft,
  onOpen,
  onChange,
}: {
  days: readonly [DaySetup, ...DaySetup[]];
  n: number;
  /** Does something not go into the day that is shown? */
  isLeft: boolean;
  onOpen: (n: number) => void;
  onChange: (days: SomeDays) => void;
}): ReactNode {
  const [first, ...later] = days;
  const isLast = n === days.length - 1;
  const without = ([one, ...rest]: DaySetup[]): void => {
    // Whoever takes a day away looks at the one before.
    onOpen(Math.max(0, n - 1));
    onChange([one, ...rest]);
  };
  if (days.length === 1 && !isLeft) return null;
  return (
    <div className="mb-2 flex flex-wrap items-center gap-3">
      {/* Alone it keeps its place, so that a second click of an impatient hand meets the new day. */}
      <Chips
        legend="Day"
        value={String(n)}
        options={days.map((_, k) => [String(k), `Day ${k + 1}`] as const)}
        onChange={(k) => onOpen(Number(k))}
      />
      {isLeft && isLast && days.length < MAX_DAYS && (
        <button
          className="button"
          onClick={() => {
            onChange([first, ...later, dayAfter(days[n])]);
            onOpen(days.length);
          }}
        >
          Plan another day
        </button>
      )}
      {n > 0 && (
        <>
          {n === 1 && (
            <button className="button" onClick={() => without(days.slice(1))}>
              Day 1 is over
            </button>
          )}
          {isLast && (
            <button className="button" onClick={() => without(days.slice(0, -1))}>
              Without day {n + 1}
            </button>
          )}
        </>
      )}
    </div>
  );
}

function headline({ placed, left, endMin }: Schedule, n: number): string {
  const day = n === 0 ? '' : `Day ${n + 1}: `;
  if (placed.length + left.length === 0)
    return n === 0 ? 'Nothing is left to do on this site' : `${day}nothing is left for it`;
  if (placed.length === 0) return n === 0 ? 'Nothing can be done today' : `${day}nothing can be done`;
  const hands = new Set(placed.flatMap(({ people }) => people)).size;
  const by = `${placed.length} ${placed.length === 1 ? 'task' : 'tasks'} by ${formatClock(endMin)} with ${hands} ${hands === 1 ? 'person' : 'people'}`;
  return left.length === 0
    ? `${n === 0 ? 'All done: ' : `${day}all done, `}${by}`
    : `${day}${by}; ${left.length} left for another day`;
}

const searchWords: Record<PlanSearch, string> = {
  searching: 'Looking for a better plan…',
  proving: 'Looking for proof, or a better plan: up to 20 s…',
  over: '',
};

/** How good the plan is, in words. */
function quality(plan: Schedule): string {
  const { placed, left, endMin, boundMin, proved, workBoundMin } = plan;
  if (placed.length === 0) return '';
  if (left.length > 0) {
    if (proved) return 'No more work goes into this day with this crew: proved.';
    return workBoundMin === undefined
      ? 'As much work as was found to fit into the day.'
      : `${formatHours(workOf(plan))} of work; no plan holds more than ${formatHours(workBoundMin)}.`;
  }
  if (proved) return 'Nobody can end earlier with this crew: proved.';
  return `Nobody can end before ${formatClock(boundMin)} with this crew; this plan is at most ${endMin - boundMin} min longer.`;
}

const formatHours = (minutes: number): string => `${Math.floor(minutes / 60)} h ${minutes % 60} min`;

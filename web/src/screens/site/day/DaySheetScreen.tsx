import type { JobDocument } from '@kobran/contract';
import {
  beginningOf,
  begunAt,
  cautionsOf,
  endingOf,
  tookMinutes,
  doneKey,
  emptySite,
  formatClock,
  noFacts,
  placeName,
  type Facts,
  type PlacedTask,
  type Site,
} from '@kobran/core';
import { Printer } from 'lucide-react';
import { useEffect, useState, type ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import { messageOf } from '../../../store/client.js';
import { useFactWriter } from '../../../store/Device.js';
import { useJob } from '../../../store/queries.js';
import { useSiteDraft } from '../../../store/useSiteEditor.js';
import { LoggedPhotos } from '../../../frame/RunPhotos.js';
import { TopBar } from '../../../frame/TopBar.js';
import { now, sayTime } from '../../../ui/dates.js';
import { Message } from '../../../ui/Message.js';
import { useAddress } from '../../../ui/useAddress.js';
import { Caution } from '../../../ui/StagePage.js';
import { usePreferences } from '../../../ui/Preferences.js';
import { partsText } from './partsText.js';
import { useDay } from './useDay.js';

/** One person’s day, on the phone and on paper; what is ticked is in the log. */
export function DaySheetScreen(): ReactNode {
  const { jobId = '', person = '' } = useParams();
  const { data: job, error } = useJob(jobId);
  const draft = useSiteDraft(jobId);
  useEffect(() => {
    document.title = `Day of ${person} – Kobran`;
  }, [person]);
  if (job && draft)
    return <SheetOf job={job} site={draft.draft?.document ?? job.place?.site ?? emptySite} person={person} />;
  return error ? (
    <Message title={messageOf(error)} action={{ label: 'Go to the board', to: '/' }} />
  ) : (
    <Message title="Opening the site…" />
  );
}

function SheetOf({ job, site, person }: { job: JobDocument; site: Site; person: string }): ReactNode {
  const [address] = useAddress();
  const { n, plan, setup, facts } = useDay(job, site, Number(address.get('day') ?? 1) - 1);
  const own = plan.placed.filter(({ people }) => people.includes(person));
  const back = { label: 'Back to the day', to: `/jobs/${job.id}/day${n === 0 ? '' : `?day=${n + 1}`}` };
  if (!setup.people.some(({ name }) => name === person))
    return (
      <Message
        title={`${person} is not in the crew of ${n === 0 ? 'today' : `day ${n + 1}`}`}
        action={back}
      />
    );
  return (
    <div className="min-h-screen">
      <div className="print:hidden">
        <TopBar
          crumbs={[
            { label: job.name, to: `/?job=${job.id}` },
            { label: 'Day', to: back.to },
            { label: person },
          ]}
        />
      </div>
      <main className="mx-auto max-w-3xl px-4 py-4">
        <div className="flex flex-wrap items-center justify-between gap-2">
          <h1 className="text-xl font-bold">
            {person}
            {n === 0 ? '' : `, day ${n + 1}`}:{' '}
            {own.length === 0
              ? 'nothing to do'
              : `${own.length} ${own.length === 1 ? 'task' : 'tasks'}, ${formatClock(own[0].startMin)} to ${formatClock(own[own.length - 1].endMin)}`}
          </h1>
          <button className="button print:hidden" onClick={() => print()}>
            <Printer size={16} aria-hidden /> Print
          </button>
        </div>
        <p className="text-muted">
          {job.name}. Early or late, the rest is planned again when something is ticked.
        </p>
        <ol className="mt-3">
          {own.map((one) => (
            <TaskRow
              key={one.task.id}
              one={one}
              jobId={job.id}
              person={person}
              cautions={cautionsOf(one.task, plan.open)}
              facts={facts.get(one.task.runId ?? '') ?? noFacts}
            />
          ))}
        </ol>
      </main>
    </div>
  );
}

function TaskRow({
  one: { task, startMin, endMin, people },
  jobId,
  person,
  cautions,
  facts,
}: {
  one: PlacedTask;
  jobId: string;
  person: string;
  cautions: readonly string[];
  facts: Facts;
}): ReactNode {
  const { units } = usePreferences();
  const others = people.filter((name) => name !== person);
  return (
    <li className="grid grid-cols-[4.5rem_minmax(0,1fr)] gap-x-3 border-b border-rule py-3">
      <span className="figures font-bold">
        {formatClock(startMin)}
        <span className="block text-sm font-normal text-muted">{formatClock(endMin)}</span>
      </span>
      <div>
        <p className="text-lg leading-tight font-bold">{task.title}</p>
        <p className="text-muted">
          {[
            task.whose,
            placeName[task.place],
            task.gear.join('; '),
            task.lowestC === undefined ? '' : `${task.lowestC} °C or warmer`,
            others.length > 0 ? `with ${others.join(', ')}` : '',
          ]
            .filter(Boolean)
            .join('; ')}
        </p>
        {task.parts.length > 0 && <p>Take {partsText(task.parts, units)}.</p>}
        {cautions.map((text) => (
          <Caution key={text}>{text}</Caution>
        ))}
        <div className="mt-2 flex flex-wrap gap-3 print:hidden">
          {task.opens && (
            <Link
              className="button button-primary min-h-11"
              to={task.runId ? `/runs/${task.runId}/${task.opens}` : `/jobs/${jobId}/${task.opens}`}
            >
              {task.kind === 'make' || task.kind === 'seal' ? 'Open the card' : 'Open where it is done'}
            </Link>
          )}
          {task.runId !== undefined && <Done task={task} runId={task.runId} facts={facts} />}
          {task.runId !== undefined && (
            <LoggedPhotos
              runId={task.runId}
              jobId={jobId}
              facts={facts}
              about={doneKey(task)}
              of={`${task.title}, ${task.whose}`}
            />
          )}
        </div>
      </div>
    </li>
  );
}

/** Ticking writes the facts of the trade, and how long it took: from the beginning where somebody said so, or as it is typed. */
function Done({ task, runId, facts }: { task: PlacedTask['task']; runId: string; facts: Facts }): ReactNode {
  const writer = useFactWriter(runId);
  const [minutes, setMinutes] = useState('');
  const took = Number(minutes.replace(',', '.'));
  const isWrong = minutes.trim() !== '' && !(took > 0 && took <= 24 * 60);
  const key = doneKey(task);
  const begun = begunAt(facts, key);
  const done = (): void => {
    const timed = minutes.trim() !== '' ? took : begun && tookMinutes(begun.at, now());
    for (const entry of endingOf(task, timed)) writer.add(entry);
  };
  return (
    <>
      {begun ? (
        <p className="flex min-h-11 items-center font-semibold text-lake">
          Begun {sayTime(begun.at)}
          {begun.by === '' ? '' : ` by ${begun.by}`}
        </p>
      ) : (
        <button className="button min-h-11" onClick={() => writer.add(beginningOf(task))}>
          Begin<span className="sr-only"> {task.title}</span>
        </button>
      )}
      {(!task.opens || task.fact) && (
        <>
          <button className="button min-h-11" disabled={isWrong} onClick={done}>
            Mark as done
          </button>
          <label className="flex items-center gap-2 text-sm text-muted">
            took
            <input
              className="field w-20"
              inputMode="decimal"
              aria-label={`Minutes which ${task.title} took`}
              aria-invalid={isWrong}
              value={minutes}
              placeholder={begun ? 'timed' : String(task.minutes)}
              onChange={({ target }) => setMinutes(target.value)}
            />
            min
          </label>
          {isWrong && <span className="text-sm text-stop">Type minutes, up to 1440.</span>}
        </>
      )}
    </>
  );
}

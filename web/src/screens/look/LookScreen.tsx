import { pathOf, routes, type BoardRow, type Me } from '@kobran/contract';
import { formatLength, type RunSummary } from '@kobran/core';
import { useInfiniteQuery } from '@tanstack/react-query';
import { CalendarDays, FileDown } from 'lucide-react';
import { useEffect, type ReactNode } from 'react';
import { toast } from 'sonner';
import { MiniLine } from '../../drawing/ruler/MiniLine.js';
import { messageOf } from '../../store/client.js';
import { useMe, useSignOut } from '../../store/me.js';
import { boardPages } from '../../store/queries.js';
import { sayDay } from '../../ui/dates.js';
import { Message } from '../../ui/Message.js';
import { usePreferences } from '../../ui/Preferences.js';
import { StateMark, stateWords } from '../../ui/StateMark.js';

type Viewer = Extract<Me, { kind: 'viewer' }>;

/** What a customer sees of the one site of the link: how far it is, what is looked at again, and the papers. */
export function LookScreen(): ReactNode {
  const me = useMe();
  return me?.kind === 'viewer' && <Look me={me} />;
}

function Look({ me: { jobId, whom, until } }: { me: Viewer }): ReactNode {
  const { data, error, hasNextPage, fetchNextPage } = useInfiniteQuery(boardPages({ job: jobId }));
  const rows = data?.pages.flatMap((page) => page.rows) ?? [];
  const job = rows.at(0)?.job;
  useEffect(() => {
    document.title = job ? `${job.name} – Kobran` : 'Kobran';
  }, [job]);
  if (error) return <Message title={messageOf(error)} />;
  if (!data) return <Message title="One moment…" />;
  if (!job)
    return <Message title="This site is not here any more" detail="Ask those who sent you the link." />;
  return (
    <div className="min-h-screen">
      <header className="flex min-h-11 items-center gap-3 border-b border-rule px-4 py-1">
        <span className="text-lg font-bold tracking-tight">Kobran</span>
        <span className="min-w-0 flex-1 truncate text-muted">
          {whom}, until {sayDay(until)}
        </span>
        <Leave />
      </header>
      <main className="mx-auto max-w-4xl px-4 py-4">
        <h1 className="text-xl font-bold">{job.name}</h1>
        <p className="text-muted">{job.site}</p>
        <Papers jobId={jobId} />
        <section className="mt-6" aria-labelledby="runs">
          <h2 id="runs" className="text-lg font-bold">
            Runs
          </h2>
          <ul className="border-t border-rule">
            {rows.map(({ run }, k) =>
              run ? <Run key={run.id} run={run} /> : <li key={k}>There is no run yet.</li>,
            )}
          </ul>
          {hasNextPage && (
            <button className="button mt-3" onClick={() => void fetchNextPage()}>
              Show more
            </button>
          )}
        </section>
        <Looks rows={rows} />
      </main>
    </div>
  );
}

function Leave(): ReactNode {
  const signOut = useSignOut();
  return (
    <button
      className="button"
      onClick={() => void signOut().catch((error: unknown) => toast.error(messageOf(error)))}
    >
      Leave
    </button>
  );
}

function Papers({ jobId }: { jobId: string }): ReactNode {
  const { units } = usePreferences();
  return (
    <p className="mt-4 flex flex-wrap gap-3">
      <a
        className="button button-primary"
        href={pathOf(routes.printSite, { id: jobId, query: { units, copy: 'customer' } })}
        download
      >
        <FileDown size={18} aria-hidden /> As-built of the site, PDF
      </a>
      <a className="button" href={pathOf(routes.readCalendar, { id: jobId })} download>
        <CalendarDays size={18} aria-hidden /> Inspections for a calendar
      </a>
    </p>
  );
}

function Run({ run: { id, summary } }: { run: NonNullable<BoardRow['run']> }): ReactNode {
  const { units } = usePreferences();
  if (!summary)
    return <li className="border-b border-rule py-2.5">Nothing can be said of this run just now.</li>;
  const { name, line, stages } = summary;
  return (
    <li className="grid gap-x-6 gap-y-1 border-b border-rule py-2.5 sm:grid-cols-[minmax(0,1fr)_15rem]">
      <div className="min-w-0">
        <p className="flex flex-wrap items-baseline gap-x-3">
          <span className="font-bold">{name}</span>
          <span className="figures text-sm text-muted">{formatLength(line.totalM, { system: units })}</span>
        </p>
        <MiniLine sheet={line} />
      </div>
      <div>
        <ul className="flex gap-1.5" aria-label={`Stages of ${name}`}>
          {stages.map(({ id: stage, name: title, state }) => (
            <li key={stage} title={`${title}: ${stateWords[state]}`}>
              <StateMark state={state} />
              <span className="sr-only">
                {title}: {stateWords[state]}
              </span>
            </li>
          ))}
        </ul>
        <p>{progressOf(summary)}</p>
        <a
          className="underline underline-offset-4"
          href={pathOf(routes.printAsBuilt, { id, query: { units, copy: 'customer' } })}
          download
        >
          As-built, PDF<span className="sr-only"> of {name}</span>
        </a>
      </div>
    </li>
  );
}

/** How far it is, in the customer’s words. */
function progressOf({ stages }: RunSummary): string {
  const done = stages.filter(({ state }) => state === 'done').length;
  return done === stages.length ? 'Finished and handed over' : `${done} of ${stages.length} stages done`;
}

function Looks({ rows }: { rows: readonly BoardRow[] }): ReactNode {
  const due = rows
    .flatMap(({ run }) =>
      (run?.summary?.looks ?? []).map((look) => ({ ...look, runId: run?.id, run: run?.summary?.name })),
    )
    .toSorted((x, y) => x.due.localeCompare(y.due));
  return (
    <section className="mt-6" aria-labelledby="looks">
      <h2 id="looks" className="text-lg font-bold">
        Looked at again
      </h2>
      {due.length === 0 && <p className="text-muted">Nothing is due.</p>}
      <ul>
        {due.map(({ runId, jointId, what, due: at, run }) => (
          <li
            key={`${runId} ${jointId} ${what}`}
            className="grid gap-x-6 border-t border-rule py-1.5 sm:grid-cols-[10rem_minmax(0,1fr)_minmax(0,1fr)]"
          >
            <span>{sayDay(at)}</span>
            <span>{what}</span>
            <span className="text-muted">{run}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}

import { routes } from '@kobran/contract';
import { FilePlus2, Search } from 'lucide-react';
import { lazy, Suspense, useCallback, useEffect, useMemo, useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { call, messageOf, Unreachable } from '../../store/client.js';
import { useChange, useJobs } from '../../store/queries.js';
import { Message } from '../../ui/Message.js';
import { useNarrow } from '../../ui/useNarrow.js';
import { TopBar } from '../../frame/TopBar.js';
import { FileInput, FilePick } from '../../ui/FilePick.js';
import { BoardAnswer } from './BoardAnswer.js';
import { FilterButton } from './FilterButton.js';
import { BoardList } from './BoardList.js';
import { byJob, useBoard, useSettledWish, useShowOnly, useWanted } from './useBoard.js';
import { useImportJob } from './useImportJob.js';

const JOB_FILE = '.json,application/json,.zip,application/zip';

/** Beside the board, when it stands. */
const Inspections = lazy(() =>
  import('./Inspections.js').then((script) => ({ default: script.Inspections })),
);

/** Jobs and their runs as small lines to scale, each with its worst snag and its next action. */
export function Board(): ReactNode {
  const asked = useSettledWish();
  const { data, error, refetch, fetchNextPage, hasNextPage } = useBoard(asked);
  const narrow = useNarrow();
  const showOnly = useShowOnly();
  const bring = useImportJob(showOnly);
  useEffect(() => {
    document.title = 'Board – Kobran';
  }, []);
  const more = useCallback(() => void fetchNextPage(), [fetchNextPage]);
  const jobs = useMemo(() => byJob(data?.pages.flatMap(({ rows }) => rows) ?? []), [data]);
  if (error && !data) return <NoBoard error={error} onAgain={() => void refetch()} />;
  const isFiltered = Object.keys(asked).length > 0;
  return (
    <div className="min-h-screen">
      <TopBar crumbs={[{ label: 'Board' }]}>{!narrow && <FindField />}</TopBar>
      <main className="mx-auto max-w-6xl px-4 py-4">
        {narrow && (
          <div className="mb-3">
            <FindField />
          </div>
        )}
        <div className="flex flex-wrap items-center justify-between gap-3">
          <h1 className="text-xl font-bold">Jobs</h1>
          <div className="flex flex-wrap gap-2">
            {(jobs.length > 0 || isFiltered) && <FilterButton />}
            <FilePick label="Import a job file" accept={JOB_FILE} onPick={bring} />
            <NewJob />
          </div>
        </div>
        {data && isFiltered && <BoardAnswer pages={data.pages} wanted={asked} />}
        <Suspense>
          <Inspections />
        </Suspense>
        <BoardList jobs={jobs} isFiltered={isFiltered} onMore={hasNextPage ? more : undefined} />
        {data && jobs.length === 0 && !isFiltered && <FirstMinute onImport={bring} />}
        <DeletedJobs />
      </main>
    </div>
  );
}

function NoBoard({ error, onAgain }: { error: Error; onAgain: () => void }): ReactNode {
  const offline = error instanceof Unreachable;
  return (
    <Message
      title={offline ? 'The server does not answer' : 'The board cannot be read'}
      detail={offline ? 'Start Kobran again; nothing is lost.' : messageOf(error)}
      action={{ label: 'Try again', run: onAgain }}
    />
  );
}

function FindField(): ReactNode {
  const [{ search = '' }, want] = useWanted();
  return (
    <label className="relative block">
      <span className="sr-only">Find a run</span>
      <Search size={16} aria-hidden className="absolute top-2.5 left-2 text-muted" />
      <input
        type="search"
        className="field w-full pl-8 sm:w-64"
        placeholder="Find a run"
        maxLength={120}
        value={search}
        onChange={({ target }) => want({ search: target.value })}
      />
    </label>
  );
}

function NewJob(): ReactNode {
  const [name, setName] = useState<string>();
  const showOnly = useShowOnly();
  const create = useChange((job: { id: string; name: string; site: string }) =>
    call(routes.createJob, { body: job }),
  );
  const [id, setId] = useState(() => crypto.randomUUID());
  if (name === undefined) {
    return (
      <button className="button" onClick={() => setName('')}>
        <FilePlus2 size={16} aria-hidden /> New job
      </button>
    );
  }
  return (
    <form
      className="flex gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (name.trim() === '') return;
        create.mutate(
          { id, name: name.trim(), site: '' },
          {
            onSuccess: () => {
              setName(undefined);
              // It stands at the end of the list, which may be far.
              showOnly(id);
              setId(crypto.randomUUID());
            },
            onError: (error) => toast.error(messageOf(error)),
          },
        );
      }}
    >
      <input
        className="field"
        aria-label="Name of the job"
        placeholder="Name of the site or contract"
        maxLength={120}
        autoFocus
        value={name}
        onChange={({ target }) => setName(target.value)}
      />
      <button className="button button-primary" disabled={create.isPending}>
        Add job
      </button>
    </form>
  );
}

/** An empty Kobran: two connectors, a file, or the demo. */
function FirstMinute({ onImport }: { onImport: (file: File) => void }): ReactNode {
  const navigate = useNavigate();
  const { data: deleted = [] } = useJobs(true);
  const failed = (error: Error): void => void toast.error(messageOf(error));
  const start = useChange((id: string) =>
    call(routes.createJob, { body: { id, name: 'My first job', site: '' } }),
  );
  const demo = useChange(() => call(routes.openDemo));
  const [id] = useState(() => crypto.randomUUID());
  const busy = start.isPending || demo.isPending;
  return (
    <section aria-label="Begin" className="mt-8 grid gap-4 sm:grid-cols-3">
      <button
        className={WAY}
        disabled={busy}
        // Not a callback of mutate: with the job there this goes, and its callbacks with it.
        onClick={() => void start.mutateAsync(id).then(() => navigate(`/jobs/${id}/new`), failed)}
      >
        <span className="block text-lg font-bold">Start from two connectors</span>
        <span className="block text-muted">what the radio has, what the antenna has, and how far it is</span>
      </button>
      <label
        className={`${WAY} relative cursor-pointer focus-within:outline-3 focus-within:outline-offset-2 focus-within:outline-ink`}
      >
        <span className="block text-lg font-bold">Import a job</span>
        <span className="block text-muted">a file which another Kobran has exported</span>
        <FileInput accept={JOB_FILE} onPick={([file]) => onImport(file)} />
      </label>
      {deleted.length === 0 && (
        <button className={WAY} disabled={busy} onClick={() => demo.mutate(undefined, { onError: failed })}>
          <span className="block text-lg font-bold">Open the demo</span>
          <span className="block text-muted">invented sites with their runs</span>
        </button>
      )}
    </section>
  );
}

const WAY = 'rounded border-2 border-edge bg-paper p-5 text-left hover:border-ink';

function DeletedJobs(): ReactNode {
  const { data } = useJobs(true);
  const restore = useChange((id: string) => call(routes.restoreJob, { id }));
  if (!data || data.length === 0) return null;
  return (
    <details className="mt-8">
      <summary className="cursor-pointer text-muted">Deleted jobs ({data.length})</summary>
      <ul className="mt-2 space-y-2">
        {data.map(({ id, name }) => (
          <li key={id} className="flex items-center gap-3">
            <span>{name}</span>
            <button className="button" onClick={() => restore.mutate(id)}>
              Restore
            </button>
          </li>
        ))}
      </ul>
    </details>
  );
}

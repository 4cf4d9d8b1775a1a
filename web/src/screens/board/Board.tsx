import { routes, type JobSummary } from '@kobran/contract';
import { FilePlus2, Search, MoreHorizontal } from 'lucide-react';
import { lazy, Suspense, useEffect, useState, type ReactNode } from 'react';
import { Link, useNavigate } from 'react-router';
import { toast } from 'sonner';
import { call, messageOf, Unreachable } from '../../store/client.js';
import { useChange, useJob, useJobs } from '../../store/queries.js';
import { Message } from '../../ui/Message.js';
import { useNarrow } from '../../ui/useNarrow.js';
import { TopBar } from '../../frame/TopBar.js';
import { FileInput, FilePick } from '../../ui/FilePick.js';
import { Menu } from '../../ui/Menu.js';
import { RunRow } from './RunRow.js';
import { useDeletion } from './useDeletion.js';
import { useImportJob } from './useImportJob.js';

const JOB_FILE = '.json,application/json,.zip,application/zip';

/** Beside the board, when it stands. */
const Inspections = lazy(() =>
  import('./Inspections.js').then((script) => ({ default: script.Inspections })),
);

/** Jobs and their runs as small lines to scale, each with its worst snag and its next action. */
export function Board(): ReactNode {
  const { data: jobs, error, refetch } = useJobs();
  const [search, setSearch] = useState('');
  const narrow = useNarrow();
  const bring = useImportJob();
  useEffect(() => {
    document.title = 'Board – Kobran';
  }, []);
  if (error && !jobs) {
    const offline = error instanceof Unreachable;
    return (
      <Message
        title={offline ? 'The server does not answer' : 'The board cannot be read'}
        detail={offline ? 'Start Kobran again; nothing is lost.' : messageOf(error)}
        action={{ label: 'Try again', run: () => void refetch() }}
      />
    );
  }
  const find = (
    <label className="relative block">
      <span className="sr-only">Find a run</span>
      <Search size={16} aria-hidden className="absolute top-2.5 left-2 text-muted" />
      <input
        type="search"
        className="field w-full pl-8 sm:w-64"
        placeholder="Find a run"
        value={search}
        onChange={({ target }) => setSearch(target.value)}
      />
    </label>
  );
  return (
    <div className="min-h-screen">
      <TopBar crumbs={[{ label: 'Board' }]}>{!narrow && find}</TopBar>
      <main className="mx-auto max-w-6xl px-4 py-4">
        {narrow && <div className="mb-3">{find}</div>}
        <div className="flex flex-wrap items-center justify-between gap-3">
          <h1 className="text-xl font-bold">Jobs</h1>
          <div className="flex flex-wrap gap-2">
            <FilePick label="Import a job file" accept={JOB_FILE} onPick={bring} />
            <NewJob />
          </div>
        </div>
        <Suspense>
          <Inspections />
        </Suspense>
        {jobs?.map((job) => (
          <Job key={job.id} job={job} search={search} />
        ))}
        {jobs?.length === 0 && <FirstMinute onImport={bring} />}
        <DeletedJobs />
      </main>
    </div>
  );
}

function Job({ job, search }: { job: JobSummary; search: string }): ReactNode {
  const { data } = useJob(job.id);
  const remove = useDeletion();
  const runs =
    data?.runs.filter(({ design }) =>
      `${design.name} ${job.name} ${design.radio.name} ${design.antenna.name}`
        .toLowerCase()
        .includes(search.trim().toLowerCase()),
    ) ?? [];
  return (
    <section className="mt-5" aria-label={job.name}>
      <div className="flex flex-wrap items-baseline gap-x-3 gap-y-2 border-b-2 border-ink pb-1">
        <h2 className="text-lg font-bold">{job.name}</h2>
        <p className="basis-full text-muted sm:flex-1 sm:basis-0">{job.site}</p>
        <Link className="button" to={`/jobs/${job.id}/site`}>
          Site<span className="sr-only"> of {job.name}</span>
        </Link>
        <Link className="button" to={`/jobs/${job.id}/reels`}>
          Reels<span className="sr-only"> and cutting plan of {job.name}</span>
        </Link>
        <Link className="button" to={`/jobs/${job.id}/practice`}>
          Practice<span className="sr-only"> of {job.name}</span>
        </Link>
        <Link className="button" to={`/jobs/${job.id}/new`}>
          New run
        </Link>
        <Menu
          label={`More for ${job.name}`}
          align="end"
          className="grid size-9 place-items-center self-center rounded hover:bg-panel"
          trigger={<MoreHorizontal size={18} aria-hidden />}
          items={[
            {
              label: 'Delete the job',
              hint: 'with its runs; it can be restored',
              act: () => remove('job', job.id, job.name),
            },
          ]}
        />
      </div>
      <ul>
        {runs.map((run) => (
          <RunRow key={run.id} run={run} practice={job.practice} place={data?.place?.site} />
        ))}
      </ul>
      {data && data.runs.length === 0 && (
        <p className="py-3 text-muted">No run yet: begin with its two ports.</p>
      )}
      {data && data.runs.length > 0 && runs.length === 0 && (
        <p className="py-3 text-muted">No run here matches “{search}”.</p>
      )}
    </section>
  );
}

function NewJob(): ReactNode {
  const [name, setName] = useState<string>();
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

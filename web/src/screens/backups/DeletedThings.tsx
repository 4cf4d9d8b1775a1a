import { routes } from '@kobran/contract';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { RotateCcw } from 'lucide-react';
import type { ReactNode } from 'react';
import { toast } from 'sonner';
import { call, messageOf } from '../../store/client.js';
import { useJobs } from '../../store/queries.js';
import { sayMoment } from '../../ui/dates.js';

const kinds = {
  cable: 'cable',
  part: 'connector',
  adapter: 'adapter',
  port: 'port',
  stock: 'stock of an adapter',
  reel: 'reel',
} as const;

interface Deleted {
  key: string;
  name: string;
  what: string;
  at: string;
  restore: () => Promise<unknown>;
}

/** Jobs, runs and own entries which were deleted, each a click from being back. */
export function DeletedThings(): ReactNode {
  const queries = useQueryClient();
  const { data: jobs = [] } = useJobs(true);
  const { data: runs = [] } = useQuery({
    queryKey: ['deleted', 'runs'],
    queryFn: () => call(routes.listDeletedRuns),
  });
  const { data: entries = [] } = useQuery({
    queryKey: ['deleted', 'entries'],
    queryFn: () => call(routes.listDeletedEntries),
  });
  const all: Deleted[] = [
    ...jobs.map(({ id, name, runCount, deletedAt }): Deleted => ({
      key: id,
      name,
      what: `job with ${runCount} ${runCount === 1 ? 'run' : 'runs'}`,
      at: deletedAt ?? '',
      restore: () => call(routes.restoreJob, { id }),
    })),
    ...runs.map(({ id, name, jobName, deletedAt }): Deleted => ({
      key: id,
      name,
      what: `run of ${jobName}`,
      at: deletedAt,
      restore: () => call(routes.restoreRun, { id }),
    })),
    ...entries.map(({ kind, id, name, deletedAt }): Deleted => ({
      key: `${kind} ${id}`,
      name,
      what: kinds[kind],
      at: deletedAt,
      restore: () => call(routes.restoreShopEntry, { kind, id }),
    })),
  ].toSorted((x, y) => y.at.localeCompare(x.at));

  const restore = (one: Deleted): void =>
    void one.restore().then(
      async () => {
        await queries.invalidateQueries();
        toast.success(`${one.name} is back.`);
      },
      (error: unknown) => toast.error(messageOf(error)),
    );
  return (
    <section className="mt-8" aria-labelledby="deleted">
      <h2 id="deleted" className="text-lg font-bold">
        Deleted
      </h2>
      {all.length === 0 ? (
        <p className="mt-1 text-muted">Nothing is deleted. Deleted jobs, runs and own entries wait here.</p>
      ) : (
        <ul className="mt-2 divide-y divide-rule border-y border-rule">
          {all.map((one) => (
            <li key={one.key} className="flex flex-wrap items-center gap-x-4 gap-y-1 py-2">
              <span className="flex-1">
                <span className="font-semibold">{one.name}</span>
                <span className="block text-sm text-muted">
                  {one.what}, deleted {sayMoment(one.at)}
                </span>
              </span>
              <button className="button" onClick={() => restore(one)}>
                <RotateCcw size={16} aria-hidden /> Restore
                <span className="sr-only"> {one.name}</span>
              </button>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

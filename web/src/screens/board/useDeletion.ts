import { routes } from '@kobran/contract';
import { useQueryClient } from '@tanstack/react-query';
import { toast } from 'sonner';
import { call, messageOf } from '../../store/client.js';

const requests = {
  job: { remove: routes.removeJob, restore: routes.restoreJob },
  run: { remove: routes.removeRun, restore: routes.restoreRun },
};

/**
 * Deletes a job or a run and offers to restore it.
 *
 * The calls do not hang on the row that is deleted: it is gone before its answer comes.
 */
export function useDeletion(): (kind: 'job' | 'run', id: string, name: string) => void {
  const queries = useQueryClient();
  const complain = (error: unknown): void => void toast.error(messageOf(error));
  return (kind, id, name) => {
    const restore = (): Promise<void> =>
      call(requests[kind].restore, { id }).then(() => queries.invalidateQueries());
    call(requests[kind].remove, { id })
      .then(() => queries.invalidateQueries())
      .then(() =>
        toast(`${name} deleted`, {
          action: { label: 'Restore', onClick: () => void restore().catch(complain) },
        }),
      )
      .catch(complain);
  };
}

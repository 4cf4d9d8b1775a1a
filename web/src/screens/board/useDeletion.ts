import { useQueryClient } from '@tanstack/react-query';
import { toast } from 'sonner';
import { ask, said } from '../../store/client.js';

/**
 * Deletes a job or a run and offers to bring it back.
 *
 * The calls do not hang on the row that is deleted: it is gone before its answer comes.
 */
export function useDeletion(): (kind: 'jobs' | 'runs', id: string, name: string) => void {
  const queries = useQueryClient();
  const complain = (error: unknown): void => void toast.error(said(error));
  return (kind, id, name) => {
    const restore = (): Promise<void> =>
      ask('POST', `/api/${kind}/${id}/restore`).then(() => queries.invalidateQueries());
    ask<void>('DELETE', `/api/${kind}/${id}`)
      .then(() => queries.invalidateQueries())
      .then(() =>
        toast(`${name} deleted`, {
          action: { label: 'Bring it back', onClick: () => void restore().catch(complain) },
        }),
      )
      .catch(complain);
  };
}

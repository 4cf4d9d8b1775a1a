import { routes } from '@kobran/contract';
import { useEffect, useState } from 'react';
import { call, Unreachable } from './client.js';
import { later, useDevice, warn } from './Device.js';
import { WorkProgress } from './workProgress.js';

/**
 * How far a work of a run is, and how to keep it: this device first, the server when it answers.
 *
 * @param work a name of its own: `card main.a`
 * @param read checks what was kept
 * @returns undefined while this device is looked at; then the work, which may be none
 */
export function useWorkProgress<Body extends object>(
  runId: string,
  work: string,
  read: (value: unknown) => Body | undefined,
): { body: Body | undefined; keep: (body: Body | undefined) => void } | undefined {
  const { keeper } = useDevice();
  const [progress] = useState(
    () =>
      new WorkProgress(runId, work, read, {
        keeper,
        later,
        warn,
        now: () => new Date().toISOString(),
        fetch: () =>
          call(routes.listProgress, { id: runId }).then(
            (all) => all.find(({ key }) => key === work),
            () => undefined, // Without the server this device’s own stands.
          ),
        send: (kept) =>
          call(routes.keepProgress, { id: runId, key: work, body: kept }).then(
            () => true,
            (error: unknown) => !(error instanceof Unreachable),
          ),
      }),
  );
  const [state, setState] = useState<{ body: Body | undefined }>();
  useEffect(() => {
    let over = false;
    void progress.ofDevice().then(async (body) => {
      if (over) return;
      setState({ body });
      const theirs = await progress.ofServer();
      if (theirs && !over) setState(theirs);
    });
    return () => {
      over = true;
      progress.flush();
    };
  }, [progress]);
  return (
    state && {
      body: state.body,
      keep: (body) => {
        setState({ body });
        progress.keep(body);
      },
    }
  );
}

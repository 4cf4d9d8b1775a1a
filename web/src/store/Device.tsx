import { routes, type AddTrace } from '@kobran/contract';
import type { Fact, FactBody, Facts } from '@kobran/core';
import { useQueryClient } from '@tanstack/react-query';
import {
  createContext,
  use,
  useEffect,
  useMemo,
  useState,
  useSyncExternalStore,
  type ReactNode,
} from 'react';
import { toast } from 'sonner';
import { Message } from '../ui/Message.js';
import { usePreferences } from '../ui/Preferences.js';
import { call, messageOf, Refused, Unreachable } from './client.js';
import { IndexedKeeper, MemoryKeeper, NotKept, type Keeper } from './kept/keeper.js';
import { practiceKey } from './kept/keys.js';
import { browserTabs, type Tabs } from './kept/tabs.js';
import { Presence } from './presence.js';
import { Outbox, type Delivery, type OutboxState, type Parcel } from './outbox.js';
import { PracticeChanges, type ChangeDelivery, type PracticeChange } from './practiceChanges.js';
import { jobKey, logKey, revisionsKey, runKey, SHOP_PRACTICE, tracesKey } from './queries.js';

/** What belongs to this device: its store, its tabs, and what it still has to send. */
interface Device {
  keeper: Keeper;
  tabs: Tabs;
  outbox: Outbox;
  practices: PracticeChanges;
  /** Who else is where. */
  presence: Presence;
}

const Context = createContext<Device | undefined>(undefined);

export const later = (ms: number, act: () => void): (() => void) => {
  const timer = setTimeout(act, ms);
  return () => clearTimeout(timer);
};

export const warn = (message: string): void =>
  void toast.warning(message, { id: message, duration: Infinity, closeButton: true });

/** Opens the store of this device; where the browser forbids it, it lasts as long as the page. */
async function openKeeper(): Promise<Keeper> {
  const keeper = new IndexedKeeper();
  try {
    await keeper.put('opened', new Date().toISOString());
    return keeper;
  } catch (error) {
    // A full store still gives out what it has; a forbidden one has nothing.
    if (error instanceof NotKept) warn(error.message);
    return error instanceof NotKept && error.trouble === 'full' ? keeper : new MemoryKeeper();
  }
}

async function deliver(parcel: Parcel): Promise<Delivery> {
  try {
    if (parcel.kind === 'fact') await call(routes.addFact, { id: parcel.runId, body: parcel.body });
    else if (parcel.kind === 'trace') await call(routes.addTrace, { id: parcel.runId, body: parcel.body });
    else {
      const { id: pictureId, jobId, type, base64 } = parcel.body;
      await call(routes.putPicture, { id: jobId, pictureId, body: { type, base64 } });
    }
    return { kind: 'done' };
  } catch (error) {
    if (error instanceof Unreachable) return { kind: 'away' };
    if (!(error instanceof Refused)) throw error;
    // Of another member: it waits for them, and the others go on.
    if (error.problem.code === 'signed.by-another') return { kind: 'failed' };
    return error.status >= 500 ? { kind: 'failed' } : { kind: 'refused', problem: error.problem };
  }
}

/** How often a change is laid over what stands, when others change it at the same moment. */
const MAX_TRIES = 5;

async function deliverPractice(jobId: string, change: PracticeChange): Promise<ChangeDelivery> {
  for (let k = 0; ; k++)
    try {
      if (jobId === '') {
        const { version, practice } = await call(routes.readShopPractice);
        await call(routes.replaceShopPractice, { body: { version, practice: { ...practice, ...change } } });
      } else {
        const { version, name, site, practice } = await call(routes.readJob, { id: jobId });
        const body = { version, name, site, practice: { ...practice, ...change } };
        await call(routes.replaceJob, { id: jobId, body });
      }
      return { kind: 'done' };
    } catch (error) {
      if (error instanceof Unreachable) return { kind: 'away' };
      if (!(error instanceof Refused)) throw error;
      if (error.status >= 500) return { kind: 'away' };
      if (error.status !== 409 || k >= MAX_TRIES) return { kind: 'refused', message: messageOf(error) };
    }
}

/** What an older version kept in the browser’s local storage. */
const OLD_STORE = /^kobran\.(outbox|draft|card|batch)/;

/** Opens the device before anything is shown that is kept on it. */
export function DeviceProvider({ children }: { children: ReactNode }): ReactNode {
  const queries = useQueryClient();
  const [device, setDevice] = useState<Device>();
  useEffect(() => {
    let outbox: Outbox | undefined;
    let practices: PracticeChanges | undefined;
    let over = false;
    void (async () => {
      const [keeper, tabs] = await Promise.all([openKeeper(), browserTabs()]);
      if (Object.keys(localStorage).some((key) => OLD_STORE.test(key)))
        await (await import('./kept/moveFromLocalStorage.js')).moveFromLocalStorage(keeper);
      outbox = new Outbox({
        keeper,
        tabs,
        later,
        warn,
        check: async (value) => (await import('./readParcel.js')).readParcel(value),
        deliver,
        arrived: async (runId) => {
          await Promise.all(
            // A job’s document has its runs’ facts as well, whichever job it is.
            [
              runKey(runId),
              tracesKey(runId),
              logKey(runId),
              revisionsKey(runId),
              ['job'],
              ['board pages'],
            ].map((queryKey) => queries.invalidateQueries({ queryKey })),
          );
        },
      });
      const shelf = outbox;
      practices = new PracticeChanges({
        keeper,
        tabs,
        later,
        warn,
        check: async (value) => (await import('./readParcel.js')).readPracticeChange(value),
        deliver: deliverPractice,
        setAside: (jobId, change, why) =>
          shelf.setAside(`${practiceKey(jobId)}/${crypto.randomUUID()}`, {
            what: jobId === '' ? 'A change of the shop’s practice' : 'A change of a job’s practice',
            value: { jobId, change },
            why,
          }),
        arrived: (jobId) =>
          Promise.all(
            (jobId === '' ? [SHOP_PRACTICE] : [jobKey(jobId), ['jobs']]).map((queryKey) =>
              queries.invalidateQueries({ queryKey }),
            ),
          ),
      });
      if (over) return;
      setDevice({ keeper, tabs, outbox, practices, presence: new Presence(tabs.id, () => Date.now()) });
      await outbox.start();
      await practices.start();
    })();
    return () => {
      over = true;
      outbox?.stop();
      practices?.stop();
    };
  }, [queries]);
  if (!device) return <Message title="One moment…" />;
  return <Context value={device}>{children}</Context>;
}

export function useDevice(): Device {
  const device = use(Context);
  if (!device) throw new Error('useDevice outside its provider');
  return device;
}

export function useOutbox(): OutboxState & Pick<Outbox, 'retry' | 'discard' | 'setAsideOf'> {
  const { outbox } = useDevice();
  const state = useSyncExternalStore(outbox.subscribe, outbox.snapshot);
  return useMemo(
    () => ({
      ...state,
      retry: (aside) => outbox.retry(aside),
      discard: (aside) => outbox.discard(aside),
      setAsideOf: (by) => outbox.setAsideOf(by),
    }),
    [state, outbox],
  );
}

/** How many entries the server has not got yet. */
export const useWaitingCount = (): number => useOutbox().waiting.length;

/** The change of a practice which waits, and how to change it further; of the shop's where the id is empty. */
export function usePracticeChange(
  jobId: string,
): [PracticeChange | undefined, (change: PracticeChange) => void] {
  const { practices } = useDevice();
  const waiting = useSyncExternalStore(practices.subscribe, practices.snapshot).get(jobId);
  return [waiting, (change) => void practices.put(jobId, change)];
}

/** Sweeps of a run which the server has not got yet. */
export function useWaitingTraces(runId: string): AddTrace[] {
  const { waiting } = useOutbox();
  return useMemo(
    () => waiting.flatMap((item) => (item.kind === 'trace' && item.runId === runId ? [item.body] : [])),
    [waiting, runId],
  );
}

/** The facts of a run: what the server has, and what is on its way. */
export function useFacts(runId: string, kept: Facts): Facts {
  const { waiting } = useOutbox();
  return useMemo(() => withWaiting(runId, kept, waiting), [kept, waiting, runId]);
}

/** Several runs, each with the facts which are on their way to the server. */
export function useRunsWithFacts<Run extends { id: string; facts: Facts }>(runs: readonly Run[]): Run[] {
  const { waiting } = useOutbox();
  return useMemo(
    () => runs.map((run) => ({ ...run, facts: withWaiting(run.id, run.facts, waiting) })),
    [runs, waiting],
  );
}

function withWaiting(runId: string, kept: Facts, waiting: OutboxState['waiting']): Facts {
  const known = new Set(kept.map(({ id }) => id));
  const mine = waiting.flatMap((item) =>
    item.kind === 'fact' && item.runId === runId && !known.has(item.body.id) ? [item.body] : [],
  );
  return mine.length === 0 ? kept : [...kept, ...mine];
}

export interface FactWriter {
  add: (fact: FactBody) => void;
  addTrace: (trace: Omit<AddTrace, 'id' | 'by' | 'at'>) => void;
}

/** Writes facts of a run, signed with the name set at this device and the time now. */
export function useFactWriter(runId: string): FactWriter {
  const { outbox } = useDevice();
  const { name } = usePreferences();
  return useMemo(() => {
    const signed = () => ({ id: crypto.randomUUID(), by: name.trim(), at: new Date().toISOString() });
    return {
      add: (fact) => void outbox.put({ runId, kind: 'fact', body: { ...signed(), ...fact } as Fact }),
      addTrace: (trace) => void outbox.put({ runId, kind: 'trace', body: { ...signed(), ...trace } }),
    };
  }, [outbox, runId, name]);
}

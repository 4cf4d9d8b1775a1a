import { pathOf, routes, type JobDocument } from '@kobran/contract';
import { photosOf } from '@kobran/core';
import { hashKey, type QueryClient } from '@tanstack/react-query';
import { call, Refused, Unreachable } from './client.js';
import type { AnswerStore } from './kept/answers.js';
import type { Keeper } from './kept/keeper.js';
import { SITES, keptSiteKey } from './kept/keys.js';
import {
  boardPages,
  inspectionsSoon,
  jobKey,
  jobOf,
  logKey,
  logOf,
  peopleQuery,
  revisionsKey,
  revisionsOfRun,
  runKey,
  runOf,
  shopLogOf,
  shopOf,
  shopPracticeOf,
  tracesKey,
  tracesOfRun,
  wholeTrace,
  type Question,
} from './queries.js';

/** A site which is kept on this device. */
export interface KeptSite {
  jobId: string;
  name: string;
  runs: number;
  sweeps: number;
  photos: number;
  /** When it was fetched, ISO 8601. */
  at: string;
}

/** Where a site is kept: its mark, and the answers of the server. */
export interface SiteStore {
  keeper: Keeper;
  answers: AnswerStore;
}

/** The device did not take all of a site. */
export class NotAllKept extends Error {
  constructor() {
    super(
      'This device did not keep all of the site: it has no room left, or Kobran itself is not on it yet. Load the page again, make room, and keep it again.',
    );
  }
}

/** How far it has come: steps done, and steps there are as far as is known. */
export type OnStep = (done: number, of: number) => void;

/**
 * Asks the server everything a day on a site asks for; what is answered is kept on this device by itself.
 *
 * @throws {Unreachable} when the server is away, {Refused} when there is no such site any more
 */
export async function keepSite(
  queries: QueryClient,
  { keeper, answers }: SiteStore,
  jobId: string,
  onStep: OnStep,
): Promise<KeptSite> {
  const began = Date.now();
  // A kept answer would pass for a new one.
  await call(routes.readHealth);
  const fresh = { staleTime: 0 };
  const job: JobDocument = await queries.fetchQuery({ ...jobOf(jobId), ...fresh });
  const common: readonly Question<unknown>[] = [
    shopOf,
    shopPracticeOf,
    shopLogOf,
    inspectionsSoon,
    peopleQuery,
  ];
  let done = 1;
  let of = 1 + common.length + 2 + job.runs.length;
  const step = (more = 0): void => onStep(++done, (of += more));
  onStep(done, of);
  for (const query of common) {
    await queries.fetchQuery({ ...query, ...fresh });
    step();
  }
  for (const wanted of [{}, { job: jobId }]) {
    await queries.fetchInfiniteQuery({ ...boardPages(wanted), ...fresh });
    step();
  }
  let sweeps = 0;
  const photos = [...(job.place?.site.photos ?? []).map(({ id }) => id)];
  for (const { id, facts } of job.runs) {
    await queries.fetchQuery({ ...runOf(id), ...fresh });
    await queries.fetchQuery({ ...logOf(id), ...fresh });
    await queries.fetchQuery({ ...revisionsOfRun(id), ...fresh });
    const listed = await queries.fetchQuery({ ...tracesOfRun(id), ...fresh });
    for (const trace of listed) {
      const whole = wholeTrace(id, trace.id);
      await queries.fetchQuery(whole);
      // Samples are kept on the device: they need not lie in memory as well.
      queries.removeQueries({ queryKey: whole.queryKey, type: 'inactive' });
    }
    sweeps += listed.length;
    photos.push(...photosOf(facts).map(({ pictureId }) => pictureId));
    step();
  }
  step(photos.length);
  for (const pictureId of photos) {
    await fetchPicture(jobId, pictureId);
    step();
  }
  await mustBeKept(answers, began, [
    ...common.map(({ queryKey }) => queryKey),
    jobKey(jobId),
    ...job.runs.flatMap(({ id }) => [runKey(id), logKey(id), revisionsKey(id), tracesKey(id)]),
  ]);
  const taken: KeptSite = {
    jobId,
    name: job.name,
    runs: job.runs.length,
    sweeps,
    photos: photos.length,
    at: new Date().toISOString(),
  };
  await keeper.put(keptSiteKey(jobId), taken);
  return taken;
}

/** Answers are kept quietly while somebody works; who asked for a site is told when it is not all here. */
async function mustBeKept(
  answers: AnswerStore,
  began: number,
  keys: readonly (readonly unknown[])[],
): Promise<void> {
  for (const key of keys) {
    const kept = await answers.get(hashKey(key));
    if (!kept || kept.at < began) throw new NotAllKept();
  }
}

/** A site is fetched again by itself when what is here is older than this, ms. */
const OLD_MS = 12 * 60 * 60 * 1000;
/** What was only looked at is forgotten after this, ms. */
const FORGOTTEN_MS = 90 * 24 * 60 * 60 * 1000;

/** Fetches those sites again which are no longer as they are at the server, and forgets what nobody looks at. */
export async function refreshKept(queries: QueryClient, store: SiteStore): Promise<void> {
  const sites = await keptSites(store.keeper);
  for (const { jobId, at } of sites)
    if (Date.now() - Date.parse(at) > OLD_MS)
      try {
        await keepSite(queries, store, jobId, () => undefined);
      } catch (error) {
        // Away, gone, or no room: what is here stays as it is, until somebody removes it.
        if (!(error instanceof Unreachable || error instanceof Refused || error instanceof NotAllKept))
          throw error;
      }
  // A site which could not be fetched for so long is still on this device.
  if (sites.length === 0) await store.answers.forgetBefore(Date.now() - FORGOTTEN_MS);
}

/** The service worker keeps what passes through it. */
async function fetchPicture(jobId: string, pictureId: string): Promise<void> {
  // Without the service worker nothing would keep it: the first page of a browser waits for it.
  if (!navigator.serviceWorker.controller) throw new NotAllKept();
  try {
    await fetch(pathOf(routes.readPicture, { id: jobId, pictureId }));
  } catch {
    throw new Unreachable();
  }
}

const isKept = (value: unknown): value is KeptSite =>
  typeof value === 'object' && value !== null && 'jobId' in value && 'at' in value;

/** Sites which are kept on this device, by their names. */
export const keptSites = async (keeper: Keeper): Promise<KeptSite[]> =>
  (await keeper.entries(SITES))
    .flatMap(([, value]) => (isKept(value) ? [value] : []))
    .toSorted((x, y) => x.name.localeCompare(y.name));

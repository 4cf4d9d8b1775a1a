import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, type ReactNode } from 'react';
import { toast } from 'sonner';
import { TopBar } from '../../frame/TopBar.js';
import { messageOf } from '../../store/client.js';
import { useDevice, useOutbox } from '../../store/Device.js';
import type { Parcel } from '../../store/outbox.js';
import { ofThisDevice } from '../../store/keepAnswers.js';
import { forgetAnswers } from '../../store/forgetAnswers.js';
import { useJobs } from '../../store/queries.js';
import type { KeptSite } from '../../store/keepSite.js';
import { sayMoment } from '../../ui/dates.js';
import { usePreferences } from '../../ui/Preferences.js';
import { useKeptSites } from './useKeptSites.js';

/** What works on this device without a network, how much room it takes, and what waits to be sent. */
export function DeviceScreen(): ReactNode {
  const { waiting, aside } = useOutbox();
  const { signedInAs } = usePreferences();
  const mine = waiting.filter((one) => !isOfAnother(one, signedInAs));
  useEffect(() => {
    document.title = 'This device – Kobran';
  }, []);
  return (
    <div className="min-h-screen">
      <TopBar crumbs={[{ label: 'Board', to: '/' }, { label: 'This device' }]} />
      <main className="mx-auto max-w-4xl px-4 py-4">
        <h1 className="text-xl font-bold">{headline(waiting.length, aside.length)}</h1>
        <p className="mt-1 text-muted">
          {mine.length > 0
            ? 'Kept here through reload and an empty battery, and sent as soon as the server answers.'
            : 'Without a network what you do is kept here, and sent once when the server answers.'}
        </p>
        <OthersWaiting />
        <SitesSection />
        <Room />
      </main>
    </div>
  );
}

const entries = (count: number): string => `${count} ${count === 1 ? 'entry' : 'entries'}`;

function headline(waiting: number, aside: number): string {
  if (waiting > 0) return `${entries(waiting)} ${waiting === 1 ? 'waits' : 'wait'} to be sent`;
  if (aside > 0) return `${entries(aside)} ${aside === 1 ? 'is' : 'are'} set aside`;
  return 'Everything done here is at the server';
}

/** Signed by somebody who is not signed in here now: it is sent when they are. */
const isOfAnother = ({ body }: Parcel, signedInAs: string | undefined): boolean =>
  signedInAs !== undefined && 'by' in body && body.by !== '' && body.by !== signedInAs;

/** What others did on this device before they signed out waits for them. */
function OthersWaiting(): ReactNode {
  const { waiting, setAsideOf } = useOutbox();
  const { signedInAs } = usePreferences();
  const theirs = waiting
    .filter((one) => isOfAnother(one, signedInAs))
    .flatMap(({ body }) => ('by' in body ? [body.by] : []));
  const names = [...new Set(theirs)];
  if (names.length === 0) return null;
  return (
    <ul className="mt-2">
      {names.map((name) => (
        <li key={name} className="flex flex-wrap items-center gap-x-4 gap-y-2 py-1">
          <span className="text-caution">
            {theirs.filter((by) => by === name).length} of {name}: sent when {name} signs in on this device.
          </span>
          <button
            className="button"
            onClick={() => void setAsideOf(name).catch((error: unknown) => toast.error(messageOf(error)))}
          >
            Set aside<span className="sr-only"> what {name} did</span>
          </button>
        </li>
      ))}
    </ul>
  );
}

function SitesSection(): ReactNode {
  const { sites, busy, problem, keep, remove } = useKeptSites();
  const { data: jobs, error } = useJobs();
  const others = (jobs ?? []).filter(({ id }) => sites.every(({ jobId }) => jobId !== id));
  return (
    <section className="mt-6" aria-labelledby="sites">
      <h2 id="sites" className="text-lg font-bold">
        Sites on this device
      </h2>
      <p className="text-muted">
        Kept here, a site opens without a network: its plan, runs, log, sweeps, photos, and the whole
        catalogue. What was looked at before opens too.
      </p>
      {problem && (
        <p role="alert" className="mt-2 text-stop">
          {problem}
        </p>
      )}
      <ul className="mt-3 divide-y divide-rule border-y border-rule">
        {sites.map((site) => (
          <Site key={site.jobId} site={site} busy={busy} onKeep={keep} onRemove={remove} />
        ))}
        {others.map(({ id, name, runCount }) => (
          <li key={id} className="flex flex-wrap items-center gap-x-4 gap-y-2 py-2.5">
            <span className="min-w-0 flex-1">
              <span className="font-semibold">{name}</span>{' '}
              <span className="text-muted">
                {runCount} {runCount === 1 ? 'run' : 'runs'}
              </span>
            </span>
            <KeepButton name={name} jobId={id} busy={busy} onKeep={keep} label="Keep on this device" />
          </li>
        ))}
      </ul>
      {jobs?.length === 0 && sites.length === 0 && <p className="mt-2 text-muted">There is no job yet.</p>}
      {!jobs && error && (
        <p className="mt-2 text-muted">Which other sites there are is not known until the server answers.</p>
      )}
    </section>
  );
}

type Busy = ReturnType<typeof useKeptSites>['busy'];

function Site({
  site: { jobId, name, runs, sweeps, photos, at },
  busy,
  onKeep,
  onRemove,
}: {
  site: KeptSite;
  busy: Busy;
  onKeep: (jobId: string) => Promise<void>;
  onRemove: (jobId: string) => Promise<void>;
}): ReactNode {
  return (
    <li className="flex flex-wrap items-center gap-x-4 gap-y-2 py-2.5">
      <span className="min-w-0 basis-full sm:flex-1 sm:basis-0">
        <span className="font-semibold">{name}</span>{' '}
        <span className="block text-muted">
          {runs} {runs === 1 ? 'run' : 'runs'}, {sweeps} {sweeps === 1 ? 'sweep' : 'sweeps'}, {photos}{' '}
          {photos === 1 ? 'photo' : 'photos'}, as it was on {sayMoment(at)}
        </span>
      </span>
      <KeepButton name={name} jobId={jobId} busy={busy} onKeep={onKeep} label="Refresh" />
      <button className="button" onClick={() => void onRemove(jobId)}>
        Remove from this device<span className="sr-only"> {name}</span>
      </button>
    </li>
  );
}

function KeepButton({
  name,
  jobId,
  busy,
  onKeep,
  label,
}: {
  name: string;
  jobId: string;
  busy: Busy;
  onKeep: (jobId: string) => Promise<void>;
  label: string;
}): ReactNode {
  if (busy?.jobId === jobId)
    return (
      <label className="flex items-center gap-2">
        <span className="text-sm text-muted">Fetching {name}</span>
        <progress max={1} value={busy.share} />
      </label>
    );
  return (
    <button className="button" disabled={busy !== undefined} onClick={() => void onKeep(jobId)}>
      {label}
      <span className="sr-only"> {name}</span>
    </button>
  );
}

const MB = 1e6;
const sayBytes = (bytes: number): string =>
  bytes >= 1000 * MB ? `${(bytes / 1000 / MB).toFixed(1)} GB` : `${Math.max(1, Math.round(bytes / MB))} MB`;

/** How much room there is, and whether the browser may take it back. */
function Room(): ReactNode {
  const queries = useQueryClient();
  const { keeper } = useDevice();
  const { data, refetch } = useQuery({
    queryKey: ['room'],
    queryFn: async () => ({
      ...(await navigator.storage.estimate()),
      isPersistent: await navigator.storage.persisted(),
    }),
    meta: ofThisDevice,
  });
  if (!data) return null;
  const { usage = 0, quota = 0, isPersistent } = data;
  const ask = async (): Promise<void> => {
    if (!(await navigator.storage.persist()))
      toast(
        'The browser did not promise it. Install Kobran as an app, and it will; nothing is lost by that.',
      );
    await refetch();
  };
  const forget = async (): Promise<void> => {
    await forgetAnswers(queries, keeper);
    toast('What was read from the server is forgotten. What waits to be sent is still here.');
  };
  return (
    <section className="mt-6" aria-labelledby="room">
      <h2 id="room" className="text-lg font-bold">
        Room on this device
      </h2>
      <p className="mt-1">
        <span className="figures">{sayBytes(usage)}</span> taken of about{' '}
        <span className="figures">{sayBytes(quota)}</span> which the browser allows.{' '}
        {isPersistent
          ? 'It keeps them until you say otherwise.'
          : 'When the device runs out of room, the browser may clear them.'}
      </p>
      <p className="mt-3 flex flex-wrap gap-3">
        {!isPersistent && (
          <button className="button" onClick={() => void ask()}>
            Ask it to keep them
          </button>
        )}
        <button
          className="button"
          onClick={() => void forget().catch((error: unknown) => toast.error(messageOf(error)))}
        >
          Forget what was read
        </button>
      </p>
    </section>
  );
}

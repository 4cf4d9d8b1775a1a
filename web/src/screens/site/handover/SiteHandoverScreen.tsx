import { pathOf, routes, type JobDocument } from '@kobran/contract';
import {
  checkLog,
  emptySite,
  inspectionsOf,
  signedState,
  type Inspection,
  type LogCheck,
  type Site,
} from '@kobran/core';
import { useQueries } from '@tanstack/react-query';
import { CalendarDays, FileDown, FileText, Package } from 'lucide-react';
import { useEffect, type ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import { LabelLinks } from '../../../frame/LabelLinks.js';
import { TopBar } from '../../../frame/TopBar.js';
import { messageOf } from '../../../store/client.js';
import { InspectionList } from '../../../frame/InspectionList.js';
import { logOf } from '../../../store/queries.js';
import { useWaitingCount } from '../../../store/Device.js';
import { useJob } from '../../../store/queries.js';
import { useSiteDraft } from '../../../store/useSiteEditor.js';
import { now } from '../../../ui/dates.js';
import { Message } from '../../../ui/Message.js';
import { usePreferences } from '../../../ui/Preferences.js';
import { SiteTabs } from '../SiteTabs.js';
import { useSheetOf, useSurveyedRuns } from '../useSiteSheet.js';
import { SiteLists } from './SiteLists.js';
import { SitePhotos } from './SitePhotos.js';

/** What is given away of a site: documents, the state of its runs and their logs, and what is looked at again. */
export function SiteHandoverScreen(): ReactNode {
  const { jobId = '' } = useParams();
  const { data: job, error } = useJob(jobId);
  const draft = useSiteDraft(jobId);
  useEffect(() => {
    document.title = 'Hand over – Kobran';
  }, []);
  if (job && draft)
    return <HandoverOf job={job} site={job.place?.site ?? emptySite} unsaved={draft.draft !== undefined} />;
  return error ? (
    <Message title={messageOf(error)} action={{ label: 'Go to the board', to: '/' }} />
  ) : (
    <Message title="Opening the site…" />
  );
}

function HandoverOf({ job, site, unsaved }: { job: JobDocument; site: Site; unsaved: boolean }): ReactNode {
  const runs = useSurveyedRuns(job, site);
  const sheet = useSheetOf(job, site, runs);
  const waiting = useWaitingCount();
  const states = runs.map(({ design, facts }) => signedState(design, facts, job.practice));
  const signed = states.filter(
    ({ revision, changed, missing }) => revision && !changed && missing === 0,
  ).length;
  const due = inspectionsOf(
    runs.map(({ id, design, sheet }) => ({ id, name: design.name, sheet })),
    now(),
  );
  const logs = useQueries({
    queries: runs.map(({ id }) => logOf(id)),
  });
  return (
    <div className="min-h-screen">
      <TopBar crumbs={[{ label: job.name, to: `/?job=${job.id}` }, { label: 'Hand over' }]} />
      <main className="mx-auto max-w-6xl px-4 py-4 md:px-6">
        <SiteTabs jobId={job.id} />
        <h1 className="text-xl leading-tight font-bold">
          {runs.length === 0
            ? 'No runs to hand over yet'
            : signed === runs.length
              ? 'Every run is signed and handed over'
              : `${signed} of ${runs.length} runs are signed and handed over`}
        </h1>
        {(unsaved || waiting > 0) && (
          <p role="status" className="mt-1 text-caution">
            Not everything is at the server yet: documents are made from what is.
          </p>
        )}
        <Documents jobId={job.id} />
        <div className="mt-4 grid gap-2">
          <LabelLinks
            hrefOf={(query) => pathOf(routes.printSiteLabels, { id: job.id, query: { ...query } })}
          />
          <SiteLists job={job} site={site} sheet={sheet} runs={runs} />
        </div>
        <section className="mt-6" aria-labelledby="runs">
          <h2 id="runs" className="font-bold">
            Runs and their logs
          </h2>
          <ul>
            {runs.map(({ id, design }, k) => (
              <li
                key={id}
                className="grid gap-x-6 border-b border-rule py-2 md:grid-cols-[minmax(0,2fr)_minmax(0,1fr)_minmax(0,2fr)]"
              >
                <Link className="font-semibold underline underline-offset-4" to={`/runs/${id}/handover`}>
                  {design.name}
                </Link>
                <span>{standing(states[k])}</span>
                <LogState data={logs[k].data && checkLog(logs[k].data)} error={logs[k].error} />
              </li>
            ))}
          </ul>
        </section>
        <Due due={due} />
        <SitePhotos jobId={job.id} runs={runs} ofGround={site.photos?.length ?? 0} />
      </main>
    </div>
  );
}

const standing = ({ revision, changed, missing }: ReturnType<typeof signedState>): string => {
  if (!revision) return 'not signed';
  if (changed) return `changed since revision ${revision.number}`;
  return missing > 0 ? 'one of two signatures' : `revision ${revision.number}`;
};

function LogState({ data, error }: { data: LogCheck | undefined; error: Error | null }): ReactNode {
  if (error) return <span className="text-muted">not checked: {messageOf(error)}</span>;
  if (!data) return <span className="text-muted">checking…</span>;
  return data.sound ? (
    <span className="text-sm text-muted">
      Log sound, {data.entries} {data.entries === 1 ? 'entry' : 'entries'}, head{' '}
      <code className="figures">{data.head.slice(0, 12)}…</code>
    </span>
  ) : (
    <span className="font-semibold text-stop">{data.problem.message}</span>
  );
}

function Documents({ jobId }: { jobId: string }): ReactNode {
  const { units } = usePreferences();
  const documents = [
    {
      label: 'Everything as one file',
      hint: 'ZIP: job, as-built, lists, plan, sweeps; any Kobran imports it',
      Icon: Package,
      href: pathOf(routes.readArchive, { id: jobId, query: { units } }),
      isFirst: true,
    },
    {
      label: 'As-built',
      hint: 'PDF of the site and every run',
      Icon: FileText,
      href: pathOf(routes.printSite, { id: jobId, query: { units } }),
    },
    {
      label: 'Customer’s copy',
      hint: 'the same without names of the crew',
      Icon: FileDown,
      href: pathOf(routes.printSite, { id: jobId, query: { units, copy: 'customer' } }),
    },
    {
      label: 'Inspections',
      hint: 'ICS for any calendar',
      Icon: CalendarDays,
      href: pathOf(routes.readCalendar, { id: jobId }),
    },
  ];
  return (
    <ul className="mt-4 grid gap-3 sm:grid-cols-2 lg:grid-cols-4">
      {documents.map(({ label, hint, Icon, href, isFirst = false }) => (
        <li key={label}>
          <a className={`button ${isFirst ? 'button-primary' : ''}`} href={href} download>
            <Icon size={18} aria-hidden /> {label}
          </a>
          <p className="mt-1 text-sm text-muted">{hint}</p>
        </li>
      ))}
    </ul>
  );
}

function Due({ due }: { due: readonly Inspection[] }): ReactNode {
  return (
    <section className="mt-6" aria-labelledby="due">
      <h2 id="due" className="font-bold">
        Inspections
      </h2>
      {due.length === 0 && <p className="text-muted">Nothing is sealed yet: nothing is due.</p>}
      <InspectionList due={due} />
    </section>
  );
}

import { partsListCsv, type JobDocument } from '@kobran/contract';
import {
  emptyShopLog,
  emptySite,
  inPartsOrder,
  partsList,
  toolsList,
  type PartsOrder,
  type PartsRow,
  type Site,
  type ToolsRow,
} from '@kobran/core';
import { useQuery } from '@tanstack/react-query';
import { FileDown } from 'lucide-react';
import { useEffect, useState, type ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import { TopBar } from '../../../frame/TopBar.js';
import { messageOf } from '../../../store/client.js';
import { shopLogOf, useJob } from '../../../store/queries.js';
import { useCatalog } from '../../../store/Shop.js';
import { useSiteDraft } from '../../../store/useSiteEditor.js';
import { Chips } from '../../../ui/Choice.js';
import { Message } from '../../../ui/Message.js';
import { usePreferences } from '../../../ui/Preferences.js';
import { saveFile } from '../../../ui/saveFile.js';
import { SiteTabs } from '../SiteTabs.js';
import { useSheetOf, useSurveyedRuns } from '../useSiteSheet.js';
import { PartsTable } from './PartsTable.js';

const orders = [
  ['kind', 'Kind'],
  ['urgency', 'Urgency'],
  ['supplier', 'Supplier'],
  ['run', 'Run'],
] as const satisfies (readonly [PartsOrder, string])[];

/** One list of parts and one of tools, for every run of a site. */
export function PartsScreen(): ReactNode {
  const { jobId = '' } = useParams();
  const { data: job, error } = useJob(jobId);
  // What was drawn here and is not on the server yet counts.
  const kept = useSiteDraft(jobId);
  useEffect(() => {
    document.title = 'Parts and tools – Kobran';
  }, []);
  if (job && kept) return <PartsOf job={job} drawn={kept.draft?.document} />;
  return error ? (
    <Message title={messageOf(error)} action={{ label: 'Go to the board', to: '/' }} />
  ) : (
    <Message title="Opening the site…" />
  );
}

function PartsOf({ job, drawn }: { job: JobDocument; drawn: Site | undefined }): ReactNode {
  const site = drawn ?? job.place?.site ?? emptySite;
  const catalog = useCatalog();
  const { units } = usePreferences();
  const runs = useSurveyedRuns(job, site);
  const sheet = useSheetOf(job, site, runs);
  const { data: log } = useQuery(shopLogOf);
  const [order, setOrder] = useState<PartsOrder>('kind');
  const rows = partsList(runs, sheet, catalog, log ?? emptyShopLog);
  const tools = toolsList(runs, job.practice);
  return (
    <div className="min-h-screen">
      <TopBar crumbs={[{ label: job.name, to: `/?job=${job.id}` }, { label: 'Parts and tools' }]} />
      <main className="mx-auto max-w-6xl px-4 py-4 md:px-6">
        <SiteTabs jobId={job.id} />
        <div className="flex flex-wrap items-center gap-2">
          <h1 className="basis-full text-xl leading-tight font-bold sm:flex-1 sm:basis-0">
            {headline(rows, tools)}
          </h1>
          {rows.length > 0 && (
            <button
              className="button"
              onClick={() => saveFile(partsListCsv(rows, units), `${job.name}, parts.csv`, 'text/csv')}
            >
              <FileDown size={16} aria-hidden /> Save as CSV
            </button>
          )}
        </div>
        <p className="mt-1 max-w-3xl text-muted">
          Everything that is still to be cut, made, hung and sealed, in all runs of the site. Spare connectors
          are enough with 95 %, by what failed in this shop so far.
        </p>
        {!log && (
          <p className="mt-1 max-w-3xl text-caution">
            The shop’s log is not at hand yet: what was used since the shelf was counted is not taken off, and
            spares are as for a shop that has counted nothing.
          </p>
        )}
        {rows.length > 0 && (
          <>
            <div className="mt-3">
              <Chips legend="Sorted by" value={order} options={orders} onChange={setOrder} />
            </div>
            {inPartsOrder(rows, order).map((group) => (
              <PartsTable
                key={group.kind ?? group.urgency ?? group.name}
                group={group}
                byRun={order === 'run'}
                jobId={job.id}
                uses={log?.uses ?? []}
              />
            ))}
            {order === 'supplier' && rows.every(({ toBuy }) => toBuy === 0) && (
              <p className="mt-4 text-muted">Nothing is to be bought.</p>
            )}
          </>
        )}
        <Tools tools={tools} jobId={job.id} />
      </main>
    </div>
  );
}

function headline(rows: readonly PartsRow[], tools: readonly ToolsRow[]): string {
  const buy = rows.filter(({ toBuy }) => toBuy > 0).length;
  const missing = tools.filter(({ owned }) => !owned).length;
  if (rows.length === 0) return 'Nothing is needed any more';
  const parts = buy === 0 ? 'Everything is on the shelf' : `${buy} ${buy === 1 ? 'part' : 'parts'} to buy`;
  return missing === 0 ? parts : `${parts}, ${missing} ${missing === 1 ? 'tool' : 'tools'} not in the shop`;
}

function Tools({ tools, jobId }: { tools: readonly ToolsRow[]; jobId: string }): ReactNode {
  if (tools.length === 0) return null;
  return (
    <section className="mt-6" aria-label="Tools">
      <h2 className="font-bold">Tools, with their dies</h2>
      <ul className="mt-1 grid gap-x-8 border-t border-rule sm:grid-cols-2">
        {tools.map(({ name, owned, ends }) => (
          <li key={name} className="flex justify-between gap-3 border-b border-rule py-1">
            <span className={owned ? '' : 'font-semibold text-caution'}>
              {name}
              {!owned && ', not in the shop'}
            </span>
            <span className="whitespace-nowrap text-muted">
              for {ends} {ends === 1 ? 'end' : 'ends'}
            </span>
          </li>
        ))}
      </ul>
      <p className="mt-2 text-sm">
        <Link className="underline underline-offset-4" to={`/jobs/${jobId}/practice`}>
          Our practice says which tools and dies the shop owns
        </Link>
      </p>
    </section>
  );
}

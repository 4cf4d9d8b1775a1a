import { partsListCsv, routes, type JobDocument } from '@kobran/contract';
import {
  emptySite,
  formatLength,
  needKinds,
  partsList,
  toolsList,
  type NeedKind,
  type PartsRow,
  type Site,
  type ToolsRow,
} from '@kobran/core';
import { useQuery } from '@tanstack/react-query';
import { Check, FileDown } from 'lucide-react';
import { useEffect, useState, type ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import { TopBar } from '../../../frame/TopBar.js';
import { call, messageOf } from '../../../store/client.js';
import { useJob } from '../../../store/queries.js';
import { useCatalog } from '../../../store/Shop.js';
import { useSiteDraft } from '../../../store/useSiteEditor.js';
import { Chips } from '../../../ui/Choice.js';
import { Message } from '../../../ui/Message.js';
import { usePreferences, useWords } from '../../../ui/Preferences.js';
import { saveFile } from '../../../ui/saveFile.js';
import { SiteTabs } from '../SiteTabs.js';
import { useSheetOf, useSurveyedRuns } from '../useSiteSheet.js';
import { OnShelf } from './OnShelf.js';

const kindNames: Record<NeedKind, string> = {
  cable: 'Cable',
  connector: 'Connectors',
  adapter: 'Adapters',
  arrester: 'Arresters',
  'gas tube': 'Gas tubes',
  tape: 'Tape',
  sleeve: 'Sleeves and boots',
  'ground kit': 'Ground kits',
  support: 'Clips and hangers',
  grip: 'Grips',
};

const orders = [
  ['kind', 'Kind'],
  ['buy', 'What is to buy first'],
  ['run', 'Run'],
] as const;
type Order = (typeof orders)[number][0];

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
  const { data: log } = useQuery({ queryKey: ['ends'], queryFn: () => call(routes.listEnds) });
  const ends = log ?? [];
  const [order, setOrder] = useState<Order>('kind');
  const rows = partsList(runs, sheet, catalog, ends);
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
            The log of ends is not at hand yet: what was used since the shelf was counted is not taken off,
            and spares are as for a shop that has counted nothing.
          </p>
        )}
        {rows.length > 0 && (
          <>
            <div className="mt-3">
              <Chips legend="Sorted by" value={order} options={orders} onChange={setOrder} />
            </div>
            {groupsOf(rows, order).map(({ name, rows: some }) => (
              <PartsTable key={name} name={name} rows={some} byRun={order === 'run'} jobId={job.id} />
            ))}
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

interface Group {
  name: string;
  rows: PartsRow[];
}

/** Three orders of purchase: by what it is, by what is missing, and for one run after another. */
function groupsOf(rows: readonly PartsRow[], order: Order): Group[] {
  switch (order) {
    case 'kind':
      return needKinds
        .map((kind) => ({ name: kindNames[kind], rows: rows.filter((row) => row.kind === kind) }))
        .filter((group) => group.rows.length > 0);
    case 'buy':
      return [
        { name: 'To buy', rows: rows.filter(({ toBuy }) => toBuy > 0) },
        { name: 'On the shelf', rows: rows.filter(({ toBuy }) => toBuy === 0) },
      ].filter((group) => group.rows.length > 0);
    case 'run': {
      const names = [...new Set(rows.flatMap(({ uses }) => uses.map(({ whose }) => whose)))];
      return names.map((name) => ({
        name,
        rows: rows.flatMap((row) => {
          const uses = row.uses.filter(({ whose }) => whose === name);
          return uses.length > 0 ? [{ ...row, uses }] : [];
        }),
      }));
    }
  }
}

function PartsTable({ name, rows, byRun, jobId }: Group & { byRun: boolean; jobId: string }): ReactNode {
  const { units } = usePreferences();
  const words = useWords();
  const say = ({ unit }: PartsRow, value: number): string =>
    unit === 'm' ? formatLength(value, { system: units }) : String(Number(value.toFixed(2)));
  return (
    <table className="mt-4 w-full border-collapse text-left">
      <caption className="pb-1 text-left font-bold">{words(name)}</caption>
      <thead>
        <tr className="border-b border-rule text-sm text-muted max-sm:grid max-sm:grid-cols-3">
          <th className="py-1 pr-3 font-normal max-sm:hidden">Part</th>
          <th className="w-24 py-1 pr-3 text-right font-normal max-sm:w-auto max-sm:text-left">Needed</th>
          {!byRun && (
            <>
              <th className="hidden w-16 py-1 pr-3 text-right font-normal sm:table-cell">Spare</th>
              <th className="w-32 py-1 pr-3 text-right font-normal max-sm:w-auto">On the shelf</th>
              <th className="w-24 py-1 text-right font-normal max-sm:w-auto">To buy</th>
            </>
          )}
        </tr>
      </thead>
      <tbody>
        {rows.map((row) => (
          <tr
            key={`${row.kind} ${row.id}`}
            className="border-b border-rule align-top max-sm:grid max-sm:grid-cols-3"
          >
            <td className="py-1 pr-3 max-sm:col-span-3 max-sm:pb-0">
              <span className="font-semibold">{row.name}</span>
              {!byRun && (
                <span className="hidden text-sm text-muted sm:block">
                  {[...new Set(row.uses.map(({ whose }) => whose))].join('; ')}
                </span>
              )}
            </td>
            <td className="figures py-1 pr-3 text-right whitespace-nowrap max-sm:text-left">
              {say(row, byRun ? row.uses.reduce((sum, { amount }) => sum + amount, 0) : row.needed)}
              {row.unit === 'roll' && (byRun ? ' roll' : row.needed === 1 ? ' roll' : ' rolls')}
            </td>
            {!byRun && (
              <>
                <td className="figures hidden py-1 pr-3 text-right sm:table-cell">
                  {row.spare > 0 ? row.spare : ''}
                </td>
                <td className="figures py-1 pr-3 text-right">
                  {row.unit === 'm' ? (
                    <Link className="underline underline-offset-4" to={`/jobs/${jobId}/reels`}>
                      {row.onShelf === undefined ? 'no reel' : say(row, row.onShelf)}
                    </Link>
                  ) : (
                    <OnShelf id={row.id} name={row.name} count={row.onShelf} />
                  )}
                </td>
                <td className="figures py-1 text-right font-bold whitespace-nowrap">
                  {row.toBuy > 0 ? (
                    say(row, row.toBuy)
                  ) : (
                    <Check size={18} className="inline text-lake" aria-label="nothing" />
                  )}
                </td>
              </>
            )}
          </tr>
        ))}
      </tbody>
    </table>
  );
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

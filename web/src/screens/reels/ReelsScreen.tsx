import type { JobDocument } from '@kobran/contract';
import { formatFigure, formatLength, piecesToCut, type PieceToCut } from '@kobran/core';
import { useEffect, useMemo, type ReactNode } from 'react';
import { useParams } from 'react-router';
import { messageOf } from '../../store/client.js';
import { useJob } from '../../store/queries.js';
import { useCuttingPlan, type PlanState } from '../../background/useCuttingPlan.js';
import { usePreferences } from '../../ui/Preferences.js';
import { useShop } from '../../store/Shop.js';
import { Message } from '../../ui/Message.js';
import { TopBar } from '../../frame/TopBar.js';
import { PlanResult } from './PlanResult.js';
import { PlanWork } from './PlanWork.js';
import { Shelf } from './Shelf.js';

/** From which reels everything of a job is cut. */
export function ReelsScreen(): ReactNode {
  const { jobId = '' } = useParams();
  const { data: job, error } = useJob(jobId);
  useEffect(() => {
    document.title = 'Reels – Kobran';
  }, []);
  if (job) return <ReelsOf job={job} />;
  return error ? (
    <Message title={messageOf(error)} action={{ label: 'Go to the board', to: '/' }} />
  ) : (
    <Message title="One moment…" />
  );
}

function ReelsOf({ job }: { job: JobDocument }): ReactNode {
  const { catalog } = useShop();
  const { units } = usePreferences();
  const solver = useCuttingPlan();
  const wanted = useMemo(() => piecesToCut(job.runs, catalog, job.practice), [job, catalog]);
  return (
    <div className="min-h-screen">
      <TopBar crumbs={[{ label: job.name, to: `/?job=${job.id}` }, { label: 'Reels and cutting plan' }]} />
      <main className="mx-auto max-w-6xl px-4 py-4">
        <h1 className="text-xl font-bold">{headline(wanted, solver.state, units)}</h1>
        <p className="mt-1 max-w-3xl text-muted print:hidden">
          Everything of this job that is not cut yet, with its allowances. Least new cable first, then least
          scrap, then the longest remnant; pieces of one set come from one lot, and nothing is cut from a
          damaged stretch.
        </p>
        <PlanWork wanted={wanted} solver={solver} />
        {solver.state.kind === 'done' && (
          <PlanResult job={job} plan={solver.state.answer} onBooked={solver.cancel} />
        )}
        <PiecesToCut wanted={wanted} />
        <Shelf />
      </main>
    </div>
  );
}

function headline(wanted: readonly PieceToCut[], state: PlanState, units: 'metric' | 'imperial'): string {
  const metres = (value: number): string => formatLength(value, { system: units, digits: 2 });
  if (state.kind === 'done') {
    const { cables } = state.answer;
    const sum = (of: (one: (typeof cables)[number]) => number): number =>
      cables.reduce((total, one) => total + of(one), 0);
    const buy = sum(({ toBuyM }) => toBuyM);
    const from =
      buy > 0 ? `${metres(buy)} to buy` : `${metres(sum(({ fromReelsM }) => fromReelsM))} from new reels`;
    return `${metres(sum(({ totalM }) => totalM))} planned: ${from}, ${metres(sum(({ scrap }) => scrap.valueM))} of scrap`;
  }
  if (wanted.length === 0) return 'Every piece of this job is cut';
  const total = wanted.reduce((sum, { lengthM }) => sum + lengthM, 0);
  return `${wanted.length} ${wanted.length === 1 ? 'piece' : 'pieces'} to cut, ${metres(total)}`;
}

function PiecesToCut({ wanted }: { wanted: readonly PieceToCut[] }): ReactNode {
  const { units } = usePreferences();
  const { catalog } = useShop();
  if (wanted.length === 0) return null;
  return (
    <section className="mt-8 print:hidden" aria-labelledby="wanted">
      <h2 id="wanted" className="text-lg font-bold">
        To cut
      </h2>
      <ul className="mt-1 divide-y divide-rule border-y border-rule">
        {wanted.map(({ id, name, runName, cable, lengthM, set, lot }) => (
          <li key={id} className="grid gap-x-4 py-1.5 sm:grid-cols-[minmax(0,1fr)_8rem_7rem_minmax(0,12rem)]">
            <span>
              <strong>{name}</strong> <span className="text-muted">{runName}</span>
            </span>
            <span>{catalog.cables.get(cable)?.name ?? cable}</span>
            <span className="figures text-right">
              {formatFigure({ value: lengthM, unit: 'cut', source: 'this plan' }, units)}
            </span>
            <span className="text-sm text-muted">
              {[set === '' ? '' : `set ${set}`, lot === '' ? '' : `lot ${lot}`].filter(Boolean).join(', ')}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

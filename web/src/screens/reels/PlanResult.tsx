import type { BookCutting, JobDocument } from '@kobran/contract';
import {
  bookPlan,
  formatFigure,
  formatLength,
  type CablePlan,
  type CuttingPlan,
  type Met,
  type PieceToCut,
  type PlannedSpan,
} from '@kobran/core';
import { useQueryClient } from '@tanstack/react-query';
import { Printer } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { toast } from 'sonner';
import { usePreferences } from '../../ui/Preferences.js';
import { useShop } from '../../store/Shop.js';
import { ReelDrawing } from './ReelDrawing.js';

/** The plan as reels with their cuts, how good it is, and booking it. */
export function PlanResult({
  job,
  plan,
  onBooked,
}: {
  job: JobDocument;
  plan: CuttingPlan;
  onBooked: () => void;
}): ReactNode {
  const { catalog } = useShop();
  const [busy, book] = useBooking(plan, onBooked);
  const buys = plan.cables.some(({ toBuyM }) => toBuyM > 0);
  const longest = Math.max(
    ...plan.cables.flatMap(({ spans }) =>
      spans.map((planned) => planned.span.reel?.lengthM ?? boughtM(planned)),
    ),
  );
  return (
    <section className="mt-6" aria-labelledby="plan">
      <div className="flex flex-wrap items-baseline gap-3">
        <h2 id="plan" className="flex-1 text-lg font-bold">
          Cut list, {job.name}
        </h2>
        <span className="flex gap-2 print:hidden">
          <button className="button" onClick={() => window.print()}>
            <Printer size={16} aria-hidden /> Print
          </button>
          <button
            className="button button-primary"
            disabled={busy || plan.cables.every(({ spans }) => spans.every(({ span }) => !span.reel))}
            onClick={book}
          >
            Mark as cut, take off the shelf
          </button>
        </span>
      </div>
      {buys && (
        <p className="mt-1 text-caution print:hidden">
          <strong>Caution:</strong> some of it is still to be bought and stays open: put the new reel on the
          shelf, then plan again.
        </p>
      )}
      {plan.impossible.length > 0 && (
        <ul role="alert" className="mt-2">
          {plan.impossible.map(({ piece, why }) => (
            <li key={piece.id} className="text-stop">
              <strong>{piece.name} is not planned.</strong> {why}
            </li>
          ))}
        </ul>
      )}
      {plan.cables.map((one) => (
        <div key={one.cable} className="mt-4">
          <h3 className="font-bold">{catalog.cables.get(one.cable)?.name ?? one.cable}</h3>
          <Quality plan={one} />
          <ul className="mt-2 space-y-3">
            {one.spans.map((planned, k) => (
              <li key={k} className="break-inside-avoid">
                <SpanPlan planned={planned} longestM={longest} />
              </li>
            ))}
          </ul>
        </div>
      ))}
    </section>
  );
}

/** What each goal came to, proved or with what no plan can beat. */
function Quality({ plan }: { plan: CablePlan }): ReactNode {
  const { units } = usePreferences();
  const metres = (value: number): string => formatLength(value, { system: units, digits: 2 });
  const proof = ({ proved, boundM, valueM }: Met): string =>
    proved ? 'proved' : `no plan reaches ${boundM === valueM ? 'better' : metres(boundM)}`;
  return (
    <p className="text-muted">
      New cable {metres(plan.fromReelsM + plan.toBuyM)} ({proof(plan.newCable)}); scrap{' '}
      {metres(plan.scrap.valueM)} ({proof(plan.scrap)}); longest remnant {metres(plan.longest.valueM)} (
      {proof(plan.longest)}).
    </p>
  );
}

/** The plan is made of pieces that know their run. */
type PlannedCut = PlannedSpan['cuts'][number] & { piece: PieceToCut };

const boughtM = ({ span, remnantM }: PlannedSpan): number => span.lengthM - remnantM;

function SpanPlan({ planned, longestM }: { planned: PlannedSpan; longestM: number }): ReactNode {
  const { units } = usePreferences();
  const { span, cuts, remnantM, isScrap } = planned;
  const metres = (value: number): string => formatLength(value, { system: units, digits: 2 });
  return (
    <>
      <h4>
        <strong>{span.name}</strong>{' '}
        <span className="text-muted">
          {span.lot !== '' && span.source !== 'to buy' && `lot ${span.lot}, `}
          {span.source === 'reel' ? 'a new reel, ' : ''}
          {span.fromM > 0 && `from ${metres(span.fromM)}, `}
          {span.reel ? metres(span.lengthM) : `buy at least ${metres(boughtM(planned))}`}
        </span>
      </h4>
      <ReelDrawing planned={planned} longestM={longestM} />
      <ol className="flex flex-wrap gap-x-5 text-sm">
        {(cuts as PlannedCut[]).map(({ piece, toM }, k) => (
          <li key={piece.id}>
            <span className="figures">{k + 1}.</span> {piece.name}, {piece.runName}{' '}
            <strong className="figures">
              {formatFigure({ value: piece.lengthM, unit: 'cut', source: 'this plan' }, units)}
            </strong>{' '}
            <span className="text-muted">
              (mark at <span className="figures">{formatLength(toM, { system: units, digits: 3 })}</span>)
            </span>
          </li>
        ))}
        {span.reel && (
          <li className={isScrap ? 'text-caution' : 'text-muted'}>
            {metres(remnantM)} {isScrap ? 'is scrap' : 'goes back on the shelf'}
          </li>
        )}
      </ol>
    </>
  );
}

/** Books the plan: shelf and log change together, and can be taken back together. */
function useBooking(plan: CuttingPlan, onBooked: () => void): [boolean, () => void] {
  const { catalog, own, book } = useShop();
  const { name } = usePreferences();
  const queries = useQueryClient();
  const [busy, setBusy] = useState(false);
  const reels = [...catalog.reels.values()];
  const versionOf = (id: string): number =>
    own.find(({ kind, data }) => kind === 'reel' && data.id === id)?.version ?? 0;
  const send = async (booking: Omit<BookCutting, 'by' | 'at'>): Promise<boolean> => {
    setBusy(true);
    const done = await book({ ...booking, by: name.trim(), at: new Date().toISOString() });
    await queries.invalidateQueries();
    setBusy(false);
    return done;
  };
  const run = async (): Promise<void> => {
    const { put, remove } = bookPlan(plan, reels);
    const touched = reels.filter(({ id }) => remove.includes(id) || put.some((one) => one.id === id));
    const cuts = plan.cables.flatMap(({ spans }) =>
      spans.flatMap(({ span, cuts: mine }) => (span.reel ? mine.map((cut) => ({ ...cut, span })) : [])),
    );
    const pieces = (): BookCutting['pieces'] =>
      cuts.map(({ piece, span }) => {
        const { runId, pieceId } = piece as PieceToCut;
        const reel = span.lot === '' ? span.name : `${span.name}, lot ${span.lot}`;
        return { id: crypto.randomUUID(), runId, pieceId, lengthM: piece.lengthM, reel };
      });
    const booked = await send({
      kind: 'cut',
      standing: touched.map(({ id }) => ({ id, version: versionOf(id) })),
      put,
      remove,
      pieces: pieces(),
    });
    if (!booked) return;
    onBooked();
    const added = put.filter(({ id }) => touched.every((one) => one.id !== id)).map(({ id }) => id);
    toast(`${cuts.length} pieces are cut, the shelf is up to date.`, {
      duration: 20_000,
      action: {
        label: 'Undo',
        onClick: () =>
          void send({
            kind: 'not cut',
            standing: [
              ...touched.flatMap(({ id }) =>
                remove.includes(id) ? [] : [{ id, version: versionOf(id) + 1 }],
              ),
              ...added.map((id) => ({ id, version: 1 })),
            ],
            put: touched,
            remove: added,
            pieces: pieces(),
          }),
      },
    });
  };
  return [busy, () => void run()];
}

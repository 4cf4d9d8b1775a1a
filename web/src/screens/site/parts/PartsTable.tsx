import type { LoggedUse } from '@kobran/contract';
import { formatLength, type NeedKind, type PartsGroup, type PartsRow } from '@kobran/core';
import { Check, MoreHorizontal } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { usePreferences, useWords } from '../../../ui/Preferences.js';
import { OnShelf } from './OnShelf.js';
import { ShelfWindow } from './ShelfWindow.js';

const kindNames: Record<NeedKind, string> = {
  cable: 'Cable',
  connector: 'Connectors',
  ferrule: 'Ferrules, which come with their connectors',
  'shrink tube': 'Shrink tube',
  adapter: 'Adapters',
  arrester: 'Arresters',
  'gas tube': 'Gas tubes',
  tape: 'Tape',
  sleeve: 'Sleeves and boots',
  'splice kit': 'Splices, boxes and potting',
  'ground kit': 'Ground kits',
  'ground conductor': 'Ground conductors',
  lug: 'Lugs',
  support: 'Clips and hangers',
  grip: 'Grips',
};

const titleOf = ({ kind, urgency, name }: PartsGroup): string =>
  kind
    ? kindNames[kind]
    : urgency
      ? urgency.charAt(0).toUpperCase() + urgency.slice(1)
      : name === ''
        ? 'No supplier known'
        : (name ?? '');

/** Parts which stand together, with what lies on the shelf of them. */
export function PartsTable({
  group,
  byRun,
  jobId,
  uses,
}: {
  group: PartsGroup;
  byRun: boolean;
  jobId: string;
  /** What left the shelf, in all jobs. */
  uses: readonly LoggedUse[];
}): ReactNode {
  const { rows, cost } = group;
  const { units } = usePreferences();
  const words = useWords();
  const [open, setOpen] = useState<PartsRow>();
  const say = ({ unit }: PartsRow, value: number): string =>
    unit === 'm' ? formatLength(value, { system: units }) : String(Number(value.toFixed(2)));
  return (
    <>
      <table className="mt-4 w-full border-collapse text-left">
        <caption className="pb-1 text-left font-bold">
          {words(titleOf(group))}
          {cost !== undefined && !byRun && (
            <span className="font-normal text-muted"> to buy: {cost.toFixed(2)} where prices are known</span>
          )}
        </caption>
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
                    {row.lowest > 0 && <span className="block text-sm text-muted">keep {row.lowest}</span>}
                  </td>
                  <td className="figures py-1 pr-3 text-right">
                    {row.kind === 'cable' ? (
                      <Link className="underline underline-offset-4" to={`/jobs/${jobId}/reels`}>
                        {row.onShelf === undefined ? 'no reel' : say(row, row.onShelf)}
                      </Link>
                    ) : (
                      <span className="flex items-center justify-end gap-1">
                        <OnShelf row={row} />
                        <button
                          className="grid size-8 place-items-center rounded hover:bg-panel"
                          aria-label={`Shelf of ${row.name}: place, lot, lowest stock, price, supplier, what was used`}
                          onClick={() => setOpen(row)}
                        >
                          <MoreHorizontal size={18} aria-hidden />
                        </button>
                      </span>
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
      {open && <ShelfWindow row={open} uses={uses} onClose={() => setOpen(undefined)} />}
    </>
  );
}

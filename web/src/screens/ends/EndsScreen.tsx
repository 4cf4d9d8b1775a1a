import { routes, type LoggedEnd } from '@kobran/contract';
import { formatLength, recipes, tally, type Tally } from '@kobran/core';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useState, type ReactNode } from 'react';
import { call, messageOf } from '../../store/client.js';
import { usePreferences, useWords } from '../../ui/Preferences.js';
import { useCatalog } from '../../store/Shop.js';
import { Chips } from '../../ui/Choice.js';
import { TopBar } from '../../frame/TopBar.js';

const kinds = [
  ['part', 'Part'],
  ['recipe', 'Recipe'],
  ['person', 'Person'],
] as const;
type Kind = (typeof kinds)[number][0];

/** What the ends of all jobs have taught the shop: failures and causes by part, recipe and person. */
export function EndsScreen(): ReactNode {
  const [by, setBy] = useState<Kind>('part');
  const { data, error } = useQuery({
    queryKey: ['ends'],
    queryFn: () => call(routes.listEnds),
  });
  const catalog = useCatalog();
  useEffect(() => {
    document.title = 'Ends made and failed – Kobran';
  }, []);
  const rows = tally(data ?? [], by);
  const nameOf = (key: string): string =>
    by === 'part'
      ? (catalog.parts.get(key)?.name ?? key)
      : by === 'recipe'
        ? (recipes.find(({ id }) => id === key)?.name ?? key)
        : key === ''
          ? 'nobody named'
          : key;
  return (
    <div className="min-h-screen">
      <TopBar crumbs={[{ label: 'Board', to: '/' }, { label: 'Ends made and failed' }]} />
      <main className="mx-auto max-w-6xl px-4 py-4">
        <h1 className="text-xl font-bold">
          {data ? headline(rows, data, nameOf) : error ? messageOf(error) : 'Counting…'}
        </h1>
        <p className="mt-1 max-w-3xl text-muted">
          Every end made or failed by a card, in all jobs. The bar is the share that failed with its 95 %
          interval (Wilson): few tries make a wide bar, and say little.
        </p>
        <div className="mt-3">
          <Chips legend="Sorted by" value={by} options={kinds} onChange={setBy} />
        </div>
        {data?.length === 0 && (
          <p className="mt-6">Sign off an end by its card, or log one that failed: it is counted here.</p>
        )}
        <ul className="mt-4 divide-y divide-rule border-y border-rule">
          {rows.map((row) => (
            <Row key={row.key} row={row} name={nameOf(row.key)} />
          ))}
        </ul>
      </main>
    </div>
  );
}

function headline(
  rows: readonly Tally[],
  ends: readonly LoggedEnd[],
  nameOf: (key: string) => string,
): string {
  const failed = ends.filter(({ outcome }) => outcome === 'failed').length;
  if (ends.length === 0) return 'No end is logged yet';
  const [worst] = rows;
  if (worst.against === 'more')
    return `${nameOf(worst.key)} fails more than the others: ${worst.failed} of ${worst.made + worst.failed}`;
  return `${failed} of ${ends.length} tries failed; no difference beyond chance`;
}

const verdicts = {
  more: 'fails more than the others',
  less: 'fails less than the others',
  alike: 'no difference beyond chance',
};

function Row({ row, name }: { row: Tally; name: string }): ReactNode {
  const { units } = usePreferences();
  const words = useWords();
  const tries = row.made + row.failed;
  return (
    <li className="grid gap-x-6 gap-y-1 py-3 md:grid-cols-[minmax(0,2fr)_minmax(0,2fr)_minmax(0,3fr)]">
      <div>
        <h2 className="font-bold">{name}</h2>
        <p className="text-sm text-muted">
          {tries} {tries === 1 ? 'try' : 'tries'}, {row.failed} failed
          {row.lostM > 0 && `; ${formatLength(row.lostM, { system: units })} of cable lost`}
        </p>
      </div>
      <div>
        <ShareBar row={row} />
        <p className={`text-sm ${row.against === 'more' ? 'font-semibold text-stop' : 'text-muted'}`}>
          {verdicts[row.against]}
        </p>
      </div>
      {row.causes.length > 0 && (
        <ul className="text-sm">
          {row.causes.slice(0, 4).map(({ cause, count }) => (
            <li key={cause}>
              <span className="figures font-semibold">{count} ×</span> {words(cause)}
            </li>
          ))}
        </ul>
      )}
    </li>
  );
}

const BAR = { width: 150, height: 22 };

/** The share that failed on 0 to 100 %, with its interval. */
function ShareBar({ row: { share } }: { row: Tally }): ReactNode {
  const percent = (part: number): string => `${(part * 100).toFixed(0)} %`;
  const x = (part: number): number => 1 + part * (BAR.width - 2);
  return (
    <p className="flex flex-wrap items-center gap-x-3">
      <svg width={BAR.width} height={BAR.height} aria-hidden="true" className="shrink-0">
        <path d={`M1 ${BAR.height / 2}H${BAR.width - 1}`} stroke="var(--rule)" strokeWidth={2} />
        {[0, 0.25, 0.5, 0.75, 1].map((part) => (
          <path
            key={part}
            d={`M${x(part)} ${BAR.height / 2 - 5}v10`}
            stroke="var(--rule)"
            strokeWidth={1.5}
          />
        ))}
        <rect
          x={x(share.low)}
          y={BAR.height / 2 - 4}
          width={Math.max(2, x(share.high) - x(share.low))}
          height={8}
          fill="var(--lake)"
          opacity={0.35}
        />
        <rect x={x(share.value) - 2} y={BAR.height / 2 - 8} width={4} height={16} fill="var(--lake)" />
      </svg>
      <span className="figures whitespace-nowrap">
        {percent(share.value)}{' '}
        <span className="text-muted">
          ({percent(share.low)} to {percent(share.high)})
        </span>
      </span>
    </p>
  );
}

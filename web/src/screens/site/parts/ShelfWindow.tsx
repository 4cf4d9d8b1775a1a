import type { LoggedUse } from '@kobran/contract';
import { formatLength, parsePlainNumber, usesSince, type PartsRow, type Stock } from '@kobran/core';
import type { ReactNode } from 'react';
import { useShop } from '../../../store/Shop.js';
import { QuantityField } from '../../../ui/QuantityField.js';
import { TextField } from '../../../ui/TextField.js';
import { sayMoment } from '../../../ui/dates.js';
import { usePreferences } from '../../../ui/Preferences.js';
import { Window } from '../../../ui/Window.js';

/** What the shop knows of a part: where it lies, how few may lie there, what it costs and who sells it. */
export function ShelfWindow({
  row,
  uses,
  onClose,
}: {
  row: PartsRow;
  uses: readonly LoggedUse[];
  onClose: () => void;
}): ReactNode {
  const { catalog, put } = useShop();
  const { lowest, price, supplier, place, lot, ...counted } = catalog.stock.get(row.id) ?? {
    id: row.id,
    count: 0,
    matings: 0,
  };
  const now = { lowest, price, supplier, place, lot };
  /** What is emptied is not known any more. */
  const change = (to: Partial<Record<keyof typeof now, string | number | undefined>>): void => {
    const data: Stock = { ...counted, ...known({ ...now, ...to }) };
    void put({ kind: 'stock', data });
  };
  const amount = (label: string, key: 'lowest' | 'price', whole: boolean): ReactNode => (
    <QuantityField
      label={label}
      value={now[key]}
      placeholder="not known"
      format={String}
      parse={(text) => parsePlainNumber(text, label.toLowerCase())}
      range={[0, whole ? 10_000 : 1e6]}
      onChange={(value) => change({ [key]: whole ? Math.round(value) : value })}
      onClear={() => change({ [key]: undefined })}
    />
  );
  const text = (label: string, key: 'supplier' | 'place' | 'lot', maxLength: number): ReactNode => (
    <TextField
      label={label}
      value={now[key] ?? ''}
      maxLength={maxLength}
      allowEmpty
      suggestions={[...new Set([...catalog.stock.values()].flatMap((one) => one[key] ?? []))]}
      onChange={(value) => change({ [key]: value })}
    />
  );
  return (
    <Window
      title={row.name}
      description="Of the shop’s shelf, in every job."
      open
      onOpenChange={(stays) => {
        if (!stays) onClose();
      }}
    >
      <div className="mt-3 grid gap-3 sm:grid-cols-2">
        {text('Where it lies', 'place', 80)}
        {text('Lot', 'lot', 40)}
        {amount('Lowest stock', 'lowest', true)}
        {amount('Price of one', 'price', false)}
        {text('Supplier', 'supplier', 80)}
      </div>
      <Used
        stock={catalog.stock.get(row.id)}
        uses={uses}
        unit={row.unit}
        onPutBack={(putBack) => void put({ kind: 'stock', data: { ...counted, ...known(now), putBack } })}
      />
    </Window>
  );
}

/** What is known of a part; what is emptied is not. */
const known = (of: object): object =>
  Object.fromEntries(Object.entries(of).filter(([, value]) => value !== undefined && value !== ''));

const doing: Partial<Record<LoggedUse['kind'], string>> = {
  'end made': 'end made',
  'end failed': 'end failed',
  'tube checked': 'tube changed',
  sealed: 'joint sealed',
  installed: 'run hung',
  grounded: 'arrester mounted',
  'task done': 'coupled',
  joined: 'conductor joined',
};

/** What has left the shelf since it was counted, and can be put back where the log is wrong about that. */
function Used({
  stock,
  uses,
  unit,
  onPutBack,
}: {
  stock: Stock | undefined;
  uses: readonly LoggedUse[];
  unit: PartsRow['unit'];
  onPutBack: (ids: string[]) => void;
}): ReactNode {
  const { units } = usePreferences();
  if (stock?.countedAt === undefined) return null;
  const { putBack = [] } = stock;
  const amountText = (value: number): string =>
    unit === 'm' ? formatLength(value, { system: units }) : String(Number(value.toFixed(2)));
  const since = usesSince(stock, uses);
  return (
    <section className="mt-5" aria-labelledby="used">
      <h3 id="used" className="font-semibold">
        {since.length === 0 ? 'Nothing was used' : 'Used'} since {amountText(stock.count)} were counted,{' '}
        {sayMoment(stock.countedAt)}
      </h3>
      <ul>
        {since.map(({ id, amount, at, by, kind, of, isBack }) => (
          <li
            key={id}
            className="flex flex-wrap items-center justify-between gap-x-3 border-b border-rule py-1"
          >
            <span className={isBack ? 'text-muted line-through' : ''}>
              <span className="figures">{amountText(amount)}</span>: {doing[kind]}, {of}
              <span className="text-muted">
                {' '}
                {by === '' ? '' : `${by}, `}
                {sayMoment(at)}
              </span>
            </span>
            <button
              className="button"
              onClick={() => onPutBack(isBack ? putBack.filter((one) => one !== id) : [...putBack, id])}
            >
              {isBack ? 'It was used' : 'Put back'}
              <span className="sr-only">
                : {doing[kind]}, {of}
              </span>
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}

import { needKinds, type NeedKind } from './needs.js';
import type { PartsRow } from './partsList.js';

/** How a list of parts is put in order for a purchase. */
export const partsOrders = ['kind', 'urgency', 'supplier', 'run'] as const;
export type PartsOrder = (typeof partsOrders)[number];

/** What is wanted at once, what only fills the shelf up, and what is there. */
export type Urgency = 'the work waits for it' | 'spare or lowest stock' | 'on the shelf';

/** Rows which stand together; of one run their amounts are those of that run. */
export interface PartsGroup {
  kind?: NeedKind;
  urgency?: Urgency;
  /** Of the supplier, or of the run. */
  name?: string;
  rows: PartsRow[];
  /** Of what is to be bought here, as far as prices are known; nothing where none is. */
  cost: number | undefined;
}

/** What buying costs where a price is known. */
const costOf = (rows: readonly PartsRow[]): number | undefined => {
  const known = rows.filter(({ toBuy, price }) => toBuy > 0 && price !== undefined);
  return known.length === 0 ? undefined : known.reduce((sum, { toBuy, price = 0 }) => sum + toBuy * price, 0);
};

const group = (rows: PartsRow[], of: Omit<PartsGroup, 'rows' | 'cost'>): PartsGroup[] =>
  rows.length === 0 ? [] : [{ ...of, rows, cost: costOf(rows) }];

const urgencyOf = ({ needed, onShelf = 0, toBuy, comesAlong }: PartsRow): Urgency =>
  needed > onShelf && !comesAlong
    ? 'the work waits for it'
    : toBuy > 0
      ? 'spare or lowest stock'
      : 'on the shelf';

/** The rows of a list in one of the orders of purchase. Those of nobody’s supplier come last. */
export function inPartsOrder(rows: readonly PartsRow[], order: PartsOrder): PartsGroup[] {
  switch (order) {
    case 'kind':
      return needKinds.flatMap((kind) =>
        group(
          rows.filter((row) => row.kind === kind),
          { kind },
        ),
      );
    case 'urgency':
      return (['the work waits for it', 'spare or lowest stock', 'on the shelf'] as const).flatMap(
        (urgency) =>
          group(
            rows.filter((row) => urgencyOf(row) === urgency),
            { urgency },
          ),
      );
    case 'supplier': {
      const buy = rows.filter(({ toBuy }) => toBuy > 0);
      const names = [...new Set(buy.map(({ supplier }) => supplier ?? ''))].sort(
        (x, y) => Number(x === '') - Number(y === '') || x.localeCompare(y),
      );
      return names.flatMap((name) =>
        group(
          buy.filter(({ supplier = '' }) => supplier === name),
          { name },
        ),
      );
    }
    case 'run': {
      const names = [...new Set(rows.flatMap(({ uses }) => uses.map(({ whose }) => whose)))];
      return names.flatMap((name) =>
        group(
          rows.flatMap((row) => partOf(row, name)),
          { name },
        ),
      );
    }
  }
}

/** What one run, or one way, wants of a row. */
function partOf(row: PartsRow, name: string): PartsRow[] {
  const uses = row.uses.filter(({ whose }) => whose === name);
  const needed = uses.reduce((sum, { amount }) => sum + amount, 0);
  return uses.length === 0 ? [] : [{ ...row, uses, needed, spare: 0, toBuy: 0 }];
}

import { parsePlainNumber, type PartsRow, type Stock } from '@kobran/core';
import type { ReactNode } from 'react';
import { useShop } from '../../../store/Shop.js';
import { QuantityField } from '../../../ui/QuantityField.js';
import { TextField } from '../../../ui/TextField.js';
import { Window } from '../../../ui/Window.js';

/** What the shop knows of a part: where it lies, how few may lie there, what it costs and who sells it. */
export function ShelfWindow({ row, onClose }: { row: PartsRow; onClose: () => void }): ReactNode {
  const { catalog, put } = useShop();
  const { lowest, price, supplier, place, lot, ...counted } = catalog.stock.get(row.id) ?? {
    id: row.id,
    count: 0,
    matings: 0,
  };
  const now = { lowest, price, supplier, place, lot };
  /** What is emptied is not known any more. */
  const change = (to: Partial<Record<keyof typeof now, string | number | undefined>>): void => {
    const known = Object.entries({ ...now, ...to }).filter(
      ([, value]) => value !== undefined && value !== '',
    );
    const data: Stock = { ...counted, ...Object.fromEntries(known) };
    void put({ kind: 'stock', data });
  };
  const amount = (label: string, key: 'lowest' | 'price', whole: boolean): ReactNode => (
    <QuantityField
      label={label}
      value={now[key]}
      placeholder="not known"
      format={String}
      parse={(text) => parsePlainNumber(text, label.toLowerCase())}
      onChange={(value) => change({ [key]: Math.max(0, whole ? Math.round(value) : value) })}
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
    </Window>
  );
}

import { parsePlainNumber } from '@kobran/core';
import type { ReactNode } from 'react';
import { useShop } from '../../../store/Shop.js';
import { QuantityField } from '../../../ui/QuantityField.js';

/** How many of it lie on the shelf; nothing is said before somebody has counted, and ends which are made count it down. */
export function OnShelf({
  id,
  name,
  count,
}: {
  id: string;
  name: string;
  /** By now. */
  count: number | undefined;
}): ReactNode {
  const { catalog, put } = useShop();
  const now = catalog.stock.get(id);
  return (
    <div className="ml-auto w-20">
      <QuantityField
        label={`On the shelf: ${name}`}
        hideLabel
        value={count}
        placeholder="–"
        format={String}
        parse={(text) => parsePlainNumber(text, 'count')}
        onChange={(counted) =>
          void put({
            kind: 'stock',
            data: {
              ...now,
              id,
              matings: now?.matings ?? 0,
              count: Math.max(0, Math.round(counted)),
              countedAt: new Date().toISOString(),
            },
          })
        }
      />
    </div>
  );
}

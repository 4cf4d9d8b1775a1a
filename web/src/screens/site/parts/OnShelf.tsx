import { parsePlainNumber } from '@kobran/core';
import type { ReactNode } from 'react';
import { useShop } from '../../../store/Shop.js';
import { QuantityField } from '../../../ui/QuantityField.js';

/** How many of it lie on the shelf; nothing is said before somebody has counted. */
export function OnShelf({ id, name }: { id: string; name: string }): ReactNode {
  const { catalog, put } = useShop();
  const now = catalog.stock.get(id);
  return (
    <div className="ml-auto w-20">
      <QuantityField
        label={`On the shelf: ${name}`}
        hideLabel
        value={now?.count}
        placeholder="–"
        format={String}
        parse={(text) => parsePlainNumber(text, 'count')}
        onChange={(count) =>
          void put({
            kind: 'stock',
            data: { id, matings: now?.matings ?? 0, count: Math.max(0, Math.round(count)) },
          })
        }
      />
    </div>
  );
}

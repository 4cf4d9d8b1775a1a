import { parsePlainNumber } from '@kobran/core';
import type { ReactNode } from 'react';
import { useShop } from '../../store/Shop.js';
import { QuantityField } from '../../ui/QuantityField.js';

/** How many of an adapter lie on the shelf. */
export function StockField({ adapterId }: { adapterId: string }): ReactNode {
  const { catalog, put } = useShop();
  const now = catalog.stock.get(adapterId) ?? { id: adapterId, count: 0, matings: 0 };
  return (
    <div className="mt-3 max-w-40">
      <QuantityField
        label="On the shelf"
        value={now.count}
        format={String}
        parse={(text) => parsePlainNumber(text, 'count')}
        onChange={(count) =>
          void put({ kind: 'stock', data: { ...now, count: Math.max(0, Math.round(count)) } })
        }
      />
    </div>
  );
}

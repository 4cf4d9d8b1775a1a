import { parsePlainNumber } from '@kobran/core';
import type { ReactNode } from 'react';
import { useShop } from '../../../store/Shop.js';
import { QuantityField } from '../../../ui/QuantityField.js';

/** How many of it lie on the shelf; nothing is said before somebody has counted, and what is made, hung and sealed counts it down. */
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
  // Whoever counts has seen what was put back.
  const { putBack: _, ...now } = catalog.stock.get(id) ?? { id, matings: 0 };
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
              count: Math.max(0, Math.round(counted)),
              countedAt: new Date().toISOString(),
            },
          })
        }
      />
    </div>
  );
}

import { formatLength, parseCount, parseLength, parsePlainNumber, type PartsRow } from '@kobran/core';
import type { ReactNode } from 'react';
import { useShop } from '../../../store/Shop.js';
import { usePreferences } from '../../../ui/Preferences.js';
import { QuantityField } from '../../../ui/QuantityField.js';

/** What the shop’s entries take. */
const MAX_ON_SHELF = 10_000;

/**
 * How many of it lie on the shelf, rolls with what is left of an open one, conductors by their length. Nothing is said before somebody has
 * counted, and what is made, hung and sealed counts it down.
 */
export function OnShelf({
  row: { id, name, unit, onShelf },
}: {
  row: Pick<PartsRow, 'id' | 'name' | 'unit' | 'onShelf'>;
}): ReactNode {
  const { catalog, put } = useShop();
  const { units: system } = usePreferences();
  // Whoever counts has seen what was put back.
  const { putBack: _, ...now } = catalog.stock.get(id) ?? { id, matings: 0 };
  return (
    <div className="ml-auto w-24">
      <QuantityField
        label={`On the shelf: ${name}`}
        hideLabel
        value={onShelf}
        placeholder="–"
        format={(value) => (unit === 'm' ? formatLength(value, { system }) : String(value))}
        parse={(text) => {
          if (unit === 'm')
            return parseLength(text, { unit: system === 'metric' ? 'm' : 'ft', allowZero: true });
          return unit === 'roll' ? parsePlainNumber(text, 'count') : parseCount(text, 0, MAX_ON_SHELF);
        }}
        range={[0, MAX_ON_SHELF]}
        onChange={(counted) =>
          void put({
            kind: 'stock',
            data: { ...now, count: Number(counted.toFixed(2)), countedAt: new Date().toISOString() },
          })
        }
      />
    </div>
  );
}

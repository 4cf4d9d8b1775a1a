import {
  faceName,
  faceOf,
  ratedMatings,
  seriesOf,
  WORN_SHARE,
  type Port,
  type ShopEntry,
  type Stock,
} from '@kobran/core';
import { useState, type ReactNode } from 'react';
import { useShop } from '../../store/Shop.js';
import { SnagMark } from '../../ui/SnagMark.js';

/** How often ports and adapters have been coupled, against what their series is rated for. */
export function Matings(): ReactNode {
  const { catalog, put } = useShop();
  const ports = [...catalog.ports.values()];
  const stock = [...catalog.stock.values()].flatMap((item) => {
    const adapter = catalog.adapters.get(item.id);
    return adapter ? [{ item, adapter }] : [];
  });
  const more = (port: Port): ShopEntry => ({ kind: 'port', data: { ...port, matings: port.matings + 1 } });
  const moreStock = (item: Stock): ShopEntry => ({
    kind: 'stock',
    data: { ...item, matings: item.matings + 1 },
  });
  return (
    <section className="mt-6">
      <h2 className="border-b-2 border-ink font-bold">
        Couplings counted{' '}
        <span className="font-normal text-muted">said from {WORN_SHARE * 100} % of the rating on</span>
      </h2>
      <ul className="grid gap-x-8 sm:grid-cols-2">
        {ports.map((port) => (
          <Row
            key={port.id}
            name={port.name}
            what={faceName(faceOf(port.face))}
            matings={port.matings}
            rated={seriesOf(faceOf(port.face)).matings}
            advice="leave a saver on it"
            onMore={() => put(more(port))}
          />
        ))}
        {stock.map(({ item, adapter }) => (
          <Row
            key={item.id}
            name={adapter.name}
            what={`${item.count} on the shelf`}
            matings={item.matings}
            rated={ratedMatings(adapter)}
            advice="replace it"
            onMore={() => put(moreStock(item))}
          />
        ))}
      </ul>
    </section>
  );
}

function Row({
  name,
  what,
  matings,
  rated,
  advice,
  onMore,
}: {
  name: string;
  what: string;
  matings: number;
  rated: number;
  advice: string;
  onMore: () => Promise<boolean>;
}): ReactNode {
  const [busy, setBusy] = useState(false);
  const worn = matings >= WORN_SHARE * rated;
  return (
    <li className="flex items-center gap-3 border-b border-rule py-1">
      <span className="min-w-0 flex-1">
        <span className="block truncate font-semibold">{name}</span>
        <span className="block text-sm text-muted">{what}</span>
        {worn && (
          <span className="flex items-center gap-1 text-sm font-semibold text-caution">
            <SnagMark level="caution" size={13} /> worn: {advice}
          </span>
        )}
      </span>
      <span className="figures text-sm whitespace-nowrap">
        {matings} of {rated}
      </span>
      <button
        className="button"
        aria-label={`One more coupling of ${name}`}
        disabled={busy}
        onClick={() => {
          // A second press before the first is kept would count on a number that is old.
          setBusy(true);
          void onMore().finally(() => setBusy(false));
        }}
      >
        +1
      </button>
    </li>
  );
}

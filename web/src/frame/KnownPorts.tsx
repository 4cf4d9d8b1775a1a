import type { Port } from '@kobran/core';
import type { ReactNode } from 'react';
import { Choice } from '../ui/Choice.js';
import { useCatalog } from '../store/Shop.js';

/** Takes a port the shop has kept. */
export function KnownPorts({
  side,
  onTake,
}: {
  side: Port['side'];
  onTake: (port: Port) => void;
}): ReactNode {
  const { ports } = useCatalog();
  const known = [...ports.values()].filter((port) => port.side === side);
  if (known.length === 0) return null;
  return (
    <Choice
      label="Use a known port"
      value=""
      options={[{ value: '', label: '–' }, ...known.map(({ id, name }) => ({ value: id, label: name }))]}
      onChange={(id) => {
        const port = ports.get(id);
        if (port) onTake(port);
      }}
    />
  );
}

import { catalog, insertPiece, type Insertable } from '@kobran/core';
import { Plus } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { useSearchParams } from 'react-router';
import { useOpenRun } from '../../runs/RunContext.js';
import { Choice } from '../../shell/Choice.js';

const shelves: { kind: Insertable['kind']; label: string; items: { id: string; name: string }[] }[] = [
  { kind: 'assembly', label: 'Cable', items: [...catalog.cables.values()] },
  { kind: 'adapter', label: 'Adapter', items: [...catalog.adapters.values()] },
  { kind: 'arrester', label: 'Arrester', items: [...catalog.arresters.values()] },
];

const insertable = (kind: Insertable['kind'], id: string): Insertable =>
  kind === 'assembly'
    ? { kind, cable: id }
    : kind === 'adapter'
      ? { kind, adapter: id }
      : { kind, arrester: id };

/** Puts a piece in at a joint. */
export function InsertMenu({ at }: { at: number }): ReactNode {
  const { editor } = useOpenRun();
  const [, setSearch] = useSearchParams();
  const [open, setOpen] = useState(false);
  const [kind, setKind] = useState<Insertable['kind']>('assembly');
  const { items } = shelves.find((shelf) => shelf.kind === kind) ?? shelves[0];
  const [chosen, setChosen] = useState('rg213');
  const id = items.some((item) => item.id === chosen) ? chosen : items[0].id;
  if (!open) {
    return (
      <button className="button mt-3" onClick={() => setOpen(true)}>
        <Plus size={16} aria-hidden /> Put a piece in here
      </button>
    );
  }
  return (
    <div className="mt-3 space-y-2 rounded border border-rule bg-paper p-3">
      <Choice
        label="Kind"
        value={kind}
        options={shelves.map((shelf) => ({ value: shelf.kind, label: shelf.label }))}
        onChange={(value) => setKind(value as Insertable['kind'])}
      />
      <Choice
        label="Which"
        value={id}
        options={items.map((item) => ({ value: item.id, label: item.name }))}
        onChange={setChosen}
      />
      <div className="flex gap-2">
        <button
          className="button button-copper"
          onClick={() => {
            const change = insertPiece(editor.design, at, insertable(kind, id), catalog);
            editor.change([change]);
            if (change.op === 'splice pieces') setSearch({ at: change.insert[0].id }, { replace: true });
          }}
        >
          Put it in
        </button>
        <button className="button" onClick={() => setOpen(false)}>
          Leave it
        </button>
      </div>
    </div>
  );
}

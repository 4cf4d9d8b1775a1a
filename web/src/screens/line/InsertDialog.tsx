import { formatFrequency, insertPiece, type Catalog, type Insertable } from '@kobran/core';
import { useMemo, useState, type ReactNode } from 'react';
import { useOpenRun } from '../../store/RunContext.js';
import { useCatalog } from '../../store/Shop.js';
import { Finder, type FinderItem } from '../../ui/Finder.js';
import { Window } from '../../ui/Window.js';

const kinds: { kind: Insertable['kind']; label: string }[] = [
  { kind: 'assembly', label: 'Cable' },
  { kind: 'adapter', label: 'Adapter' },
  { kind: 'arrester', label: 'Arrester' },
];

const insertable = (kind: Insertable['kind'], id: string): Insertable =>
  kind === 'assembly'
    ? { kind, cable: id }
    : kind === 'adapter'
      ? { kind, adapter: id }
      : { kind, arrester: id };

function itemsOf(kind: Insertable['kind'], { cables, adapters, arresters, stock }: Catalog): FinderItem[] {
  switch (kind) {
    case 'assembly':
      return [...cables.values()].map(({ id, name, jacketMm, impedanceOhm, aliases = '' }) => ({
        id,
        label: name,
        words: aliases,
        hint: `${jacketMm} mm, ${impedanceOhm} ohm`,
      }));
    case 'adapter':
      return [...adapters.values()]
        .map(({ id, name, lengthMm }) => {
          const count = stock.get(id)?.count ?? 0;
          return {
            id,
            label: name,
            hint: `${lengthMm} mm${count > 0 ? `, ${count} on the shelf` : ''}`,
            count,
          };
        })
        .sort((x, y) => y.count - x.count);
    case 'arrester':
      return [...arresters.values()].map(({ id, name, highHz }) => ({
        id,
        label: name,
        hint: `to ${formatFrequency(highHz)}`,
      }));
  }
}

/** Puts a piece in: found by typing, with ends that meet its neighbours. */
export function InsertDialog({
  at,
  open,
  onClose,
  onDone,
}: {
  at: number;
  open: boolean;
  onClose: () => void;
  onDone: (id: string) => void;
}): ReactNode {
  const { editor } = useOpenRun();
  const catalog = useCatalog();
  const [kind, setKind] = useState<Insertable['kind']>();
  const shown = kind ?? 'assembly';
  const items = useMemo(() => itemsOf(shown, catalog), [shown, catalog]);
  const put = (id: string): void => {
    const change = insertPiece(editor.design, at, insertable(shown, id), catalog);
    editor.change([change]);
    onClose();
    if (change.op === 'splice pieces') onDone(change.insert[0].id);
  };
  return (
    <Window
      title={`Insert a piece at joint ${at + 1}`}
      description="A cable comes with ends that meet its neighbours, where such parts exist."
      open={open}
      onOpenChange={(to) => !to && onClose()}
    >
      <fieldset className="mt-3 flex gap-2">
        <legend className="sr-only">Kind</legend>
        {kinds.map((one) => (
          <label
            key={one.kind}
            className={`flex cursor-pointer items-center gap-2 rounded border-2 px-3 py-1 ${one.kind === shown ? 'border-copper font-semibold' : 'border-rule'}`}
          >
            <input
              type="radio"
              name="kind"
              className="accent-ink"
              checked={one.kind === shown}
              onChange={() => setKind(one.kind)}
            />
            {one.label}
          </label>
        ))}
      </fieldset>
      <div className="mt-3">
        <Finder
          key={shown}
          label="Which"
          items={items}
          onPick={put}
          // Arrows among the kinds keep the focus there.
          autoFocus={kind === undefined}
          placeholder="n plug bnc, 400, stub…"
        />
      </div>
    </Window>
  );
}

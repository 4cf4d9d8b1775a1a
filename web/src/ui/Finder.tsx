import { Search } from 'lucide-react';
import { useEffect, useId, useMemo, useRef, useState, type ReactNode } from 'react';

export interface FinderItem {
  id: string;
  label: string;
  /** A few words beside it. */
  hint?: string;
  /** Found by these words too. */
  words?: string;
}

/** Does every word typed stand somewhere in the item? */
export function matches({ label, hint = '', words = '' }: FinderItem, typed: string): boolean {
  const text = `${label} ${hint} ${words}`.toLowerCase();
  return typed
    .toLowerCase()
    .split(/\s+/)
    .every((word) => text.includes(word));
}

const MAX_SHOWN = 60;
/** So many stand above the chosen one where the list is cut. */
const ABOVE = 4;

/** A long list found by typing: a combobox whose list stays open; arrows move, Enter takes. */
export function Finder({
  label,
  items,
  onPick,
  onType,
  onNothing,
  take = false,
  begun = '',
  picked,
  placeholder = 'Type to find',
  autoFocus = false,
  height = 'max-h-64',
}: {
  label: string;
  items: readonly FinderItem[];
  onPick: (id: string) => void;
  /** What is typed, for who has more items than there are here. */
  onType?: (typed: string) => void;
  /** Enter was pressed while there was nothing to take. */
  onNothing?: () => void;
  /** Enter was pressed before the list was there: the first is taken as soon as there is one. */
  take?: boolean;
  /** What was typed before the list was there. */
  begun?: string;
  picked?: string;
  placeholder?: string;
  autoFocus?: boolean;
  height?: string;
}): ReactNode {
  const id = useId();
  const [typed, setTyped] = useState(begun);
  const [at, setAt] = useState<number>();
  const list = useRef<HTMLUListElement>(null);
  const found = useMemo(() => items.filter((item) => matches(item, typed)), [items, typed]);
  const chosen = Math.max(
    0,
    found.findIndex(({ id: one }) => one === picked),
  );
  // The list begins where the one that is shown stands in it.
  const from = Math.max(0, Math.min(chosen - ABOVE, found.length - MAX_SHOWN));
  const shown = found.slice(from, from + MAX_SHOWN);
  const active = Math.min(at ?? chosen - from, shown.length - 1);
  useEffect(() => {
    list.current?.querySelector('[data-active=true]')?.scrollIntoView({ block: 'nearest' });
  }, [active]);
  useEffect(() => {
    if (take && shown.length > 0) onPick(shown[active].id);
  }, [take, shown, active, onPick]);
  return (
    <div>
      <label htmlFor={id} className="mb-1 block text-sm text-muted">
        {label}
      </label>
      <div className="relative">
        <Search size={16} aria-hidden className="absolute top-2.5 left-2 text-muted" />
        <input
          id={id}
          role="combobox"
          aria-expanded="true"
          aria-controls={`${id}-list`}
          aria-activedescendant={shown.length > 0 ? `${id}-${active}` : undefined}
          autoComplete="off"
          autoFocus={autoFocus}
          className="field pl-8"
          placeholder={placeholder}
          value={typed}
          onChange={({ target }) => {
            setTyped(target.value);
            onType?.(target.value);
            setAt(undefined);
          }}
          onKeyDown={(event) => {
            const step = { ArrowDown: 1, ArrowUp: -1 }[event.key];
            if (step !== undefined) {
              event.preventDefault();
              setAt(Math.max(0, Math.min(active + step, shown.length - 1)));
            }
            if (event.key !== 'Enter' || (shown.length === 0 && !onNothing)) return;
            event.preventDefault();
            if (shown.length > 0) onPick(shown[active].id);
            else onNothing?.();
          }}
        />
      </div>
      <ul
        id={`${id}-list`}
        ref={list}
        role="listbox"
        aria-label={label}
        className={`mt-1 overflow-y-auto rounded border border-rule bg-paper ${height}`}
      >
        {shown.map((item, k) => (
          <li
            key={item.id}
            id={`${id}-${k}`}
            role="option"
            aria-selected={item.id === picked}
            data-active={k === active}
            className={`flex cursor-pointer items-baseline justify-between gap-3 px-3 py-1.5 ${k === active ? 'bg-panel' : ''} ${item.id === picked ? 'font-semibold text-copper' : ''}`}
            onPointerMove={() => setAt(k)}
            onClick={() => onPick(item.id)}
          >
            <span>{item.label}</span>
            {item.hint && <span className="shrink-0 text-sm font-normal text-muted">{item.hint}</span>}
          </li>
        ))}
      </ul>
      <p role="status" className="mt-1 text-sm text-muted">
        {found.length === 0
          ? `Nothing matches “${typed}”.`
          : found.length > MAX_SHOWN
            ? `${found.length} found, the first ${MAX_SHOWN} shown; type more.`
            : `${found.length} found`}
      </p>
    </div>
  );
}

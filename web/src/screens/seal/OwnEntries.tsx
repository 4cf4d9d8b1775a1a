import { Plus } from 'lucide-react';
import type { ReactNode } from 'react';

/** So many of one kind a practice keeps. */
const MAX_OWN = 20;

/** A list of what the shop has of its own: added, changed and removed one by one. */
export function OwnEntries<Entry extends { id: string; name: string }>({
  title,
  hint,
  addLabel,
  idStem,
  entries,
  fresh,
  fields,
  onChange,
}: {
  title: string;
  hint?: string;
  addLabel: string;
  /** What new ids begin with. */
  idStem: string;
  entries: readonly Entry[];
  fresh: (id: string) => Entry;
  fields: (entry: Entry, put: (over: Partial<Entry>) => void, remove: () => void) => ReactNode;
  onChange: (entries: Entry[]) => void;
}): ReactNode {
  const add = (): void => {
    let k = entries.length + 1;
    while (entries.some(({ id }) => id === `${idStem}-${k}`)) k++;
    onChange([...entries, fresh(`${idStem}-${k}`)]);
  };
  return (
    <div className="mt-5">
      <h3 className="font-semibold">{title}</h3>
      {hint && <p className="text-sm text-muted">{hint}</p>}
      <ul className="divide-y divide-rule">
        {entries.map((entry) => (
          <li
            key={entry.id}
            className="grid items-start gap-3 py-3 sm:grid-cols-3 lg:grid-cols-5"
            aria-label={entry.name}
          >
            {fields(
              entry,
              (over) => onChange(entries.map((one) => (one.id === entry.id ? { ...one, ...over } : one))),
              () => onChange(entries.filter(({ id }) => id !== entry.id)),
            )}
          </li>
        ))}
      </ul>
      {entries.length < MAX_OWN && (
        <button className="button mt-2" onClick={add}>
          <Plus size={16} aria-hidden /> {addLabel}
        </button>
      )}
    </div>
  );
}

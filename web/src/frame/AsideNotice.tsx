import { factText } from '@kobran/core';
import { useState, type ReactNode } from 'react';
import { toast } from 'sonner';
import { useOutbox } from '../store/Device.js';
import type { Aside } from '../store/outbox.js';
import { useCatalog } from '../store/Shop.js';
import { Window } from '../ui/Window.js';

/** What was set aside on this device, and what can be done with it: nothing of it is dropped until somebody decides. */
export function AsideNotice(): ReactNode {
  const { aside } = useOutbox();
  const [open, setOpen] = useState(false);
  if (aside.length === 0) return null;
  return (
    <>
      <button
        className="rounded border-2 border-caution px-2 py-1 text-sm font-semibold text-caution"
        onClick={() => setOpen(true)}
      >
        {aside.length} set aside
      </button>
      <Window
        wide
        title="Set aside on this device"
        description="The server refused these, or they cannot be read. They are kept here until you decide."
        open={open}
        onOpenChange={setOpen}
      >
        <ul className="mt-3 divide-y divide-rule border-y border-rule">
          {aside.map((one) => (
            <Entry key={one.key} aside={one} />
          ))}
        </ul>
      </Window>
    </>
  );
}

function Entry({ aside }: { aside: Aside }): ReactNode {
  const { retry, discard } = useOutbox();
  const complain = (error: unknown): void => void toast.error(String(error));
  return (
    <li className="py-3">
      <p className="font-semibold">
        <EntryText aside={aside} />
      </p>
      <p className="text-caution">{aside.why}</p>
      <p className="mt-2 flex flex-wrap gap-2">
        {aside.parcel && (
          <button className="button" onClick={() => void retry(aside).catch(complain)}>
            Send again
          </button>
        )}
        <a
          className="button"
          download="kobran-entry.json"
          href={`data:application/json,${encodeURIComponent(JSON.stringify(aside.value, null, 1))}`}
        >
          Export
        </a>
        <button className="button" onClick={() => void discard(aside).catch(complain)}>
          Discard
        </button>
      </p>
    </li>
  );
}

function EntryText({ aside: { parcel } }: { aside: Aside }): ReactNode {
  const catalog = useCatalog();
  if (!parcel) return 'An entry that cannot be read';
  if (parcel.kind === 'trace') return `Sweep ${parcel.body.name}`;
  const { kind, by } = parcel.body;
  return `${kind}: ${factText(parcel.body, catalog)}${by === '' ? '' : `, ${by}`}`;
}

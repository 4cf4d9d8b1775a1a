import { factText } from '@kobran/core';
import { useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { toast } from 'sonner';
import { useOutbox } from '../store/Device.js';
import type { Aside, Parcel } from '../store/outbox.js';
import { ShopProvider, useCatalog } from '../store/Shop.js';
import { Window } from '../ui/Window.js';

/** What was set aside on this device, and what can be done with it: nothing of it is dropped until somebody decides. */
export function AsideWindow({ onOpenChange }: { onOpenChange: (open: boolean) => void }): ReactNode {
  const { aside } = useOutbox();
  return (
    <Window
      wide
      title="Set aside on this device"
      description="Refused by the server, not to be read, or of somebody who does not come back. Kept here until you decide."
      open
      onOpenChange={onOpenChange}
    >
      <ShopProvider>
        <ul className="mt-3 divide-y divide-rule border-y border-rule">
          {aside.map((one) => (
            <Entry key={one.key} aside={one} onLeave={() => onOpenChange(false)} />
          ))}
        </ul>
      </ShopProvider>
    </Window>
  );
}

function Entry({ aside, onLeave }: { aside: Aside; onLeave: () => void }): ReactNode {
  const { retry, discard } = useOutbox();
  const [editing, setEditing] = useState(false);
  const complain = (error: unknown): void => void toast.error(String(error));
  return (
    <li className="py-3">
      <p className="font-semibold">
        <EntryText aside={aside} />
      </p>
      <p className="text-caution">{aside.why}</p>
      <p className="mt-2 flex flex-wrap gap-2">
        {aside.parcel && (
          <>
            <button className="button" onClick={() => void retry(aside).catch(complain)}>
              Send again
            </button>
            {aside.parcel.kind !== 'picture' && (
              <button className="button" aria-expanded={editing} onClick={() => setEditing(!editing)}>
                Edit
              </button>
            )}
          </>
        )}
        {aside.parcel && aside.parcel.kind !== 'picture' && (
          <Link className="button" to={`/runs/${aside.parcel.runId}/handover`} onClick={onLeave}>
            Its run
          </Link>
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
      {editing && aside.parcel && (
        <Fields parcel={aside.parcel} onSave={(parcel) => void retry({ ...aside, parcel }).catch(complain)} />
      )}
    </li>
  );
}

/** What makes an entry the one it is, and what a hand cannot put right, is not edited. */
const FIXED = new Set(['id', 'kind', 'at']);

const unitOf: Record<string, string> = { M: 'm', Mm: 'mm', Hz: 'Hz', W: 'W', Db: 'dB', Ohm: 'Ω', Kg: 'kg' };

/** A field as a person reads it: `lengthM` is “Length, m”. */
function fieldName(field: string): string {
  if (field === 'by') return 'Signed by';
  const [, name, unit] = /^(.+?)(Mm|M|Hz|W|Db|Ohm|Kg)?$/.exec(field) ?? ['', field];
  const words = name.replaceAll(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`);
  return `${words[0].toUpperCase()}${words.slice(1)}${unit ? `, ${unitOf[unit]}` : ''}`;
}

/** The words and figures of an entry, to put right what the server refused. */
function Fields({ parcel, onSave }: { parcel: Parcel; onSave: (parcel: Parcel) => void }): ReactNode {
  const fields = Object.entries(parcel.body).filter(
    (field): field is [string, string | number] =>
      !FIXED.has(field[0]) &&
      !field[0].endsWith('Id') &&
      (typeof field[1] === 'string' || typeof field[1] === 'number'),
  );
  const [values, setValues] = useState(() => new Map(fields.map(([name, value]) => [name, String(value)])));
  return (
    <form
      className="mt-3 grid gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        const changed = fields.map(([name, value]): [string, string | number] => {
          const text = values.get(name) ?? '';
          return [name, typeof value === 'number' ? Number(text) : text];
        });
        // Checked again by who sends it, and by the server.
        onSave({ ...parcel, body: { ...parcel.body, ...Object.fromEntries(changed) } } as Parcel);
      }}
    >
      {fields.map(([name, value]) => (
        <label key={name} className="grid gap-1">
          <span className="text-sm text-muted">{fieldName(name)}</span>
          <input
            className="field"
            // A figure that is none would be kept as “over range”.
            {...(typeof value === 'number' ? { type: 'number', step: 'any', required: true } : {})}
            value={values.get(name)}
            onChange={({ target }) => setValues(new Map([...values, [name, target.value]]))}
          />
        </label>
      ))}
      <button className="button button-primary justify-self-start">Save and send</button>
    </form>
  );
}

function EntryText({ aside: { parcel, what } }: { aside: Aside }): ReactNode {
  const catalog = useCatalog();
  if (!parcel) return what;
  if (parcel.kind === 'trace') return `Sweep ${parcel.body.name}`;
  if (parcel.kind === 'picture') return 'Photo';
  const { kind, by } = parcel.body;
  const said = `${kind[0].toUpperCase()}${kind.slice(1)}: ${factText(parcel.body, catalog)}`;
  return by === '' ? said : `${said}, by ${by}`;
}

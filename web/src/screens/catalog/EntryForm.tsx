import { usualDevice, type LossPoint, type PinBore, type ShopEntry } from '@kobran/core';
import { Fragment, useState, type ReactNode } from 'react';
import { toast } from 'sonner';
import { useShop } from '../../store/Shop.js';
import { check, read, written, type Checked, type Draft } from './draft.js';
import { Drawing } from './Drawing.js';
import { FieldInput } from './FieldInput.js';
import { fields } from './fields.js';
import { isOwnKind, kindNames, type OwnKind } from './kinds.js';
import { LossField } from './LossField.js';
import { PinsField } from './PinsField.js';

/** Asked for at the end; silent about them until then. */
const LATE = new Set(['name', 'source']);

/** An own entry under edit: checked and drawn at every change, kept when it is sound. */
export function EntryForm({
  entry,
  isNew,
  onDone,
  onLeave,
}: {
  entry: ShopEntry;
  isNew: boolean;
  onDone: (id: string) => void;
  onLeave: () => void;
}): ReactNode {
  const { put, own } = useShop();
  const [draft, setDraft] = useState<Draft>({ ...entry.data });
  const [tried, setTried] = useState(false);
  const [busy, setBusy] = useState(false);
  const { kind } = entry;
  if (kind === 'stock' || kind === 'reel' || !isOwnKind(kind)) return null;
  const checked = check(kind, draft, isNew ? undefined : entry.data.id);
  const taken = isNew && own.some((one) => one.kind === kind && one.data.id === checked.id);
  const keep = async (): Promise<void> => {
    setTried(true);
    if (!checked.entry || taken) return;
    setBusy(true);
    const kept = await put(checked.entry);
    setBusy(false);
    if (!kept) return;
    toast(`${checked.name} is in the catalogue`);
    onDone(checked.id);
  };
  return (
    <section aria-label={isNew ? `New ${kindNames[kind].one}` : `Change ${checked.name}`}>
      <h2 className="text-lg font-bold">{isNew ? `Your own ${kindNames[kind].one}` : checked.name}</h2>
      {isNew && (
        <p className="text-muted">
          It begins with figures near at hand; replace them with those of its sheet.
        </p>
      )}
      <div className="mt-2 rounded border border-rule bg-paper p-2">
        {checked.sketch ? (
          <Drawing entry={checked.sketch} />
        ) : (
          <p className="py-6 text-center text-muted">Drawn as soon as its dimensions can be true.</p>
        )}
      </div>
      <Fields kind={kind} draft={draft} checked={checked} taken={taken} tried={tried} onChange={setDraft} />
      {tried && checked.others.length > 0 && (
        <ul role="alert" className="mt-3 text-stop">
          {checked.others.map(({ message, remedy, where }) => (
            <li key={where}>
              {where}: {message} {remedy}
            </li>
          ))}
        </ul>
      )}
      <div className="mt-4 flex gap-2">
        <button className="button button-primary min-h-11" disabled={busy} onClick={() => void keep()}>
          Save entry
        </button>
        <button className="button min-h-11" onClick={onLeave}>
          Cancel
        </button>
        {tried && !checked.entry && (
          <p role="status" className="self-center text-stop">
            Something is not right yet: see the words in red.
          </p>
        )}
      </div>
    </section>
  );
}

/** An adapter becomes a device, or is none any more. */
function withDevice(draft: Draft): Draft {
  if (!('form' in draft)) return draft;
  const { device, ...plain } = draft;
  return draft.form === 'device' ? { ...plain, device: device ?? usualDevice } : plain;
}

function Fields({
  kind,
  draft,
  checked,
  taken,
  tried,
  onChange,
}: {
  kind: OwnKind;
  draft: Draft;
  checked: Checked;
  taken: boolean;
  tried: boolean;
  onChange: (draft: Draft) => void;
}): ReactNode {
  const problemOf = (key: string): string | undefined => {
    if (taken && key === 'name') return 'You have one of this name already.';
    return tried || !LATE.has(key) ? checked.problems.get(key) : undefined;
  };
  return (
    <div className="mt-3 grid gap-x-5 gap-y-3 sm:grid-cols-2">
      {fields[kind]
        .filter(({ when }) => !when || draft[when[0]] === when[1])
        .map((field) => (
          <Fragment key={field.key}>
            {field.key === 'k1' && (
              <LossField
                points={(draft.lossPoints ?? []) as LossPoint[]}
                onChange={(to) => onChange({ ...draft, ...to })}
              />
            )}
            <FieldInput
              field={field}
              value={read(draft, field.key)}
              problem={problemOf(field.key)}
              onChange={(value) => onChange(withDevice(written(draft, field.key, value)))}
            />
          </Fragment>
        ))}
      {kind === 'part' && (
        <PinsField
          pins={draft.pins as PinBore[]}
          problem={checked.pins}
          onChange={(pins) => onChange({ ...draft, pins })}
        />
      )}
    </div>
  );
}

import { fail, formatLength, ok, parseLength, type Reel, type Result } from '@kobran/core';
import { useState, type ReactNode } from 'react';
import { usePreferences } from '../../ui/Preferences.js';
import { useShop } from '../../store/Shop.js';
import { Choice } from '../../ui/Choice.js';
import { TextField } from '../../ui/TextField.js';
import { Tick } from '../../ui/Tick.js';
import { slugOf } from '../../store/slugOf.js';
import { RunLengthField } from '../../ui/LengthField.js';

/** Cable on the shelf: reels and what is left of them. */
export function Shelf(): ReactNode {
  const { catalog, remove } = useShop();
  const { units } = usePreferences();
  const [edited, setEdited] = useState<Reel>();
  const reels = [...catalog.reels.values()].sort(
    (x, y) => x.cable.localeCompare(y.cable) || y.lengthM - x.lengthM,
  );
  const metres = (value: number): string => formatLength(value, { system: units, digits: 2 });
  return (
    <section className="mt-8 print:hidden" aria-labelledby="shelf">
      <h2 id="shelf" className="text-lg font-bold">
        On the shelf
      </h2>
      {reels.length === 0 && (
        <p className="text-muted">No reel yet: enter what lies there, the offcuts too.</p>
      )}
      <ul className="mt-1 divide-y divide-rule border-y border-rule">
        {reels.map((reel) => (
          <li
            key={reel.id}
            className="grid items-center gap-x-4 py-1.5 sm:grid-cols-[minmax(0,1fr)_8rem_6rem_minmax(0,14rem)_auto]"
          >
            <span>
              <strong>{reel.name}</strong>{' '}
              <span className="text-muted">{reel.lot === '' ? 'lot not known' : `lot ${reel.lot}`}</span>
            </span>
            <span>{catalog.cables.get(reel.cable)?.name ?? reel.cable}</span>
            <span className="figures text-right">{metres(reel.lengthM)}</span>
            <span className="text-sm text-muted">
              {reel.isNew ? 'not begun' : 'begun'}
              {reel.damaged.length > 0 && (
                <strong className="text-caution">
                  , damaged{' '}
                  {reel.damaged.map(({ fromM, toM }) => `${metres(fromM)} to ${metres(toM)}`).join(', ')}
                </strong>
              )}
            </span>
            <span className="flex gap-3">
              <button
                className="min-h-9 text-sm underline underline-offset-4 hover:decoration-2"
                aria-label={`Change ${reel.name}`}
                onClick={() => setEdited(reel)}
              >
                Change
              </button>
              <button
                className="min-h-9 text-sm text-muted underline underline-offset-4 hover:text-stop"
                aria-label={`Take ${reel.name} off the shelf`}
                onClick={() => void remove({ kind: 'reel', data: reel })}
              >
                Take off
              </button>
            </span>
          </li>
        ))}
      </ul>
      {edited ? (
        <ReelForm key={edited.id} reel={edited} onDone={() => setEdited(undefined)} />
      ) : (
        <button className="button mt-3" onClick={() => setEdited(blank)}>
          Put a reel on the shelf
        </button>
      )}
    </section>
  );
}

const blank: Reel = { id: '', name: '', cable: 'rg213', lot: '', lengthM: 100, isNew: true, damaged: [] };

/** `12.2-12.6, 30-31`: stretches from the outer end. */
function parseSpans(text: string, units: 'metric' | 'imperial'): Result<Reel['damaged']> {
  const spans: Reel['damaged'] = [];
  for (const part of text
    .split(/[,;]/)
    .map((one) => one.trim())
    .filter(Boolean)) {
    const ends = part.split(/\s*(?:-|–|\bto\b)\s*/);
    const [from, to] = ends.map((end) =>
      parseLength(end, { unit: units === 'metric' ? 'm' : 'ft', allowZero: true }),
    );
    if (ends.length !== 2 || !from.ok || !to.ok)
      return fail('reel.span', `“${part}” is not a stretch.`, 'damaged', 'Write it as 12.2 m - 12.6 m.');
    spans.push({ fromM: from.value, toM: to.value });
  }
  return ok(spans);
}

function ReelForm({ reel, onDone }: { reel: Reel; onDone: () => void }): ReactNode {
  const { catalog, put } = useShop();
  const { units } = usePreferences();
  const [draft, setDraft] = useState(reel);
  const metres = (value: number): string => formatLength(value, { system: units, digits: 2 });
  const [damaged, setDamaged] = useState(
    reel.damaged.map(({ fromM, toM }) => `${metres(fromM)} - ${metres(toM)}`).join(', '),
  );
  const spans = parseSpans(damaged, units);
  const set = (change: Partial<Reel>): void => setDraft({ ...draft, ...change });
  const save = async (): Promise<void> => {
    if (!spans.ok) return;
    const id = draft.id || slugOf(draft.name);
    if (await put({ kind: 'reel', data: { ...draft, id, damaged: spans.value } })) onDone();
  };
  return (
    <form
      className="mt-3 grid items-end gap-3 rounded border border-rule bg-paper p-4 sm:grid-cols-2 lg:grid-cols-4"
      aria-label={reel.id === '' ? 'New reel' : `Reel ${reel.name}`}
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
    >
      <TextField label="Name" value={draft.name} maxLength={80} onChange={(name) => set({ name })} />
      <Choice
        label="Cable"
        value={draft.cable}
        options={[...catalog.cables.values()].map(({ id, name }) => ({ value: id, label: name }))}
        onChange={(cable) => set({ cable })}
      />
      <TextField label="Lot" value={draft.lot} maxLength={40} allowEmpty onChange={(lot) => set({ lot })} />
      <RunLengthField
        label="Length"
        valueM={draft.lengthM}
        digits={2}
        onChange={(lengthM) => set({ lengthM })}
      />
      <div className="sm:col-span-2">
        <TextField
          label="Damaged, from the outer end"
          value={damaged}
          maxLength={400}
          allowEmpty
          onChange={setDamaged}
        />
        {!spans.ok && (
          <p role="alert" className="mt-1 text-sm text-stop">
            {spans.problem.message} {spans.problem.remedy}
          </p>
        )}
      </div>
      <Tick label="Not started yet" checked={draft.isNew} onChange={(isNew) => set({ isNew })} />
      <p className="flex gap-2">
        <button className="button button-primary" disabled={draft.name === '' || !spans.ok}>
          Save reel
        </button>
        <button type="button" className="button" onClick={onDone}>
          Cancel
        </button>
      </p>
    </form>
  );
}

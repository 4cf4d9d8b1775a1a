import { faceOf, faces, formatFrequency, type Catalog, type ShopEntry } from '@kobran/core';
import { Pencil, Trash2 } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { FaceFront } from '../../drawing/faces/FaceFront.js';
import { useShop } from '../../store/Shop.js';
import { Rows } from '../../ui/Rows.js';
import { Drawing } from './Drawing.js';
import { EntryForm } from './EntryForm.js';
import { FaceDetails } from './FaceDetails.js';
import { Figures } from './Figures.js';
import { kindNames, type Kind, type OwnKind } from './kinds.js';
import { StockField } from './StockField.js';

/** One thing of the catalogue: drawn, its figures, where they come from. */
export function Details({ kind, id }: { kind: Kind; id: string | undefined }): ReactNode {
  const { catalog } = useShop();
  if (id === undefined)
    return <p className="text-lg">Nothing here yet. Add your first {kindNames[kind].one}.</p>;
  if (kind === 'face') {
    const face = faces.get(id);
    return face ? <FaceDetails key={id} face={face} code={id} /> : <Missing kind={kind} id={id} />;
  }
  if (kind === 'arrester') {
    const arrester = catalog.arresters.get(id);
    if (!arrester) return <Missing kind={kind} id={id} />;
    return (
      <section aria-label={arrester.name}>
        <h2 className="text-lg font-bold">{arrester.name}</h2>
        <div className="mt-2 flex justify-center rounded border border-rule bg-paper p-2">
          <FaceFront face={faceOf(arrester.faces[0])} size={120} />
        </div>
        <Rows
          rows={[
            ['Kind', arrester.kind],
            [
              'Band',
              `${arrester.lowHz === 0 ? 'direct current' : formatFrequency(arrester.lowHz)} to ${formatFrequency(arrester.highHz)}`,
            ],
            [
              'Direct current',
              arrester.passesDc ? 'passes' : arrester.groundsDc ? 'shorted by design' : 'blocked',
            ],
            ['Surge side', arrester.symmetrical ? 'either' : 'marked; to the antenna'],
            ['Tube', arrester.tubeChangeable ? 'changeable' : 'none'],
            ['Takes once, 8/20 µs', `${arrester.impulseKa} kA`],
            ['Stud', arrester.studThread],
            ['Source', arrester.source],
          ]}
        />
      </section>
    );
  }
  const entry = entryOf(kind, id, catalog);
  return entry ? <EntryDetails key={`${kind}${id}`} entry={entry} /> : <Missing kind={kind} id={id} />;
}

function Missing({ kind, id }: { kind: Kind; id: string }): ReactNode {
  return (
    <p className="text-lg">
      There is no {kindNames[kind].one} “{id}”. It may have been deleted; find another in the list.
    </p>
  );
}

function entryOf(
  kind: OwnKind,
  id: string,
  { cables, parts, adapters, ports }: Catalog,
): ShopEntry | undefined {
  switch (kind) {
    case 'cable': {
      const data = cables.get(id);
      return data && { kind, data };
    }
    case 'part': {
      const found = parts.get(id);
      if (!found) return undefined;
      const { train: _, referencePlane: __, ...data } = found;
      return { kind, data };
    }
    case 'adapter': {
      const data = adapters.get(id);
      return data && { kind, data };
    }
    case 'port': {
      const data = ports.get(id);
      return data && { kind, data };
    }
  }
}

function EntryDetails({ entry }: { entry: ShopEntry }): ReactNode {
  const { own, remove, put } = useShop();
  const navigate = useNavigate();
  const [editing, setEditing] = useState(false);
  const { kind, data } = entry;
  const isOwn = own.some((one) => one.kind === kind && one.data.id === data.id);
  const name = 'name' in data ? data.name : data.id;
  if (editing)
    return (
      <EntryForm
        entry={entry}
        isNew={false}
        onDone={() => setEditing(false)}
        onLeave={() => setEditing(false)}
      />
    );
  const takeAway = async (): Promise<void> => {
    if (!(await remove(entry))) return;
    void navigate(`/catalog/${kind}`);
    toast(`${name} is deleted`, { action: { label: 'Undo', onClick: () => void put(entry) } });
  };
  return (
    <section aria-label={name}>
      <div className="flex flex-wrap items-start justify-between gap-2">
        <h2 className="text-lg font-bold">
          {name}{' '}
          {isOwn && (
            <span className="rounded border border-lake px-1.5 text-sm font-normal text-lake">own</span>
          )}
        </h2>
        <div className="flex gap-2">
          <button className="button" onClick={() => setEditing(true)}>
            <Pencil size={16} aria-hidden /> {isOwn ? 'Change' : 'Edit for this shop'}
          </button>
          {isOwn && (
            <button className="button" onClick={() => void takeAway()}>
              <Trash2 size={16} aria-hidden /> Delete
            </button>
          )}
        </div>
      </div>
      <div className="mt-2 rounded border border-rule bg-paper p-2">
        <Drawing entry={entry} />
      </div>
      {entry.kind === 'adapter' && <StockField adapterId={entry.data.id} />}
      <div className="mt-2 max-w-2xl">
        <Figures entry={entry} />
      </div>
    </section>
  );
}

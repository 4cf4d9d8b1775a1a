import { catalogToCsv, catalogToJson, readCatalogFile } from '@kobran/contract';
import {
  catalogEntries,
  faceInFull,
  faces,
  newEntries,
  seriesOf,
  type Catalog,
  type Problem,
  type ShopEntry,
} from '@kobran/core';
import { Download, Plus } from 'lucide-react';
import { useEffect, useMemo, useState, type ReactNode } from 'react';
import { NavLink, useNavigate, useParams } from 'react-router';
import { toast } from 'sonner';
import { saveFile } from '../../ui/saveFile.js';
import { useShop } from '../../store/Shop.js';
import { FilePick } from '../../ui/FilePick.js';
import { Finder, type FinderItem } from '../../ui/Finder.js';
import { TopBar } from '../../frame/TopBar.js';
import { Details } from './Details.js';
import { EntryForm } from './EntryForm.js';
import { isOwnKind, kindNames, kinds, type Kind } from './kinds.js';
import { starts } from './starts.js';

/** Everything of the trade that Kobran knows, with its source; and what the shop adds. */
export function CatalogScreen(): ReactNode {
  const { kind: asked, id } = useParams();
  const kind = kinds.find((one) => one === asked) ?? 'face';
  const { catalog, own } = useShop();
  const navigate = useNavigate();
  const items = useMemo(() => itemsOf(kind, catalog, own), [kind, catalog, own]);
  useEffect(() => {
    document.title = 'Catalogue – Kobran';
  }, []);
  const making = id === 'new' && isOwnKind(kind);
  return (
    <div className="min-h-screen">
      <TopBar crumbs={[{ label: 'Board', to: '/' }, { label: 'Catalogue' }]} />
      <main className="mx-auto max-w-6xl px-4 py-4">
        <div className="flex flex-wrap items-center justify-between gap-3">
          <h1 className="text-xl font-bold">Catalogue</h1>
          <Exchange />
        </div>
        <nav aria-label="Kinds" className="mt-3 flex flex-wrap gap-x-1 border-b-2 border-ink">
          {kinds.map((one) => (
            <NavLink
              key={one}
              to={`/catalog/${one}`}
              className={({ isActive }) =>
                `px-3 py-1.5 ${isActive || (one === kind && !asked) ? 'bg-ink font-semibold text-sheet' : 'hover:bg-panel'}`
              }
            >
              {kindNames[one].many}
            </NavLink>
          ))}
        </nav>
        <div className="mt-4 grid gap-8 md:grid-cols-[minmax(0,20rem)_minmax(0,1fr)]">
          <div>
            <Finder
              key={kind}
              label={`Find ${kindNames[kind].many.toLowerCase()}`}
              items={items}
              {...(id === undefined ? {} : { picked: id })}
              onPick={(to) => void navigate(`/catalog/${kind}/${to}`)}
              height="max-h-[60vh]"
            />
            {isOwnKind(kind) && (
              <button className="button mt-2" onClick={() => void navigate(`/catalog/${kind}/new`)}>
                <Plus size={16} aria-hidden /> Add your own {kindNames[kind].one}
              </button>
            )}
          </div>
          <div className="min-w-0">
            {making ? (
              <EntryForm
                key={kind}
                entry={starts[kind]}
                isNew
                onDone={(to) => void navigate(`/catalog/${kind}/${to}`)}
                onLeave={() => void navigate(`/catalog/${kind}`)}
              />
            ) : (
              <Details kind={kind} id={id ?? items.at(0)?.id} />
            )}
          </div>
        </div>
      </main>
    </div>
  );
}

function itemsOf(kind: Kind, catalog: Catalog, own: readonly ShopEntry[]): FinderItem[] {
  const mine = (id: string): string =>
    own.some((entry) => entry.kind === kind && entry.data.id === id) ? 'own' : '';
  const named = (items: Iterable<{ id: string; name: string }>): FinderItem[] =>
    [...items].map(({ id, name }) => ({ id, label: name, hint: mine(id) }));
  switch (kind) {
    case 'face':
      return [...faces].map(([id, face]) => ({ id, label: faceInFull(face), hint: seriesOf(face).thread }));
    case 'cable':
      return [...catalog.cables.values()].map(({ id, name, aliases = '' }) => ({
        id,
        label: name,
        hint: mine(id),
        words: aliases,
      }));
    case 'part':
      return named(catalog.parts.values());
    case 'adapter':
      return named(catalog.adapters.values());
    case 'arrester':
      return named(catalog.arresters.values());
    case 'port':
      return named(catalog.ports.values());
  }
}

/** The catalogue out as a file, and a file in: looked through before anything is changed. */
function Exchange(): ReactNode {
  const { catalog, import: importEntries } = useShop();
  const [looked, setLooked] = useState<{ name: string; fresh: ShopEntry[]; problems: Problem[] }>();
  const look = (file: File): void => {
    void file.text().then((text) => {
      const { entries, problems } = readCatalogFile(text);
      setLooked({ name: file.name, fresh: newEntries(entries, catalog), problems });
    });
  };
  return (
    <div className="flex flex-wrap gap-2">
      <button
        className="button"
        onClick={() => saveFile(catalogToCsv(catalogEntries(catalog)), 'catalogue.csv', 'text/csv')}
      >
        <Download size={16} aria-hidden /> CSV
      </button>
      <button
        className="button"
        onClick={() => saveFile(catalogToJson(catalogEntries(catalog)), 'catalogue.json', 'application/json')}
      >
        <Download size={16} aria-hidden /> JSON
      </button>
      <FilePick label="Import a file" accept=".csv,.json,text/csv,application/json" onPick={look} />
      {looked && (
        <section aria-label="The file" className="basis-full border-y-2 border-ink py-2" aria-live="polite">
          <p className="font-bold">
            {looked.name}: {looked.fresh.length} {looked.fresh.length === 1 ? 'entry is' : 'entries are'} new
            or changed
            {looked.problems.length > 0 && `, ${looked.problems.length} cannot be read`}
          </p>
          <ul className="max-h-40 overflow-y-auto text-sm">
            {looked.problems.map(({ message, where, remedy }) => (
              <li key={`${where}${message}`} className="text-stop">
                {where}: {message} {remedy}
              </li>
            ))}
            {looked.fresh.map(({ kind, data }) => (
              <li key={`${kind}${data.id}`}>
                {kind}: {'name' in data ? data.name : data.id}
              </li>
            ))}
          </ul>
          <div className="mt-2 flex gap-2">
            <button
              className="button button-primary"
              disabled={looked.fresh.length === 0}
              onClick={() =>
                void importEntries(looked.fresh).then((done) => {
                  if (!done) return;
                  toast(`${looked.fresh.length} entries of ${looked.name} are in the catalogue`);
                  setLooked(undefined);
                })
              }
            >
              Import them
            </button>
            <button className="button" onClick={() => setLooked(undefined)}>
              Cancel
            </button>
          </div>
        </section>
      )}
    </div>
  );
}

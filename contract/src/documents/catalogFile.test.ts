import { describe, expect, it } from 'vitest';
import {
  catalog,
  catalogEntries,
  entry,
  fitLossLaw,
  newEntries,
  withShop,
  type ShopEntry,
} from '@kobran/core';
import { catalogToCsv, catalogToJson, readCatalogFile } from './catalogFile.js';
import { readShopEntry } from './readShopEntry.js';

const ownCable = {
  ...entry(catalog.cables, 'rg213'),
  id: 'grey-drum',
  name: 'Grey drum',
  source: 'measured',
};
const {
  train: _,
  referencePlane: __,
  ...ownPart
} = { ...entry(catalog.parts, 'n-plug-crimp-10mm'), id: 'our-n' };
const at = (mhz: number, dbPer100M: number) => ({ frequencyHz: mhz * 1e6, dbPer100M });
const refused = (kind: string, data: unknown): { where: string; message: string }[] => {
  const read = readShopEntry(kind, data);
  return read.ok ? [] : read.problems;
};

describe('what a shop adds', () => {
  it('everything which ships could have been added by a shop', () => {
    for (const { kind, data } of catalogEntries(catalog)) expect(refused(kind, data), data.id).toEqual([]);
  });

  it('stands in the catalogue beside what ships, or in its place', () => {
    const own = readShopEntry('cable', { ...ownCable, id: 'rg58', costPerM: 1.2 });
    if (!own.ok) throw new Error(own.problems[0].message);
    const merged = withShop(catalog, [own.entry]);
    expect(entry(merged.cables, 'rg58').costPerM).toBe(1.2);
    expect(merged.cables.size).toBe(catalog.cables.size);
    expect(withShop(catalog, []).cables).toBe(catalog.cables);
  });

  // Layers lie over each other, and Z0 = 59.96·VF·ln(D/d) (Pozar): what breaks this is no cable.
  it.each([
    [{ dielectricMm: 2 }, 'dielectricMm'],
    [{ jacketMm: 7 }, 'jacketMm'],
    [{ centreMm: 0.5 }, 'centreMm'],
    [{ velocityFactor: 1.4 }, 'velocityFactor'],
    [{ bendRepeatedMm: 10 }, 'bendRepeatedMm'],
    [{ k1: -1 }, 'k1'],
    // A law which does not meet the figures of its own sheet is none of it.
    [{ lossPoints: [at(10, 9), at(100, 30)] }, 'k1'],
    [{ source: '' }, 'source'],
    [{ id: 'No Good' }, 'id'],
  ])('a cable with %j is refused at %s', (spoilt, where) =>
    expect(refused('cable', { ...ownCable, ...spoilt })[0]).toMatchObject({ where }),
  );

  it.each([
    [{ neckOuterMm: 5 }, 'neckOuterMm'],
    [{ gripBoreMm: 7 }, 'gripBoreMm'],
    [{ jacketToPlaneMm: 5 }, 'jacketToPlaneMm'],
    [{ hexMm: 2 }, 'hexMm'],
    [{ proudMm: 40 }, 'proudMm'],
    [{ pins: [{ boreMm: 2.4, depthMm: 90, made: 'solid' }] }, 'pins[0].depthMm'],
    [{ pins: [{ boreMm: -1, depthMm: 5, made: 'solid' }] }, 'pins[0].boreMm'],
    [{ pins: [] }, 'pins'],
    [{ face: 'n-plugg' }, 'face'],
    [{ style: 'glue' }, 'style'],
    [{ extra: 1 }, 'extra'],
  ])('a part with %j is refused at %s, the dimension named', (spoilt, where) =>
    expect(refused('part', { ...ownPart, ...spoilt })[0]).toMatchObject({ where }),
  );

  it('an unknown kind and something that is no entry are refused', () => {
    expect(refused('spoon', {})[0].message).toContain('spoon');
    expect(refused('cable', [1])).toHaveLength(1);
    expect(
      refused('adapter', { ...entry(catalog.adapters, 'n-jack-to-n-jack'), faces: ['n-jack'] }),
    ).not.toEqual([]);
  });
});

describe('the catalogue as a file', () => {
  const entries = catalogEntries(
    withShop(catalog, [{ kind: 'stock', data: { id: 'n-jack-to-n-jack', count: 3, matings: 12 } }]),
  );

  it('what only some entries say comes back too', () => {
    const law = fitLossLaw([at(10, 2), at(100, 6.9), at(1000, 28.5)]);
    const own: ShopEntry[] = [
      {
        kind: 'cable',
        data: {
          ...ownCable,
          ...(law && { k1: law.k1, k2: law.k2 }),
          lossPoints: [at(10, 2), at(100, 6.9), at(1000, 28.5)],
        },
      },
      { kind: 'part', data: { ...ownPart, captiveNut: true } },
      {
        kind: 'adapter',
        data: { ...entry(catalog.adapters, 'sma-plug-to-n-jack'), id: 'ours', insulatorDepthMm: 2.1 },
      },
      {
        kind: 'adapter',
        data: { ...entry(catalog.adapters, 'duplexer-uhf'), id: 'our-duplexer' },
      },
    ];
    for (const text of [catalogToJson(own), catalogToCsv(own)])
      expect(readCatalogFile(text)).toMatchObject({ entries: own, problems: [] });
  });

  it.each([
    ['JSON', catalogToJson(entries)],
    ['CSV', catalogToCsv(entries)],
  ])('comes back from %s as it went', (_format, text) => {
    const file = readCatalogFile(text);
    expect(file.problems).toEqual([]);
    expect(file.entries).toHaveLength(entries.length);
    expect(newEntries(file.entries, catalog).map(({ kind, data }) => [kind, data.id])).toEqual([
      ['stock', 'n-jack-to-n-jack'],
    ]);
  });

  it('what the shop knows of its shelf goes out and comes in; what it does not know is left out', () => {
    const known: ShopEntry[] = [
      {
        kind: 'stock',
        data: {
          id: 'rubber38',
          count: 2,
          countedAt: '2026-11-02T09:00:00Z',
          matings: 0,
          lowest: 1,
          price: 11.5,
          supplier: '=Harbour stores',
          place: 'van, left side',
          lot: '2026-07',
        },
      },
      { kind: 'stock', data: { id: 'gas-n', count: 1, matings: 0 } },
    ];
    expect(readCatalogFile(catalogToCsv(known))).toEqual({ entries: known, problems: [] });
  });

  it('a file from a spreadsheet, with decimal commas, a byte-order mark and blank lines, is read', () => {
    const text = `\uFEFFkind,id,count,matings\nstock,n-jack-to-n-jack,"2,0",5\n\n`;
    expect(readCatalogFile(text).entries).toEqual<ShopEntry[]>([
      { kind: 'stock', data: { id: 'n-jack-to-n-jack', count: 2, matings: 5 } },
    ]);
  });

  it.each([
    ['', 'file'],
    ['{ "schema": ', 'file'],
    ['{"schema":"other/1","entries":[]}', 'schema'],
    ['a,b\n1,2\n', 'line 1'],
    ['kind,id,count,matings\nstock,x,many,0\n', 'line 2, column count'],
    ['kind,id,count,matings\nstock,x,1,0\nspoon,y,1,0\n', 'line 3'],
    ['kind,id,count,matings\nstock,x,-1,0\n', 'line 2.count'],
  ])('what is wrong is said with its place: %j', (text, where) => {
    const { problems } = readCatalogFile(text);
    expect(problems[0].where).toContain(where);
    expect(problems[0].remedy).not.toBe('');
  });

  it('one bad line loses none of the others', () => {
    const { entries: kept, problems } = readCatalogFile(
      'kind,id,count,matings\nstock,x,oops,0\nstock,y,1,0\n',
    );
    expect(problems).toHaveLength(1);
    expect(kept.map(({ data }) => data.id)).toEqual(['y']);
  });
});

describe('numbers of a CSV file', () => {
  const csv = (lengthM: string, more: string): string =>
    `kind,id,name,cable,lot,lengthM,isNew,damaged\nreel,long,Long,rg213,,"${lengthM}",yes,\n${more}`;

  it('with two readings are asked about, with line and column', () => {
    const { entries, problems } = readCatalogFile(csv('1,500', ''));
    expect(entries).toEqual([]);
    expect(problems).toMatchObject([
      { code: 'catalog.ambiguous', where: 'line 2, column lengthM', choices: ['1500', '1.5'] },
    ]);
  });

  it('are read as the rest of the file writes them', () => {
    for (const [other, lengthM] of [
      ['12,5', 1.5],
      ['12.5', 1500],
    ] as const) {
      const { entries } = readCatalogFile(csv('1,500', `reel,short,Short,rg213,,"${other}",yes,\n`));
      expect(entries.map(({ data }) => 'lengthM' in data && data.lengthM)).toEqual([lengthM, 12.5]);
    }
  });
});

import { catalog, entry, type Port, type Reel, type ShopEntry, type Stock } from '@kobran/core';

/** What the crew owns: ports, adapters on the shelf, and what the shipped catalogue does not know. */

const VHF = { lowHz: 148e6, highHz: 156e6 };
const UHF = { lowHz: 430e6, highHz: 470e6 };

const port = (
  id: string,
  name: string,
  side: Port['side'],
  face: string,
  band: { lowHz: number; highHz: number },
  more: Partial<Port> = {},
): ShopEntry => ({
  kind: 'port',
  data: {
    id,
    name,
    side,
    face,
    ...band,
    powerW: side === 'radio' ? 5 : 25,
    handheld: false,
    swr: side === 'radio' ? 1 : 1.5,
    dcShort: false,
    matings: 0,
    ...more,
  },
});

const stock = (id: string, count: number, matings: number, more: Partial<Stock> = {}): ShopEntry => ({
  kind: 'stock',
  data: { id, count, matings, ...more },
});
/** On the evening before the first ends were made. */
const counted = { countedAt: '2026-11-01T17:00:00.000Z' };
const harbour = { supplier: 'Harbour stores, Tarrowmere' };

const { train: _, referencePlane: __, ...nPlug } = entry(catalog.parts, 'n-plug-crimp-10mm');

const reel = (
  id: string,
  name: string,
  cable: string,
  lot: string,
  lengthM: number,
  more: Partial<Reel> = {},
): ShopEntry => ({
  kind: 'reel',
  data: { id, name, cable, lot, lengthM, isNew: false, damaged: [], ...more },
});

export const shopShelf: ShopEntry[] = [
  reel('drum-7', 'Drum 7', 'rg213', 'Drum 7', 31.4),
  reel('offcut-hook-2', 'Coil on hook 2', 'rg213', 'Drum 5', 3.9),
  reel('offcut-hook-3', 'Coil on hook 3', 'rg213', 'Drum 5', 14.2, {
    damaged: [{ fromM: 5.1, toM: 5.4 }],
  }),
  reel('drum-8', 'Drum 8', 'rg213', 'Drum 8', 100, { isNew: true }),
  reel('c400-coil', 'Coil of 10 mm low-loss foam', 'c400', '', 27.5),
  reel('c400-drum', 'Drum of 10 mm low-loss foam', 'c400', '2026-18', 100, { isNew: true }),
  reel('rg58-box', 'Box of RG-58', 'rg58', '', 42),
  reel('rg58-tail', 'Tail of RG-58', 'rg58', '', 2.4),
  reel('rg6-box', 'Box of RG-6', 'rg6', '', 60, { isNew: true }),
  port('handheld-1', 'Handheld 1', 'radio', 'sma-jack', VHF, { handheld: true, matings: 212 }),
  port('handheld-2', 'Handheld 2', 'radio', 'sma-plug', VHF, { handheld: true, matings: 96 }),
  port('handheld-3', 'Handheld 3', 'radio', 'bnc-jack', VHF, { handheld: true, matings: 340 }),
  port('handheld-4', 'Handheld 4', 'radio', 'sma-jack', VHF, { handheld: true, matings: 431 }),
  port('vhf-base-set', 'VHF base set', 'radio', 'uhf-jack', VHF, { powerW: 25, matings: 38 }),
  port('uhf-link-set', 'UHF link set', 'radio', 'n-jack', UHF, { powerW: 10, matings: 12 }),
  port('roll-up-antenna', 'Roll-up antenna', 'antenna', 'bnc-plug', VHF),
  port('whip', 'Whip', 'antenna', 'sma-plug', VHF),
  port('car-roof-antenna', 'Car roof antenna', 'antenna', 'uhf-plug', VHF),
  port('mast-dipole-tail', 'Mast dipole’s tail', 'antenna', 'n-plug', VHF),
  port('spare-yagi', 'Spare yagi', 'antenna', 'n-jack', UHF),
  stock('sma-plug-to-bnc-jack', 2, 118),
  stock('uhf-plug-to-bnc-jack', 1, 61),
  stock('n-jack-to-n-jack', 3, 9),
  stock('sma-plug-to-n-jack', 1, 407),
  stock('n-plug-to-bnc-jack', 1, 22),
  stock('n-plug-crimp-10mm', 8, 0, {
    ...counted,
    ...harbour,
    price: 6.4,
    lowest: 4,
    place: 'shelf 3',
    lot: '2026-07',
  }),
  stock('n-plug-crimp-5mm', 12, 0, counted),
  stock('gas-n', 1, 0, { ...counted, ...harbour, price: 41, lowest: 1, place: 'cabinet, box of tubes' }),
  stock('support-10mm', 40, 0, {
    ...counted,
    price: 0.9,
    place: 'van, left side',
    supplier: 'Mast yard, Saltpan',
  }),
  stock('rubber38', 2, 0, { ...counted, ...harbour, price: 11.5, lowest: 1, place: 'van, left side' }),
  {
    kind: 'cable',
    data: {
      ...entry(catalog.cables, 'rg213'),
      id: 'grey-drum',
      name: 'Grey drum, unmarked 10 mm',
      velocityFactor: 0.67,
      jacketMm: 10.2,
      costPerM: 1.9,
      source: 'measured on the bench, 2 November 2026',
    },
  },
  {
    kind: 'part',
    data: {
      ...nPlug,
      id: 'shelf-3-n-plug',
      name: 'N plug, crimp, from the bag on shelf 3',
      neckMm: 9.4,
      gripMm: 16.5,
      jacketToPlaneMm: 31.4,
      source: 'sheet in the bag',
    },
  },
];

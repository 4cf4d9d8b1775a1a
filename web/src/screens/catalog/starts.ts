import { catalog, entry, type ShopEntry } from '@kobran/core';
import type { OwnKind } from './kinds.js';

const { train: _, referencePlane: __, ...part } = entry(catalog.parts, 'n-plug-crimp-10mm');

/** What a new own entry begins with: something near at hand, to be overwritten from its sheet. */
export const starts: Record<OwnKind, ShopEntry> = {
  cable: { kind: 'cable', data: { ...entry(catalog.cables, 'rg213'), id: '', name: '', source: '' } },
  part: { kind: 'part', data: { ...part, id: '', name: '', source: '' } },
  adapter: {
    kind: 'adapter',
    data: { ...entry(catalog.adapters, 'n-plug-to-bnc-jack'), id: '', name: '', source: '' },
  },
  port: {
    kind: 'port',
    data: {
      id: '',
      name: '',
      side: 'radio',
      face: 'sma-jack',
      lowHz: 144e6,
      highHz: 146e6,
      powerW: 5,
      handheld: false,
      swr: 1,
      dcShort: false,
      matings: 0,
    },
  },
};

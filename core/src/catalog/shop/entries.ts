import type { Adapter } from '../adapters.js';
import type { Cable } from '../cable.js';
import type { FaceCode } from '../face.js';
import type { PartDimensions } from '../part.js';

/** What a shop adds to the catalogue: its own cables, parts, adapters and ports, and what lies on its shelf. */

/** An own cable, part or adapter has the shape of a shipped one. */
export type OwnCable = Cable;
export type OwnPart = PartDimensions;
export type OwnAdapter = Adapter;

/** The port of a radio, an antenna or a cable end which somebody owns. */
export interface Port {
  id: string;
  name: string;
  /** Where it stands in a run: equipment, or what it is joined to. */
  side: 'radio' | 'antenna';
  face: FaceCode;
  lowHz: number;
  highHz: number;
  /** *Forward* power it gives, or may take, W; 0 for receive only. */
  powerW: number;
  handheld: boolean;
  /** Of the antenna that came with a handheld, measured: from the front of its nut or shell down to the insulator, mm. */
  insulatorDepthMm?: number;
  swr: number;
  dcShort: boolean;
  /** How often it has been coupled. */
  matings: number;
}

/** So much of a part as left the shelf when something was made, hung, joined or sealed: pieces, rolls or m, as the list of parts counts it. */
export interface UsedPart {
  part: string;
  amount: number;
}

/** What lies on the shelf: adapters, and all else that the list of parts asks for. */
export interface Stock {
  /** Of an adapter or another part, as the list of parts calls it. */
  id: string;
  count: number;
  /** When it was counted, ISO 8601: what was used since is off the shelf. */
  countedAt?: string;
  /** Uses in the log, by their ids, for which nothing left the shelf after all. */
  putBack?: string[];
  /** Fewer are filled up with the next purchase. */
  lowest?: number;
  /** Of one, in the shop’s money. */
  price?: number;
  supplier?: string;
  /** Shelf, box or van it lies in. */
  place?: string;
  /** Production batch; not stated where nobody knows. */
  lot?: string;
  /** Couplings of the most used of them; 0 where nothing is coupled. */
  matings: number;
}

/** A stretch of a reel which nobody may use, m from its outer end. */
export interface DamagedSpan {
  fromM: number;
  toM: number;
}

/** Cable on the shelf: a reel or what is left of one. */
export interface Reel {
  id: string;
  name: string;
  /** The cable’s id. */
  cable: string;
  /** Production batch; empty when nobody knows. */
  lot: string;
  lengthM: number;
  /** A reel nobody has begun: offcuts are used up before it. */
  isNew: boolean;
  damaged: DamagedSpan[];
}

export const shopKinds = ['cable', 'part', 'adapter', 'port', 'stock', 'reel'] as const;
export type ShopKind = (typeof shopKinds)[number];

export interface ShopEntries {
  cable: OwnCable;
  part: OwnPart;
  adapter: OwnAdapter;
  port: Port;
  stock: Stock;
  reel: Reel;
}

/** One thing a shop has added, with its kind. */
export type ShopEntry = { [K in ShopKind]: { kind: K; data: ShopEntries[K] } }[ShopKind];

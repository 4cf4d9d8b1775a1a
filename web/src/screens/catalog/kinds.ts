import type { ShopKind } from '@kobran/core';

export const kinds = ['face', 'cable', 'part', 'adapter', 'arrester', 'port'] as const;
export type Kind = (typeof kinds)[number];

/** Kinds a shop adds to. */
export type OwnKind = Exclude<ShopKind, 'stock' | 'reel'>;

export const isOwnKind = (kind: Kind): kind is OwnKind => kind !== 'face' && kind !== 'arrester';

export const kindNames: Record<Kind, { one: string; many: string }> = {
  face: { one: 'connector', many: 'Connectors' },
  cable: { one: 'cable', many: 'Cables' },
  part: { one: 'connector part', many: 'Parts' },
  adapter: { one: 'adapter or device', many: 'Adapters, devices' },
  arrester: { one: 'arrester', many: 'Arresters' },
  port: { one: 'port', many: 'Ports' },
};

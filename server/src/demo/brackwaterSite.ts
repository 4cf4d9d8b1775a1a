import { SITE_SCHEMA, type RouteStep, type Site } from '@kobran/core';
import { brackwaterGround } from './brackwaterGround.js';
import { point, way } from './sitePart.js';

/** Hut, wall, duct and mast of the base: what its runs share. The duct has much against it. */
export const brackwaterSite: Site = {
  schema: SITE_SCHEMA,
  points: [
    point('vhf-set', 'VHF base set', 'rack', 0, 0, 1.2),
    point('uhf-set', 'UHF link set', 'rack', 1.2, 0.7, 1.4),
    point('weather-set', 'Weather receiver', 'rack', -0.4, -0.9, 1.2),
    point('inside', 'Inside of the wall', 'free', 1.9, 0, 1),
    point('entry-box', 'Entry box', 'entry', 2.5, 0, 0.9),
    point('entry-rod', 'Entry rod', 'rod', 2.8, -0.6, 0),
    point('mast-foot', 'Mast foot', 'mast foot', 11, 1.5, 0),
    point('dipole', 'Mast dipole', 'antenna', 11, 1.5, 10.8),
    point('preamplifier', 'Mast preamplifier', 'antenna', 11, 1.5, 12.8),
    point('yagi', 'Yagi to Oster Crag', 'antenna', 11, 1.5, 13.5),
  ],
  ways: [
    way({
      id: 'bench-tray',
      name: 'the bench tray',
      kind: 'indoor tray',
      from: 'vhf-set',
      to: 'inside',
      lengthM: 1.9,
      conditions: ['inside'],
    }),
    way({
      id: 'rack',
      name: 'the rack',
      kind: 'indoor tray',
      from: 'uhf-set',
      to: 'inside',
      lengthM: 1,
      conditions: ['inside'],
    }),
    way({
      id: 'shelf',
      name: 'the shelf',
      kind: 'indoor tray',
      from: 'weather-set',
      to: 'inside',
      lengthM: 2.6,
      conditions: ['inside'],
    }),
    way({
      id: 'box-hole',
      name: 'the entry box',
      kind: 'wall feed-through',
      from: 'inside',
      to: 'entry-box',
      lengthM: 0.5,
      conditions: ['sheltered'],
    }),
    way({
      id: 'wall',
      name: 'the wall entry',
      kind: 'wall feed-through',
      from: 'inside',
      to: 'entry-box',
      lengthM: 0.6,
      conditions: ['sheltered'],
    }),
    way({
      id: 'duct',
      name: 'the duct to the mast',
      kind: 'duct',
      from: 'entry-box',
      to: 'mast-foot',
      lengthM: 9,
      conditions: ['buried', 'wet'],
      bends: [
        { atM: 0.8, degrees: 90, radiusMm: 250 },
        { atM: 8.4, degrees: 90, radiusMm: 250 },
      ],
      duct: { boreMm: 25, lubricated: false, drained: false, cord: false },
      depthM: 0.15,
      beside: [{ what: 'mains', distanceMm: 150 }],
    }),
    way({
      id: 'mast',
      name: 'the mast',
      kind: 'tower leg',
      from: 'mast-foot',
      to: 'dipole',
      lengthM: 10.8,
      conditions: ['outside', 'sun'],
      bends: [{ atM: 0.3, degrees: 90, radiusMm: 100 }],
    }),
    way({
      id: 'mast-head',
      name: 'the mast head',
      kind: 'tower leg',
      from: 'dipole',
      to: 'preamplifier',
      lengthM: 2,
      conditions: ['outside', 'sun'],
    }),
    way({
      id: 'mast-tip',
      name: 'the mast tip',
      kind: 'tower leg',
      from: 'preamplifier',
      to: 'yagi',
      lengthM: 0.7,
      conditions: ['outside', 'sun'],
    }),
  ],
  ground: brackwaterGround,
};

const step = (id: string, cause: RouteStep['slack'][number]['cause'], lengthM: number): RouteStep => ({
  way: id,
  slack: lengthM > 0 ? [{ cause, lengthM }] : [],
});

/** How the runs of the base go. */
export const brackwaterRoutes = {
  vhf: [
    step('bench-tray', 'service coil', 0.3),
    step('box-hole', 'drip loop', 0.2),
    step('duct', 'other', 0.3),
    step('mast', 'mast-top tail', 0.8),
  ],
  uhf: [
    step('rack', 'service coil', 0.2),
    step('wall', 'drip loop', 0.4),
    step('duct', 'other', 0.5),
    step('mast', 'other', 0),
    step('mast-head', 'other', 0),
    step('mast-tip', 'mast-top tail', 0.8),
  ],
  weather: [
    step('shelf', 'service coil', 0.3),
    step('wall', 'drip loop', 0.2),
    step('duct', 'other', 0.4),
    step('mast', 'other', 0),
    step('mast-head', 'mast-top tail', 0.8),
  ],
} satisfies Record<string, RouteStep[]>;

import {
  DESIGN_SCHEMA,
  SITE_SCHEMA,
  defaultPractice,
  emptyGround,
  type Design,
  type Facts,
  type Site,
} from '@kobran/core';
import type { DemoJob } from './demoJob.js';
import { point, way } from './sitePart.js';

const tideGauge: Design = {
  schema: DESIGN_SCHEMA,
  name: 'Tide gauge data radio, jetty to base',
  service: {
    bands: [{ name: 'telemetry', lowHz: 458.5e6, highHz: 459e6 }],
    powerW: 2,
    duty: 0.05,
    lossBudgetDb: 2,
    dcFeed: false,
    ambientC: 40,
  },
  radio: { name: 'Gauge modem', face: 'rp-tnc-jack', handheld: false },
  antenna: { name: 'Jetty yagi', face: 'n-jack', swr: 1.4, dcShort: true },
  pieces: [
    {
      kind: 'assembly',
      id: 'main',
      label: 'Jetty cable',
      cable: 'c400f',
      lengthM: 11.2,
      a: { part: 'tnc-plug-gland-10mm' },
      b: { part: 'n-plug-gland-10mm' },
    },
  ],
  legs: [
    { id: 'box', name: 'the gauge box', kind: 'indoor tray', zone: 'dry', lengthM: 0.6, slackM: 0.2 },
    { id: 'rail', name: 'the jetty rail', kind: 'surface clipped', zone: 'salt', lengthM: 9.4, slackM: 0.8 },
  ],
  route: [
    { way: 'box', slack: [{ cause: 'service coil', lengthM: 0.2 }] },
    { way: 'rail', slack: [{ cause: 'mast-top tail', lengthM: 0.8 }] },
  ],
};

/** The jetty with its rail, and the deck of the work boat beside it. Nothing leads into the soil: the pile is drawn, and no electrode. */
const jetty: Site = {
  schema: SITE_SCHEMA,
  points: [
    point('gauge', 'Gauge box', 'rack', 0, 0, 1.2),
    point('box-edge', 'Edge of the box', 'entry', 0.6, 0, 1.2),
    point('yagi', 'Jetty yagi', 'antenna', 8.4, 0, 4.6),
    point('deck', 'Deck of the work boat', 'free', 3, -2.5, 0.6),
  ],
  ways: [
    way({
      id: 'box',
      name: 'the gauge box',
      kind: 'indoor tray',
      from: 'gauge',
      to: 'box-edge',
      lengthM: 0.6,
      conditions: ['inside'],
    }),
    way({
      id: 'rail',
      name: 'the jetty rail',
      kind: 'surface clipped',
      from: 'box-edge',
      to: 'yagi',
      lengthM: 9.4,
      conditions: ['outside', 'salt', 'sun', 'animals'],
    }),
    way({
      id: 'deck-way',
      name: 'the deck',
      kind: 'boat deck or mast',
      from: 'box-edge',
      to: 'deck',
      conditions: ['outside', 'salt', 'wet', 'traffic'],
    }),
  ],
  ground: {
    ...emptyGround,
    soilOhmM: 30,
    nodes: [{ id: 'pile', name: 'Jetty pile', kind: 'metalwork', metal: 'zinc', point: 'box-edge' }],
  },
};

const may = (hour: number): string => `2026-05-04T${String(hour).padStart(2, '0')}:00:00.000Z`;
const tideId = (n: number): string => `0d7c4a10-0000-4000-8000-00000000700${n}`;

/** Built in the spring; in the salt it is looked at after six months, and nobody was there since. */
const inSpring: Facts = [
  { id: tideId(1), kind: 'cut', pieceId: 'main', lengthM: 11.2, by: 'Hedra', at: may(9) },
  { id: tideId(2), kind: 'end made', endId: 'main.a', by: 'Hedra', at: may(10) },
  { id: tideId(3), kind: 'end made', endId: 'main.b', by: 'Hedra', at: may(11) },
  { id: tideId(4), kind: 'installed', by: 'Petrok', at: may(13) },
  {
    id: tideId(5),
    kind: 'sealed',
    jointId: 'main>antenna',
    passes: 3,
    torqueNm: 1,
    celsius: 14,
    unproved: 'the tide was coming in',
    by: 'Petrok',
    at: may(14),
  },
];

/** The jetty, in the salt. */
export const saltpan: DemoJob = {
  id: '7a0e1d00-0000-4000-8000-00000000b003',
  name: 'Saltpan Jetty',
  site: 'Tarrowmere Flood Watch, tide gauge in the salt',
  practice: defaultPractice,
  place: jetty,
  runs: [{ id: '7a0e1d00-0000-4000-8000-00000000a007', design: tideGauge, facts: inSpring }],
};

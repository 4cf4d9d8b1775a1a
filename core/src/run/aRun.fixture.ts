import { catalog, type Catalog } from '../catalog/index.js';
import type { AnyPiece, Design, Leg, Service } from './design/design.js';
import { DESIGN_SCHEMA } from './design/design.js';
import { evaluate, type Sheet } from './evaluate.js';
import { noFacts } from './facts/facts.js';
import { defaultPractice, type Practice } from '../practice/index.js';
import type { Fact, FactBody, Facts } from './facts/kinds.js';
import type { Snag } from './snags/snag.js';
import { applyChange } from './design/change.js';

export const cable = (over: Partial<Extract<AnyPiece, { kind: 'assembly' }>> = {}): AnyPiece => ({
  kind: 'assembly',
  id: 'main',
  label: 'Main cable',
  cable: 'rg213',
  lengthM: 12.5,
  a: { part: 'n-plug-crimp-10mm' },
  b: { part: 'n-plug-crimp-10mm' },
  ...over,
});

export const leg = (over: Partial<Leg> = {}): Leg => ({
  id: 'leg',
  name: 'the leg',
  kind: 'indoor tray',
  zone: 'dry',
  lengthM: 10,
  slackM: 0,
  ...over,
});

export const arrester = (over: Partial<Extract<AnyPiece, { kind: 'arrester' }>> = {}): AnyPiece => ({
  kind: 'arrester',
  id: 'arrester',
  arrester: 'gas-n',
  reversed: true,
  tubeV: 150,
  ...over,
});

/** A sound indoor run between two N jacks at 145 MHz, to be spoilt by each test. */
export function aRun({
  service,
  ...over
}: Partial<Omit<Design, 'service'>> & { service?: Partial<Service> } = {}): Design {
  return {
    schema: DESIGN_SCHEMA,
    name: 'A run',
    service: {
      bands: [{ name: 'band', lowHz: 144e6, highHz: 146e6 }],
      powerW: 25,
      duty: 0.5,
      lossBudgetDb: 3,
      dcFeed: false,
      ambientC: 30,
      ...service,
    },
    radio: { name: 'Set', face: 'n-jack', handheld: false },
    antenna: { name: 'Aerial', face: 'n-jack', swr: 1.3, dcShort: true },
    pieces: [cable()],
    legs: [{ id: 'tray', name: 'the tray', kind: 'indoor tray', zone: 'dry', lengthM: 12, slackM: 0.3 }],
    ...over,
  };
}

/** Half indoors, half on a mast, with an arrester at the entry. */
export const anOutdoorRun = (over: Parameters<typeof aRun>[0] = {}): Design =>
  aRun({
    pieces: [cable({ id: 'in', lengthM: 2 }), arrester(), cable({ lengthM: 11 })],
    legs: [
      { id: 'tray', name: 'the tray', kind: 'indoor tray', zone: 'dry', lengthM: 2, slackM: 0 },
      { id: 'mast', name: 'the mast', kind: 'tower leg', zone: 'outdoor', lengthM: 10, slackM: 0.5 },
    ],
    ...over,
  });

export const sheetOf = (
  design: Design,
  facts: Facts = noFacts,
  practice: Practice = defaultPractice,
): Sheet => evaluate(design, catalog, { facts, practice });

/** What one rule has against a run. */ /** What one rule has against a run. */
export const snagsOf = (design: Design, rule: string, facts?: Facts, practice?: Practice): Snag[] =>
  sheetOf(design, facts, practice).snags.filter((snag) => snag.rule === rule);

/** A fact by somebody at some moment. */
export const fact = (body: FactBody, at = '2026-11-03T09:00:00Z'): Fact => ({
  ...body,
  id: JSON.stringify(body) + at,
  by: 'Wenna',
  at,
});

/** With a catalogue instead of the shipped one. */
export const sheetWith = (own: Catalog, design: Design): Sheet =>
  evaluate(design, own, { facts: noFacts, practice: defaultPractice });

/** Applies one remedy of the rule's first snag and tells whether the snag is gone. */
export function mends(design: Design, rule: string, remedy: number): boolean {
  const [snag] = snagsOf(design, rule);
  const mended = snag.remedies[remedy].changes.reduce(applyChange, design);
  return !snagsOf(mended, rule).some(({ id }) => id === snag.id);
}

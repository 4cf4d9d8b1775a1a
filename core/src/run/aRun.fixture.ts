import { catalog } from '../catalog/index.js';
import type { AnyPiece, Design, Service } from './design/design.js';
import { DESIGN_SCHEMA } from './design/design.js';
import { evaluate } from './evaluate.js';
import type { Facts } from './facts/facts.js';
import type { Sheet } from './sheet/sheet.js';
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

export const sheetOf = (design: Design, facts?: Facts): Sheet =>
  evaluate(design, catalog, facts ? { facts } : {});

/** The snags of one rule. */
export const snagsOf = (design: Design, rule: string, facts?: Facts): Snag[] =>
  sheetOf(design, facts).snags.filter(({ id }) => id.startsWith(`${rule}@`));

/** Applies one remedy of the rule's first snag and tells whether the snag is gone. */
export function mends(design: Design, rule: string, remedy: number): boolean {
  const [snag] = snagsOf(design, rule);
  const mended = snag.remedies[remedy].changes.reduce(applyChange, design);
  return !snagsOf(mended, rule).some(({ id }) => id === snag.id);
}

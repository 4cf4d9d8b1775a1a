import {
  entry,
  type Cable,
  type Catalog,
  type Part,
  type TrainItem,
  type UsedPart,
} from '../catalog/index.js';
import { factAbout, factsOf, tubeHistory, type Design, type Facts, type WrapSheet } from '../run/index.js';
import type { BondJoint, BondSheet, SiteSheet } from '../site/index.js';

/** What a site is made of, as it is bought. */
export const needKinds = [
  'cable',
  'connector',
  'ferrule',
  'shrink tube',
  'adapter',
  'arrester',
  'gas tube',
  'tape',
  'sleeve',
  'splice kit',
  'ground kit',
  'ground conductor',
  'lug',
  'support',
  'grip',
] as const;
export type NeedKind = (typeof needKinds)[number];

/** What one piece of work takes of a part. */
export interface Need {
  kind: NeedKind;
  /** What the shelf calls it. */
  id: string;
  name: string;
  unit: 'piece' | 'm' | 'roll';
  amount: number;
  /** It lies in the bag of another part: only spares are bought. */
  comesAlong?: true;
}

/** As the log of what was done has it: what left the shelf. What costs cable is booked with its reel. */
export const usedParts = (needs: readonly Need[]): UsedPart[] =>
  needs
    .filter(({ kind, amount, comesAlong }) => kind !== 'cable' && amount > 0 && !comesAlong)
    .map(({ id, amount }) => ({ part: id, amount: Number(amount.toFixed(4)) }));

export const cutNeeds = ({
  cable,
  cut,
  copies,
}: {
  cable: Cable;
  cut: { value: number };
  copies: number;
}): Need[] => [{ kind: 'cable', id: cable.id, name: cable.name, unit: 'm', amount: copies * cut.value }];

/** So many times as much. */
export const timesNeeds = (needs: readonly Need[], times: number): Need[] =>
  needs.map((need) => ({ ...need, amount: times * need.amount }));

/** What one end takes: the connector with its ferrule in one bag, and shrink tube of its own. */
export const endNeeds = ({ part, exposed }: { part: Part; exposed: boolean }): Need[] => [
  { kind: 'connector', id: part.id, name: part.name, unit: 'piece', amount: 1 },
  ...part.train.flatMap((item): Need[] =>
    item.id === 'ferrule'
      ? [
          {
            kind: 'ferrule',
            id: `ferrule-${Math.round(item.outerMm * 10)}-${Math.round(item.lengthMm)}`,
            name: `ferrule, ${item.outerMm.toFixed(1)} mm outside, ${item.lengthMm.toFixed(0)} mm long`,
            unit: 'piece',
            amount: 1,
            comesAlong: true,
          },
        ]
      : item.id === 'shrink'
        ? [shrinkNeed(item, exposed)]
        : [],
  ),
];

/** Tube which closes over so much: adhesive-lined where it meets weather. */
function shrinkNeed({ name, outerMm, lengthMm }: TrainItem, exposed: boolean): Need {
  const lined = exposed || name.startsWith('adhesive');
  const size = Math.ceil(outerMm);
  return {
    kind: 'shrink tube',
    id: `shrink-${lined ? 'lined-' : ''}${size}mm`,
    name: `${lined ? 'adhesive-lined ' : ''}shrink tube over ${size} mm`,
    unit: 'm',
    amount: lengthMm / 1000,
  };
}

/** Tape that is torn off, dropped or stretched away. Common practice, no source. */
const TAPE_WASTE = 1.15;

/** What a seal takes: rolls with their waste, sleeves, boots and kits by the piece. */
export const sealNeeds = ({ wrap, closure }: Pick<WrapSheet, 'wrap' | 'closure'>): Need[] =>
  (wrap ?? closure)?.materials.map(({ id, name, unit, kind, amount, rollM }) =>
    unit === 'piece' || rollM === undefined
      ? { kind, id, name, unit: 'piece', amount: amount.value }
      : { kind, id, name, unit: 'roll', amount: (amount.value * TAPE_WASTE) / rollM },
  ) ?? [];

/** Adapters which are not coupled yet. */
export function adapterNeeds({ pieces }: Design, facts: Facts, catalog: Catalog): Need[] {
  if (factAbout(facts, 'handed over')) return [];
  const coupled = factsOf(facts, 'task done').flatMap(({ used = [] }) => used.map(({ part }) => part));
  return pieces.flatMap((piece): Need[] => {
    if (piece.kind !== 'adapter') return [];
    const at = coupled.indexOf(piece.adapter);
    if (at >= 0) {
      coupled.splice(at, 1);
      return [];
    }
    const { id, name } = entry(catalog.adapters, piece.adapter);
    return [{ kind: 'adapter', id, name, unit: 'piece', amount: 1 }];
  });
}

/** Arresters which are not in their place yet. */
export function arresterNeeds({ pieces }: Design, facts: Facts, catalog: Catalog): Need[] {
  if (factAbout(facts, 'handed over') || factAbout(facts, 'grounded')) return [];
  return pieces.flatMap((piece): Need[] => {
    if (piece.kind !== 'arrester') return [];
    const { id, name } = entry(catalog.arresters, piece.arrester);
    return [{ kind: 'arrester', id, name, unit: 'piece', amount: 1 }];
  });
}

/** What the list of parts calls the tube of an arrester. */
export const tubePart = (volts: number): string => `tube-${volts}`;

/** Tubes which were found damaged and are not changed yet. */
export const tubeNeeds = ({ pieces }: Design, facts: Facts): Need[] =>
  factAbout(facts, 'handed over')
    ? []
    : pieces.flatMap((piece): Need[] =>
        piece.kind === 'arrester' && tubeHistory(facts, piece.id).damaged
          ? [
              {
                kind: 'gas tube',
                id: tubePart(piece.tubeV),
                name: `gas tube with gasket, ${piece.tubeV} V`,
                unit: 'piece',
                amount: 1,
              },
            ]
          : [],
      );

/** Clips, hangers and grips which carry the cables of a run that do not hang yet, way by way. */
export const hangNeeds = (
  runId: string,
  { ways }: Pick<SiteSheet, 'ways'>,
): { whose: string; needs: Need[] }[] =>
  ways.flatMap(({ way, supports }) =>
    supports
      .filter(({ cable }) => cable.runId === runId && !cable.installed)
      .map(({ cable, count, grips }) => {
        const size = Math.round(cable.cable.jacketMm);
        return {
          whose: `${cable.run}, ${way.name}`,
          needs: [
            {
              kind: 'support' as const,
              id: `support-${size}mm`,
              name: `clip or hanger for ${size} mm`,
              unit: 'piece' as const,
              amount: count,
            },
            {
              kind: 'grip' as const,
              id: `grip-${size}mm`,
              name: `hoisting grip for ${size} mm`,
              unit: 'piece' as const,
              amount: grips,
            },
          ].filter(({ amount }) => amount > 0),
        };
      }),
  );

export const kitNeed = (jacketMm: number): Need => ({
  kind: 'ground kit',
  id: `kit-${Math.round(jacketMm)}mm`,
  name: `ground kit for ${Math.round(jacketMm)} mm`,
  unit: 'piece',
  amount: 1,
});

/** Ends of a conductor which are pressed or bolted want a lug each; clamps and welds do not. */
const LUGGED: readonly BondJoint[] = ['bolt', 'compression'];

/** A conductor of the ground by its size, with its lugs; nothing where its length is not known or nothing is led. */
export function bondNeeds({ bond, length, areaMm2 }: BondSheet): Need[] {
  if (bond.joint === 'mounted' || !length) return [];
  const size = Math.round(areaMm2 / bond.parallel);
  return [
    {
      kind: 'ground conductor',
      id: `conductor-${size}mm2-${bond.metal.replaceAll(' ', '-')}`,
      name: `${bond.metal} conductor, ${size} mm²`,
      unit: 'm',
      amount: length.value * bond.parallel,
    },
    ...(LUGGED.includes(bond.joint)
      ? [
          {
            kind: 'lug' as const,
            id: `lug-${size}mm2`,
            name: `lug for ${size} mm²`,
            unit: 'piece' as const,
            amount: 2 * bond.parallel,
          },
        ]
      : []),
  ];
}

/** What joining a conductor takes off the shelf: itself, its lugs, and the kit at whose end it is. */
export const joinNeeds = (sheet: BondSheet, { ground }: Pick<SiteSheet, 'ground'>): Need[] => [
  ...bondNeeds(sheet),
  ...ground.kits
    .filter(({ kit }) => kit && [sheet.bond.from, sheet.bond.to].includes(kit.id))
    .map(({ jacketMm }) => kitNeed(jacketMm)),
];

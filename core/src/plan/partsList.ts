import { entry, type Catalog, type Stock } from '../catalog/index.js';
import type { EndOutcome } from '../make/index.js';
import { factAbout, tubeHistory, type Design, type Facts, type Sheet } from '../run/index.js';
import type { BondJoint, SiteSheet } from '../site/index.js';
import { sparesFor, type Tries } from './spares.js';

/** What a site is made of, as it is bought. */
export const needKinds = [
  'cable',
  'connector',
  'adapter',
  'arrester',
  'gas tube',
  'tape',
  'sleeve',
  'ground kit',
  'ground conductor',
  'lug',
  'support',
  'grip',
] as const;
export type NeedKind = (typeof needKinds)[number];

/** Where something is needed. */
export interface Use {
  runId: string;
  /** The run’s name, or the way’s. */
  whose: string;
  /** Pieces, or m. */
  amount: number;
}

/** One line of the list of parts. */
export interface PartsRow {
  kind: NeedKind;
  /** What the shelf calls it. */
  id: string;
  name: string;
  unit: 'piece' | 'm' | 'roll';
  needed: number;
  /** Taken along besides, so that it is enough with 95 %. */
  spare: number;
  /** Nothing where nobody has said. */
  onShelf: number | undefined;
  /** Left on the shelf after the work: fewer are filled up. */
  lowest: number;
  toBuy: number;
  /** Of one, in the shop’s money. */
  price?: number;
  supplier?: string;
  /** Where it lies, and of which lot it is. */
  place?: string;
  lot?: string;
  uses: Use[];
}

/** A run of the site with what was done in it. */
export interface PlannedRun {
  id: string;
  design: Design;
  facts: Facts;
  sheet: Pick<Sheet, 'cuts' | 'ends' | 'wraps'>;
}

/** Tape that is torn off, dropped or stretched away. Common practice, no source. */
const TAPE_WASTE = 1.15;

/** An end in the log: made or failed, it took a connector off the shelf. */
export type UsedEnd = Pick<EndOutcome, 'part' | 'outcome'> & { at: string };

/** What a line is of. */
type Named = Pick<PartsRow, 'kind' | 'id' | 'name' | 'unit'>;
type Listed = Named & Pick<PartsRow, 'uses'>;

/** Needs by kind and id, the first of a kind giving its name. */
class Needs {
  private readonly rows = new Map<string, Listed>();

  add(row: Named, use: Use): void {
    if (use.amount <= 0) return;
    const known = this.rows.get(`${row.kind} ${row.id}`);
    if (known) known.uses.push(use);
    else this.rows.set(`${row.kind} ${row.id}`, { ...row, uses: [use] });
  }

  all(): Listed[] {
    return [...this.rows.values()];
  }
}

/**
 * The one list of parts of a site: what is still to be cut, made, sealed, carried and tied, from every run, with what lies on the shelf.
 *
 * @param log ends which were made, and which failed, in all jobs
 * @returns in the order of kinds, then by name
 */
export function partsList(
  runs: readonly PlannedRun[],
  site: SiteSheet,
  catalog: Catalog,
  log: readonly UsedEnd[],
): PartsRow[] {
  const needs = new Needs();
  for (const run of runs) ofRun(run, catalog, needs);
  ofSite(site, needs);
  ofGround(site, needs);
  return needs
    .all()
    .map((row): PartsRow => {
      const amount = row.uses.reduce((sum, use) => sum + use.amount, 0);
      const needed = row.unit === 'm' ? Number(amount.toFixed(2)) : Math.ceil(amount - 1e-9);
      const spare = row.kind === 'connector' ? sparesFor(needed, triesOf(row.id, log)) : 0;
      const onShelf = shelfOf(row, catalog, log);
      const { lowest = 0, ...known } = shelfEntry(row, catalog);
      const toBuy = Math.max(0, needed + spare + lowest - (onShelf ?? 0));
      return { ...row, needed, spare, onShelf, lowest, toBuy, ...known };
    })
    .sort((x, y) => needKinds.indexOf(x.kind) - needKinds.indexOf(y.kind) || (x.name < y.name ? -1 : 1));
}

function ofRun({ id: runId, design, sheet, facts }: PlannedRun, catalog: Catalog, needs: Needs): void {
  const use = (amount: number): Use => ({ runId, whose: design.name, amount });
  for (const { cable, cut } of sheet.cuts.filter(({ done }) => !done))
    needs.add({ kind: 'cable', id: cable.id, name: cable.name, unit: 'm' }, use(cut.value));
  for (const { part } of sheet.ends.filter(({ made }) => !made))
    needs.add({ kind: 'connector', id: part.id, name: part.name, unit: 'piece' }, use(1));
  for (const rigid of rigidNeeds(design, facts, catalog)) needs.add(rigid, use(1));
  for (const { wrap } of sheet.wraps.filter(({ sealed }) => !sealed))
    for (const { id, name, unit, amount, rollM } of wrap?.materials ?? [])
      needs.add(
        unit === 'piece' || rollM === undefined
          ? { kind: 'sleeve', id, name, unit: 'piece' }
          : { kind: 'tape', id, name, unit: 'roll' },
        use(rollM === undefined ? amount.value : (amount.value * TAPE_WASTE) / rollM),
      );
}

/** Adapters and arresters which are not in their place yet, and tubes which are to be changed. */
function rigidNeeds({ pieces }: Design, facts: Facts, catalog: Catalog): Named[] {
  if (factAbout(facts, 'handed over')) return [];
  const grounded = factAbout(facts, 'grounded') !== undefined;
  return pieces.flatMap((piece): Named[] => {
    switch (piece.kind) {
      case 'assembly':
        return [];
      case 'adapter': {
        const { id, name } = entry(catalog.adapters, piece.adapter);
        return [{ kind: 'adapter', id, name, unit: 'piece' }];
      }
      case 'arrester': {
        const { id, name } = entry(catalog.arresters, piece.arrester);
        return [
          ...(grounded ? [] : [{ kind: 'arrester' as const, id, name, unit: 'piece' as const }]),
          ...(tubeHistory(facts, piece.id).damaged ? [tubeOf(piece.tubeV)] : []),
        ];
      }
    }
  });
}

const tubeOf = (volts: number): Named => ({
  kind: 'gas tube',
  id: `tube-${volts}`,
  name: `gas tube with gasket, ${volts} V`,
  unit: 'piece',
});

function ofSite({ ways, ground }: SiteSheet, needs: Needs): void {
  for (const { way, supports } of ways)
    for (const { cable, count, grips } of supports) {
      if (cable.installed) continue;
      const size = Math.round(cable.cable.jacketMm);
      const use = (amount: number): Use => ({
        runId: cable.runId,
        whose: `${cable.run}, ${way.name}`,
        amount,
      });
      needs.add(
        { kind: 'support', id: `support-${size}mm`, name: `clip or hanger for ${size} mm`, unit: 'piece' },
        use(count),
      );
      needs.add(
        { kind: 'grip', id: `grip-${size}mm`, name: `hoisting grip for ${size} mm`, unit: 'piece' },
        use(grips),
      );
    }
  for (const { run, runName, jacketMm, kit } of ground.kits) {
    const fitted = kit && ground.nodes.some(({ id, joined }) => id === kit.id && joined);
    const size = Math.round(jacketMm);
    if (!fitted)
      needs.add(
        { kind: 'ground kit', id: `kit-${size}mm`, name: `ground kit for ${size} mm`, unit: 'piece' },
        { runId: run, whose: runName, amount: 1 },
      );
  }
}

/** Ends of a conductor which are pressed or bolted want a lug each; clamps and welds do not. */
const LUGGED: readonly BondJoint[] = ['bolt', 'compression'];

/** Conductors of the ground which are not joined yet, by their size, with their lugs. */
function ofGround({ ground }: SiteSheet, needs: Needs): void {
  for (const { bond, from, to, length, areaMm2 } of ground.bonds) {
    if (bond.made || bond.joint === 'mounted' || !length) continue;
    const size = Math.round(areaMm2 / bond.parallel);
    const whose = `${from.name} to ${to.name}`;
    needs.add(
      {
        kind: 'ground conductor',
        id: `conductor-${size}mm2-${bond.metal}`,
        name: `${bond.metal} conductor, ${size} mm²`,
        unit: 'm',
      },
      { runId: '', whose, amount: length.value * bond.parallel },
    );
    if (LUGGED.includes(bond.joint))
      needs.add(
        { kind: 'lug', id: `lug-${size}mm2`, name: `lug for ${size} mm²`, unit: 'piece' },
        { runId: '', whose, amount: 2 * bond.parallel },
      );
  }
}

const triesOf = (part: string, log: readonly UsedEnd[]): Tries => {
  const own = log.filter((one) => one.part === part);
  const failed = own.filter(({ outcome }) => outcome === 'failed').length;
  return { made: own.length - failed, failed };
};

/** What the shop knows of it besides how many there are. */
function shelfEntry(
  { kind, id }: Pick<PartsRow, 'kind' | 'id'>,
  catalog: Catalog,
): Pick<Stock, 'lowest' | 'price' | 'supplier' | 'place' | 'lot'> {
  if (kind === 'cable') {
    const price = catalog.cables.get(id)?.costPerM;
    return price === undefined ? {} : { price };
  }
  const { count: _, countedAt: __, matings: ___, id: ____, ...known } = catalog.stock.get(id) ?? NOT_COUNTED;
  return known;
}

const NOT_COUNTED: Stock = { id: '', count: 0, matings: 0 };

/** What lies on the shelf of it: reels by their length, all else by its count, less the connectors which were used since. */
function shelfOf(
  { kind, id }: Pick<PartsRow, 'kind' | 'id'>,
  catalog: Catalog,
  log: readonly UsedEnd[],
): number | undefined {
  if (kind !== 'cable') {
    const { count, countedAt } = catalog.stock.get(id) ?? {};
    if (count === undefined || countedAt === undefined) return count;
    return Math.max(0, count - log.filter(({ part, at }) => part === id && at > countedAt).length);
  }
  const reels = [...catalog.reels.values()].filter(({ cable }) => cable === id);
  return reels.length === 0
    ? undefined
    : Number(
        reels
          .reduce(
            (sum, { lengthM, damaged }) =>
              sum + lengthM - damaged.reduce((lost, { fromM, toM }) => lost + toM - fromM, 0),
            0,
          )
          .toFixed(2),
      );
}

import type { Catalog, Stock } from '../catalog/index.js';
import type { EndOutcome } from '../make/index.js';
import { endsLeft, type Design, type Facts, type Sheet } from '../run/index.js';
import type { SiteSheet } from '../site/index.js';
import {
  adapterNeeds,
  arresterNeeds,
  bondNeeds,
  cutNeeds,
  endNeeds,
  hangNeeds,
  kitNeed,
  needKinds,
  sealNeeds,
  timesNeeds,
  tubeNeeds,
  type Need,
} from './needs.js';
import { sparesFor, type Tries } from './spares.js';

/** Where something is needed. */
export interface Use {
  runId: string;
  /** The run’s name, or the way’s. */
  whose: string;
  /** Pieces, or m. */
  amount: number;
}

/** One line of the list of parts. */
export interface PartsRow extends Omit<Need, 'amount'> {
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

/** An end in the log: made, or failed. */
export type TriedEnd = Pick<EndOutcome, 'part' | 'outcome'>;

/** What left the shelf with one piece of work, in any job. */
export interface PartUse {
  /** Of the entry which says so. */
  id: string;
  part: string;
  amount: number;
  /** ISO 8601. */
  at: string;
}

/** What the shop knows from all its jobs. */
export interface ShopLog {
  ends: readonly TriedEnd[];
  uses: readonly PartUse[];
}

export const emptyShopLog: ShopLog = { ends: [], uses: [] };

type Listed = Omit<Need, 'amount'> & Pick<PartsRow, 'uses'>;

/** Needs by kind and id, the first of a kind giving its name. */
class Needs {
  private readonly rows = new Map<string, Listed>();

  add(needs: readonly Need[], of: Omit<Use, 'amount'>): void {
    for (const { amount, ...row } of needs.filter((one) => one.amount > 0)) {
      const use = { ...of, amount };
      const known = this.rows.get(`${row.kind} ${row.id}`);
      if (known) known.uses.push(use);
      else this.rows.set(`${row.kind} ${row.id}`, { ...row, uses: [use] });
    }
  }

  all(): Listed[] {
    return [...this.rows.values()];
  }
}

/**
 * The one list of parts of a site: what is still to be cut, made, sealed, carried and tied, from every run, with what lies on the shelf.
 *
 * @param log what was made, failed and used in all jobs
 * @returns in the order of kinds, then by name
 */
export function partsList(
  runs: readonly PlannedRun[],
  site: SiteSheet,
  catalog: Catalog,
  log: ShopLog,
): PartsRow[] {
  const needs = new Needs();
  for (const run of runs) ofRun(run, catalog, needs);
  ofSite(site, needs);
  return needs
    .all()
    .map((row): PartsRow => {
      const amount = row.uses.reduce((sum, use) => sum + use.amount, 0);
      const needed = row.unit === 'm' ? Number(amount.toFixed(2)) : Math.ceil(amount - 1e-9);
      const spare = hasSpares(row) ? sparesFor(needed, triesOf(row.id, log.ends)) : 0;
      const onShelf = shelfOf(row, catalog, log.uses);
      const { lowest = 0, ...known } = shelfEntry(row, catalog);
      const inBags = row.comesAlong ? needed : 0;
      const missing = Math.max(0, needed - inBags + spare + lowest - (onShelf ?? 0));
      // Nobody sells a part of a roll.
      const toBuy = row.unit === 'm' ? missing : Math.max(0, Math.ceil(missing - 1e-9));
      return { ...row, needed, spare, onShelf, lowest, toBuy, ...known };
    })
    .sort((x, y) => needKinds.indexOf(x.kind) - needKinds.indexOf(y.kind) || (x.name < y.name ? -1 : 1));
}

function ofRun({ id: runId, design, sheet, facts }: PlannedRun, catalog: Catalog, needs: Needs): void {
  const open = [
    ...sheet.cuts.filter(({ done }) => !done).flatMap(cutNeeds),
    ...sheet.ends.flatMap((end) => timesNeeds(endNeeds(end), endsLeft(end))),
    ...adapterNeeds(design, facts, catalog),
    ...arresterNeeds(design, facts, catalog),
    ...tubeNeeds(design, facts),
    ...sheet.wraps.filter(({ sealed }) => !sealed).flatMap(sealNeeds),
  ];
  needs.add(open, { runId, whose: design.name });
}

function ofSite(site: SiteSheet, needs: Needs): void {
  const carried = new Set(site.ways.flatMap(({ supports }) => supports.map(({ cable }) => cable.runId)));
  for (const runId of carried)
    for (const { whose, needs: wanted } of hangNeeds(runId, site)) needs.add(wanted, { runId, whose });
  const { kits, nodes, bonds } = site.ground;
  for (const { run, runName, jacketMm, kit } of kits) {
    const fitted = kit && nodes.some(({ id, joined }) => id === kit.id && joined);
    if (!fitted) needs.add([kitNeed(jacketMm)], { runId: run, whose: runName });
  }
  for (const bond of bonds.filter((one) => !one.bond.made))
    needs.add(bondNeeds(bond), { runId: '', whose: `${bond.from.name} to ${bond.to.name}` });
}

/** What fails with an end. */
const hasSpares = ({ kind }: Pick<PartsRow, 'kind'>): boolean => kind === 'connector' || kind === 'ferrule';

const triesOf = (part: string, ends: readonly TriedEnd[]): Tries => {
  const own = ends.filter((one) => one.part === part);
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
  const {
    count: _,
    countedAt: __,
    matings: ___,
    id: ____,
    putBack: _____,
    ...known
  } = catalog.stock.get(id) ?? NOT_COUNTED;
  return known;
}

const NOT_COUNTED: Stock = { id: '', count: 0, matings: 0 };

/** What left the shelf since it was counted, with what was put back; newest first. */
export const usesSince = <Of extends PartUse>(
  { id, countedAt, putBack = [] }: Stock,
  uses: readonly Of[],
): (Of & { isBack: boolean })[] =>
  countedAt === undefined
    ? []
    : uses
        .filter(({ part, at }) => part === id && at > countedAt)
        .map((one) => ({ ...one, isBack: putBack.includes(one.id) }))
        .toSorted((x, y) => y.at.localeCompare(x.at));

/** What lies on the shelf of it: reels by their length, all else by its count, less what was used since. */
function shelfOf(
  { kind, id }: Pick<PartsRow, 'kind' | 'id'>,
  catalog: Catalog,
  uses: readonly PartUse[],
): number | undefined {
  if (kind !== 'cable') {
    const stock = catalog.stock.get(id);
    if (!stock) return undefined;
    const gone = usesSince(stock, uses).filter(({ isBack }) => !isBack);
    return Math.max(0, Number((stock.count - gone.reduce((sum, { amount }) => sum + amount, 0)).toFixed(2)));
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

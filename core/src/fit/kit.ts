import { faceOf, type Adapter, type Catalog, type Face, type FaceCode } from '../catalog/index.js';
import { judged, turnedChains, type Chain, type TurnedAdapter } from './chains.js';
import { mate } from './mate.js';
import { unworn } from './wear.js';
import type { MilpSolution, MilpSolver } from '../milp/index.js';

/** Two things somebody wants to be able to join: a port and an antenna or a cable’s end. */
export interface KitPairing {
  from: { name: string; face: FaceCode };
  to: { name: string; face: FaceCode };
  topHz: number;
  /** *Forward* power, W; 0 for receive only. */
  powerW: number;
}

export interface KitLimits {
  /** Longest chain, adapters. */
  most: number;
  /** Also right angles, savers and matching pads. */
  allForms: boolean;
}

export interface KitAnswer {
  /** The smallest set, most used first. */
  adapters: { adapter: Adapter; count: number; uses: number; onShelf: number }[];
  /** Pairings which need adapters, each with its chain. */
  joined: { pairing: KitPairing; chain: Chain }[];
  /** Pairings which mate as they are. */
  direct: KitPairing[];
  /** Pairings no chain within the limits joins, with the reason. */
  impossible: { pairing: KitPairing; why: string }[];
  /** Adapters whose loss leaves pairings without a way: take a spare along. */
  spares: { adapter: Adapter; pairings: number }[];
  /** How many adapters the set has, and how many any set must have at least. */
  size: number;
  bound: number;
  proved: boolean;
}

export interface KitProgress {
  stage: 'chains' | 'solving' | 'spares';
  done: number;
  all: number;
}

const NOTHING_TO_SOLVE: MilpSolution = { proved: true, bound: 0, values: [] };
/** Time for the proof, and for choosing among equals, s. */
const PROOF_S = 120;
const TASTE_S = 5;

const countsOf = ({ values }: MilpSolution, { copies }: KitProgram): Map<string, number> => {
  const counts = new Map<string, number>();
  for (const [k, id] of copies.entries()) if (values[k] > 0.5) counts.set(id, (counts.get(id) ?? 0) + 1);
  return counts;
};

const sizeOf = (solution: MilpSolution, program: KitProgram): number =>
  [...countsOf(solution, program).values()].reduce((sum, count) => sum + count, 0);

/** A pairing class: pairings of the same faces, band and power are joined by the same chains. */
interface Case {
  pairings: KitPairing[];
  from: Face;
  to: Face;
  chains: TurnedAdapter[][];
}

/**
 * The smallest set of adapters with which every pairing can be joined, one at a time.
 *
 * A mixed-integer program: x counts each adapter, y chooses a chain for each class of pairings; the sum of x is least, and
 * proved so. A second program then takes, among sets of that size, what is on the shelf and what is short.
 * @param solve a solver of mixed-integer programs, for example HiGHS
 */
export async function coverKit(
  pairings: readonly KitPairing[],
  { adapters, stock }: Pick<Catalog, 'adapters' | 'stock'>,
  limits: KitLimits,
  solve: MilpSolver,
  onProgress: (progress: KitProgress) => void = () => undefined,
): Promise<KitAnswer> {
  // What is worn is replaced, and never packed.
  const catalog = { adapters, stock: unworn(stock, adapters) };
  const direct = pairings.filter(({ from, to }) => mate(faceOf(from.face), faceOf(to.face)).passes);
  const others = pairings.filter((pairing) => !direct.includes(pairing));
  const shelf = usable(catalog.adapters, limits);
  const cases = casesOf(others).map((one, k, all): Case => {
    onProgress({ stage: 'chains', done: k, all: all.length });
    return { ...one, chains: passing(one, shelf, limits) };
  });
  const open = cases.filter(({ chains }) => chains.length > 0);
  const impossible = cases.filter(({ chains }) => chains.length === 0);
  onProgress({ stage: 'solving', done: 0, all: open.length });
  const program = programOf(open, catalog);
  const fewest = open.length === 0 ? NOTHING_TO_SOLVE : await solve(program.text('fewest'), PROOF_S);
  const size = sizeOf(fewest, program);
  const welcome = size === 0 ? fewest : await solve(program.text({ size }), TASTE_S);
  const counts = countsOf(sizeOf(welcome, program) === size ? welcome : fewest, program);
  onProgress({ stage: 'spares', done: 0, all: counts.size });
  return {
    ...describe(open, counts, catalog),
    direct,
    impossible: impossible.flatMap((one) =>
      one.pairings.map((pairing) => ({ pairing, why: whyNot(one, shelf, limits) })),
    ),
    spares: sparesOf(open, counts, catalog),
    size,
    bound: fewest.proved ? size : Math.max(0, Math.ceil(fewest.bound - 1e-6)),
    proved: fewest.proved,
  };
}

function usable(
  adapters: ReadonlyMap<string, Adapter>,
  { allForms }: KitLimits,
): ReadonlyMap<string, Adapter> {
  return allForms ? adapters : new Map([...adapters].filter(([, { form }]) => form === 'straight'));
}

function casesOf(pairings: readonly KitPairing[]): Omit<Case, 'chains'>[] {
  const cases = new Map<string, Omit<Case, 'chains'>>();
  for (const pairing of pairings) {
    const { from, to, topHz, powerW } = pairing;
    const [first, second] = [from.face, to.face].sort();
    const key = `${first} ${second} ${topHz} ${powerW}`;
    const known = cases.get(key);
    if (known) known.pairings.push(pairing);
    else cases.set(key, { pairings: [pairing], from: faceOf(from.face), to: faceOf(to.face) });
  }
  return [...cases.values()];
}

/** A chain as seen from its other end. */
const mirrored = (chain: readonly TurnedAdapter[]): TurnedAdapter[] =>
  chain.toReversed().map(({ adapter, reversed }) => ({ adapter, reversed: !reversed }));

/** All chains which pass, without those which contain another one. */
function passing(
  { pairings: [{ from, to, topHz, powerW }], ...faces }: Omit<Case, 'chains'>,
  shelf: ReadonlyMap<string, Adapter>,
  { most }: KitLimits,
): TurnedAdapter[][] {
  const needs = { topHz, powerW, swr: 1.5, exposed: false, stock: new Map<string, number>(), most };
  const all = turnedChains(from.face, to.face, shelf, most, 'all').filter(
    (chain) => judged(faces.from, faces.to, chain, needs).passes,
  );
  const kept: TurnedAdapter[][] = [];
  const uses: Map<string, number>[] = [];
  for (const chain of all) {
    const own = usesOf(chain);
    if (uses.some((other) => contains(own, other))) continue;
    kept.push(chain);
    uses.push(own);
  }
  return kept;
}

/** How often a chain takes each adapter. */
function usesOf(chain: readonly TurnedAdapter[]): Map<string, number> {
  const uses = new Map<string, number>();
  for (const { adapter } of chain) uses.set(adapter.id, (uses.get(adapter.id) ?? 0) + 1);
  return uses;
}

const contains = (whole: ReadonlyMap<string, number>, part: ReadonlyMap<string, number>): boolean =>
  [...part].every(([id, count]) => (whole.get(id) ?? 0) >= count);

/** The program of a kit. Its first variables are the copies of the adapters: 1 where one is taken along. */
interface KitProgram {
  /** The adapter of each of the first variables. */
  copies: string[];
  /** With the objective left to say: the fewest adapters, or the most welcome ones among that few. */
  text: (goal: 'fewest' | { size: number }) => string;
}

/** Copies a chain can take of one adapter. */
const MAX_COPIES = 3;

/**
 * Chains are chosen by continuous variables: with whole copies any chain with a share is one the kit can make, so nothing
 * is lost, and far fewer choices have to be proved. All chains of a case which take a copy stand in one row, since only one
 * of them is chosen: that makes the relaxation tight.
 */
function programOf(
  cases: readonly Case[],
  { adapters, stock }: Pick<Catalog, 'adapters' | 'stock'>,
): KitProgram {
  const copies: string[] = [];
  const names = new Map<string, string>();
  const copyName = (id: string, copy: number): string => {
    const key = `${id} ${copy}`;
    const known = names.get(key);
    if (known) return known;
    const name = `x${copies.length}`;
    names.set(key, name);
    copies.push(id);
    return name;
  };
  const rows: string[] = [];
  for (const [c, { chains }] of cases.entries()) {
    const choices = chains.map((_, k) => `y${c}_${k}`);
    rows.push(`${choices.join(' + ')} = 1`);
    const takers = new Map<string, string[]>();
    for (const [k, chain] of chains.entries()) {
      for (const [id, count] of usesOf(chain)) {
        for (let copy = 1; copy <= Math.min(count, MAX_COPIES); copy++) {
          const name = copyName(id, copy);
          takers.set(name, [...(takers.get(name) ?? []), choices[k]]);
        }
      }
    }
    for (const [name, list] of takers) rows.push(`${name} ${list.map((y) => `- ${y}`).join(' ')} >= 0`);
  }
  const unwelcome = (id: string): number =>
    ((stock.get(id)?.count ?? 0) > 0 ? 0 : 1000) + (adapters.get(id)?.lengthMm ?? 0);
  const all = copies.map((_, k) => `x${k}`).join(' + ');
  const weighed = copies.map((id, k) => `${unwelcome(id)} x${k}`).join(' + ');
  return {
    copies,
    text: (goal) => {
      const bound = goal === 'fewest' ? [] : [`${all} = ${goal.size}`];
      const numbered = [...rows, ...bound].map((row, k) => ` r${k}: ${row}`);
      return [
        `Minimize\n obj: ${goal === 'fewest' ? all : weighed}\nSubject To`,
        ...numbered,
        'Binary',
        ...copies.map((_, k) => ` x${k}`),
        'End\n',
      ].join('\n');
    },
  };
}

/** Chains of a case which the kit can make, shortest first. */
const possible = ({ chains }: Case, counts: ReadonlyMap<string, number>): TurnedAdapter[][] =>
  chains.filter((chain) => contains(counts, usesOf(chain))).sort((x, y) => x.length - y.length);

const seenFrom = (one: Case, { from }: KitPairing, chain: TurnedAdapter[]): TurnedAdapter[] =>
  faceOf(from.face) === one.from ? chain : mirrored(chain);

function describe(
  cases: readonly Case[],
  counts: ReadonlyMap<string, number>,
  { adapters, stock }: Pick<Catalog, 'adapters' | 'stock'>,
): Pick<KitAnswer, 'adapters' | 'joined'> {
  const needsStock = new Map([...stock.values()].map(({ id, count }) => [id, count]));
  const joined = cases.flatMap((one) =>
    one.pairings.flatMap((pairing) =>
      possible(one, counts)
        .slice(0, 1)
        .map((chain) => ({
          pairing,
          chain: judged(faceOf(pairing.from.face), faceOf(pairing.to.face), seenFrom(one, pairing, chain), {
            topHz: pairing.topHz,
            powerW: pairing.powerW,
            swr: 1.5,
            exposed: false,
            stock: needsStock,
            most: chain.length,
          }),
        })),
    ),
  );
  const list = [...counts].flatMap(([id, count]) => {
    const adapter = adapters.get(id);
    const uses = joined.filter(({ chain }) => chain.adapters.some((one) => one.adapter.id === id)).length;
    return adapter ? [{ adapter, count, uses, onShelf: Math.min(count, stock.get(id)?.count ?? 0) }] : [];
  });
  return { joined, adapters: list.sort((x, y) => y.uses - x.uses) };
}

function sparesOf(
  cases: readonly Case[],
  counts: ReadonlyMap<string, number>,
  { adapters }: Pick<Catalog, 'adapters'>,
): KitAnswer['spares'] {
  return [...counts].flatMap(([id, count]) => {
    const without = new Map([...counts, [id, count - 1]]);
    const lost = cases.filter((one) => possible(one, without).length === 0);
    const adapter = adapters.get(id);
    const pairings = lost.reduce((sum, one) => sum + one.pairings.length, 0);
    return adapter && pairings > 0 ? [{ adapter, pairings }] : [];
  });
}

/** Why nothing joins a case: no chain at all, or none that bears the band and power. */
function whyNot(
  { from, to, pairings }: Case,
  shelf: ReadonlyMap<string, Adapter>,
  { most }: KitLimits,
): string {
  const [{ from: a, to: b, topHz, powerW }] = pairings;
  const [chain] = turnedChains(a.face, b.face, shelf, most);
  if (!chain) return `No chain of up to ${most} adapters of the catalogue joins these connectors.`;
  const { against } = judged(from, to, chain, {
    topHz,
    powerW,
    swr: 1.5,
    exposed: false,
    stock: new Map(),
    most,
  });
  return `Adapters fit, but ${against[0] ?? 'they do not pass here'}.`;
}

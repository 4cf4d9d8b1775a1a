import fc from 'fast-check';
import type { Highs } from 'highs';
import { beforeAll, describe, expect, it } from 'vitest';
import { catalog, type Adapter } from '../catalog/index.js';
import { highsSolver, type MilpSolver } from '../milp/index.js';
import { coverKit, turnedChains, type KitAnswer, type KitPairing } from './index.js';

let solve: MilpSolver;
beforeAll(async () => {
  // The package’s types describe its CommonJS form; what Node.js imports is the function itself.
  const { default: load } = (await import('highs')) as unknown as { default: () => Promise<Highs> };
  solve = highsSolver(await load());
});

const pairing = (from: string, to: string, powerW = 0): KitPairing => ({
  from: { name: from, face: from },
  to: { name: to, face: to },
  topHz: 145e6,
  powerW,
});
const limits = { most: 2, allForms: false };
const cover = (
  pairings: KitPairing[],
  adapters: ReadonlyMap<string, Adapter> = catalog.adapters,
): Promise<KitAnswer> => coverKit(pairings, { adapters, stock: new Map() }, limits, solve);

/** Smallest set by trying every set of up to `most` adapters of a small shelf. */
function bruteForce(pairings: KitPairing[], shelf: Adapter[], most: number): number {
  const works = (kit: Adapter[]): boolean =>
    pairings.every(({ from, to }) => {
      const own = new Map(kit.map((adapter) => [adapter.id, adapter]));
      return turnedChains(from.face, to.face, own, limits.most, 'all').some((chain) => {
        const left = kit.map(({ id }) => id);
        return chain.every(({ adapter }) => {
          const at = left.indexOf(adapter.id);
          if (at >= 0) left.splice(at, 1);
          return at >= 0;
        });
      });
    });
  for (let size = 0; size <= most; size++) if (sets(shelf, size).some(works)) return size;
  return Infinity;
}

/** All multisets of a size. */
const sets = (shelf: Adapter[], size: number): Adapter[][] =>
  size === 0
    ? [[]]
    : shelf.flatMap((first, k) => sets(shelf.slice(k), size - 1).map((rest) => [first, ...rest]));

describe('the smallest kit', () => {
  // MIL-STD-348B gives 500 couplings for a BNC and an SMA of the field; what is worn by them is bought new.
  it('never packs from the shelf what is worn', async () => {
    const id = 'sma-plug-to-bnc-jack';
    const onShelf = async (matings: number) => {
      const stock = new Map([[id, { id, count: 2, matings }]]);
      const wish = [pairing('sma-jack', 'bnc-plug', 5)];
      const { adapters } = await coverKit(wish, { adapters: catalog.adapters, stock }, limits, solve);
      return adapters.find(({ adapter }) => adapter.id === id)?.onShelf ?? 0;
    };
    expect(await onShelf(3)).toBe(1);
    expect(await onShelf(1_000_000)).toBe(0);
  });

  it('one adapter serves every handheld with the same port', async () => {
    const answer = await cover([
      pairing('sma-jack', 'bnc-plug', 5),
      pairing('sma-jack', 'bnc-plug', 5),
      pairing('bnc-jack', 'bnc-plug', 5),
    ]);
    expect(answer.size).toBe(1);
    expect(answer.adapters[0].adapter.id).toBe('sma-plug-to-bnc-jack');
    expect(answer.direct).toHaveLength(1);
    expect(answer.proved).toBe(true);
    expect(answer.bound).toBe(1);
    expect(answer.spares).toEqual([{ adapter: answer.adapters[0].adapter, pairings: 2 }]);
  });

  it('says what cannot be joined, and why', async () => {
    const { impossible, size } = await cover([
      pairing('f-jack', 'n-plug', 25),
      pairing('pair-plug', '7-16-jack'),
    ]);
    expect(size).toBe(0);
    expect(impossible.map(({ why }) => why).join()).toMatch(/no place for transmit power.*No chain/s);
  });

  it('is as small as trying every set finds it, on small shelves', async () => {
    const families = ['bnc', 'sma', 'n', 'uhf'];
    const small = [...catalog.adapters.values()].filter(
      ({ form, faces }) =>
        form === 'straight' &&
        faces.every((code) => families.some((family) => code.startsWith(`${family}-`))),
    );
    const face = fc.constantFrom(...families.flatMap((family) => [`${family}-plug`, `${family}-jack`]));
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.tuple(face, face), { minLength: 1, maxLength: 4 }),
        fc.shuffledSubarray(small, { minLength: 6, maxLength: 9 }),
        async (wanted, shelf) => {
          const all = wanted.map(([a, b]) => pairing(a, b));
          const answer = await cover(all, new Map(shelf.map((adapter) => [adapter.id, adapter])));
          const open = all.filter((one) => !answer.impossible.some(({ pairing: lost }) => lost === one));
          const fewest = bruteForce(
            open.filter((one) => !answer.direct.includes(one)),
            shelf,
            4,
          );
          if (fewest <= 4) expect(answer.size).toBe(fewest);
          else expect(answer.size).toBeGreaterThan(4);
        },
      ),
      { numRuns: 25 },
    );
  });

  it('forty ports and forty antennas, every one with every other, are proved', async () => {
    // Ports and ends as a club’s table shows them: five kinds of each, in all pairs.
    const ports = ['sma-jack', 'sma-plug', 'bnc-jack', 'uhf-jack', 'n-jack'];
    const ends = ['bnc-plug', 'uhf-plug', 'n-plug', 'sma-plug', 'bnc-jack'];
    const all = Array.from({ length: 40 }, (_, p) =>
      Array.from({ length: 40 }, (__, e) => pairing(ports[p % ports.length], ends[e % ends.length], 5)),
    ).flat();
    const stages = new Set<string>();
    const answer = await coverKit(
      all,
      { adapters: catalog.adapters, stock: new Map() },
      limits,
      solve,
      ({ stage }) => stages.add(stage),
    );
    expect(answer.proved).toBe(true);
    expect(answer.size).toBe(answer.bound);
    expect(answer.impossible).toEqual([]);
    expect(answer.joined.length + answer.direct.length).toBe(1600);
    expect([...stages]).toEqual(['chains', 'solving', 'spares']);
  });
});

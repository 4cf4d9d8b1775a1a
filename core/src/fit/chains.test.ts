import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { catalog, faceOf, faces, isPlainAdapter, type Face } from '../catalog/index.js';
import { adapterChains, easyNeeds, facesOfTurned, mate } from './index.js';

const anyFace = fc.constantFrom(...faces.values());
const chains = (from: string, to: string, needs = {}) =>
  adapterChains(faceOf(from), faceOf(to), catalog.adapters, { ...easyNeeds, ...needs });
const ids = (from: string, to: string, needs = {}): string[][] =>
  chains(from, to, needs).map(({ adapters }) => adapters.map(({ adapter }) => adapter.id));

/** Made for measuring beyond the 18 GHz of SMA (IEC 61169-15). */
const isPrecise = ({ series }: Face): boolean => /^(3-5|2-92|2-4)mm$/.test(series);

/** Fewest adapters from one face to another, found by spreading outwards and without chains; undefined over `most`. */
function fewest(from: Face, to: Face, most: number): number | undefined {
  let reached = new Set([from]);
  const usable = [...catalog.adapters.values()]
    .filter(isPlainAdapter)
    .filter(({ faces: both }) => [from, to].some(isPrecise) || !both.map(faceOf).some(isPrecise));
  for (let count = 1; count <= most; count++) {
    const next = usable.flatMap((adapter) =>
      [false, true].flatMap((reversed) => {
        const [enter, leave] = facesOfTurned({ adapter, reversed });
        return [...reached].some((face) => mate(face, enter).passes) ? [leave] : [];
      }),
    );
    reached = new Set(next);
    if (next.some((face) => mate(face, to).passes)) return count;
  }
  return undefined;
}

describe('chains of adapters', () => {
  it('a chain is found where one exists, joins joint by joint, and none is shorter', () => {
    fc.assert(
      fc.property(anyFace, anyFace, (from, to) => {
        const found = adapterChains(from, to, catalog.adapters, { ...easyNeeds, most: 3 });
        const shortest = fewest(from, to, 3);
        expect(found.length > 0).toBe(shortest !== undefined);
        for (const { adapters, joints } of found) {
          let end = from;
          for (const turned of adapters) {
            const [enter, leave] = facesOfTurned(turned);
            expect(mate(end, enter).passes).toBe(true);
            end = leave;
          }
          expect(mate(end, to).passes).toBe(true);
          expect(adapters).toHaveLength(shortest ?? NaN);
          expect(joints).toBe(adapters.length);
        }
      }),
      { numRuns: 60 },
    );
  });

  it('a chain and its mirror are the same chain', () => {
    fc.assert(
      fc.property(anyFace, anyFace, (from, to) => {
        const there = adapterChains(from, to, catalog.adapters);
        const back = adapterChains(to, from, catalog.adapters);
        expect(back.length > 0).toBe(there.length > 0);
        if (there.length > 0) expect(back[0].joints).toBe(there[0].joints);
      }),
      { numRuns: 40 },
    );
  });

  // Trade facts, common practice, no source.
  it.each([
    ['uhf-jack', 'bnc-plug', 'uhf-plug-to-bnc-jack'],
    ['rp-sma-jack', 'sma-plug', 'rp-sma-plug-to-sma-jack'],
    ['sma-jack', 'bnc-plug', 'sma-plug-to-bnc-jack'],
    ['n-plug', 'n-plug', 'n-jack-to-n-jack'],
    ['7-16-jack', 'n-plug', '7-16-plug-to-n-jack'],
  ])('%s to %s is the one adapter every bag has: %s', (from, to, id) =>
    expect(ids(from, to)[0]).toEqual([id]),
  );

  // Trade fact: nobody buys a 2.92 mm barrel where an SMA one does.
  it('puts no laboratory adapter between SMA ends, and finds a way from a laboratory port', () => {
    for (const list of ids('sma-plug', 'sma-plug')) expect(list.join()).not.toMatch(/3-5mm|2-92mm|2-4mm/);
    expect(ids('sma-plug', 'sma-plug')[0]).toEqual(['sma-jack-to-sma-jack']);
    expect(ids('2-92mm-jack', 'n-jack').length).toBeGreaterThan(0);
  });

  it('joins rare faces over two', () => {
    const [best] = chains('fme-jack', '7-16-plug', { most: 3 });
    expect(best.joints).toBe(2);
  });

  it('says what forbids a chain: transmit power on F, volts on a small series, band', () => {
    const f = chains('f-jack', 'n-plug', { powerW: 25 });
    expect(f.every(({ passes }) => !passes)).toBe(true);
    expect(f[0].against.join()).toContain('no place for transmit power');
    // sqrt(2 · 1500 W · 50 ohm · SWR 2) = 548 V over the 335 V of SMA.
    const strong = chains('sma-jack', 'n-plug', { powerW: 1500, swr: 2 });
    expect(strong[0].against.join()).toMatch(/SMA is rated 335 V, 548 V/);
    expect(chains('uhf-jack', 'n-plug', { topHz: 2.4e9 })[0].against.join()).toContain('300 MHz');
  });

  it('what is on the shelf comes first among equals', () => {
    const [first, second] = ids('n-plug', 'n-jack', { most: 1 });
    const stock = new Map([[second[0], 1]]);
    expect(ids('n-plug', 'n-jack', { most: 1, stock })[0]).toEqual(second);
    expect(first).not.toEqual(second);
  });

  it('explains its rank in a sentence with figures', () =>
    expect(chains('uhf-jack', 'n-plug', { topHz: 145e6 })[0].why).toMatch(
      /One more joint; costs .* dB and echoes .* dB down at 145 MHz; to buy; \d+ mm long/,
    ));
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { catalog, faceOf, faces } from '../catalog/index.js';
import { adapterChains, mate } from './index.js';

const meet = (a: string, b: string): ReturnType<typeof mate> => mate(faceOf(a), faceOf(b));
const anyFace = fc.constantFrom(...faces.values());

// Interface standards: IEC 60169-12 (UHF), IEC 61169-16 and MIL-STD-348 (N), IEC 61169-8 (BNC), -15 (SMA), -24 (F); trade facts.
describe('what happens when two faces meet', () => {
  it.each([
    ['uhf-plug', 'uhf-jack', 'mates'],
    ['n-plug', 'n-jack', 'mates'],
    ['bnc-plug', 'bnc-jack', 'mates'],
    ['sma-plug', 'sma-jack', 'mates'],
    ['rp-sma-plug', 'rp-sma-jack', 'mates'],
    ['f-plug', 'f-jack', 'mates'],
    ['n75-plug', 'n75-jack', 'mates'],
    ['bnc75-plug', 'bnc75-jack', 'mates'],
    ['uhf-plug', 'n-jack', 'does not fit'],
    ['n-plug', 'uhf-jack', 'does not fit'],
    ['bnc-plug', 'n-jack', 'does not fit'],
    ['sma-plug', 'f-jack', 'does not fit'],
    ['n-plug', 'n-plug', 'does not fit'],
    ['uhf-jack', 'uhf-jack', 'does not fit'],
    ['rp-sma-plug', 'sma-plug', 'does not fit'],
    ['rp-sma-plug', 'sma-jack', 'no contact'],
    ['sma-plug', 'rp-sma-jack', 'damages'],
    ['n75-plug', 'n-jack', 'no contact'],
    ['n-plug', 'n75-jack', 'damages'],
    ['bnc75-plug', 'bnc-jack', 'mates with a caution'],
    ['bnc-plug', 'bnc75-jack', 'mates with a caution'],
  ])('%s and %s: %s', (a, b, verdict) => {
    expect(meet(a, b).verdict).toBe(verdict);
    expect(meet(b, a).verdict).toBe(verdict);
  });

  it('names the dimension which is in the way', () => {
    expect(meet('n-plug', 'uhf-jack').reason).toContain('5/8-24');
    expect(meet('n75-plug', 'n-jack').reason).toMatch(/0\.91 mm.*1\.65 mm/);
    // Reflection of 50 against 75 ohm: 0.2, return loss 13.98 dB.
    expect(meet('bnc75-plug', 'bnc-jack').reason).toContain('14.0 dB');
  });

  it('is the same either way round, and never passes signal through two like contacts', () => {
    fc.assert(
      fc.property(anyFace, anyFace, (a, b) => {
        const [ab, ba] = [mate(a, b), mate(b, a)];
        expect(ab.verdict).toBe(ba.verdict);
        if (a.contact === b.contact) expect(ab.passes).toBe(false);
        expect(ab.passes).toBe(ab.verdict.startsWith('mates'));
      }),
    );
  });
});

describe('adapter chains', () => {
  it('every chain mates joint by joint and is as short as any', () => {
    fc.assert(
      fc.property(anyFace, anyFace, (from, to) => {
        const chains = adapterChains(from, to, catalog.adapters.values());
        for (const chain of chains) {
          let end = from;
          for (const { adapter, reversed } of chain) {
            const [a, b] = adapter.faces.map(faceOf);
            expect(mate(end, reversed ? b : a).verdict).toBe('mates');
            end = reversed ? a : b;
          }
          expect(mate(end, to).verdict).toBe('mates');
          expect(chain).toHaveLength(chains[0].length);
        }
      }),
      { numRuns: 40 },
    );
  });

  it('joins a UHF port to a BNC cable with the one adapter every bag has', () => {
    expect(
      adapterChains(faceOf('uhf-jack'), faceOf('bnc-plug'), catalog.adapters.values())[0].map(
        ({ adapter }) => adapter.id,
      ),
    ).toEqual(['uhf-plug-to-bnc-jack']);
  });
});

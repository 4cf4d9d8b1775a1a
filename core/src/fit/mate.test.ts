import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { faceOf, faces } from '../catalog/index.js';
import { mate, matingEffect } from './index.js';

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
    // TNC and its reverse type: IEC 61169-17, from memory.
    ['tnc-plug', 'tnc-jack', 'mates'],
    ['rp-tnc-plug', 'rp-tnc-jack', 'mates'],
    ['rp-tnc-plug', 'tnc-jack', 'no contact'],
    ['tnc-plug', 'rp-tnc-jack', 'damages'],
    ['rp-tnc-plug', 'tnc-plug', 'does not fit'],
    ['tnc75-plug', 'tnc-jack', 'mates with a caution'],
    ['tnc75-plug', 'tnc75-jack', 'mates'],
    ['tnc75-plug', 'rp-tnc-jack', 'damages'],
    ['rp-tnc-plug', 'tnc75-jack', 'no contact'],
    ['rp-tnc-jack', 'rp-tnc-jack', 'does not fit'],
    // TNC is the threaded BNC: same inside, other coupling. Trade fact, no source.
    ['tnc-plug', 'bnc-jack', 'does not fit'],
    ['bnc-plug', 'tnc-jack', 'does not fit'],
    // Old 75 ohm BNC with a thin pin. Trade fact, no source.
    ['bnc75thin-plug', 'bnc-jack', 'no contact'],
    ['bnc75thin-plug', 'bnc75-jack', 'no contact'],
    ['bnc75-plug', 'bnc75thin-jack', 'damages'],
    ['bnc-plug', 'bnc75thin-jack', 'damages'],
    ['bnc75thin-plug', 'bnc75thin-jack', 'mates'],
    // IEC 61169-4 (7/16) and -54 (4.3-10), from memory.
    ['7-16-plug', '7-16-jack', 'mates'],
    ['43-10-plug', '43-10-jack', 'mates'],
    ['7-16-plug', '43-10-jack', 'does not fit'],
    ['7-16-plug', 'n-jack', 'does not fit'],
    ['43-10-plug', 'n-jack', 'does not fit'],
    ['7-16-jack', '7-16-jack', 'does not fit'],
    // FME, mini-UHF, F: threads M8x0.75, 3/8-24 and 3/8-32; trade facts, no source.
    // One thread and contact for SMA, 3.5 and 2.92 mm (IEC 61169-15, -23, -35); 2.4 mm is M7 (-40). From memory.
    ['sma-plug', '3-5mm-jack', 'mates with a caution'],
    ['3-5mm-plug', '2-92mm-jack', 'mates with a caution'],
    ['2-92mm-plug', 'sma-jack', 'mates with a caution'],
    ['rp-sma-plug', '2-92mm-jack', 'no contact'],
    ['2-4mm-plug', '2-92mm-jack', 'does not fit'],
    ['2-4mm-plug', '2-4mm-jack', 'mates'],
    // SMB and SMC: the pin stands in the jack (IEC 61169-10, -9); one contact, other coupling. Trade facts.
    ['smb-plug', 'smb-jack', 'mates'],
    ['smb-plug', 'smc-jack', 'does not fit'],
    ['mcx-plug', 'mmcx-jack', 'does not fit'],
    ['mcx-plug', 'mcx-jack', 'mates'],
    ['tv-plug', 'tv-jack', 'mates'],
    ['tv-plug', 'f-jack', 'does not fit'],
    ['fme-plug', 'fme-jack', 'mates'],
    ['mini-uhf-plug', 'mini-uhf-jack', 'mates'],
    ['mini-uhf-plug', 'f-jack', 'does not fit'],
    ['f-plug', 'mini-uhf-jack', 'does not fit'],
    ['fme-plug', 'sma-jack', 'does not fit'],
    ['mini-uhf-plug', 'uhf-jack', 'does not fit'],
    ['fme-jack', 'fme-jack', 'does not fit'],
    ['f-plug', 'f-plug', 'does not fit'],
    ['f-plug', 'bnc75-jack', 'does not fit'],
    ['f-plug', 'sma-jack', 'does not fit'],
    // IEC 60603-14 (phono), from memory.
    ['rca-plug', 'rca-jack', 'mates'],
    ['rca-plug', 'bnc-jack', 'does not fit'],
    ['rca-plug', 'f-jack', 'does not fit'],
    ['rca-plug', 'rca-plug', 'does not fit'],
    // Tails of a cable on the terminals of a dipole centre; common practice, no source.
    ['pair-plug', 'pair-jack', 'mates'],
    ['pair-plug', 'uhf-jack', 'does not fit'],
    ['pair-plug', 'pair-plug', 'does not fit'],
    // N 75 with its own kind, and against other series.
    ['n75-plug', 'n75-plug', 'does not fit'],
    ['n75-plug', 'uhf-jack', 'does not fit'],
    ['uhf-plug', 'n75-jack', 'does not fit'],
    // Reverse SMA against everything near it. IEC 61169-15, from memory.
    ['rp-sma-jack', 'sma-jack', 'does not fit'],
    ['rp-sma-jack', 'rp-sma-jack', 'does not fit'],
    ['rp-sma-plug', 'fme-jack', 'does not fit'],
    ['sma-plug', 'bnc-jack', 'does not fit'],
    ['sma-jack', 'uhf-plug', 'does not fit'],
    ['bnc-jack', 'bnc-jack', 'does not fit'],
    ['bnc-plug', 'bnc75-plug', 'does not fit'],
    ['sma-plug', 'sma-plug', 'does not fit'],
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

  it('says why threads which look alike bind', () => {
    // 3/8-24 and 3/8-32 are both 9.5 mm across.
    expect(meet('mini-uhf-plug', 'f-jack').reason).toMatch(/start to turn, then bind/);
    expect(meet('bnc75thin-plug', 'bnc-jack').reason).toMatch(/thin-pin pin is 0\.9 mm.*1\.35 mm/);
  });

  // A 50 to 75 ohm step alone: reflection 0.2, 13.98 dB. Below it the two short halves hide: at 1 MHz no echo worth a word.
  it('gives the electrical effect as a figure', () => {
    const at = (a: string, b: string, hz: number): number =>
      matingEffect(faceOf(a), faceOf(b), hz).figure.value;
    expect(at('n-plug', 'n-jack', 450e6)).toBeGreaterThan(30);
    expect(at('uhf-plug', 'uhf-jack', 450e6)).toBeLessThan(22);
    expect(at('uhf-plug', 'uhf-jack', 7e6)).toBeGreaterThan(40);
    // What leaks over a gap falls by 6 dB an octave: a series capacitance. Standard circuit theory.
    const leak = (hz: number): number => at('rp-sma-plug', 'sma-jack', hz);
    expect(leak(100e6)).toBeGreaterThan(40);
    expect(leak(100e6) - leak(200e6)).toBeCloseTo(6.02, 1);
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

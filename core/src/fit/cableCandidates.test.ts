import { describe, expect, it } from 'vitest';
import { catalog } from '../catalog/index.js';
import { cableCandidates } from './index.js';

const likeliest = (evidence: Parameters<typeof cableCandidates>[0]): string[] =>
  cableCandidates(evidence, catalog.cables.values()).map(({ cable }) => cable.id);

describe('what cable is this?', () => {
  // Centre, dielectric and jacket of MIL-DTL-17 sheets, from memory, as a caliper finds them.
  it.each([
    ['RG-58C/U', { centreMm: 0.92, dielectricMm: 2.9, jacketMm: 5, centreKind: 'stranded' as const }, 'rg58'],
    ['RG-213/U', { centreMm: 2.25, dielectricMm: 7.2, jacketMm: 10.3 }, 'rg213'],
    ['RG-174/U', { centreMm: 0.48, dielectricMm: 1.5, jacketMm: 2.8 }, 'rg174'],
    ['RG-59B/U', { centreMm: 0.58, dielectricMm: 3.7, jacketMm: 6.2 }, 'rg59'],
  ])('a caliper on %s', (_, evidence, id) => expect(likeliest(evidence)[0]).toBe(id));

  // Trade fact: both have a jacket of 10.3 mm; the thick centre and the foam tell them apart.
  it('a jacket alone leaves several, the centre or the velocity factor tells them apart', () => {
    expect(likeliest({ jacketMm: 10.3 })).toEqual(expect.arrayContaining(['rg213', 'rg11', 'c400']));
    expect(likeliest({ jacketMm: 10.3, centreMm: 2.74 })[0]).toMatch(/^c400/);
    expect(likeliest({ jacketMm: 10.3, velocityFactor: 0.66, impedanceOhm: 75 })[0]).toBe('rg11');
  });

  // RG-142 and RG-223 have the same core as RG-58 and two braids round it (MIL-DTL-17, from memory).
  it('what the eye sees rules others out', () => {
    const same = { dielectricMm: 2.95, jacketMm: 5 };
    expect(likeliest(same)).toEqual(expect.arrayContaining(['rg58', 'rg142', 'rg223']));
    expect(likeliest({ ...same, shieldKind: 'two braids' })).toEqual(expect.not.arrayContaining(['rg58']));
  });

  it('says what speaks against one, and leaves out what cannot be', () => {
    const found = cableCandidates({ jacketMm: 10.3, impedanceOhm: 54 }, catalog.cables.values());
    expect(found.find(({ cable }) => cable.id === 'rg213')?.against).toEqual([
      'impedance 50 ohm, found 54 ohm',
    ]);
    expect(found.every(({ cable }) => cable.impedanceOhm === 50)).toBe(true);
  });

  it('loss tells a flexible foam from a stiff one of the same size', () => {
    const loss = { frequencyHz: 450e6, dbPer100M: 0.48 * Math.sqrt(450) + 0.001 * 450 };
    expect(likeliest({ jacketMm: 10.3, dielectricMm: 7.24, velocityFactor: 0.85, loss })[0]).toBe('c400f');
  });
});

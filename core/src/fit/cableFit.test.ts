import { describe, expect, it } from 'vitest';
import { catalog, entry } from '../catalog/index.js';
import { fitCable, partsFor } from './index.js';

const fit = (part: string, cable: string): ReturnType<typeof fitCable> =>
  fitCable(entry(catalog.parts, part), entry(catalog.cables, cable));

// Trade facts, common practice, no source: size groups of 5, 6 and 10 mm cable.
describe('does this part fit this cable?', () => {
  it.each([
    ['uhf-plug-crimp-10mm', 'rg213', 'fits'],
    ['uhf-plug-crimp-10mm', 'c400', 'fits'],
    ['uhf-plug-crimp-5mm', 'rg58', 'fits'],
    ['uhf-plug-crimp-5mm', 'c195', 'fits'],
    ['n-plug-gland-6mm', 'rg8x', 'fits'],
    ['n-plug-gland-6mm', 'c240', 'fits'],
    ['bnc-plug-crimp-25mm', 'rg316', 'fits'],
  ])('%s on %s', (part, cable, verdict) => expect(fit(part, cable).verdict).toBe(verdict));

  it.each([
    ['uhf-plug-crimp-5mm', 'rg213'],
    ['uhf-plug-crimp-10mm', 'rg58'],
    ['bnc-plug-crimp-25mm', 'rg58'],
    ['n-plug-crimp-10mm', 'c600'],
  ])('%s does not go on %s, and the gap is named', (part, cable) => {
    const result = fit(part, cable);
    expect(result.verdict).not.toBe('fits');
    expect(result.reason).toMatch(/\d mm/);
  });

  // The handbook’s near miss: a solid 2.7 mm centre in a bore made for 2.3 mm stranded; the bag holds two pins.
  it('takes the pin for a solid centre from the bag', () => {
    expect(fit('n-plug-gland-10mm', 'c400').pin).toMatchObject({ made: 'solid', boreMm: 2.86 });
    expect(fit('n-plug-gland-10mm', 'rg213').pin).toMatchObject({ made: 'stranded', boreMm: 2.38 });
  });

  it('says wrong pin when no bore of the bag takes the conductor', () => {
    expect(fit('n-plug-crimp-5mm', 'rg8x').gaps[0].verdict).toBe('wrong pin');
  });

  // Trade facts, common practice, no source: what goes on what, family by family.
  it.each([
    ['uhf-plug-solder-10mm', 'rg213', 'fits'],
    ['uhf-plug-solder-10mm', 'rg11', 'fits'],
    ['uhf-plug-screw-on-10mm', 'rg213', 'fits'],
    ['uhf-plug-reducer-5mm', 'rg58', 'fits'],
    ['uhf-plug-reducer-6mm', 'rg8x', 'fits'],
    ['uhf-plug-washers-6mm', 'c240', 'fits'],
    ['uhf-plug-piercing-10mm', 'rg213', 'fits'],
    ['bnc-plug-gland-5mm', 'rg58', 'fits'],
    ['tnc-plug-crimp-5mm2b', 'rg223', 'fits'],
    ['n-plug-crimp-10mm2b', 'rg214', 'fits'],
    ['n-plug-gland-15mm', 'c600', 'fits'],
    ['7-16-plug-corrugated-half-inch', 'h12', 'fits'],
    ['7-16-plug-corrugated-seven-eighths', 'h78', 'fits'],
    ['n-plug-gland-13mm', 'f13', 'fits'],
    ['n-plug-crimp-7mm', 'f7', 'fits'],
    ['f-plug-compression-7mm75', 'rg6', 'fits'],
    ['f-plug-compression-6mm75', 'rg59', 'fits'],
    ['bnc75-plug-crimp-6mm75', 'rg59', 'fits'],
    ['sma-plug-crimp-25mm', 'rg316', 'fits'],
    ['pair-plug-pigtail-10mm', 'rg213', 'fits'],
    ['pair-plug-pigtail-5mm', 'rg58', 'fits'],
    ['pair-plug-pigtail-7mm75', 'rg6', 'fits'],
    ['uhf-jack-bulkhead-10mm', 'rg213', 'fits'],
    ['n-jack-bulkhead-5mm', 'rg58', 'fits'],
  ])('%s on %s: %s', (part, cable, verdict) => expect(fit(part, cable)).toMatchObject({ verdict }));

  it.each([
    ['uhf-plug-reducer-5mm', 'rg213', 'tight'],
    ['uhf-plug-solder-10mm', 'rg58', 'loose'],
    ['f-plug-compression-7mm75', 'rg213', 'wrong pin'],
    ['n-plug-gland-5mm', 'c600', 'tight'],
    ['uhf-plug-screw-on-10mm', 'rg8x', 'loose'],
    ['pair-plug-pigtail-10mm', 'c600', 'tight'],
    ['pair-plug-pigtail-10mm', 'rg58', 'loose'],
    // 1.48 mm of play in the cup; a thin jacket in a wide boot.
    ['uhf-jack-bulkhead-10mm', 'rg58', 'wrong pin'],
    ['n-jack-bulkhead-6mm', 'rg58', 'wrong pin'],
    ['pair-plug-pigtail-7mm', 'rg58', 'loose'],
  ])('%s on %s does not: %s, and the sentence says by how much', (part, cable, verdict) => {
    const { verdict: own, reason, gaps } = fit(part, cable);
    expect(gaps.map((gap) => gap.verdict)).toContain(verdict);
    expect(own).not.toBe('fits');
    expect(reason).toMatch(/[\d.]+ mm/);
  });

  it('a piercing spike needs a stranded centre', () => {
    const { verdict, reason } = fit('uhf-plug-piercing-10mm', 'c400');
    expect(verdict).not.toBe('fits');
    expect(reason).toMatch(/2\.74|2\.38/);
  });

  it('says wrong die when the hex does not close the ferrule', () => {
    const part = { ...entry(catalog.parts, 'n-plug-crimp-10mm'), hexMm: 5.4 };
    const { gaps, verdict } = fitCable(part, entry(catalog.cables, 'rg213'));
    expect(gaps.at(-1)?.verdict).toBe('wrong die');
    expect(verdict).toBe('wrong die');
  });

  it('what is offered for a cable fits it, the usual choice first; outdoors the gland', () => {
    const cable = entry(catalog.cables, 'rg213');
    const n = [...catalog.parts.values()].filter(({ face }) => face === 'n-plug');
    expect(partsFor(cable, n)[0].style).toBe('crimp');
    expect(partsFor(cable, n, true)[0].style).toBe('gland');
    for (const part of partsFor(cable, catalog.parts.values()))
      expect(fitCable(part, cable).verdict).toBe('fits');
  });

  // A corrugated tube has no braid to crimp, to fold or to twist into a tail; a braid has no crest to be clamped on.
  it.each([
    ['7-16-plug-corrugated-half-inch', 'rg213'],
    ['n-plug-gland-15mm', 'h12'],
    ['pair-plug-pigtail-10mm', 'h12'],
  ])('%s on %s: the wrong shield', (part, cable) => {
    expect(fit(part, cable).gaps[0].verdict).toBe('wrong shield');
    expect(partsFor(entry(catalog.cables, cable), [entry(catalog.parts, part)])).toEqual([]);
    expect(fit(part, cable).gaps.map(({ what }) => what)).toContain('shield');
  });
});

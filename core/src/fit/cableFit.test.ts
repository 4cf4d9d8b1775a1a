import { describe, expect, it } from 'vitest';
import { catalog, entry } from '../catalog/index.js';
import { fitCable } from './index.js';

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
});

import { describe, expect, it } from 'vitest';
import { catalog, withShop } from '../../catalog/index.js';
import { aRun, cable, sheetWith, snagsOf } from '../aRun.fixture.js';

// SMA is rated for about 500 couplings (IEC 61169-15, from memory); the warning at 80 % is common practice.
describe('wornPort', () => {
  const handheld = aRun({
    radio: { name: 'Handheld 3', face: 'sma-jack', handheld: false },
    pieces: [cable({ cable: 'rg58', a: { part: 'sma-plug-crimp-5mm' }, b: { part: 'n-plug-crimp-5mm' } })],
  });
  const coupled = (matings: number): ReturnType<typeof snagsOf> =>
    sheetWith(
      withShop(catalog, [
        {
          kind: 'port',
          data: {
            id: 'h3',
            name: 'Handheld 3',
            side: 'radio',
            face: 'sma-jack',
            lowHz: 144e6,
            highHz: 146e6,
            powerW: 5,
            handheld: true,
            swr: 1,
            dcShort: false,
            matings,
          },
        },
      ]),
      handheld,
    ).snags.filter(({ rule }) => rule === 'worn');
  it('warns from 80 % on and offers a saver', () => {
    expect(coupled(399)).toEqual([]);
    const [snag] = coupled(400);
    expect(snag.why).toBe('Coupled 400 times of the 500 it is rated for.');
    expect(snag.remedies[0].title).toContain('saver');
  });
});

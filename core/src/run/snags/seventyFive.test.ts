import { describe, expect, it } from 'vitest';
import { aRun, cable, mends, snagsOf } from '../aRun.fixture.js';

// Reflection of 75 in 50 ohm: Pozar, 13.98 dB. F for receive only: handbook practice.
describe('seventyFive', () => {
  const video = aRun({
    pieces: [
      cable({ cable: 'rg59', a: { part: 'bnc75-plug-crimp-6mm75' }, b: { part: 'bnc75-plug-crimp-6mm75' } }),
    ],
  });
  it('75 ohm cable in a transmit run shows its echo', () =>
    expect(snagsOf(video, 'impedance')[0].why).toContain('14.0 dB'));
  it('is allowed for receiving', () =>
    expect(snagsOf({ ...video, service: { ...video.service, powerW: 0 } }, 'impedance')).toEqual([]));
  it('an F joint refuses transmit power', () => {
    const f = aRun({
      radio: { name: 'Set', face: 'f-jack', handheld: false },
      antenna: { name: 'Aerial', face: 'f-jack', swr: 1.2, dcShort: false },
      pieces: [
        cable({
          cable: 'rg59',
          a: { part: 'f-plug-compression-6mm75' },
          b: { part: 'f-plug-compression-6mm75' },
        }),
      ],
    });
    expect(snagsOf(f, 'no-transmit').map(({ level }) => level)).toEqual(['stop', 'stop']);
    expect(mends(f, 'no-transmit', 0)).toBe(true);
  });
});

import { describe, expect, it } from 'vitest';
import { anOutdoorRun, cable, snagsOf } from '../aRun.fixture.js';

// Can the sealed joint still fit its duct? Handbook of the trade, 6.
describe('sealTooThick', () => {
  const inDuct = (boreMm: number) =>
    anOutdoorRun({
      pieces: [
        cable({ id: 'in', lengthM: 5 }),
        { kind: 'adapter', id: 'barrel', adapter: 'n-jack-to-n-jack', reversed: false },
        cable({ lengthM: 8 }),
      ],
      legs: [
        { id: 'hut', name: 'the hut', kind: 'indoor tray', zone: 'dry', lengthM: 2, slackM: 0 },
        { id: 'duct', name: 'the duct', kind: 'duct', zone: 'outdoor', lengthM: 9, slackM: 0, boreMm },
        { id: 'mast', name: 'the mast', kind: 'tower leg', zone: 'outdoor', lengthM: 2, slackM: 0 },
      ],
    });
  it('stops a sealed barrel in a narrow duct, with both figures', () => {
    const [snag] = snagsOf(inDuct(24), 'seal-thick');
    expect(snag).toMatchObject({ level: 'stop', at: 'in>barrel' });
    expect(snag.why).toMatch(/\d+ mm thick.*24 mm/);
  });
  it('is silent in a wide one', () => expect(snagsOf(inDuct(50), 'seal-thick')).toEqual([]));
});

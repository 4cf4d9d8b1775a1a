import { describe, expect, it } from 'vitest';
import { aRun, anOutdoorRun, cable, mends, snagsOf } from '../aRun.fixture.js';

// Handbook of the trade: a joint in the ground is never taped and buried; pit, box or a rated splice. Common practice, no source.
describe('buriedJoint', () => {
  const buried = aRun({
    pieces: [
      cable({ id: 'in', lengthM: 5 }),
      { kind: 'adapter', id: 'barrel', adapter: 'n-jack-to-n-jack', reversed: false },
      cable({ lengthM: 8 }),
    ],
    legs: [
      { id: 'hut', name: 'the hut', kind: 'indoor tray', zone: 'dry', lengthM: 2, slackM: 0 },
      { id: 'lawn', name: 'the lawn', kind: 'duct', zone: 'buried', lengthM: 9, slackM: 0 },
      { id: 'mast', name: 'the mast', kind: 'tower leg', zone: 'outdoor', lengthM: 2, slackM: 0 },
    ],
  });
  it('stops each joint in the ground, and each of the three ways mends it', () => {
    const found = snagsOf(buried, 'buried-joint');
    expect(found.map(({ at, level }) => [at, level])).toEqual([
      ['in>barrel', 'stop'],
      ['barrel>main', 'stop'],
    ]);
    for (const way of [0, 1, 2]) expect(mends(buried, 'buried-joint', way)).toBe(true);
  });
  it('is silent above the ground', () => expect(snagsOf(anOutdoorRun(), 'buried-joint')).toEqual([]));
});

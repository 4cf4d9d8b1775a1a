import { describe, expect, it } from 'vitest';
import { anOutdoorRun, mends, snagsOf } from '../aRun.fixture.js';

// Tolerance 20 %: IEC 61643-311, from memory. Construction and marking of arresters: trade facts.
describe('arresterFit', () => {
  it('a tube which fires on the transmitter is a stop; the right one mends it', () => {
    const low = anOutdoorRun({ service: { powerW: 100 } });
    low.pieces[1] = { kind: 'arrester', id: 'arrester', arrester: 'gas-n', reversed: true, tubeV: 90 };
    expect(snagsOf(low, 'arrester-tube')[0].level).toBe('stop');
    expect(mends(low, 'arrester-tube', 0)).toBe(true);
  });
  it('a needlessly high tube is a note', () => {
    const high = anOutdoorRun();
    high.pieces[1] = { kind: 'arrester', id: 'arrester', arrester: 'gas-n', reversed: true, tubeV: 600 };
    expect(snagsOf(high, 'arrester-tube')[0].level).toBe('note');
    expect(mends(high, 'arrester-tube', 0)).toBe(true);
  });
  it('a DC-blocked arrester in a fed run is a stop', () => {
    const fed = anOutdoorRun({ service: { dcFeed: true } });
    fed.pieces[1] = { kind: 'arrester', id: 'arrester', arrester: 'blocked-n', reversed: true, tubeV: 150 };
    expect(snagsOf(fed, 'arrester-dc')[0].level).toBe('stop');
    expect(mends(fed, 'arrester-dc', 0)).toBe(true);
  });
  it('an arrester outside its band is a stop, one turned round a caution', () => {
    const wrong = anOutdoorRun({ service: { bands: [{ name: 'hf', lowHz: 7e6, highHz: 7e6 }] } });
    wrong.pieces[1] = {
      kind: 'arrester',
      id: 'arrester',
      arrester: 'blocked-n',
      reversed: false,
      tubeV: 150,
    };
    expect(snagsOf(wrong, 'arrester-band')[0].level).toBe('stop');
    expect(snagsOf(wrong, 'arrester-side')[0].level).toBe('caution');
    expect(mends(wrong, 'arrester-side', 0)).toBe(true);
    expect(mends(wrong, 'arrester-band', 0)).toBe(true);
  });
});

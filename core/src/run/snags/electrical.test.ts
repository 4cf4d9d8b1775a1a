import { describe, expect, it } from 'vitest';
import { anOutdoorRun, aRun, cable, mends, snagsOf } from '../aRun.fixture.js';

// Limits: IEC 60169-12 (UHF to 300 MHz), interface standards’ peak voltages, all from memory.
describe('seriesFrequency', () => {
  const uhf = aRun({
    service: { bands: [{ name: 'link', lowHz: 452e6, highHz: 452e6 }], lossBudgetDb: 9 },
    antenna: { name: 'Yagi', face: 'uhf-jack', swr: 1.2, dcShort: true },
    pieces: [cable({ b: { part: 'uhf-plug-crimp-10mm' } })],
  });
  it('UHF at 452 MHz: a caution with its echo, mended with N', () => {
    const [snag] = snagsOf(uhf, 'series-frequency');
    expect(snag.level).toBe('caution');
    expect(snag.why).toMatch(/echo 1\d\.\d dB/);
    expect(mends(uhf, 'series-frequency', 0)).toBe(true);
  });
  it('is silent in the band of the series', () => expect(snagsOf(aRun(), 'series-frequency')).toEqual([]));
});

describe('peakVoltage', () => {
  const hot = aRun({
    service: {
      bands: [{ name: 'hf', lowHz: 7e6, highHz: 7.2e6 }],
      powerW: 3000,
      lossBudgetDb: 6,
      duty: 0.01,
    },
    antenna: { name: 'Dipole', face: 'bnc-jack', swr: 3, dcShort: false },
    pieces: [
      cable({ b: { part: 'n-plug-crimp-10mm' } }),
      { kind: 'adapter', id: 'adapter', adapter: 'n-jack-to-bnc-plug', reversed: false },
    ],
  });
  it('stops where the standing wave exceeds the series, and less power mends it', () => {
    const snag = snagsOf(hot, 'peak-voltage').find(({ at }) => at === 'adapter>antenna');
    expect(snag?.level).toBe('stop');
    expect(mends(hot, 'peak-voltage', 0)).toBe(true);
  });
  it('is silent at 25 W', () => expect(snagsOf(aRun(), 'peak-voltage')).toEqual([]));
});

// Heat balance, ±30 % of handbook tables from memory: RG-58 bears well under 200 W at 145 MHz.
describe('averagePower', () => {
  it('RG-58 does not carry 300 W of continuous carrier at 145 MHz; a thicker cable does', () => {
    const hot = aRun({
      service: { powerW: 300, duty: 1, lossBudgetDb: 9 },
      pieces: [cable({ cable: 'rg58', a: { part: 'n-plug-crimp-5mm' }, b: { part: 'n-plug-crimp-5mm' } })],
    });
    expect(snagsOf(hot, 'average-power')[0].level).toBe('stop');
    expect(mends(hot, 'average-power', 0)).toBe(true);
  });
});

describe('lossBudget', () => {
  const lossy = aRun({ service: { lossBudgetDb: 0.8 } });
  it('names the piece which costs most; each remedy brings it under or says what it saves', () => {
    const [snag] = snagsOf(lossy, 'loss-budget');
    expect(snag).toMatchObject({ level: 'caution', at: 'main' });
    expect(snag.remedies.length).toBeGreaterThan(1);
    expect(mends(lossy, 'loss-budget', 0)).toBe(true);
    expect(mends(lossy, 'loss-budget', snag.remedies.length - 1)).toBe(true);
  });
});

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

// Common practice, no source.
describe('handheldPort', () => {
  it('cautions about depth, with the lever in mm', () => {
    const handheld = aRun({
      radio: { name: 'Handheld', face: 'sma-jack', handheld: true },
      pieces: [{ kind: 'adapter', id: 'adapter', adapter: 'sma-plug-to-n-jack', reversed: false }, cable()],
    });
    const [snag] = snagsOf(handheld, 'handheld');
    expect(snag.why).toMatch(/\d+ mm of rigid adapter/);
    expect(mends(handheld, 'handheld', 0)).toBe(true);
  });
});

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

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { gasTubeVolts } from '../catalog/index.js';
import { chooseTube, highestFiringV, letThrough, lowestFiringV } from './index.js';

describe('the tube for a run', () => {
  // Common practice, no source: a 100 W station uses the 200 W class, a 500 W amplifier the 2 kW class.
  it.each([
    [100, 200],
    [500, 2000],
  ])('%d W station: the %d W class', (stationW, classW) => {
    const { holdsW } = chooseTube(stationW, 50, 1.5);
    expect(holdsW).toBeGreaterThan(classW);
    expect(holdsW).toBeLessThan(classW * 2);
  });

  // A station with a badly matched antenna: 100 W at SWR 3 is 173 V peak, 217 V with margin, 350 V tube; 400 W: 600 V. √(2·P·Z0·SWR), IEC 61643-311.
  it.each([
    [100, 3, 350],
    [400, 3, 600],
    [50, 2, 230],
    [100, 60, undefined],
  ])('%d W at SWR %d: %s V, and no cap on the SWR', (watts, swr, tubeV) =>
    expect(chooseTube(watts, 50, swr).tubeV).toBe(tubeV),
  );

  // √(2·P·Z0·SWR): 100 W, 50 ohm, SWR 2 makes 141.4 V peak.
  it('rests on the peak voltage of the net power', () =>
    expect(chooseTube(100, 50, 2).peak.value).toBeCloseTo(141.42, 2));

  // Tolerance 20 %: IEC 61643-311, from memory.
  it('holds, and no lower standard tube would', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 1500, noNaN: true }),
        fc.double({ min: 1, max: 3, noNaN: true }),
        (watts, swr) => {
          const { tubeV, needed } = chooseTube(watts, 50, swr);
          if (tubeV === undefined) return;
          expect(lowestFiringV(tubeV)).toBeGreaterThanOrEqual(needed.value);
          const lower = gasTubeVolts[gasTubeVolts.indexOf(tubeV) - 1];
          if (lower) expect(lowestFiringV(lower)).toBeLessThan(needed.value);
        },
      ),
    );
  });

  it('says so when none holds', () => {
    const choice = chooseTube(10_000, 50, 3);
    expect(choice.tubeV).toBeUndefined();
    expect(choice.why).toContain('No standard tube');
  });
});

// What a tube is for: a surge climbs faster than it fires, so it lets through more than its own voltage; a higher one more.
it('lets through more than it fires at, and a higher tube more than a lower one', () => {
  const through = gasTubeVolts.map((volts) => letThrough(volts)?.value ?? 0);
  gasTubeVolts.forEach((volts, k) => expect(through[k]).toBeGreaterThan(highestFiringV(volts)));
  expect(through).toEqual(through.toSorted((x, y) => x - y));
  expect(letThrough(200)).toBeUndefined();
});

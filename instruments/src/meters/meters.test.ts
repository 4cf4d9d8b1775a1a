import { catalog, deviceOn, entry, matchedLossDb } from '@kobran/core';
import { describe, expect, it, vi } from 'vitest';
import { aBench } from '../aBench.fixture.js';
import { interpreter, type InstrumentModel } from '../scpi/instrument.js';
import { multimeter } from './multimeter.js';
import { powerMeters } from './powerMeters.js';

const asking = (model: InstrumentModel): ((message: string) => Promise<string>) => {
  const answer = interpreter(model);
  return async (message) => (await answer(message))?.toString() ?? '';
};
/** First seed whose hidden fault is this. */
function seedOf(cause: string): number {
  for (let seed = 1; seed < 500; seed++) if (deviceOn(aBench({ seed })).fault.cause === cause) return seed;
  throw new Error(cause);
}

describe('the ohm-meter', () => {
  const ohm = async (over: object): Promise<number> => {
    const ask = asking(multimeter(() => aBench(over), 7));
    await ask('CAL:ZERO');
    return Number(await ask('MEAS:RES?'));
  };
  it('finds the copper of both conductors when the far end is shorted', async () => {
    // Loop resistance: both conductors, ohm/km of the table of cables, 4 m.
    const { innerOhmPerKm, outerOhmPerKm } = entry(catalog.cables, 'rg213');
    expect(await ohm({ far: 'short' })).toBeCloseTo((innerOhmPerKm + outerOhmPerKm) * 0.004, 1);
  });
  it('an open end is over range; the load is 50 ohm', async () => {
    expect(await ohm({ far: 'open' })).toBe(9.9e37);
    expect(await ohm({ far: 'load' })).toBeGreaterThan(49);
    expect(await ohm({ far: 'load' })).toBeLessThan(51);
  });
  it('a whisker is a short until it is wiggled off; an open pin is open with the end shorted', async () => {
    const whisker = seedOf('whisker');
    expect(await ohm({ seed: whisker, far: 'open' })).toBeLessThan(3);
    expect(await ohm({ seed: whisker, far: 'open', wiggled: true })).toBeGreaterThan(1e8);
    expect(await ohm({ seed: seedOf('open pin'), far: 'short' })).toBeGreaterThan(1e5);
  });
});

describe('power', () => {
  const meter = (over: object) => asking(powerMeters(() => aBench(over), 7));

  it('what reaches the load is what went forward less the loss of the cable', async () => {
    const ask = meter({});
    await ask('SOUR:FREQ 145 MHZ;POW 25;:OUTP ON');
    const [forward, load, back] = (await ask('MEAS:POW? FORW;POW? LOAD;POW? REFL')).split(';').map(Number);
    const lossDb = matchedLossDb(entry(catalog.cables, 'rg213'), 145e6, 4);
    // A directional wattmeter is good to ±5 %. Common practice, no source.
    expect(forward / 25).toBeGreaterThan(0.93);
    expect(forward / 25).toBeLessThan(1.07);
    expect(10 * Math.log10(forward / load)).toBeGreaterThan(lossDb - 0.4);
    expect(10 * Math.log10(forward / load)).toBeLessThan(lossDb + 0.5);
    expect(back / forward).toBeLessThan(0.01);
  });

  it('stops transmitting by itself when whoever keyed it falls silent', async () => {
    vi.useFakeTimers();
    const ask = meter({});
    await ask('OUTP ON');
    for (let k = 0; k < 5; k++) {
      vi.advanceTimersByTime(1500);
      expect(Number(await ask('MEAS:POW? FORW'))).toBeGreaterThan(0);
    }
    vi.advanceTimersByTime(2500);
    expect(await ask('OUTP?')).toBe('0');
    expect(Number(await ask('MEAS:POW? FORW'))).toBe(0);
    vi.useRealTimers();
  });

  it('nothing is shown while the key is up, and nothing is sent into an open end', async () => {
    expect(Number(await meter({})('MEAS:POW? FORW'))).toBe(0);
    const ask = meter({ far: 'open' });
    await ask('OUTP ON');
    expect(await ask('SYST:ERR?')).toMatch(/^-221,.*dummy load/);
    expect(await ask('OUTP?')).toBe('0');
  });

  it('a melted end stands low power and arcs over at full power', async () => {
    const ask = meter({ seed: seedOf('melted dielectric') });
    const share = async (watts: number): Promise<number> => {
      await ask(`SOUR:POW ${watts};:OUTP ON`);
      return Number(await ask('MEAS:POW? REFL')) / Number(await ask('MEAS:POW? FORW'));
    };
    expect(await share(5)).toBeLessThan(0.1);
    expect(await share(100)).toBeGreaterThan(0.5);
  });
});

import { describe, expect, it } from 'vitest';
import { anOutdoorRun, aRun, cable, snagsOf } from '../aRun.fixture.js';
import type { AnyPiece } from '../design/design.js';

const adapter = (id: string, adapterId: string, reversed = false): AnyPiece => ({
  kind: 'adapter',
  id,
  adapter: adapterId,
  reversed,
});

// Reflection of 50 against 75 ohm is 0.2: 14.0 dB (Pozar). Trade fact: a step shows as an echo.
describe('impedanceStep', () => {
  const step = aRun({
    pieces: [
      cable({ id: 'in', lengthM: 2 }),
      adapter('barrel', 'n-jack-to-n-jack'),
      cable({ cable: 'rg11', a: { part: 'n75-plug-crimp-10mm75' }, b: { part: 'n75-plug-crimp-10mm75' } }),
    ],
  });
  it('says the echo of the step', () => {
    const [snag] = snagsOf(step, 'impedance-step');
    expect(snag.level).toBe('caution');
    expect(snag.why).toContain('14.0 dB');
  });
  it('is a note when receiving, and silent where one impedance runs through', () => {
    expect(snagsOf({ ...step, service: { ...step.service, powerW: 0 } }, 'impedance-step')[0].level).toBe(
      'note',
    );
    expect(snagsOf(anOutdoorRun(), 'impedance-step')).toEqual([]);
  });
  it('is silent for a length that is meant: a transformer', () => {
    const target = { frequencyHz: 145e6, degrees: 90 };
    const [a, b, c] = step.pieces;
    expect(snagsOf({ ...step, pieces: [a, b, { ...c, target } as AnyPiece] }, 'impedance-step')).toEqual([]);
  });
});

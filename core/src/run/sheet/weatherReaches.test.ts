import { describe, expect, it } from 'vitest';
import { aRun, anOutdoorRun, cable, sheetOf } from '../aRun.fixture.js';
import type { Design } from '../design/design.js';
import { weatherReaches } from './weatherReaches.js';

// By the legs of the route: two metres in a tray inside, then a mast.
describe('whether weather reaches a cable', () => {
  const of = (design: Design, pieceId = '') => weatherReaches(design, sheetOf(design), pieceId);
  it('is said by the legs it lies in', () => {
    expect([of(anOutdoorRun(), 'in'), of(anOutdoorRun(), 'main'), of(anOutdoorRun())]).toEqual([
      false,
      true,
      true,
    ]);
    expect(of(aRun())).toBe(false);
  });
  it('without legs a short lead lies on a bench; of a longer one nobody knows', () => {
    const lead = (lengthM: number) => of(aRun({ legs: [], pieces: [cable({ lengthM })] }));
    expect([lead(1), lead(12)]).toEqual([false, true]);
  });
});

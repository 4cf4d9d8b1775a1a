import { describe, expect, it } from 'vitest';
import { catalog, entry, lossToleranceOf } from '../../catalog/index.js';
import { matchedLossDb } from '../../line/index.js';
import { anOutdoorRun, sheetOf } from '../aRun.fixture.js';
import { assembliesOf, spreadOf, usualTolerances } from '../index.js';

const design = anOutdoorRun();
const exact = { velocity: 0, loss: 0, lengthM: 0 };

describe('many runs from one drawing', () => {
  it('without tolerances each is the drawing itself', () => {
    const { figures } = sheetOf(design);
    const { lossDb, swrAtRadio } = spreadOf(design, catalog, 5, 1, exact);
    for (const one of [lossDb.low, lossDb.middle, lossDb.high])
      expect(one).toBeCloseTo(figures.loss.value, 9);
    expect(swrAtRadio.high).toBeCloseTo(figures.swrAtRadio.value, 9);
  });

  it('the same seed gives the same runs, another seed others', () => {
    expect(spreadOf(design, catalog, 50, 7)).toEqual(spreadOf(design, catalog, 50, 7));
    expect(spreadOf(design, catalog, 50, 8)).not.toEqual(spreadOf(design, catalog, 50, 7));
  });

  // Normal distribution: 90 % lie within ± 1.645 standard deviations (standard tables); loss is nearly linear in its own error.
  it('loss spreads as its tolerance says', () => {
    const { lossDb } = spreadOf(design, catalog, 2000, 3, { ...exact, loss: 0.5 });
    // Cables err independently, so their errors add as squares; 2000 draws place a 5 % quantile within about 3 %.
    const sigmas = assembliesOf(design).map(({ cable: id, lengthM }) => {
      const cable = entry(catalog.cables, id);
      return 0.5 * lossToleranceOf(cable) * matchedLossDb(cable, 146e6, lengthM);
    });
    const expected = 1.645 * Math.hypot(...sigmas);
    const wide = (lossDb.high - lossDb.low) / 2;
    expect(wide / expected).toBeGreaterThan(0.92);
    expect(wide / expected).toBeLessThan(1.08);
  });

  it('with the usual tolerances the SWR at the radio moves, since joints add up by phase', () => {
    const { swrAtRadio } = spreadOf(design, catalog, 300, 5, usualTolerances);
    expect(swrAtRadio.low).toBeLessThan(swrAtRadio.middle);
    expect(swrAtRadio.high).toBeGreaterThan(swrAtRadio.middle);
  });
});

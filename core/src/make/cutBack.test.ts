import { describe, expect, it } from 'vitest';
import { catalog, entry } from '../catalog/index.js';
import { fitCable } from '../fit/index.js';
import { cutBack, damageKinds, damages, stripGauge } from './index.js';

const part = entry(catalog.parts, 'uhf-plug-crimp-10mm');
const gauge = stripGauge(part, entry(catalog.cables, 'rg213'));

describe('how much of a damaged end to cut off', () => {
  // By geometry: the conductor of a crimp UHF plug stands 6 mm proud of its tip before it is trimmed, so a cut at the old
  // connector’s rear costs its whole length and those 6 mm more.
  it('a broken connector costs its own length and what stands proud', () => {
    const { cutAtM, lostM } = cutBack('connector', 0, part, gauge);
    expect(cutAtM).toBeCloseTo(part.jacketToPlaneMm / 1000, 9);
    expect(lostM).toBeCloseTo((part.jacketToPlaneMm + 6) / 1000, 4);
  });

  it('damage behind the connector is cut off with its margin', () => {
    const { cutAtM } = cutBack('crushed', 0.4, part, gauge);
    expect(cutAtM).toBeCloseTo(0.4 + damages.crushed.beyondM, 9);
  });

  it('water takes more than a crush, and nothing is ever gained', () => {
    expect(cutBack('wet', 0.2, part, gauge).lostM).toBeGreaterThan(
      cutBack('crushed', 0.2, part, gauge).lostM,
    );
    for (const any of catalog.parts.values())
      for (const cable of catalog.cables.values())
        if (fitCable(any, cable).verdict === 'fits')
          for (const kind of damageKinds)
            for (const damagedM of [0, 0.01, 0.5]) {
              const { cutAtM, lostM } = cutBack(kind, damagedM, any, stripGauge(any, cable));
              expect(lostM, any.id).toBeGreaterThanOrEqual(0);
              expect(cutAtM, any.id).toBeGreaterThanOrEqual(damagedM);
            }
  });
});

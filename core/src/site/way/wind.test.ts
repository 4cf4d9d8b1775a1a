import { describe, expect, it } from 'vitest';
import { windLoad, windNPerM } from './wind.js';

describe('wind on cables', () => {
  // By hand: ½ · 1.25 · 30² = 562.5 Pa; times 1.2 and 10.3 mm: 6.95 N/m.
  it('30 m/s on a metre of 10.3 mm cable', () =>
    expect(windNPerM({ jacketMm: 10.3 }, 30, 0)).toBeCloseTo(6.95, 2));

  // By hand: three of 10.3 mm over 12 m are 0.371 m²; 25 mm of ice makes each 60.3 mm broad: 2.17 m².
  it('area of a mast’s cables, bare and iced; no push where no wind is reckoned with', () => {
    const three = Array.from({ length: 3 }, () => ({ jacketMm: 10.3 }));
    expect(windLoad(three, 12, {}).area.value).toBeCloseTo(0.371, 3);
    expect(windLoad(three, 12, { iceMm: 25 }).area.value).toBeCloseTo(2.17, 2);
    expect(windLoad(three, 12, {}).push).toBeUndefined();
    expect(windLoad(three, 12, { windMps: 30 }).push?.value).toBeCloseTo(3 * 12 * 6.95, 0);
  });

  // A law of fluid mechanics: twice the wind pushes four times as hard.
  it('grows with the square of the wind', () =>
    expect(windNPerM({ jacketMm: 7 }, 60, 3) / windNPerM({ jacketMm: 7 }, 30, 3)).toBeCloseTo(4, 9));
});

import { describe, expect, it } from 'vitest';
import { resistanceToneHz, resonanceToneHz, TARGET_TONE_HZ } from './index.js';

describe('readings as pitch', () => {
  it('falls as the resistance rises, and is silent when open', () => {
    const tones = [0.2, 3, 50, 1e3, 1e5, 5e6].map((ohm) => resistanceToneHz(ohm) ?? 0);
    for (const [k, tone] of tones.entries()) expect(tone).toBeLessThan(k === 0 ? 1761 : tones[k - 1]);
    expect(tones.at(-1)).toBeGreaterThan(100);
    expect(resistanceToneHz(Infinity)).toBeUndefined();
    expect(resistanceToneHz(200e6)).toBeUndefined();
  });

  // A wiggle between 4 and 40 ohm, a loose nut, has to be heard: more than a whole tone (ISO 16 tunes a′ to 440 Hz, a tone is 2^(1/6)).
  it('a loose nut is heard', () =>
    expect((resistanceToneHz(4) ?? 0) / (resistanceToneHz(40) ?? 1)).toBeGreaterThan(2 ** (1 / 6)));

  it('is in unison at the target, higher while the piece is too short, and never shrill', () => {
    expect(resonanceToneHz(151e6, 151e6)).toBe(TARGET_TONE_HZ);
    expect(resonanceToneHz(152.51e6, 151e6) / TARGET_TONE_HZ).toBeCloseTo(2 ** (1 / 12), 6);
    expect(resonanceToneHz(1e9, 151e6)).toBe(4 * TARGET_TONE_HZ);
    expect(resonanceToneHz(1e6, 151e6)).toBe(TARGET_TONE_HZ / 4);
  });
});

import { faceOf, faces, variantOf } from '@kobran/core';
import { describe, expect, it } from 'vitest';
import { faceSection, faceSize } from './section.js';

// A drawing tells the truth when its dimensions are those of the interface (series data: IEC 61169 parts, from memory).
describe('a face in section', () => {
  it.each([...faces])('%s lies within its own outline, symmetrical about the axis', (_, face) => {
    const { lengthMm, diameterMm } = faceSize(face);
    const shapes = faceSection(face);
    for (const { x, y, width, height } of shapes) {
      expect(width).toBeGreaterThan(0);
      expect(height).toBeGreaterThan(0);
      expect(x).toBeGreaterThanOrEqual(-lengthMm - 1e-9);
      expect(x + width).toBeLessThanOrEqual(1e-9);
      expect(Math.max(-y, y + height)).toBeLessThanOrEqual(diameterMm / 2 + 1e-9);
    }
    const centre = shapes.reduce((sum, { y, height, width }) => sum + (y + height / 2) * height * width, 0);
    expect(centre).toBeCloseTo(0, 9);
  });

  it('shows pin or socket, never both', () => {
    for (const face of faces.values()) {
      if (face.series === 'pair') continue;
      const hole = faceSection(face).some(
        ({ material, height }) => material === 'hole' && height === variantOf(face).pinMm,
      );
      expect(hole).toBe(face.contact === 'socket');
    }
  });

  it('draws the pin at its true diameter', () => {
    const pin = (code: string): number =>
      faceSection(faceOf(code)).find(({ material }) => material === 'copper')?.height ?? 0;
    expect(pin('uhf-plug')).toBe(3.96);
    expect(pin('n-plug')).toBe(1.65);
    expect(pin('n75-plug')).toBe(0.91);
  });
});

import { faceOf, faces, seriesOf, variantOf } from '@kobran/core';
import { describe, expect, it } from 'vitest';
import { faceFront, frontSizeMm } from './front.js';

// A drawing tells the truth when its dimensions are those of the interface (series data: IEC 61169 parts, from memory).
describe('a face from the front', () => {
  it.each([...faces])('%s stays within its outline and shows its contact at its true size', (_, face) => {
    const half = frontSizeMm(face) / 2;
    const shapes = faceFront(face);
    for (const shape of shapes) {
      if (shape.kind === 'circle')
        expect(Math.abs(shape.x) + shape.diameterMm / 2).toBeLessThanOrEqual(half + 1e-9);
      if (shape.kind === 'bar') expect(shape.toMm).toBeLessThanOrEqual(half + 1e-9);
    }
    if (face.series === 'pair') return;
    const contact = shapes.at(-1);
    expect(contact).toMatchObject({
      kind: 'circle',
      material: face.contact === 'pin' ? 'copper' : 'hole',
      diameterMm: variantOf(face).pinMm,
    });
  });

  it('a hexagonal nut has the flats of its spanner, and lugs stand where the standard has them', () => {
    const hex = faceFront(faceOf('n-plug')).find(({ kind }) => kind === 'hex');
    expect(hex).toMatchObject({ flatsMm: 19 });
    const lugs = faceFront(faceOf('bnc-jack')).filter(({ kind }) => kind === 'bar');
    expect(lugs).toHaveLength(2);
    // 11.0 mm over the lugs: IEC 61169-8, from memory.
    for (const lug of lugs)
      expect(lug.kind === 'bar' && lug.toMm * 2).toBeCloseTo(seriesOf(faceOf('bnc-jack')).threadMm + 0.6, 6);
  });

  it('true 75 ohm BNC is told by the air round its contact', () => {
    const hollow = (code: string): number =>
      faceFront(faceOf(code)).filter(({ kind, material }) => kind === 'circle' && material === 'hollow')
        .length;
    expect(hollow('bnc75-jack')).toBe(hollow('bnc-jack') + 1);
  });
});

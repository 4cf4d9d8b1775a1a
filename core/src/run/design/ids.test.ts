import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { faceCode, faceOf, faces, isOfSeries, opposite } from '../../catalog/index.js';
import { batchEndId, endId, endIdsOf, jointId, otherSide, readBatchEndId } from './ids.js';

const pieceIds = fc.stringMatching(/^[a-z0-9][a-z0-9-]{0,20}$/);

describe('how places are called', () => {
  it('the ends of a piece', () => {
    expect(endId('main', 'a')).toBe('main.a');
    expect(endIdsOf('main')).toEqual(['main.a', 'main.b']);
    expect(otherSide(otherSide('a'))).toBe('a');
  });
  it('a joint by its neighbours, ports by what they are', () => {
    expect(jointId('in', 'main')).toBe('in>main');
    expect(jointId(undefined, undefined)).toBe('radio>antenna');
  });
  it('a batch’s spare leads back to its end and number', () =>
    fc.assert(
      fc.property(
        pieceIds,
        fc.constantFrom('a', 'b'),
        fc.integer({ min: 1, max: 999 }),
        (id, side, piece) => {
          const end = endId(id, side);
          expect(readBatchEndId(batchEndId(end, piece))).toEqual({ end, piece });
          expect(readBatchEndId(end)).toEqual({ end });
        },
      ),
    ));
});

// A plug is made for the jack of its series, pin for socket, reverse polarity included (the interface standards).
describe('the face a face is made for', () => {
  it('has the other body and the other contact, and is known', () => {
    for (const [code, face] of faces) {
      const other = opposite(face);
      expect(faceCode(opposite(other)), code).toBe(code);
      expect(other.body).not.toBe(face.body);
      expect(other.contact).not.toBe(face.contact);
      expect(faces.has(faceCode(other)), code).toBe(true);
    }
  });
  it('N jack takes an N plug, RP-SMA jack an RP-SMA plug', () => {
    expect(faceCode(opposite(faceOf('n-jack')))).toBe('n-plug');
    expect(faceCode(opposite(faceOf('rp-sma-jack')))).toBe('rp-sma-plug');
  });
  it('a code is of its series and of no other that begins alike', () => {
    expect(isOfSeries('uhf-plug', 'uhf')).toBe(true);
    expect(isOfSeries('fme-plug', 'f')).toBe(false);
    expect(isOfSeries('n75-jack', 'n')).toBe(true);
    expect(isOfSeries('nonsense', 'n')).toBe(false);
  });
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { keep, keptMembers, likeUsual, oneOf } from './browserStore.js';

const storeOf = (text: string | null) => ({ getItem: () => text, setItem: () => undefined });
const usual = { units: 'metric', count: 3, on: false, card: { speak: false, pedal: '' } };

describe('what a browser remembers', () => {
  it.each([null, '', 'null', '5', '[]', '"x"', '{"a":', 'undefined'])('%s counts as nothing', (text) =>
    expect(keptMembers('k', storeOf(text))).toEqual({}),
  );

  it('takes what is of the same sort and nothing else', () => {
    const kept = { units: 7, count: '4', on: true, card: { speak: true, pedal: null, more: 1 }, other: 1 };
    expect(likeUsual(usual, kept)).toEqual({ ...usual, on: true, card: { speak: true, pedal: '' } });
    expect(oneOf(['metric', 'imperial'], 'parsec', 'metric')).toBe('metric');
  });

  it('whatever stands there, every member is of its sort', () => {
    fc.assert(
      fc.property(fc.jsonValue(), (kept) => {
        const read = likeUsual(usual, kept);
        expect(Object.keys(read)).toEqual(Object.keys(usual));
        expect(typeof read.units).toBe('string');
        expect(Number.isFinite(read.count)).toBe(true);
        expect(typeof read.card.speak).toBe('boolean');
      }),
    );
  });

  it('a full or forbidden store stops nothing', () => {
    const full = {
      getItem: (): string => {
        throw new Error('forbidden');
      },
      setItem: (): void => {
        throw new DOMException('full', 'QuotaExceededError');
      },
    };
    expect(keptMembers('k', full)).toEqual({});
    expect(() => keep('k', { a: 1 }, full)).not.toThrow();
  });
});

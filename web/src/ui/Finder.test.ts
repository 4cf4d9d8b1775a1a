import { describe, expect, it } from 'vitest';
import { matches } from './Finder.js';

const item = { id: '1', label: 'SMA plug to BNC jack', hint: '2 on the shelf', words: 'handheld' };

describe('finding by typing', () => {
  it.each(['', 'sma', 'bnc sma', 'JACK shelf', 'handheld', '  sma   jack '])('“%s” finds it', (typed) =>
    expect(matches(item, typed)).toBe(true),
  );
  it.each(['n plug uhf', 'smaa', 'bnc-jack'])('“%s” does not', (typed) =>
    expect(matches(item, typed)).toBe(false),
  );
});

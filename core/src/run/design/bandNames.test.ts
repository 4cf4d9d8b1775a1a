import fc from 'fast-check';
import { expect, it } from 'vitest';
import { freshBandName } from '../index.js';

const band = (name: string) => ({ name, lowHz: 1e6, highHz: 2e6 });

it('two bands never have one name, however they are typed or taken out', () => {
  fc.assert(
    fc.property(
      fc.array(fc.constantFrom('band', 'band 2', 'Band', 'marine', 'band 3', ' marine '), { maxLength: 8 }),
      (typed) => {
        const bands = typed.reduce<ReturnType<typeof band>[]>(
          (all, name) => [...all, band(freshBandName(all, name))],
          [],
        );
        const names = bands.map(({ name }) => name.trim().toLowerCase());
        expect(new Set(names).size).toBe(names.length);
      },
    ),
  );
  expect(freshBandName([band('marine')], 'repeater')).toBe('repeater');
});

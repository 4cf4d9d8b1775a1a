import fc from 'fast-check';
import { complex, inv, multiply, subtract, add, identity, matrix, type Complex, type Matrix } from 'mathjs';
import { describe, expect, it } from 'vitest';
import { readTouchstone, thinned, writeTouchstone, type Trace } from '../index.js';

function read(text: string, name?: string): Trace {
  const result = readTouchstone(text, name);
  if (!result.ok) throw new Error(result.problem.message);
  return result.value.trace;
}
const s11 = ({ s }: Trace): [number, number][] => Array.from(s.s11.re, (re, k) => [re, s.s11.im[k]]);

// Examples after the Touchstone File Format Specification, Rev 1.1: one-port magnitude and angle, and a two-port.
describe('what the specification shows', () => {
  it('a one-port with only an option line’s defaults: GHz, S, MA, 50 ohm', () => {
    const trace = read('! 1-port\n1.0 0.5 90\n2.0 0.25 180\n');
    expect([...trace.frequencyHz]).toEqual([1e9, 2e9]);
    expect(trace.referenceOhm).toBe(50);
    expect(s11(trace)[0][0]).toBeCloseTo(0, 12);
    expect(s11(trace)[0][1]).toBeCloseTo(0.5, 12);
    expect(s11(trace)[1][0]).toBeCloseTo(-0.25, 12);
  });

  it('a two-port in the order S11 S21 S12 S22', () => {
    const { ports, s } = read('# MHz S RI R 50\n100 1 2 3 4 5 6 7 8 ! comment\n');
    expect(ports).toBe(2);
    expect([s.s11, s.s21, s.s12, s.s22].map((one) => [one?.re[0], one?.im[0]])).toEqual([
      [1, 2],
      [3, 4],
      [5, 6],
      [7, 8],
    ]);
  });

  it('decibels and degrees', () => {
    const [[re, im]] = s11(read('# khz s db r 75\n5 -20 0\n'));
    expect(re).toBeCloseTo(0.1, 12);
    expect(im).toBeCloseTo(0, 12);
  });

  it.each([
    ['# Hz', 1],
    ['# kHz', 1e3],
    ['#MHZ', 1e6],
    ['# ghz', 1e9],
    ['#', 1e9],
    ['# R 75 RI S MHz', 1e6],
  ])('%s counts in %d Hz', (options, scale) =>
    expect(read(`${options}\n2 0.1 0.2\n`).frequencyHz[0]).toBe(2 * scale),
  );

  it('only the first option line counts', () =>
    expect(read('# MHz\n# kHz\n1 0.1 0\n').frequencyHz[0]).toBe(1e6));

  it('any spacing, tabs, carriage returns and empty lines', () =>
    expect(read('\r\n#\tMHz S RI R 50\r\n\r\n   1\t0.1   0.2  ! end\r\n').s.s11.im[0]).toBe(0.2));

  it('noise data after a two-port are kept, and written again', () => {
    const result = readTouchstone(
      '# GHz S MA R 50\n1 .1 0 .2 0 .3 0 .4 0\n2 .1 0 .2 0 .3 0 .4 0\n1 .7 .64 69 .38\n2 .9 .5 60 .3\n',
    );
    if (!result.ok) throw new Error(result.problem.message);
    const { trace } = result.value;
    expect(trace.frequencyHz).toHaveLength(2);
    expect(trace.noise).toEqual([
      [1e9, 0.7, 0.64, 69, 0.38],
      [2e9, 0.9, 0.5, 60, 0.3],
    ]);
    expect(read(writeTouchstone(trace), 'x.s2p').noise).toEqual(trace.noise);
  });

  // Rev 1.1: noise data begin at a frequency which is at most that of the last network data.
  it('noise data which begin at the last frequency itself are noise data', () => {
    const text =
      '# GHz S RI R 50\n1 0 0 .5 0 .5 0 0 0\n2 0 0 .4 0 .4 0 0 0\n2 0.7 .6 63 .4\n3 0.9 .6 60 .4\n';
    const trace = read(text, 'x.s2p');
    expect(trace.frequencyHz).toHaveLength(2);
    expect(trace.noise?.map(([hz]) => hz)).toEqual([2e9, 3e9]);
  });

  // Version 2.0: information is for people; references may stand on the lines after their keyword.
  it('version 2.0 with an information block, references on the next lines and the short name of the order', () => {
    const text = `[Version] 2.0
# MHz S RI
[Number of Ports] 2
[Two-Port Order] 21_12
[Number of Frequencies] 1
[Reference]
75
75
[Begin Information]
[Manufacturer] 12 34
# 99
7 7 7
[End Information]
[Network Data]
10 1 2 3 4 5 6 7 8
[End]
`;
    const { referenceOhm, frequencyHz, s } = read(text, 'x.ts');
    expect([referenceOhm, frequencyHz.length]).toEqual([75, 1]);
    expect([s.s21?.re[0], s.s12?.re[0]]).toEqual([3, 5]);
    const unequal = text.replace('75\n75', '50\n75');
    expect(readTouchstone(unequal, 'x.ts')).toMatchObject({ ok: false });
    expect(readTouchstone(text.replace('75\n75\n', ''), 'x.ts')).toMatchObject({ ok: false });
  });

  it('version 2.0 in its simple form, with its own order of a two-port and records over several lines', () => {
    const { s, referenceOhm } = read(
      '[Version] 2.0\n# MHz S RI\n[Number of Ports] 2\n[Two-Port Data Order] 12_21\n[Number of Frequencies] 1\n[Reference] 75 75\n[Network Data]\n10 1 2\n3 4\n5 6 7 8\n[End]\n',
    );
    expect(referenceOhm).toBe(75);
    expect([s.s12?.re[0], s.s21?.re[0]]).toEqual([3, 5]);
  });
});

// Touchstone Version 2.0: Z and Y are in ohms and siemens; in 1.1 they are normalised to the reference.
describe('version 2.0', () => {
  const file = (parameter: string, value: string): string =>
    `[Version] 2.0\n# MHz ${parameter} RI R 50\n[Number of Ports] 1\n[Number of Frequencies] 1\n[Reference] 50\n[Network Data]\n1 ${value} 0\n[End]\n`;
  it.each([
    ['Z', '100'],
    ['Y', '0.01'],
  ])('%s of %s is 100 ohm, a reflection of a third', (parameter, value) =>
    expect(s11(read(file(parameter, value), 'x.s1p'))[0][0]).toBeCloseTo(1 / 3, 12),
  );

  it('a two-port of 100 ohm in series, in H: ohms, ratios and siemens', () => {
    // H of a series resistor R: h11 = R, h12 = 1, h21 = −1, h22 = 0; S21 = 2/(2 + R/50) (standard texts).
    const text =
      '[Version] 2.0\n# MHz H RI R 50\n[Number of Ports] 2\n[Two-Port Data Order] 12_21\n[Number of Frequencies] 1\n[Network Data]\n1 100 0 1 0 -1 0 0 0\n[End]\n';
    expect(read(text, 'x.s2p').s.s21?.re[0]).toBeCloseTo(0.5, 12);
  });

  it('the number of frequencies is held against what is there, with its line', () =>
    expect(
      readTouchstone(file('S', '0.1').replace('Frequencies] 1', 'Frequencies] 3'), 'x.s1p'),
    ).toMatchObject({
      ok: false,
      problem: {
        where: 'line 4',
        message: expect.stringContaining('3 frequencies are promised, 1') as string,
      },
    }));
});

describe('what cannot be, or should not', () => {
  it.each(['H', 'G'])('%s of one port is refused', (parameter) =>
    expect(readTouchstone(`# MHz ${parameter} RI R 50\n1 0.1 0\n`, 'x.s1p')).toMatchObject({
      ok: false,
      problem: { where: 'line 2' },
    }),
  );

  it('more than total reflection is remarked', () => {
    const result = readTouchstone('# MHz S RI R 50\n1 1.05 0\n2 0.5 0\n3 0 -1.2\n');
    expect(result.ok && result.value.notes.join()).toMatch(/At 2 frequencies more comes back/);
    expect(readTouchstone('# MHz S RI R 50\n1 0.999 0\n')).toMatchObject({ ok: true, value: { notes: [] } });
  });

  // No column of this matrix exceeds 1, yet it gives out more than goes in: its largest singular value is 1.2.
  it('passivity is judged by the largest singular value, and one-way traffic is remarked', () => {
    const notes = (row: string): string => {
      const result = readTouchstone(`# MHz S RI R 50\n1 ${row}\n`, 'x.s2p');
      return result.ok ? result.value.notes.join(' ') : result.problem.message;
    };
    expect(notes('0.6 0 0.6 0 0.6 0 0.6 0')).toContain('singular');
    expect(notes('0 0 0.9 0 0.9 0 0 0')).toBe('');
    expect(notes('0 0 0.9 0 0.1 0 0 0')).toContain('S21 and S12 differ by up to 0.80');
  });
});

describe('other parameters become S', () => {
  const c = (re: number, im: number): Complex => complex(re, im);
  const one = identity(2) as Matrix;
  /** Reads a line of normalised parameters and gives S as mathjs has it. */
  const sOf = (parameter: string, m: Complex[][]): Complex[][] => {
    const [[a, b], [d, e]] = m;
    // In a file of two ports 21 comes before 12.
    const numbers = [a, d, b, e].flatMap(({ re, im }) => [re, im]);
    const { s } = read(`# MHz ${parameter} RI R 50\n1 ${numbers.join(' ')}\n`);
    const at = (pair: { re: Float64Array; im: Float64Array } | undefined): Complex =>
      c(pair?.re[0] ?? NaN, pair?.im[0] ?? NaN);
    return [
      [at(s.s11), at(s.s12)],
      [at(s.s21), at(s.s22)],
    ];
  };
  const close = (found: Complex[][], wanted: Complex[][]): void =>
    found.flat().forEach((value, k) => {
      expect(value.re).toBeCloseTo(wanted.flat()[k].re, 9);
      expect(value.im).toBeCloseTo(wanted.flat()[k].im, 9);
    });
  const asRows = (m: Matrix): Complex[][] => m.toArray() as Complex[][];
  const any = [
    [c(1.2, 0.4), c(0.3, -0.6)],
    [c(0.2, 0.5), c(0.9, -0.1)],
  ];

  // S = (Z − 1)(Z + 1)⁻¹ and S = (1 − Y)(1 + Y)⁻¹ (Pozar, Microwave Engineering), by a library of matrices.
  it('Z', () => {
    const z = matrix(any);
    close(sOf('Z', any), asRows(multiply(subtract(z, one), inv(add(z, one)))));
  });
  it('Y', () => {
    const y = matrix(any);
    close(sOf('Y', any), asRows(multiply(subtract(one, y), inv(add(one, y)))));
  });
  // H: V1 = h11 I1 + h12 V2, I2 = h21 I1 + h22 V2; with G it is the other way about. Solved from the definitions of the waves.
  it.each(['H', 'G'])('%s, from the definition of the waves', (parameter) => {
    const [[p, q], [r, s]] = any;
    const wanted: Complex[][] = [
      [c(0, 0), c(0, 0)],
      [c(0, 0), c(0, 0)],
    ];
    for (const port of [0, 1]) {
      // a(port) = 1, the other 0; V = a + b, I = a − b. Unknown b1, b2.
      const a = [port === 0 ? 1 : 0, port === 1 ? 1 : 0];
      const rows =
        parameter === 'H'
          ? [
              [add(1, p), multiply(-1, q), subtract(multiply(p, a[0]), subtract(a[0], multiply(q, a[1])))],
              [r, multiply(-1, add(1, s)), subtract(add(multiply(r, a[0]), multiply(s, a[1])), a[1])],
            ]
          : [
              [multiply(-1, add(1, p)), q, subtract(add(multiply(p, a[0]), multiply(q, a[1])), a[0])],
              [multiply(-1, r), add(1, s), subtract(add(multiply(r, a[0]), multiply(s, a[1])), a[1])],
            ];
      const [[m11, m12, w1], [m21, m22, w2]] = rows as Complex[][];
      const b = multiply(
        inv([
          [m11, m12],
          [m21, m22],
        ]) as unknown as Matrix,
        [w1, w2] as unknown as Matrix,
      ) as unknown as Complex[];
      wanted[0][port] = b[0];
      wanted[1][port] = b[1];
    }
    close(sOf(parameter, any), wanted);
  });

  it('a one-port of 100 ohm against 50 reflects a third', () => {
    expect(s11(read('# MHz Z RI R 50\n1 2 0\n'))[0][0]).toBeCloseTo(1 / 3, 12);
    expect(s11(read('# MHz Y RI R 50\n1 0.5 0\n'))[0][0]).toBeCloseTo(1 / 3, 12);
  });
});

describe('round trip', () => {
  const finite = fc.double({ min: -2, max: 2, noNaN: true });
  it('to the last digit, over random data of one and two ports', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(1 as const, 2 as const),
        fc.array(fc.array(finite, { minLength: 8, maxLength: 8 }), { minLength: 1, maxLength: 30 }),
        fc.double({ min: 1, max: 500, noNaN: true }),
        (ports, rows, referenceOhm) => {
          const column = (k: number): Float64Array => Float64Array.from(rows, (row) => row[k] + 0);
          const pair = (k: number) => ({ re: column(2 * k), im: column(2 * k + 1) });
          const trace: Trace = {
            ports,
            referenceOhm,
            frequencyHz: Float64Array.from(rows, (row, k) => 1e6 * k + Math.abs(row[0])),
            s: ports === 1 ? { s11: pair(0) } : { s11: pair(0), s21: pair(1), s12: pair(2), s22: pair(3) },
          };
          expect(read(writeTouchstone(trace, ['a comment\nover two lines']))).toEqual(trace);
        },
      ),
    );
  });

  it('thinned traces keep their ends and their order', () => {
    const frequencyHz = Float64Array.from({ length: 1001 }, (_, k) => 1e6 + k);
    const trace: Trace = {
      ports: 1,
      referenceOhm: 50,
      frequencyHz,
      s: { s11: { re: frequencyHz, im: frequencyHz } },
    };
    const few = thinned(trace, 11);
    expect([...few.frequencyHz]).toEqual(Array.from({ length: 11 }, (_, k) => 1e6 + 100 * k));
    expect(thinned(few, 100)).toBe(few);
  });
});

describe('a wrong file is refused with its line, and nothing is guessed', () => {
  it.each([
    ['', 'line 1', 'no data'],
    ['! only a comment\n', 'line 1', 'no data'],
    ['# MHz S XX R 50\n1 0 0\n', 'line 1', '“XX”'],
    ['# MHz S RI R 0\n1 0 0\n', 'line 1', 'reference impedance'],
    ['# MHz S RI R\n1 0 0\n', 'line 1', 'reference impedance'],
    ['# MHz S RI R 50\n1 0.1 abc\n', 'line 2', '“abc”'],
    ['# MHz S RI R 50\n1 0.1 NaN\n', 'line 2', '“NaN”'],
    ['# MHz S RI R 50\n1 0.1 0.2\n2 0.1\n', 'line 3', '2 numbers where a one-port has 3'],
    [
      '# MHz S RI R 50\n1 .1 .2 .3 .4 .5 .6 .7 .8\n2 .1 .2 .3 .4\n',
      'line 3',
      '5 numbers where a two-port has 9',
    ],
    ['# MHz S RI R 50\n-1 0.1 0.2\n', 'line 2', 'negative'],
    ['# MHz S RI R 50\n2 0.1 0.2\n1 0.1 0.2\n', 'line 3', 'does not rise'],
    ['# MHz S RI R 50\n2 0.1 0.2\n2 0.1 0.2\n', 'line 3', 'does not rise'],
    ['[Version] 3.0\n', 'line 1', 'version 3.0'],
    ['[Version] 2.0\n# MHz\n[Number of Ports] 4\n', 'line 3', '4 ports'],
    ['[Version] 2.0\n[Number of Ports] 2\n[Reference] 50 75\n', 'line 3', 'reference'],
    ['[Version] 2.0\n[Matrix Format] Lower\n', 'line 2', 'matrix format'],
    ['[Version] 2.0\n[Mixed-Mode Order] D2,3\n', 'line 2', '[Mixed-Mode Order]'],
    ['[Version] 2.0\n# MHz S RI\n[Number of Ports] 2\n[Network Data]\n1 2 3 4\n', 'line 5', '4 of 9 numbers'],
    ['<html>\n', 'line 1', '“<html>”'],
    // Version 2.0 ends with [End]; its numbers, like those of 1.1, are decimal.
    ['[Version] 2.0\n# MHz S RI\n[Number of Ports] 1\n[Network Data]\n1 2 3\n2 3 4\n', 'line 6', '[End]'],
    ['[__proto__] 1\n', 'line 1', '[__proto__]'],
    ['[constructor] 1\n', 'line 1', '[constructor]'],
    ['# MHz S RI\n1 0x10 0\n', 'line 2', '“0x10”'],
    ['# MHz S RI\n1 Infinity 0\n', 'line 2', '“Infinity”'],
    ['# MHz S RI\n1 1e999 0\n', 'line 2', '“1e999”'],
    ['# MHz S DB\n1 0 0\n2 1e5 0\n', 'line 3', 'so large'],
    ['# GHz S RI\n1e305 0 0\n', 'line 2', 'beyond all numbers'],
    ['# MHz S RI R 0x32\n1 0 0\n', 'line 1', 'R 0X32'],
  ])('%#', (text, where, what) => {
    const result = readTouchstone(text);
    if (result.ok) throw new Error('was read');
    expect(result.problem.where).toBe(where);
    expect(result.problem.message).toContain(what);
    expect(result.problem.remedy).toMatch(/^[A-Z].*\w+ .*\.$/);
  });

  it('the extension says the ports: a two-port named .s1p is refused at its first line', () => {
    const result = readTouchstone(
      '# MHz S RI R 50\n1 .1 .2 .3 .4 .5 .6 .7 .8\n2 1 1 1 1 1 1 1 1\n',
      'cable.s1p',
    );
    expect(result.ok).toBe(false);
  });
});

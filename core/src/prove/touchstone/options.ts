import { fail, ok, type Result } from '../../quantity/index.js';

export type Format = 'MA' | 'DB' | 'RI';
export type Parameter = 'S' | 'Y' | 'Z' | 'H' | 'G';

/** What the option line says; defaults of the specification where it says nothing. */
export interface Options {
  hzPerUnit: number;
  parameter: Parameter;
  format: Format;
  referenceOhm: number;
}

/** Touchstone File Format Specification Rev 1.1, option line: `# GHZ S MA R 50` when nothing else is said. */
export const defaultOptions: Options = { hzPerUnit: 1e9, parameter: 'S', format: 'MA', referenceOhm: 50 };

const units: Record<string, number> = { HZ: 1, KHZ: 1e3, MHZ: 1e6, GHZ: 1e9 };
const formats = new Set<string>(['MA', 'DB', 'RI']);
const parameters = new Set<string>(['S', 'Y', 'Z', 'H', 'G']);

/**
 * Reads an option line; its words come in any order and any case.
 *
 * @param line number of the line, from 1
 */
export function readOptions(text: string, line: number): Result<Options> {
  const options = { ...defaultOptions };
  const words = text.replace(/^#/, '').trim().toUpperCase().split(/\s+/).filter(Boolean);
  for (let k = 0; k < words.length; k++) {
    const word = words[k];
    if (Object.hasOwn(units, word)) options.hzPerUnit = units[word];
    else if (formats.has(word)) options.format = word as Format;
    else if (parameters.has(word)) options.parameter = word as Parameter;
    else if (word === 'R') {
      const ohm = plainNumber(words.at(++k) ?? '');
      if (!(ohm > 0 && ohm < 1e6))
        return bad(
          line,
          `“R ${words.at(k) ?? ''}” is no reference impedance`,
          'Write R and ohms, for example R 50.',
        );
      options.referenceOhm = ohm;
    } else
      return bad(
        line,
        `“${word}” is not known on an option line`,
        'Use Hz, kHz, MHz or GHz; S, Y, Z, H or G; MA, DB or RI; R and ohms.',
      );
  }
  return ok(options);
}

/** As the format has numbers: decimal, and nothing else which a program would take for one (`0x10`, `Infinity`). */
const DECIMAL = /^[+-]?(\d+\.?\d*|\.\d+)([eE][+-]?\d+)?$/;

export const plainNumber = (word: string): number => (DECIMAL.test(word) ? Number(word) : NaN);

/** A problem with its line. */
export const bad = (line: number, what: string, remedy: string): ReturnType<typeof fail> =>
  fail('trace.malformed', `Line ${line}: ${what}.`, `line ${line}`, remedy);

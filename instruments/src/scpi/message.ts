import { ScpiError } from './errors.js';

/** One unit of a program message: `SENS:FREQ:STAR 1 MHZ` is its header and its arguments. */
export interface ScpiUnit {
  /** Whole header from the root, upper case, without a leading colon or `?`. */
  header: string;
  isQuery: boolean;
  args: string[];
}

/**
 * Takes a program message apart. A header after `;` goes on from where the one before stood, unless it starts with `:` or `*`
 * (SCPI-99, volume 1, 6.2.4).
 */
export function unitsOf(message: string): ScpiUnit[] {
  let path: string[] = [];
  return message
    .split(';')
    .map((text) => text.trim())
    .filter((text) => text !== '')
    .map((text) => {
      const [, head, rest] = /^(\S+)\s*(.*)$/.exec(text) ?? ['', '', ''];
      const isQuery = head.endsWith('?');
      const bare = (isQuery ? head.slice(0, -1) : head).toUpperCase();
      const args = rest === '' ? [] : rest.split(',').map((arg) => arg.trim());
      if (!/^(\*[A-Z]+|:?[A-Z]\w*(:[A-Z]\w*)*)$/.test(bare)) throw new ScpiError(-102, text.slice(0, 40));
      if (bare.startsWith('*')) return { header: bare, isQuery, args };
      const nodes = bare.startsWith(':') ? bare.slice(1).split(':') : [...path, ...bare.split(':')];
      path = nodes.slice(0, -1);
      return { header: nodes.join(':'), isQuery, args };
    });
}

/**
 * Does a whole header in upper case follow a pattern? `[SENSe:]FREQuency:STARt` is met by its long and short words, those in
 * brackets may be left out.
 */
export function follows(header: string, pattern: string): boolean {
  const nodes = [...pattern.matchAll(/(\[)?:?(\*?\w+):?\]?/g)].map(([, optional, node]) => {
    const short = node.replace(/[a-z]+$/, '').replace('*', '\\*');
    const long = node.toUpperCase().replace('*', '\\*');
    return `(?:(?:${long}|${short}):)${optional ? '?' : ''}`;
  });
  return new RegExp(`^${nodes.join('')}$`).test(`${header}:`);
}

const factors: Record<string, number> = { '': 1, HZ: 1, KHZ: 1e3, MHZ: 1e6, GHZ: 1e9, W: 1, OHM: 1, S: 1 };

/** Reads a decimal argument with its suffix; `MHZ` is megahertz (SCPI-99, volume 1, 7.1). */
export function numberOf(args: readonly string[], least: number, most: number): number {
  if (args.length === 0) throw new ScpiError(-109);
  if (args.length > 1) throw new ScpiError(-108);
  const [arg] = args;
  if (/^MIN(IMUM)?$/i.test(arg)) return least;
  if (/^MAX(IMUM)?$/i.test(arg)) return most;
  const [, digits, suffix] = /^([+-]?(?:\d+\.?\d*|\.\d+)(?:E[+-]?\d+)?)\s*([A-Z]*)$/i.exec(arg) ?? [];
  if (digits === undefined) throw new ScpiError(-104, arg);
  const factor = factors[suffix.toUpperCase()];
  if (factor === undefined) throw new ScpiError(-131, suffix);
  const value = Number(digits) * factor;
  if (!(value >= least && value <= most))
    throw new ScpiError(-222, `${arg} is not within ${least} to ${most}`);
  return value;
}

/** Reads `ON`, `OFF`, 1 or 0. */
export function switchOf(args: readonly string[]): boolean {
  if (args.length === 0) throw new ScpiError(-109);
  if (args.length > 1) throw new ScpiError(-108);
  if (/^(ON|1)$/i.test(args[0])) return true;
  if (/^(OFF|0)$/i.test(args[0])) return false;
  throw new ScpiError(-224, args[0]);
}

/** Reads one of several words in its long or short form, and gives its short form. */
export function wordOf(arg: string | undefined, words: readonly string[]): string {
  if (arg === undefined) throw new ScpiError(-109);
  const found = words.find((word) => follows(arg.toUpperCase(), word));
  if (found === undefined) throw new ScpiError(-224, arg);
  return found.replace(/[a-z]+$/, '');
}

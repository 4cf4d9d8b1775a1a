import { ok, type Result } from '../../quantity/index.js';
import { emptySeries, type Trace } from '../trace.js';
import { bad, defaultOptions, plainNumber, readOptions, type Format, type Options } from './options.js';
import { traceNotes } from './traceNotes.js';
import { normalised, onePortToS, twoPortToS } from './toScattering.js';

/** Larger files than any analyser writes are a mistake. */
export const MAX_TRACE_POINTS = 200_000;

/** A trace with what was noticed on the way. */
export interface ReadTrace {
  trace: Trace;
  notes: string[];
}

/** Where a reader of a file stands. */
interface Reading {
  options: Options | undefined;
  ports: 1 | 2 | undefined;
  /** Version 2.0: the order is said; 1.1 has S11 S21 S12 S22. */
  order: '21_12' | '12_21';
  version: 1 | 2;
  /** Numbers of a record that is not complete yet, and the line it began on. */
  open: number[];
  openLine: number;
  frequencies: number[];
  /** The line on which each record began. */
  lines: number[];
  values: number[];
  notes: string[];
  /** Version 2.0 says how many frequencies there are, and on which line. */
  promised: { count: number; line: number } | undefined;
  /** Noise data of a two-port, row by row as they stand: frequency in Hz, then four numbers. */
  noise: number[][];
  inNoise: boolean;
  /** Between [Begin Information] and [End Information] anything may stand: nothing of it is data. */
  inInformation: boolean;
  /** Reference impedances which stand on the lines after their keyword; nothing while none are awaited. */
  references: number[] | undefined;
  ended: boolean;
}

/**
 * Reads a Touchstone file: version 1.1 (.s1p and .s2p in every unit, format and parameter, any spacing, comments, noise data kept as they stand)
 * and simple 2.0.
 *
 * @param name file name; its extension says the ports where the numbers do not
 * @returns S-parameters, or the first thing that is wrong with its line
 * Source: Touchstone File Format Specification, Rev 1.1 and Version 2.0 (EIA/IBIS Open Forum).
 */
export function readTouchstone(text: string, name = ''): Result<ReadTrace> {
  const state: Reading = {
    options: undefined,
    ports: /\.s1p$/i.test(name) ? 1 : /\.s2p$/i.test(name) ? 2 : undefined,
    order: '21_12',
    version: 1,
    open: [],
    openLine: 0,
    frequencies: [],
    lines: [],
    values: [],
    notes: [],
    promised: undefined,
    noise: [],
    inNoise: false,
    inInformation: false,
    references: undefined,
    ended: false,
  };
  let from = 0;
  for (let line = 1; from <= text.length && !state.ended; line++) {
    const newline = text.indexOf('\n', from);
    const to = newline < 0 ? text.length : newline;
    const problem = readLine(text.slice(from, to), line, state);
    if (problem && !problem.ok) return problem;
    from = to + 1;
  }
  if (state.open.length > 0)
    return bad(
      state.openLine,
      `the record has ${state.open.length} of ${recordSize(state)} numbers, then the file ends`,
      'The file was cut off: send or copy it once more.',
    );
  if (state.frequencies.length === 0)
    return bad(1, 'there is no data in the file', 'Choose the .s1p or .s2p file that the analyser wrote.');
  const missing = promiseProblem(state) ?? endProblem(state);
  if (missing) return missing;
  const trace = traceOf(state);
  const broken = firstInfinite(trace);
  if (broken >= 0)
    return bad(
      state.lines[broken],
      'a value is so large that nothing can be computed from it',
      'Look at the format in the # line: RI, MA or DB.',
    );
  return ok({ trace, notes: [...state.notes, ...traceNotes(trace)] });
}

/** The number of frequencies which version 2.0 promises is the number it has. */
function promiseProblem({ promised, frequencies }: Reading): Problem | undefined {
  if (!promised || promised.count === frequencies.length) return undefined;
  return bad(
    promised.line,
    `${promised.count} frequencies are promised, ${frequencies.length} are there`,
    'The file was cut off or put together by hand: export it once more.',
  );
}

/** Version 2.0 closes its file with [End]: one without has lost its tail. */
function endProblem({ version, ended, lines }: Reading): Problem | undefined {
  if (version === 1 || ended) return undefined;
  return bad(
    lines.at(-1) ?? 1,
    'the file ends without [End]',
    'The file was cut off: send or copy it once more.',
  );
}

/** The first record with a value which is none; -1 when all are sound. */
function firstInfinite({ frequencyHz, s }: Trace): number {
  const series = Object.values(s).flatMap((one) => (one ? [one.re, one.im] : []));
  return frequencyHz.findIndex((_, k) => series.some((values) => !Number.isFinite(values[k])));
}

const recordSize = ({ ports }: Reading): number => (ports === 2 ? 9 : 3);

type Problem = Extract<Result<never>, { ok: false }>;

function readLine(raw: string, line: number, state: Reading): Problem | undefined {
  const comment = raw.indexOf('!');
  const text = (comment < 0 ? raw : raw.slice(0, comment)).trim();
  if (text === '') return undefined;
  if (text.startsWith('#') && !state.inInformation) {
    // Rev 1.1: only the first option line counts.
    if (state.options) return undefined;
    const options = readOptions(text, line);
    if (!options.ok) return options;
    state.options = options.value;
    return undefined;
  }
  if (state.inInformation && !/^\[end information\]/i.test(text)) return undefined;
  if (text.startsWith('[')) return keyword(text, line, state);
  return numbers(text, line, state);
}

/** What each keyword of version 2.0 says; those which say nothing new here do nothing. */
const keywords: Record<string, (value: string, line: number, state: Reading) => Problem | undefined> = {
  version: (value, line) =>
    value.startsWith('2')
      ? undefined
      : bad(line, `version ${value} is not known`, 'Save it as version 1.1 or 2.0.'),
  'number of ports': (value, line, state) => {
    if (value !== '1' && value !== '2')
      return bad(line, `${value} ports; a cable has one or two`, 'Export the two ports of the cable alone.');
    state.ports = value === '1' ? 1 : 2;
    return undefined;
  },
  'two-port data order': order,
  // So some analysers write it.
  'two-port order': order,
  reference: (value, line, state) => {
    state.references = [];
    return value === '' ? undefined : references(value.split(/\s+/).map(plainNumber), line, state);
  },
  'matrix format': (value, line) =>
    value.toLowerCase() === 'full'
      ? undefined
      : bad(line, `matrix format ${value}`, 'Save it with the full matrix.'),
  'number of frequencies': (value, line, state) => {
    const count = plainNumber(value);
    if (!Number.isInteger(count) || count < 1)
      return bad(line, `“${value}” is no number of frequencies`, 'It is a whole number from 1.');
    state.promised = { count, line };
    return undefined;
  },
  'number of noise frequencies': () => undefined,
  'network data': () => undefined,
  'begin information': (_value, _line, state) => {
    state.inInformation = true;
    return undefined;
  },
  'end information': (_value, _line, state) => {
    state.inInformation = false;
    return undefined;
  },
  'noise data': (_value, _line, state) => {
    state.inNoise = true;
    return undefined;
  },
  end: ended,
};

function order(value: string, line: number, state: Reading): Problem | undefined {
  if (value !== '12_21' && value !== '21_12')
    return bad(line, `“${value}” is no order of a two-port`, 'It is 12_21 or 21_12.');
  state.order = value;
  return undefined;
}

/** One reference for each port, on the line of the keyword or on those after it. */
function references(ohms: readonly number[], line: number, state: Reading): Problem | undefined {
  const all = [...(state.references ?? []), ...ohms];
  if (all.some((ohm) => !(ohm > 0)) || new Set(all).size > 1)
    return bad(
      line,
      'the ports have different or missing reference impedances',
      'Export with one reference for both ports.',
    );
  state.options = { ...(state.options ?? defaultOptions), referenceOhm: all[0] };
  state.references = all.length < (state.ports ?? 1) ? all : undefined;
  return undefined;
}

function ended(_value: string, _line: number, state: Reading): undefined {
  state.ended = true;
}

function keyword(text: string, line: number, state: Reading): Problem | undefined {
  const [, name = text, value = ''] = /^\[([^\]]+)\]\s*(.*)$/.exec(text) ?? [];
  state.version = 2;
  const known = name.toLowerCase();
  if (state.references?.length === 0)
    return bad(line, 'the reference impedances are missing', 'Export with one reference for both ports.');
  state.references = undefined;
  return Object.hasOwn(keywords, known)
    ? keywords[known](value.trim(), line, state)
    : bad(line, `keyword [${name}] is not read here`, 'Save it as version 1.1, or without that keyword.');
}

function numbers(text: string, line: number, state: Reading): Problem | undefined {
  const words = text.split(/[\s,]+/);
  const read = words.map(plainNumber);
  const wrong = read.findIndex((value, k) => !Number.isFinite(value) || words[k] === '');
  if (wrong >= 0)
    return bad(
      line,
      `“${words[wrong].slice(0, 20)}” is not a number`,
      'Numbers with a decimal point; comments begin with !.',
    );
  if (state.references) return references(read, line, state);
  if (state.inNoise) return noiseRow(read, line, state);
  if (state.open.length === 0) {
    const refused = begin(read, line, state);
    if (refused) return refused;
    if (isNoise(read, state)) {
      state.inNoise = true;
      return noiseRow(read, line, state);
    }
  }
  // Version 1.1 keeps a record of one or two ports on one line.
  if (state.version === 1 && read.length !== recordSize(state))
    return bad(
      line,
      `${read.length} numbers where a ${state.ports === 2 ? 'two' : 'one'}-port has ${recordSize(state)}`,
      'One line for each frequency: frequency, then two numbers for each parameter.',
    );
  for (const value of read) {
    state.open.push(value);
    if (state.open.length < recordSize(state)) continue;
    const problem = record(state, line);
    if (problem) return problem;
  }
  return undefined;
}

/** A record begins: how many ports it has, where nobody has said so. */
function begin(read: readonly number[], line: number, state: Reading): Problem | undefined {
  state.openLine = line;
  state.ports ??= read.length === 3 ? 1 : 2;
  const { parameter } = state.options ?? defaultOptions;
  return state.ports === 1 && (parameter === 'H' || parameter === 'G')
    ? bad(line, `${parameter} parameters of one port mean nothing`, 'Export S, Z or Y.')
    : undefined;
}

/** Frequency, least noise figure in dB, the reflection it wants (size and angle), and the noise resistance. */
const NOISE_NUMBERS = 5;

function noiseRow(read: readonly number[], line: number, state: Reading): Problem | undefined {
  if (read.length !== NOISE_NUMBERS)
    return bad(
      line,
      `${read.length} numbers where noise data have ${NOISE_NUMBERS}`,
      'Export the noise data again, or without them.',
    );
  state.noise.push([read[0] * unitOf(state), ...read.slice(1)]);
  return undefined;
}

/** Noise data follow a two-port with five numbers a line, beginning at or below its last frequency. */
const isNoise = (read: readonly number[], state: Reading): boolean =>
  state.ports === 2 &&
  read.length === 5 &&
  read[0] * unitOf(state) <= (state.frequencies.at(-1) ?? -Infinity);

const unitOf = ({ options }: Reading): number => (options ?? defaultOptions).hzPerUnit;

function record(state: Reading, line: number): Problem | undefined {
  const hz = state.open[0] * unitOf(state);
  const last = state.frequencies.at(-1);
  if (!Number.isFinite(hz))
    return bad(line, 'the frequency is beyond all numbers', 'Look at the unit in the # line.');
  if (hz < 0) return bad(line, 'the frequency is negative', 'Frequencies rise from zero.');
  if (last !== undefined && hz <= last)
    return bad(line, 'the frequency does not rise', 'Each line’s frequency is above the one before it.');
  if (state.frequencies.length >= MAX_TRACE_POINTS)
    return bad(line, `more than ${MAX_TRACE_POINTS} frequencies`, 'Sweep with fewer points.');
  state.frequencies.push(hz);
  state.lines.push(state.openLine);
  for (let k = 1; k < state.open.length; k++) state.values.push(state.open[k]);
  state.open.length = 0;
  return undefined;
}

/** A pair of numbers as it is written, to real and imaginary. */
const pairOf: Record<Format, (a: number, b: number) => [number, number]> = {
  RI: (re, im) => [re, im],
  MA: (size, deg) => [size * Math.cos((deg * Math.PI) / 180), size * Math.sin((deg * Math.PI) / 180)],
  DB: (db, deg) => pairOf.MA(10 ** (db / 20), deg),
};

function traceOf({ options: given, ports, order, frequencies, values, version, noise }: Reading): Trace {
  const options = given ?? defaultOptions;
  const toPair = pairOf[options.format];
  const count = frequencies.length;
  const frequencyHz = Float64Array.from(frequencies);
  const { parameter, referenceOhm } = options;
  const shared = { referenceOhm, frequencyHz, ...(noise.length > 0 ? { noise } : {}) };
  const asRatio = (pairs: number[]): number[] =>
    version === 2 ? normalised(parameter, pairs, referenceOhm) : pairs;
  const s11 = emptySeries(count);
  if (ports === 1) {
    for (let k = 0; k < count; k++) {
      const [re, im] = asRatio(toPair(values[2 * k], values[2 * k + 1]));
      [s11.re[k], s11.im[k]] = onePortToS(parameter, re, im);
    }
    return { ...shared, ports: 1, s: { s11 } };
  }
  const [s21, s12, s22] = [emptySeries(count), emptySeries(count), emptySeries(count)];
  for (let k = 0; k < count; k++) {
    const at = (pair: number): [number, number] =>
      toPair(values[8 * k + 2 * pair], values[8 * k + 2 * pair + 1]);
    const [second, third] = order === '21_12' ? [2, 1] : [1, 2];
    const m = twoPortToS(parameter, asRatio([...at(0), ...at(second), ...at(third), ...at(3)]));
    [s11.re[k], s11.im[k], s12.re[k], s12.im[k], s21.re[k], s21.im[k], s22.re[k], s22.im[k]] = m;
  }
  return { ...shared, ports: 2, s: { s11, s21, s12, s22 } };
}

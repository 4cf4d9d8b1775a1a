import type { ReadBench } from '@kobran/core';
import { setTimeout as wait } from 'node:timers/promises';
import { noiseFrom } from '../chance.js';
import { block, listed } from '../scpi/block.js';
import { ScpiError } from '../scpi/errors.js';
import type { InstrumentModel, ScpiCommand } from '../scpi/instrument.js';
import { numberOf, switchOf, wordOf } from '../scpi/message.js';
import type { C } from './complex.js';
import { standards, type Standard } from './errorBox.js';
import {
  calibrated,
  frequenciesOf,
  measure,
  showStandard,
  showThrough,
  type Calibration,
  type Collected,
  type Measured,
  type Setup,
} from './measure.js';

const LEAST_HZ = 1e5;
const MAX_HZ = 6e9;
const MAX_POINTS = 10_001;
/** A sweep takes at least this long, ms, and no longer than a person waits. */
const LEAST_MS = 5;
const MAX_MS = 1500;

const switchedOn: Setup = { startHz: 1e6, stopHz: 1e9, points: 401, averages: 1, bandwidthHz: 1e3 };

/**
 * A vector network analyser with two ports.
 *
 * @param bench what is on the bench at the moment of a measurement
 * @param seed which one of many instruments: how it errs
 */
export function analyser(bench: () => ReadBench, seed: number): InstrumentModel {
  const noise = noiseFrom(seed + 1);
  let setup = { ...switchedOn };
  let binary: 'REAL,64' | 'REAL,32' | undefined;
  let twoPorts = false;
  let collected: Collected | undefined;
  let calibration: Calibration | undefined;
  let correct = false;
  let measured: Measured | undefined;
  let running: Promise<void> = Promise.resolve();

  const change = (to: Partial<Setup>): void => {
    const next = { ...setup, ...to };
    if (next.stopHz <= next.startHz) throw new ScpiError(-221, 'stop is not above start');
    setup = next;
    measured = undefined;
  };
  const quantity = (
    header: string,
    key: keyof Setup,
    least: number,
    most: number,
    whole = false,
  ): ScpiCommand => ({
    header,
    set: (args) => {
      const value = numberOf(args, least, most);
      change({ [key]: whole ? Math.round(value) : value });
    },
    ask: () => String(setup[key]),
  });
  /** Start and stop may pass each other while both are set: the one that was set last pushes the other. */
  const edge = (header: string, key: 'startHz' | 'stopHz'): ScpiCommand => ({
    header,
    set: (args) => {
      const value = numberOf(args, LEAST_HZ, MAX_HZ);
      const other =
        key === 'startHz'
          ? { stopHz: Math.max(setup.stopHz, value + 1) }
          : { startHz: Math.min(setup.startHz, value - 1) };
      change({ [key]: value, ...other });
    },
    ask: () => String(setup[key]),
  });
  const sameSetup = (other: Setup): boolean =>
    other.startHz === setup.startHz && other.stopHz === setup.stopHz && other.points === setup.points;
  const inUse = (): Calibration | undefined => {
    if (!correct) return undefined;
    if (!calibration || !sameSetup(calibration.setup))
      throw new ScpiError(-221, 'the calibration is of another sweep; calibrate again');
    if (twoPorts && !calibration.through)
      throw new ScpiError(-221, 'the calibration has no through; collect port 2 and the through');
    return calibration;
  };
  const collect = ([what, port]: string[]): void => {
    const standard = wordOf(what, ['OPEN', 'SHORt', 'LOAD', 'THRough']);
    if (!collected || !sameSetup(collected.setup)) collected = { setup: { ...setup }, ports: [{}, {}] };
    if (standard === 'THR') {
      collected.through = showThrough(setup, seed, noise);
      return;
    }
    const at = port === undefined || port === '1' ? 0 : port === '2' ? 1 : undefined;
    if (at === undefined) throw new ScpiError(-224, `port ${port}`);
    const found = standards.find((one) => one.startsWith(standard)) as Standard;
    collected.ports[at][found] = showStandard(setup, seed, at, found, noise);
  };
  const save = (): void => {
    calibration = collected && calibrated(collected);
    if (!calibration) throw new ScpiError(-221, 'open, short and load of port 1 are not all collected');
    correct = true;
  };
  const sweep = (): void => {
    const [held, using, ports] = [bench(), inUse(), twoPorts];
    const ms = ((setup.points * setup.averages) / setup.bandwidthHz) * 10 * (ports ? 2 : 1);
    measured = undefined;
    running = wait(Math.min(MAX_MS, Math.max(LEAST_MS, ms))).then(() => {
      measured = measure(held, setup, seed, noise, ports, using);
    });
  };
  const answer = (values: Float64Array): string | Buffer => (binary ? block(values, binary) : listed(values));
  const interleaved = (series: readonly C[]): Float64Array =>
    Float64Array.from(series.flatMap(({ re, im }) => [re, im]));
  const data = async ([which]: string[]): Promise<string | Buffer> => {
    const name = wordOf(which, ['S11', 'S21', 'S12', 'S22']).toLowerCase() as 's11' | 's21' | 's12' | 's22';
    await running;
    if (!measured) throw new ScpiError(-230, 'no sweep with this set-up; INITiate first');
    const series = measured[name];
    if (!series) throw new ScpiError(-221, 'one port only; SENSe:SWEep:PORTs 2 for this');
    return answer(interleaved(series));
  };
  return {
    identity: ['Kobran', 'SIM-VNA-2', `A${seed}`, '1.0'],
    reset: () => {
      setup = { ...switchedOn };
      binary = undefined;
      twoPorts = false;
      correct = false;
      measured = undefined;
    },
    settled: () => running,
    commands: [
      edge('[SENSe:]FREQuency:STARt', 'startHz'),
      edge('[SENSe:]FREQuency:STOP', 'stopHz'),
      quantity('[SENSe:]SWEep:POINts', 'points', 2, MAX_POINTS, true),
      quantity('[SENSe:]AVERage[:COUNt]', 'averages', 1, 999, true),
      quantity('[SENSe:]BANDwidth', 'bandwidthHz', 10, 30e3),
      {
        header: '[SENSe:]SWEep:PORTs',
        set: (args) => {
          twoPorts = Math.round(numberOf(args, 1, 2)) === 2;
          measured = undefined;
        },
        ask: () => (twoPorts ? '2' : '1'),
      },
      { header: '[SENSe:]FREQuency:DATA', ask: () => answer(frequenciesOf(setup)) },
      { header: '[SENSe:]CORRection:COLLect[:ACQuire]', set: collect },
      { header: '[SENSe:]CORRection:COLLect:SAVE', set: save },
      {
        header: '[SENSe:]CORRection[:STATe]',
        set: (args) => {
          correct = switchOf(args);
        },
        ask: () => (correct ? '1' : '0'),
      },
      { header: 'INITiate[:IMMediate]', set: sweep },
      { header: 'CALCulate:DATA', ask: data },
      {
        header: 'FORMat[:DATA]',
        set: ([kind, size]) => {
          if (wordOf(kind, ['ASCii', 'REAL']) === 'ASC') binary = undefined;
          else binary = size === '32' ? 'REAL,32' : 'REAL,64';
        },
        ask: () => binary ?? 'ASC',
      },
    ],
  };
}

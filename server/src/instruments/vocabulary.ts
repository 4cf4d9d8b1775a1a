import type {
  CalibrationStep,
  InstrumentIdentity,
  MeasuredPower,
  MeasuredSweepData,
  ReadPower,
  SweepSetup,
} from '@kobran/contract';
import { InstrumentFault, type ScpiClient } from './scpiClient.js';

/** The words of SCPI in which an instrument is asked: one function for each thing which can be asked. */

/** A sweep may take this long; the browser waits a little longer. */
const SWEEP_MS = 6000;
const REFERENCE_OHM = 50;
/** 9.9E37 is how SCPI writes infinity (SCPI-99, 7.2.1.4). */
const INFINITY = 9e37;

/** What an instrument says it is. Source: IEEE 488.2, 10.14: four fields, parted by commas. */
export async function identityOf(client: ScpiClient): Promise<InstrumentIdentity> {
  const answer = await client.ask('*IDN?');
  const [maker, model, serial, version] = answer.split(',').map((field) => field.trim());
  if (version === undefined)
    throw new InstrumentFault('nonsense', 'Asked who it is, it does not answer as an instrument does.');
  return { maker, model, serial, version };
}

/** Sets an analyser up; each setting is refused with its own reason. */
async function setUp(
  client: ScpiClient,
  { startHz, stopHz, points, averages, ports }: SweepSetup,
): Promise<void> {
  await client.tell(`SENS:FREQ:STAR ${startHz};STOP ${stopHz}`);
  await client.tell(`SENS:SWE:POIN ${points};PORT ${ports}`);
  await client.tell(`SENS:AVER:COUN ${averages}`);
}

function collecting(step: CalibrationStep): string {
  if (step === 'save') return ':SAVE';
  if (step === 'through') return ' THR';
  const [what, port] = step.split(' ');
  return ` ${what.toUpperCase()},${port}`;
}

/** Collects one standard, or puts the calibration to use. */
export async function calibrate(client: ScpiClient, step: CalibrationStep, setup: SweepSetup): Promise<void> {
  await setUp(client, setup);
  await client.tell(`SENS:CORR:COLL${collecting(step)}`);
}

/** Sweeps what is connected. */
export async function sweep(client: ScpiClient, setup: SweepSetup): Promise<MeasuredSweepData> {
  await setUp(client, setup);
  await client.tell('FORM:DATA REAL,64');
  await client.tell('INIT');
  await client.ask('*OPC?', SWEEP_MS);
  const series = async (name: string): Promise<{ re: number[]; im: number[] }> => {
    const values = await client.askNumbers(`CALC:DATA? ${name}`);
    if (values.length !== 2 * setup.points)
      throw new InstrumentFault(
        'nonsense',
        `It sent ${values.length} numbers for ${setup.points} points of ${name}.`,
      );
    return { re: values.filter((_, k) => k % 2 === 0), im: values.filter((_, k) => k % 2 === 1) };
  };
  const frequencyHz = await client.askNumbers('SENS:FREQ:DATA?');
  const s11 = await series('S11');
  const others =
    setup.ports === 2 ? { s21: await series('S21'), s12: await series('S12'), s22: await series('S22') } : {};
  return { referenceOhm: REFERENCE_OHM, frequencyHz, s11, ...others };
}

/** Resistance from pin to shell, ohm; null is over range. */
export async function readOhm(client: ScpiClient): Promise<{ ohm: number | null }> {
  const [ohm] = await client.askNumbers('MEAS:RES?');
  return { ohm: ohm >= INFINITY ? null : ohm };
}

/** Holds the leads together and takes what they have off every later reading. */
export const zero = (client: ScpiClient): Promise<void> => client.tell('CAL:ZERO');

/** Tries to take a transmitter off the air before a hand has to. */
const OFF_TRIES = 2;

/**
 * Takes the transmitter off the air, over a new connection where the old one is lost.
 *
 * @throws what the operator has to do when it cannot be told
 */
async function outputOff(client: ScpiClient): Promise<void> {
  for (let k = 0; k < OFF_TRIES; k++)
    try {
      return await client.tell('OUTP OFF');
    } catch (error) {
      if (k === OFF_TRIES - 1)
        throw new InstrumentFault(
          'died',
          `It could not be told to stop transmitting (${error instanceof Error ? error.message : String(error)}). Switch the transmitter off by hand, now.`,
        );
    }
}

/** Transmits, reads both ends and stops transmitting, whatever happens. */
export async function readPower(
  client: ScpiClient,
  { frequencyHz, powerW }: ReadPower,
): Promise<MeasuredPower> {
  await client.tell(`SOUR:FREQ ${frequencyHz};POW ${powerW}`);
  try {
    await client.tell('OUTP ON');
    const one = async (which: string): Promise<number> => (await client.askNumbers(`MEAS:POW? ${which}`))[0];
    return { forwardW: await one('FORW'), reflectedW: await one('REFL'), loadW: await one('LOAD') };
  } finally {
    await outputOff(client);
  }
}

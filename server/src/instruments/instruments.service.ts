import type {
  CalibrateAnalyser,
  CalibrationStep,
  ConnectInstrument,
  InstrumentIdentity,
  InstrumentsDocument,
  KnownInstrument,
  MeasuredPower,
  MeasuredSweepData,
  PutOnBench,
  ReadPower,
  RevealedFault,
  SweepSetup,
} from '@kobran/contract';
import {
  BENCH_SCHEMA,
  causes,
  deviceOn,
  readBench,
  type Bench,
  type BenchHands,
  type InstrumentKind,
} from '@kobran/core';
import { Inject, Injectable, type OnModuleDestroy } from '@nestjs/common';
import { eq } from 'drizzle-orm';
import type { Database } from '../database/database.js';
import { DATABASE } from '../database/database.module.js';
import { instruments } from '../database/schema.js';
import { invalid, notFound, ProblemException, said } from '../errors/problem.js';
import { RunsService } from '../runs/runs.service.js';
import { names, ShopService } from '../shop/shop.service.js';
import { InstrumentFault, ScpiClient, type InstrumentFaultKind } from './scpiClient.js';
import { SimulatedBench } from './simulatedBench.js';

/** Where instruments may be, besides this machine, and where the simulated bench keeps its file. */
export interface InstrumentPlaces {
  benchFolder: string;
  instrumentHosts: string[];
}
export const PLACES = Symbol('instrument places');

const loopback = new Set(['localhost', '127.0.0.1', '::1']);
const simulatedNames: Record<InstrumentKind, string> = {
  analyser: 'Simulated analyser',
  'power-meters': 'Simulated power meters',
  multimeter: 'Simulated ohm-meter',
};
/** A sweep may take this long; the browser waits a little longer. */
const SWEEP_MS = 6000;
const REFERENCE_OHM = 50;

@Injectable()
export class InstrumentsService implements OnModuleDestroy {
  private readonly bench: SimulatedBench;
  private readonly clients = new Map<string, { at: string; client: ScpiClient }>();

  constructor(
    @Inject(DATABASE) private readonly db: Database,
    @Inject(RunsService) private readonly runs: RunsService,
    @Inject(ShopService) private readonly shop: ShopService,
    @Inject(PLACES) private readonly places: InstrumentPlaces,
  ) {
    this.bench = new SimulatedBench(places.benchFolder);
  }

  onModuleDestroy(): void {
    for (const { client } of this.clients.values()) client.close();
    this.bench.stop();
  }

  async read(): Promise<InstrumentsDocument> {
    const bench = this.onBench();
    // After a restart of the server what lies on the bench is still there; its instruments are started again.
    if (bench) await this.bench.start();
    const connected = await this.db.select().from(instruments);
    return {
      instruments: [
        ...this.bench.ports().map(([kind, port]): KnownInstrument => ({
          id: `simulated-${kind}`,
          kind,
          name: simulatedNames[kind],
          host: '127.0.0.1',
          port,
          simulated: true,
        })),
        ...connected.map((one) => ({ ...one, simulated: false })),
      ],
      bench: bench
        ? {
            runName: (bench.design as { name: string }).name,
            runId: bench.runId ?? '',
            pieceId: bench.pieceId,
            seed: bench.seed,
            hands: handsOf(bench),
          }
        : null,
      allowedHosts: this.places.instrumentHosts,
    };
  }

  /** Connects an instrument by its address: it must be allowed, answer, and say what it is. */
  async connect(wanted: ConnectInstrument): Promise<InstrumentIdentity> {
    const { host, port, kind, name, id } = wanted;
    if (!loopback.has(host.toLowerCase()) && !this.places.instrumentHosts.includes(host))
      throw said(
        403,
        'instrument.host-not-allowed',
        `${host} is not this machine, and the operator has not allowed it.`,
        'host',
        `Start Kobran with KOBRAN_INSTRUMENT_HOSTS=${host} if you trust that address.`,
      );
    const client = new ScpiClient({ host, port });
    try {
      const identity = await identityOf(client);
      await this.db.insert(instruments).values({ id, kind, name, host, port }).onConflictDoNothing();
      return identity;
    } catch (error) {
      throw asProblem(error, name);
    } finally {
      client.close();
    }
  }

  async forget(id: string): Promise<void> {
    const gone = await this.db.delete(instruments).where(eq(instruments.id, id)).returning();
    if (gone.length === 0) throw notFound('instrument', id);
    this.clients.get(id)?.client.close();
    this.clients.delete(id);
  }

  identify(id: string): Promise<InstrumentIdentity> {
    return this.with(id, undefined, identityOf);
  }

  calibrate(id: string, { step, setup }: CalibrateAnalyser): Promise<void> {
    return this.with(id, 'analyser', async (client) => {
      await setUp(client, setup);
      await client.tell(`SENS:CORR:COLL${collecting(step)}`);
    });
  }

  /** Sweeps what is connected. */
  sweep(id: string, setup: SweepSetup): Promise<MeasuredSweepData> {
    return this.with(id, 'analyser', async (client) => {
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
        setup.ports === 2
          ? { s21: await series('S21'), s12: await series('S12'), s22: await series('S22') }
          : {};
      return { referenceOhm: REFERENCE_OHM, frequencyHz, s11, ...others };
    });
  }

  /** Resistance from pin to shell, ohm; null is over range. */
  readOhm(id: string): Promise<{ ohm: number | null }> {
    return this.with(id, 'multimeter', async (client) => {
      const [ohm] = await client.askNumbers('MEAS:RES?');
      // 9.9E37 is how SCPI writes infinity.
      return { ohm: ohm >= 9e37 ? null : ohm };
    });
  }

  /** Holds the leads together and takes what they have off every later reading. */
  zero(id: string): Promise<void> {
    return this.with(id, 'multimeter', (client) => client.tell('CAL:ZERO'));
  }

  /** Keys the transmitter, reads both ends and lets the key go again, whatever happens. */
  readPower(id: string, { frequencyHz, powerW }: ReadPower): Promise<MeasuredPower> {
    return this.with(id, 'power-meters', async (client) => {
      await client.tell(`SOUR:FREQ ${frequencyHz};POW ${powerW}`);
      try {
        await client.tell('OUTP ON');
        const one = async (which: string): Promise<number> =>
          (await client.askNumbers(`MEAS:POW? ${which}`))[0];
        return { forwardW: await one('FORW'), reflectedW: await one('REFL'), loadW: await one('LOAD') };
      } finally {
        await client.tell('OUTP OFF');
      }
    });
  }

  /** Puts a run, or an assembly of it, on the simulated bench, and starts its instruments. */
  async put({ runId, pieceId, seed, hands }: PutOnBench): Promise<InstrumentsDocument> {
    const { design } = await this.runs.read(runId);
    const { entries } = await this.shop.read();
    const bench: Bench = {
      ...hands,
      schema: BENCH_SCHEMA,
      runId,
      design,
      catalog: entries
        .filter(({ kind, data }) => names(design, kind, data.id))
        .map(({ kind, data }) => ({ kind, data })),
      pieceId,
      seed,
    };
    const read = readBench(JSON.parse(JSON.stringify(bench)));
    if (!read.ok) throw invalid(read.problems);
    this.bench.write(bench);
    await this.bench.start();
    return this.read();
  }

  /** Does something by hand to what lies on the bench. */
  async touch(hands: BenchHands): Promise<InstrumentsDocument> {
    const bench = this.onBench();
    if (!bench) throw nothingThere();
    const { cableM: _, ...rest } = bench;
    const touched = { ...rest, ...hands };
    const read = readBench(JSON.parse(JSON.stringify(touched)));
    if (!read.ok) throw invalid(read.problems);
    this.bench.write(touched);
    return this.read();
  }

  /** Clears the bench and switches its instruments off. */
  async clear(): Promise<InstrumentsDocument> {
    this.bench.clear();
    this.bench.stop();
    return this.read();
  }

  /** Tells what was hidden: the end of an exercise. */
  reveal(): RevealedFault {
    const read = readBench(this.bench.read());
    if (!read.ok) throw nothingThere();
    const { fault } = deviceOn(read.bench);
    return {
      cause: fault.cause,
      name: causes.find(({ id }) => id === fault.cause)?.name ?? fault.cause,
      atM: fault.atM,
    };
  }

  /** A simulated instrument that was started again has another port, and its old connection is given up. */
  private clientOf({ id, host, port }: KnownInstrument): ScpiClient {
    const at = `${host}:${port}`;
    const open = this.clients.get(id);
    if (open?.at === at) return open.client;
    open?.client.close();
    const client = new ScpiClient({ host, port });
    this.clients.set(id, { at, client });
    return client;
  }

  private onBench(): Bench | undefined {
    const found = this.bench.read();
    return readBench(found).ok ? (found as Bench) : undefined;
  }

  private async with<T>(
    id: string,
    kind: InstrumentKind | undefined,
    act: (client: ScpiClient) => Promise<T>,
  ): Promise<T> {
    const known = (await this.read()).instruments.find((one) => one.id === id);
    if (!known) throw notFound('instrument', id);
    if (kind && known.kind !== kind)
      throw said(
        400,
        'instrument.other-kind',
        `${known.name} cannot do this.`,
        'path',
        'Choose another instrument.',
      );
    const client = this.clientOf(known);
    try {
      return await act(client);
    } catch (error) {
      throw asProblem(error, known.name);
    }
  }
}

function handsOf({ far, rained, wiggled, cableM }: Bench): BenchHands {
  return { far, rained, wiggled, ...(cableM === undefined ? {} : { cableM }) };
}

const nothingThere = (): ProblemException =>
  said(409, 'bench.empty', 'Nothing lies on the bench.', 'path', 'Put a run or an assembly on it first.');

async function identityOf(client: ScpiClient): Promise<InstrumentIdentity> {
  const answer = await client.ask('*IDN?');
  const [maker, model, serial, version] = answer.split(',').map((field) => field.trim());
  // IEEE 488.2, 10.14: four fields, parted by commas.
  if (version === undefined)
    throw new InstrumentFault('nonsense', `Asked who it is, it answered “${answer.slice(0, 40)}”.`);
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

const remedies: Record<InstrumentFaultKind, string> = {
  absent: 'Look whether it is switched on, on the network and at this address; then try again.',
  slow: 'Wait until it is done, or sweep fewer points; then try again.',
  nonsense: 'Look at the address: another program may answer there. It must speak SCPI.',
  died: 'Switch it on again and repeat the measurement; nothing was kept of it.',
  refused: 'Change what the instrument names and try again.',
};
const statuses: Record<InstrumentFaultKind, number> = {
  absent: 502,
  slow: 504,
  nonsense: 502,
  died: 502,
  refused: 409,
};

function asProblem(error: unknown, name: string): unknown {
  if (!(error instanceof InstrumentFault)) return error;
  return said(
    statuses[error.kind],
    `instrument.${error.kind}`,
    `${name}: ${error.message}`,
    'instrument',
    remedies[error.kind],
  );
}

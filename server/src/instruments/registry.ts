import type { ConnectInstrument, InstrumentIdentity, KnownInstrument } from '@kobran/contract';
import type { InstrumentKind } from '@kobran/core';
import { Inject, Injectable, type OnModuleDestroy } from '@nestjs/common';
import { eq } from 'drizzle-orm';
import type { Database } from '../database/database.js';
import { DATABASE } from '../database/database.module.js';
import { instruments } from '../database/schema.js';
import { notFound, problem } from '../errors/problem.js';
import { asProblem } from './instrumentProblem.js';
import { PLACES, type Places } from '../places.js';
import { InstrumentFault, ScpiClient } from './scpiClient.js';
import { SimulatedBench } from './simulatedBench.js';
import { Turns } from './turns.js';
import { identityOf } from './vocabulary.js';

const loopback = new Set(['localhost', '127.0.0.1', '::1']);
const simulatedNames: Record<InstrumentKind, string> = {
  analyser: 'Simulated analyser',
  'power-meters': 'Simulated power meters',
  multimeter: 'Simulated ohm-meter',
};

/** Which instruments there are, and the open connection to each. */
@Injectable()
export class InstrumentRegistry implements OnModuleDestroy {
  private readonly clients = new Map<string, { at: string; client: ScpiClient }>();
  /** Set-up and reading of an instrument are one turn: else one reads what another has set. */
  private readonly turns = new Turns();
  private isStopping = false;

  constructor(
    @Inject(DATABASE) private readonly db: Database,
    @Inject(SimulatedBench) private readonly bench: SimulatedBench,
    @Inject(PLACES) private readonly places: Places,
  ) {}

  /** Readings under way are cut short, and each leaves its instrument as it has to be left: a transmitter off. */
  async onModuleDestroy(): Promise<void> {
    // Whoever still waits for a turn does not get one: nothing begins to transmit now.
    this.isStopping = true;
    for (const { client } of this.clients.values()) client.close();
    await this.turns.ended();
    for (const { client } of this.clients.values()) client.close();
  }

  /** Those of the simulated bench which run, and those somebody connected. */
  async list(): Promise<KnownInstrument[]> {
    const connected = await this.db.select().from(instruments);
    return [
      ...this.bench.ports().map(([kind, port]): KnownInstrument => ({
        id: `simulated-${kind}`,
        kind,
        name: simulatedNames[kind],
        host: '127.0.0.1',
        port,
        simulated: true,
      })),
      ...connected.map((one) => ({ ...one, simulated: false })),
    ];
  }

  /** Connects an instrument by its address: it must be allowed, answer, and say what it is. */
  async connect({ host, port, kind, name, id }: ConnectInstrument): Promise<InstrumentIdentity> {
    this.mustBeAllowed(host);
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

  /** An address that was allowed once may not be any more: it is looked at each time. */
  private mustBeAllowed(host: string): void {
    if (loopback.has(host.toLowerCase()) || this.places.instrumentHosts.includes(host)) return;
    throw problem(403, {
      code: 'instrument.host-not-allowed',
      message: `${host} is not this machine, and the operator has not allowed it.`,
      where: 'host',
      remedy: `Start Kobran with KOBRAN_INSTRUMENT_HOSTS=${host} if you trust that address.`,
    });
  }

  async forget(id: string): Promise<void> {
    const gone = await this.db.delete(instruments).where(eq(instruments.id, id)).returning();
    if (gone.length === 0) throw notFound('instrument', id);
    this.clients.get(id)?.client.close();
    this.clients.delete(id);
  }

  /** Asks one instrument something; a fault of it becomes a problem which names it. */
  async with<T>(
    id: string,
    kind: InstrumentKind | undefined,
    act: (client: ScpiClient) => Promise<T>,
  ): Promise<T> {
    const known = (await this.list()).find((one) => one.id === id);
    if (!known) throw notFound('instrument', id);
    if (kind && known.kind !== kind)
      throw problem(400, {
        code: 'instrument.other-kind',
        message: `${known.name} cannot do this.`,
        where: 'path',
        remedy: 'Choose another instrument.',
      });
    this.mustBeAllowed(known.host);
    return this.turns.take(known.id, async () => {
      try {
        if (this.isStopping) throw new InstrumentFault('died', 'Kobran is being stopped.');
        return await act(this.clientOf(known));
      } catch (error) {
        throw asProblem(error, known.name);
      }
    });
  }

  /** A simulated instrument that was started again has another port, and its old connection is given up. */
  private clientOf({ id, host, port, simulated }: KnownInstrument): ScpiClient {
    const at = `${host}:${port}`;
    const open = this.clients.get(id);
    if (open?.at === at) return open.client;
    open?.client.close();
    const client = new ScpiClient({ host, port, ...(simulated ? { token: this.bench.token } : {}) });
    this.clients.set(id, { at, client });
    return client;
  }
}

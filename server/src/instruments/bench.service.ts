import { readBench, type InstrumentsDocument, type PutOnBench, type RevealedFault } from '@kobran/contract';
import { BENCH_SCHEMA, causes, deviceOn, type Bench, type BenchHands } from '@kobran/core';
import { Inject, Injectable, type OnApplicationBootstrap } from '@nestjs/common';
import { invalid, problem, type ProblemException } from '../errors/problem.js';
import { RunsService } from '../runs/runs.service.js';
import { names, ShopService } from '../shop/shop.service.js';
import { PLACES, type Places } from '../places.js';
import { InstrumentRegistry } from './registry.js';
import { SimulatedBench } from './simulatedBench.js';

/** What lies on the simulated bench, and what hands do to it. */
@Injectable()
export class BenchService implements OnApplicationBootstrap {
  constructor(
    @Inject(SimulatedBench) private readonly bench: SimulatedBench,
    @Inject(InstrumentRegistry) private readonly registry: InstrumentRegistry,
    @Inject(RunsService) private readonly runs: RunsService,
    @Inject(ShopService) private readonly shop: ShopService,
    @Inject(PLACES) private readonly places: Places,
  ) {}

  /** What lay on the bench before a restart is still there; its instruments are started with the server. */
  async onApplicationBootstrap(): Promise<void> {
    if (this.onBench()) await this.bench.start();
  }

  async read(): Promise<InstrumentsDocument> {
    const bench = this.onBench();
    return {
      instruments: await this.registry.list(),
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

  /** Puts a run, or an assembly of it, on the bench, and starts its instruments. */
  async put({ runId, pieceId, seed, hands }: PutOnBench): Promise<InstrumentsDocument> {
    const { design } = await this.runs.read(runId);
    const { entries } = await this.shop.read();
    this.lay({
      ...hands,
      schema: BENCH_SCHEMA,
      runId,
      design,
      catalog: entries
        .filter(({ kind, data }) => names(design, kind, data.id))
        .map(({ kind, data }) => ({ kind, data })),
      pieceId,
      seed,
    });
    await this.bench.start();
    return this.read();
  }

  /** Does something by hand to what lies on the bench. */
  async touch(hands: BenchHands): Promise<InstrumentsDocument> {
    const bench = this.onBench();
    if (!bench) throw nothingThere();
    const { cableM: _, ...rest } = bench;
    this.lay({ ...rest, ...hands });
    await this.bench.start();
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

  private lay(bench: Bench): void {
    const read = readBench(JSON.parse(JSON.stringify(bench)));
    if (!read.ok) throw invalid(read.problems);
    this.bench.write(bench);
  }

  private onBench(): Bench | undefined {
    const found = this.bench.read();
    return readBench(found).ok ? (found as Bench) : undefined;
  }
}

const handsOf = ({ far, rained, wiggled, cableM }: Bench): BenchHands => ({
  far,
  rained,
  wiggled,
  ...(cableM === undefined ? {} : { cableM }),
});

const nothingThere = (): ProblemException =>
  problem(409, {
    code: 'bench.empty',
    message: 'Nothing lies on the bench.',
    where: 'path',
    remedy: 'Put a run or an assembly on it first.',
  });

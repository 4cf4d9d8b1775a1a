import { instrumentKinds, isObject, type Bench, type InstrumentKind } from '@kobran/core';
import { Inject, Injectable, type OnModuleDestroy } from '@nestjs/common';
import { randomUUID } from 'node:crypto';
import { fork, type ChildProcess } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { serverFolder } from '../folder.js';
import { PLACES, type Places } from '../places.js';

const program = join(serverFolder, '../instruments/dist/main.js');
/** A process that has not told its port by now will not. */
const START_MS = 15_000;

/** The simulated bench: what lies on it as a file, and its instruments as processes of their own. */
@Injectable()
export class SimulatedBench implements OnModuleDestroy {
  private readonly file: string;
  private readonly running = new Map<InstrumentKind, { child: ChildProcess; port: number }>();
  private starting: Promise<void> | undefined;
  /** Its instruments answer this server and nobody else. */
  readonly token = randomUUID();

  constructor(@Inject(PLACES) { benchFolder }: Places) {
    this.file = join(benchFolder, 'bench.json');
  }

  onModuleDestroy(): void {
    this.stop();
  }

  /** What lies on it, as it was written; nothing when it is empty or the file was spoilt. */
  read(): unknown {
    if (!existsSync(this.file)) return undefined;
    try {
      return JSON.parse(readFileSync(this.file, 'utf8')) as unknown;
    } catch {
      return undefined; // Only a hand from outside writes half a file: then the bench counts as empty.
    }
  }

  /** Puts something on it; the instruments see either the whole old or the whole new document. */
  write(bench: Bench): void {
    mkdirSync(join(this.file, '..'), { recursive: true });
    writeFileSync(`${this.file}.new`, JSON.stringify(bench));
    renameSync(`${this.file}.new`, this.file);
  }

  clear(): void {
    rmSync(this.file, { force: true });
  }

  /** TCP ports of the instruments which run. */
  ports(): [InstrumentKind, number][] {
    return [...this.running].map(([kind, { port }]) => [kind, port]);
  }

  /** Starts what does not run. */
  start(): Promise<void> {
    this.starting ??= Promise.all(
      instrumentKinds.filter((kind) => !this.running.has(kind)).map((kind) => this.startOne(kind)),
    )
      .then(() => undefined)
      .finally(() => {
        this.starting = undefined;
      });
    return this.starting;
  }

  stop(): void {
    for (const { child } of this.running.values()) child.kill();
    this.running.clear();
  }

  private startOne(kind: InstrumentKind): Promise<void> {
    const child = fork(program, [kind, '--bench', this.file], {
      stdio: ['ignore', 'ignore', 'inherit', 'ipc'],
      // How this process was told to find its modules is no concern of an instrument.
      execArgv: [],
      env: { ...process.env, KOBRAN_INSTRUMENT_TOKEN: this.token },
    });
    return new Promise((resolve, reject) => {
      const failed = (why: string): void => {
        child.kill();
        reject(new Error(`the simulated ${kind} did not start: ${why}`));
      };
      const clock = setTimeout(() => failed(`silent for ${START_MS / 1000} s`), START_MS);
      child.once('exit', (code) => {
        clearTimeout(clock);
        if (this.running.get(kind)?.child === child) this.running.delete(kind);
        failed(`it ended with ${code}`);
      });
      child.once('message', (message) => {
        clearTimeout(clock);
        this.running.set(kind, { child, port: portOf(message) });
        resolve();
      });
    });
  }
}

/** The port an instrument tells over its process channel. */
function portOf(message: unknown): number {
  if (isObject(message) && typeof message.port === 'number') return message.port;
  throw new Error('a simulated instrument told no port');
}

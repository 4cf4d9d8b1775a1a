import { execFileSync, spawn, type ChildProcess } from 'node:child_process';
import { chmodSync, existsSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { createServer, type AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { once } from 'node:events';

/** Where Debian keeps the programs of its PostgreSQL; the newest. */
const programs = ((): string | undefined => {
  const root = '/usr/lib/postgresql';
  const [newest] = existsSync(root) ? readdirSync(root).toSorted((x, y) => Number(y) - Number(x)) : [];
  const folder = newest === undefined ? undefined : join(root, newest, 'bin');
  return folder !== undefined && existsSync(join(folder, 'initdb')) ? folder : undefined;
})();

/** PostgreSQL refuses to run as root: then it runs as the user Debian made for it. */
const asItsUser = (command: string, args: string[]): [string, string[]] =>
  process.getuid?.() === 0
    ? ['setpriv', ['--reuid=postgres', '--regid=postgres', '--clear-groups', command, ...args]]
    : [command, args];

export const hasPostgres = programs !== undefined;

/** A port on which nobody listens just now. */
export async function freePort(): Promise<number> {
  const probe = createServer().listen(0, '127.0.0.1');
  await once(probe, 'listening');
  const { port } = probe.address() as AddressInfo;
  probe.close();
  return port;
}

/** A PostgreSQL server of its own, in a folder of its own, for the tests of one file. */
export class OwnPostgres {
  private readonly folder = mkdtempSync(join(tmpdir(), 'kobran-postgres-'));
  private readonly data = join(this.folder, 'data');
  private child: ChildProcess | undefined;
  private port = 0;

  get url(): string {
    return `postgresql://postgres@127.0.0.1:${this.port}/postgres`;
  }

  async make(): Promise<void> {
    this.port = await freePort();
    chmodSync(this.folder, 0o777);
    const args = ['-D', this.data, '-U', 'postgres', '-A', 'trust', '-E', 'UTF8', '--no-sync'];
    execFileSync(...asItsUser(this.program('initdb'), args), { stdio: 'pipe', cwd: this.folder });
    await this.start();
  }

  async start(): Promise<void> {
    const settings = ['listen_addresses=127.0.0.1', `unix_socket_directories=${this.folder}`, 'fsync=off'];
    const args = ['-D', this.data, '-p', String(this.port), ...settings.flatMap((one) => ['-c', one])];
    const child = spawn(...asItsUser(this.program('postgres'), args), { stdio: 'pipe', cwd: this.folder });
    this.child = child;
    for await (const line of child.stderr) if (String(line).includes('ready to accept')) break;
    child.stderr?.resume();
  }

  /** Stops it at once, with every connection cut. */
  async stop(): Promise<void> {
    const { child } = this;
    if (!child || child.exitCode !== null) return;
    const ended = once(child, 'exit');
    child.kill('SIGINT');
    await ended;
  }

  async remove(): Promise<void> {
    await this.stop();
    rmSync(this.folder, { recursive: true, force: true });
  }

  private program(name: string): string {
    if (programs === undefined) throw new Error('There is no PostgreSQL here.');
    return join(programs, name);
  }
}

import { execFileSync, spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

const built = (program: string): string => fileURLToPath(new URL(`../dist/${program}`, import.meta.url));

export const run = (command: string, ...args: string[]): string =>
  execFileSync(command, args, { stdio: 'pipe', encoding: 'utf8' });

/** The built server with the demo jobs, as a process which can be killed. */
export class BuiltServer {
  private child: ChildProcess | undefined;

  /** @param program in one file, or as its modules were compiled (`main.js`) */
  constructor(private readonly program: 'kobran.js' | 'main.js' = 'kobran.js') {}

  /** Starts it on a free port and gives its address. */
  async start(folder: string): Promise<string> {
    const child = spawn(process.execPath, [built(this.program)], {
      env: { ...process.env, PORT: '0', KOBRAN_DATA: folder, KOBRAN_DEMO: '1', KOBRAN_LOG: 'silent' },
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    this.child = child;
    for await (const chunk of child.stdout) {
      const address = /http:\S+/.exec(String(chunk))?.[0];
      if (address) return address;
    }
    throw new Error('the server ended before it listened');
  }

  /** @returns its exit code, nothing when the signal ended it */
  async kill(signal: NodeJS.Signals = 'SIGKILL'): Promise<number | null> {
    const { child } = this;
    this.child = undefined;
    if (!child || child.exitCode !== null || child.signalCode !== null) return null;
    const ended = once(child, 'exit') as Promise<[number | null]>;
    child.kill(signal);
    return (await ended)[0];
  }
}

/** A disk of its own, in a file; it can be filled, and copied while it is mounted. */
export class MountedDisk {
  private readonly mounted: string[] = [];
  readonly image: string;
  readonly path: string;

  constructor(base: string) {
    this.image = join(base, 'disk.img');
    this.path = join(base, 'disk');
  }

  /** @returns whether this machine lets a file be mounted as a disk */
  make(megabytes: number): boolean {
    try {
      run('truncate', '-s', `${megabytes}M`, this.image);
      run('mkfs.ext4', '-q', this.image);
      this.mount(this.image, this.path);
      return true;
    } catch {
      return false;
    }
  }

  mount(image: string, at: string): void {
    mkdirSync(at, { recursive: true });
    run('mount', '-o', 'loop', image, at);
    this.mounted.push(at);
  }

  unmount(at: string): void {
    run('umount', at);
    this.mounted.splice(this.mounted.indexOf(at), 1);
  }

  remove(): void {
    for (const at of [...this.mounted]) this.unmount(at);
  }
}

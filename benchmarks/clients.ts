import { spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { readFileSync } from 'node:fs';
import { Agent, request } from 'node:http';
import { fileURLToPath } from 'node:url';

/** Clients of a built Kobran, for scripts which a person runs. */

const main = fileURLToPath(new URL('../server/dist/kobran.js', import.meta.url));

export interface Kobran {
  address: string;
  child: ChildProcess;
  /** From the start to the first answer, ms. */
  startMs: number;
}

/** Starts the built server on a free port with the demo jobs. */
export async function startKobran(env: Record<string, string>): Promise<Kobran> {
  const from = performance.now();
  const child = spawn(process.execPath, [main], {
    env: { ...process.env, PORT: '0', KOBRAN_DEMO: '1', KOBRAN_LOG: 'silent', ...env },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  for await (const chunk of child.stdout) {
    const address = /http:\S+/.exec(String(chunk))?.[0];
    if (!address) continue;
    await (await fetch(`${address}/api/health`)).arrayBuffer();
    return { address, child, startMs: performance.now() - from };
  }
  throw new Error('The server ended before it listened.');
}

export async function stopKobran({ child }: Kobran, signal: NodeJS.Signals = 'SIGTERM'): Promise<void> {
  if (child.exitCode !== null || child.signalCode !== null) return;
  const ended = once(child, 'exit');
  child.kill(signal);
  await ended;
}

const agent = new Agent({ keepAlive: true, maxSockets: 64 });

export interface Answer {
  status: number;
  text: string;
  ms: number;
}

/** One request over a kept connection; text that is no JSON may be sent too. */
export const ask = (
  address: string,
  method: string,
  path: string,
  body?: string,
  cookie?: string,
): Promise<Answer> =>
  new Promise((resolve, reject) => {
    const from = performance.now();
    const { hostname, port } = new URL(address);
    const headers = {
      ...(cookie === undefined ? {} : { cookie }),
      ...(body === undefined
        ? {}
        : { 'content-type': 'application/json', 'content-length': Buffer.byteLength(body) }),
    };
    const sending = request({ agent, hostname, port, path, method, headers }, (response) => {
      const chunks: Buffer[] = [];
      response.on('data', (chunk: Buffer) => chunks.push(chunk));
      response.on('end', () =>
        resolve({
          status: response.statusCode ?? 0,
          text: Buffer.concat(chunks).toString(),
          ms: performance.now() - from,
        }),
      );
      response.on('error', reject);
    });
    sending.on('error', reject);
    sending.end(body);
  });

/** Makes the first owner and signs in. @returns the key of this device, as a cookie */
export async function signIn(address: string): Promise<string> {
  const answer = await fetch(`${address}/api/crew/owner`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ name: 'Wenna', phrase: 'copper tide lantern goat' }),
  });
  const [cookie] = answer.headers.getSetCookie();
  return cookie.split(';')[0];
}

/** Memory which a server holds, MB. */
export const memoryMb = ({ child }: Kobran): number =>
  Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${child.pid}/status`, 'utf8'))?.[1] ?? 0) / 1024;

/** So many at once, each again and again until the time is over. @returns how long each took, ms, ascending */
export async function crowd(
  clients: number,
  ms: number,
  act: (k: number) => Promise<number>,
): Promise<number[]> {
  const until = performance.now() + ms;
  const times: number[] = [];
  let k = 0;
  await Promise.all(
    Array.from({ length: clients }, async () => {
      while (performance.now() < until) times.push(await act(k++));
    }),
  );
  return times.sort((x, y) => x - y);
}

export const percentile = (ascending: readonly number[], share: number): number =>
  ascending[Math.min(ascending.length - 1, Math.floor(ascending.length * share))];

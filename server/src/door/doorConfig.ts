import { readFileSync } from 'node:fs';
import { isIP } from 'node:net';
import { hostname, networkInterfaces } from 'node:os';

/** The door by which phones and laptops of the crew come in, beside that of this machine. */
export interface DoorConfig {
  address: string;
  port: number;
  encryption:
    | { kind: 'files'; cert: Buffer; key: Buffer }
    /** Kobran makes a certificate, and keeps it in this folder. */
    | { kind: 'made'; folder: string }
    /** On this machine only, for the proxy which encrypts. */
    | { kind: 'proxy' };
  /** What stands between, as the crew writes it: `https://kobran.example`. */
  proxy?: string;
  /** Names and addresses by which it is reached. */
  names: string[];
}

const USUAL_PORT = 4781;

/**
 * The door of the crew from the environment: KOBRAN_LISTEN (address, or address:port), KOBRAN_NAMES, KOBRAN_CERT and KOBRAN_KEY (files),
 * KOBRAN_PROXY (https address).
 *
 * @param folder where a certificate is kept that Kobran makes
 * @returns nothing where Kobran is for this machine only
 * @throws with the variable’s name when a value cannot be used
 */
export function readDoor(env: NodeJS.ProcessEnv, folder: string): DoorConfig | undefined {
  const { KOBRAN_LISTEN: listen = '', KOBRAN_PROXY: proxyText = '', KOBRAN_NAMES: names = '' } = env;
  if (listen === '') {
    const lonely = ['KOBRAN_PROXY', 'KOBRAN_CERT', 'KOBRAN_KEY'].find((name) => env[name]);
    if (lonely)
      throw new Error(
        `${lonely} is set without KOBRAN_LISTEN; say there at which address the crew comes in.`,
      );
    return undefined;
  }
  const { address, port } = readListen(listen);
  const proxy = proxyText === '' ? undefined : readProxy(proxyText);
  const files = readFiles(env);
  const own = names
    .split(',')
    .map((name) => name.trim().toLowerCase())
    .filter((name) => name !== '');
  const isForProxy = proxy !== undefined && isLoopback(address) && !files;
  return {
    address,
    port,
    encryption: isForProxy ? { kind: 'proxy' } : (files ?? { kind: 'made', folder }),
    ...(proxy === undefined ? {} : { proxy }),
    names: [...new Set([...own, ...namesOf(address)])],
  };
}

export const isLoopback = (address: string): boolean => /^(127\.|::1$)/.test(address);

function readListen(text: string): { address: string; port: number } {
  const { address = '', port = String(USUAL_PORT) } =
    /^(?:\[(?<six>[^\]]+)\]|(?<address>[^:]+))(?::(?<port>\d+))?$/.exec(text)?.groups ?? {};
  const bare = address || (/^\[([^\]]+)\]/.exec(text)?.[1] ?? '');
  if (isIP(bare) === 0 || Number(port) > 65535)
    throw new Error(
      `KOBRAN_LISTEN is “${text}”; give an address of this machine, such as 192.168.1.5, 0.0.0.0 for all of them, or [::1]:4781 with a port.`,
    );
  return { address: bare, port: Number(port) };
}

function readProxy(text: string): string {
  const wrong = new Error(
    `KOBRAN_PROXY is “${text}”; give the address the crew writes, such as https://kobran.example.`,
  );
  if (!URL.canParse(text)) throw wrong;
  const { protocol, origin, pathname } = new URL(text);
  if (protocol !== 'https:' || pathname !== '/') throw wrong;
  return origin;
}

function readFiles({
  KOBRAN_CERT,
  KOBRAN_KEY,
}: NodeJS.ProcessEnv): { kind: 'files'; cert: Buffer; key: Buffer } | undefined {
  if (!KOBRAN_CERT && !KOBRAN_KEY) return undefined;
  if (!KOBRAN_CERT || !KOBRAN_KEY)
    throw new Error('KOBRAN_CERT and KOBRAN_KEY belong together: give both files, or neither.');
  return { kind: 'files', cert: fileOf('KOBRAN_CERT', KOBRAN_CERT), key: fileOf('KOBRAN_KEY', KOBRAN_KEY) };
}

function fileOf(variable: string, path: string): Buffer {
  try {
    return readFileSync(path);
  } catch (error) {
    throw new Error(`${variable} is “${path}”, which cannot be read: ${(error as Error).message}.`, {
      cause: error,
    });
  }
}

/** What this machine is called, and its addresses where it listens at all of them. */
function namesOf(address: string): string[] {
  const isAll = address === '0.0.0.0' || address === '::';
  const own = hostname().toLowerCase();
  const reached = isAll
    ? Object.values(networkInterfaces()).flatMap((each) => (each ?? []).map((one) => one.address))
    : [address];
  const lasting = reached.filter((one) => !isAll || !(isLoopback(one) || one.startsWith('fe80')));
  return [...lasting, own, `${own}.local`];
}

/** Where the crew finds it, as it is written into links. */
export function addressOf({ proxy, names }: DoorConfig, port: number): string {
  if (proxy !== undefined) return proxy;
  const [first] = names;
  return `https://${isIP(first) === 6 ? `[${first}]` : first}:${port}`;
}

/** Whether a request names this door, and none that another site has pointed at it. */
export function isNameOf({ names, proxy }: DoorConfig, host: string): boolean {
  const bare = host
    .replace(/:\d+$/, '')
    .replace(/^\[(.*)\]$/, '$1')
    .toLowerCase();
  return names.includes(bare) || (proxy !== undefined && new URL(proxy).hostname === bare);
}

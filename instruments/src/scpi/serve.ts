import { timingSafeEqual } from 'node:crypto';
import { createServer, type Server, type Socket } from 'node:net';
import { interpreter, type InstrumentModel } from './instrument.js';

const LOOPBACK = '127.0.0.1';
/** A longer message than this is no program message. */
const MAX_BYTES = 64 * 1024;
const MAX_CLIENTS = 8;
/** Who has a token says it at once, ms. */
export const TOKEN_MS = 2000;

/**
 * Puts an instrument on a TCP port of this machine; a message ends with a line feed, and so does an answer.
 *
 * @param port 0 for any free one
 * @param token what a client has to say in its first line; nothing where anybody of this machine may ask
 * @returns the listening server with its port
 */
export function serve(
  model: InstrumentModel,
  port: number,
  token?: string,
): Promise<{ server: Server; port: number }> {
  const answerTo = interpreter(model);
  /** Those who talk, the one that has been silent longest first. */
  const clients = new Set<Socket>();
  const server = createServer((socket) => {
    socket.on('close', () => clients.delete(socket));
    talk(socket, answerTo, token, () => {
      clients.delete(socket);
      clients.add(socket);
    });
    // A connection nobody uses keeps nobody out.
    const [idle] = clients;
    if (clients.size > MAX_CLIENTS) idle.destroy();
  });
  return new Promise((resolve, reject) => {
    server.once('error', reject);
    server.listen(port, LOOPBACK, () => {
      const address = server.address();
      if (address === null || typeof address === 'string') throw new Error('no TCP address');
      resolve({ server, port: address.port });
    });
  });
}

const isSame = (one: string, other: string): boolean => {
  const [a, b] = [Buffer.from(one), Buffer.from(other)];
  return a.length === b.length && timingSafeEqual(a, b);
};

/**
 * Messages of one client, one after the other.
 *
 * @param heard is told that the client has said something
 */
function talk(
  socket: Socket,
  answerTo: ReturnType<typeof interpreter>,
  token: string | undefined,
  heard: () => void,
): void {
  let rest = '';
  let turn = Promise.resolve();
  let isKnown = token === undefined;
  const clock = setTimeout(() => {
    if (!isKnown) socket.destroy();
  }, TOKEN_MS);
  if (isKnown) heard();
  socket.setEncoding('latin1');
  socket.setNoDelay(true);
  // A client that goes away in the middle is its own affair.
  socket.on('error', () => socket.destroy());
  socket.on('close', () => clearTimeout(clock));
  socket.on('data', (chunk: string) => {
    const lines = (rest + chunk).split('\n');
    rest = lines.pop() ?? '';
    if (rest.length > MAX_BYTES) return void socket.destroy();
    if (!isKnown) {
      const first = lines.shift();
      if (first === undefined) return;
      if (!isSame(first, token ?? '')) return void socket.destroy();
      isKnown = true;
    }
    heard();
    for (const line of lines)
      turn = turn.then(async () => {
        const answer = await answerTo(line.replace(/\r$/, ''));
        if (answer && !socket.destroyed) socket.write(Buffer.concat([answer, Buffer.from('\n')]));
      });
    turn.catch((error: unknown) => socket.destroy(error instanceof Error ? error : new Error(String(error))));
  });
}

import { createServer, type Server, type Socket } from 'node:net';
import { interpreter, type InstrumentModel } from './instrument.js';

const LOOPBACK = '127.0.0.1';
/** A longer message than this is no program message. */
const MAX_BYTES = 64 * 1024;
const MAX_CLIENTS = 8;

/**
 * Puts an instrument on a TCP port of this machine; a message ends with a line feed, and so does an answer.
 *
 * @param port 0 for any free one
 * @returns the listening server with its port
 */
export function serve(model: InstrumentModel, port: number): Promise<{ server: Server; port: number }> {
  const answerTo = interpreter(model);
  const server = createServer((socket) => talk(socket, answerTo));
  server.maxConnections = MAX_CLIENTS;
  return new Promise((resolve, reject) => {
    server.once('error', reject);
    server.listen(port, LOOPBACK, () => {
      const address = server.address();
      if (address === null || typeof address === 'string') throw new Error('no TCP address');
      resolve({ server, port: address.port });
    });
  });
}

/** Messages of one client, one after the other. */
function talk(socket: Socket, answerTo: ReturnType<typeof interpreter>): void {
  let rest = '';
  let turn = Promise.resolve();
  socket.setEncoding('latin1');
  socket.setNoDelay(true);
  // A client that goes away in the middle is its own affair.
  socket.on('error', () => socket.destroy());
  socket.on('data', (chunk: string) => {
    const lines = (rest + chunk).split('\n');
    rest = lines.pop() ?? '';
    if (rest.length > MAX_BYTES) return void socket.destroy();
    for (const line of lines)
      turn = turn.then(async () => {
        const answer = await answerTo(line.replace(/\r$/, ''));
        if (answer && !socket.destroyed) socket.write(Buffer.concat([answer, Buffer.from('\n')]));
      });
    turn.catch((error: unknown) => socket.destroy(error instanceof Error ? error : new Error(String(error))));
  });
}

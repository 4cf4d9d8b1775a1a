import { connect, type Socket } from 'node:net';
import { once } from 'node:events';
import type { Server } from 'node:net';
import { afterEach, describe, expect, it } from 'vitest';
import { serve, TOKEN_MS } from './serve.js';

const open: (Server | Socket)[] = [];
afterEach(() => {
  for (const one of open.splice(0))
    if ('destroy' in one) one.destroy();
    else one.close();
});

async function instrument(token?: string): Promise<number> {
  const model = {
    identity: ['Kobran', 'TEST', '0', '1'] as const,
    reset: () => undefined,
    settled: () => Promise.resolve(),
    commands: [],
  };
  const { server, port } = await serve({ ...model, identity: [...model.identity] }, 0, token);
  open.push(server);
  return port;
}
async function client(port: number): Promise<Socket> {
  const socket = connect(port, '127.0.0.1');
  open.push(socket);
  socket.setEncoding('latin1');
  socket.on('error', () => undefined);
  await once(socket, 'connect');
  return socket;
}
/** What it answers, or nothing when it ends the connection. */
const answer = (socket: Socket, text: string): Promise<string | undefined> => {
  socket.write(text);
  return Promise.race([
    once(socket, 'data').then(([data]) => String(data)),
    once(socket, 'close').then(() => undefined),
  ]);
};

describe('an instrument with a token', () => {
  it('answers who says it first, and nobody else', async () => {
    const port = await instrument('secret');
    expect(await answer(await client(port), 'secret\n*IDN?\n')).toContain('TEST');
    for (const text of ['*IDN?\n', 'secreT\n*IDN?\n', '\n*IDN?\n', 'GET / HTTP/1.1\r\n\r\n'])
      expect(await answer(await client(port), text)).toBeUndefined();
  });

  it('gives up a connection which says nothing', async () => {
    const silent = await client(await instrument('secret'));
    await once(silent, 'close');
    // Its own clock, however slow this machine is: nobody waits longer than 5 s for a place.
    expect(TOKEN_MS).toBeLessThanOrEqual(5000);
  });
});

describe('idle connections', () => {
  it('keep nobody out: the one that was silent longest gives way', async () => {
    const port = await instrument();
    const [first, second] = [await client(port), await client(port)];
    for (let k = 0; k < 6; k++) await client(port);
    expect(await answer(first, '*IDN?\n')).toContain('TEST');
    const gone = once(second, 'close');
    expect(await answer(await client(port), '*IDN?\n')).toContain('TEST');
    await gone;
    expect(await answer(first, '*IDN?\n')).toContain('TEST');
  });
});

import { randomUUID } from 'node:crypto';
import { once } from 'node:events';
import { mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import request from 'supertest';
import { expect, it } from 'vitest';
import { createApp } from '../app.js';
import { configIn } from '../demoServer.fixture.js';

it('stopping Kobran in the middle of a reading takes the transmitter off the air first', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'kobran-stopping-'));
  const told: string[] = [];
  let transmitting: () => void = () => undefined;
  const onTheAir = new Promise<void>((resolve) => (transmitting = resolve));
  // A power meter which never comes to an answer.
  const meters = createServer((socket) => {
    socket.on('error', () => undefined);
    socket.on('data', (chunk) => {
      for (const line of chunk.toString().split('\n').filter(Boolean)) {
        told.push(line);
        if (line === '*IDN?') socket.write('Somebody,Meters,1,1\n');
        if (line === 'SYST:ERR?') socket.write('0,"No error"\n');
        if (line.startsWith('MEAS:POW?')) transmitting();
      }
    });
  });
  meters.listen(0, '127.0.0.1');
  await once(meters, 'listening');
  const address = meters.address();
  const port = typeof address === 'object' && address ? address.port : 0;

  const { app, stop } = await createApp(configIn(join(folder, 'data')));
  const api = request(app.getHttpServer());
  const id = randomUUID();
  await api
    .post('/api/instruments')
    .send({ id, kind: 'power-meters', name: 'Meters', host: '127.0.0.1', port })
    .expect(200);
  const read = (): Promise<unknown> =>
    api.post(`/api/instruments/${id}/power`).send({ frequencyHz: 145e6, powerW: 5 }).then();
  const readings = [read(), read(), read()];
  await onTheAir;
  await stop();
  await Promise.allSettled(readings);
  expect(told.lastIndexOf('OUTP OFF')).toBeGreaterThan(told.lastIndexOf('OUTP ON'));
  // Those who waited for their turn began nothing.
  expect(told.filter((line) => line === 'OUTP ON')).toHaveLength(1);
  meters.close();
  rmSync(folder, { recursive: true, force: true });
});

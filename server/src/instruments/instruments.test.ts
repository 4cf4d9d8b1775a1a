import type {
  AddTrace,
  ApiProblem,
  InstrumentsDocument,
  MeasuredPower,
  MeasuredSweepData,
  RevealedFault,
} from '@kobran/contract';
import { randomUUID } from 'node:crypto';
import { createServer, type Server, type Socket } from 'node:net';
import { once } from 'node:events';
import { afterEach, describe, expect, it } from 'vitest';
import { demoServer } from '../demoServer.fixture.js';
import { InstrumentFault, ScpiClient } from './scpiClient.js';
import { Turns } from './turns.js';
import { readPower } from './vocabulary.js';

const { api } = demoServer();
const open: Server[] = [];
afterEach(() => {
  for (const server of open.splice(0)) server.close();
});

/** Something that listens on this machine and does what it likes. */
async function anInstrument(onLine: (line: string, socket: Socket) => void): Promise<number> {
  const server = createServer((socket) => {
    socket.on('error', () => undefined);
    socket.on('data', (chunk) => {
      for (const line of chunk.toString().split('\n').filter(Boolean)) onLine(line, socket);
    });
  });
  open.push(server);
  server.listen(0, '127.0.0.1');
  await once(server, 'listening');
  const address = server.address();
  return typeof address === 'object' && address ? address.port : 0;
}

const faultOf = async (act: Promise<unknown>): Promise<string> => {
  const error = await act.then(
    () => undefined,
    (one: unknown) => one,
  );
  return error instanceof InstrumentFault ? error.kind : String(error);
};
const at = (port: number): ScpiClient => new ScpiClient({ host: '127.0.0.1', port });

describe('a client of an instrument', () => {
  it('absent, slow, talking nonsense, dying in the middle: each is told apart', async () => {
    const port = await anInstrument(() => undefined);
    expect(await faultOf(at(port).ask('*IDN?', 100))).toBe('slow');
    open.pop()?.close();
    expect(await faultOf(at(port).ask('*IDN?'))).toBe('absent');
    const web = await anInstrument((_, socket) => socket.write('HTTP/1.1 400 Bad Request\n'));
    expect(await faultOf(at(web).askNumbers('CALC:DATA? S11'))).toBe('nonsense');
    expect(await faultOf(at(web).clearErrors())).toBe('nonsense');
    const dying = await anInstrument((_, socket) => {
      socket.write('#6160000half of a blo');
      socket.destroy();
    });
    expect(await faultOf(at(dying).askNumbers('CALC:DATA? S11'))).toBe('died');
  });

  it('an empty answer, an empty block and a gap between commas are no readings', async () => {
    for (const nothing of ['\n', '#10\n', '0.1,,0.3\n']) {
      const port = await anInstrument((_, socket) => socket.write(nothing));
      expect(await faultOf(at(port).askNumbers('MEAS:RES?')), nothing).toBe('nonsense');
    }
  });

  it('the transmitter is told to stop when its reading never comes, over a new connection', async () => {
    const told: string[] = [];
    const port = await anInstrument((line, socket) => {
      told.push(line);
      if (line === 'SYST:ERR?') socket.write('0,"No error"\n');
      if (line.startsWith('MEAS:POW?')) socket.destroy();
    });
    const reading = readPower(at(port), { frequencyHz: 145e6, powerW: 5 });
    expect(await faultOf(reading)).toBe('died');
    expect(told.lastIndexOf('OUTP OFF')).toBeGreaterThan(told.indexOf('OUTP ON'));
  });

  it('an instrument that is gone while it transmits is said to be switched off by hand', async () => {
    const port = await anInstrument((line, socket) => {
      if (line === 'SYST:ERR?') socket.write('0,"No error"\n');
      if (!line.startsWith('MEAS:POW?')) return;
      open.pop()?.close();
      socket.destroy();
    });
    await expect(readPower(at(port), { frequencyHz: 145e6, powerW: 5 })).rejects.toThrow(/by hand, now/);
  });

  it('two who read at once do not get each other’s readings', async () => {
    let setTo = '';
    const port = await anInstrument((line, socket) => {
      if (line.startsWith('SOUR:FREQ')) setTo = line.split(' ')[1].split(';')[0];
      if (line === 'SYST:ERR?') socket.write('0,"No error"\n');
      // Forward is answered with the frequency it was set to: whose reading it is.
      if (line.startsWith('MEAS:POW?')) setTimeout(() => socket.write(`${setTo}\n`), 2);
    });
    const [turns, client] = [new Turns(), at(port)];
    const frequencies = [145e6, 435e6, 29e6, 869e6, 51e6];
    const read = await Promise.all(
      frequencies.map((frequencyHz) =>
        turns.take('meters', () => readPower(client, { frequencyHz, powerW: 5 })),
      ),
    );
    expect(read.map(({ forwardW }) => forwardW)).toEqual(frequencies);
  });

  it('an endless answer is cut off', async () => {
    const port = await anInstrument((_, socket) => {
      for (let k = 0; k < 20; k++) socket.write('1,'.repeat(512 * 1024));
    });
    expect(await faultOf(at(port).ask('CALC:DATA?', 20_000))).toBe('nonsense');
  });

  it('connects again after the instrument was lost', async () => {
    let times = 0;
    const port = await anInstrument((_, socket) => {
      times++;
      if (times === 1) socket.destroy();
      else socket.write('1\n');
    });
    const client = at(port);
    expect(await faultOf(client.ask('*OPC?'))).toBe('died');
    expect(await client.ask('*OPC?')).toBe('1');
  });

  it('an answer that comes too late is not taken for the next one', async () => {
    let first = true;
    const port = await anInstrument((line, socket) => {
      if (first) setTimeout(() => socket.write('late\n'), 150);
      else socket.write(`${line} in time\n`);
      first = false;
    });
    const client = at(port);
    expect(await faultOf(client.ask('A?', 50))).toBe('slow');
    await new Promise((resolve) => setTimeout(resolve, 200));
    expect(await client.ask('B?')).toBe('B? in time');
  });

  it('questions wait for each other, and a block may hold line feeds', async () => {
    const values = Float64Array.of(1.5, 10, 2.7e-300);
    const bytes = Buffer.alloc(24);
    values.forEach((value, k) => bytes.writeDoubleBE(value, 8 * k));
    bytes[3] = 0x0a;
    const port = await anInstrument((line, socket) => {
      if (line.startsWith('BLOCK')) {
        socket.write('#2');
        setTimeout(() => socket.write(Buffer.concat([Buffer.from('24'), bytes, Buffer.from('\n')])), 20);
      } else socket.write('4,5\n');
    });
    const client = at(port);
    const [block, list] = await Promise.all([client.askNumbers('BLOCK?'), client.askNumbers('LIST?')]);
    expect(block).toEqual([0, 1, 2].map((k) => bytes.readDoubleBE(8 * k)));
    expect(list).toEqual([4, 5]);
  });
});

describe('instruments by address', () => {
  const wanted = (over: object): object => ({
    id: randomUUID(),
    kind: 'analyser',
    name: 'Shop analyser',
    host: '127.0.0.1',
    port: 1,
    ...over,
  });

  it('one that says who it is is kept, and can be forgotten', async () => {
    const port = await anInstrument((_, socket) => socket.write('Maker, Model 1, 42, 1.0\n'));
    const sent = wanted({ port }) as { id: string };
    const identity = await api().post('/api/instruments').send(sent).expect(200);
    expect(identity.body).toEqual({ maker: 'Maker', model: 'Model 1', serial: '42', version: '1.0' });
    const known = async (): Promise<string[]> =>
      ((await api().get('/api/instruments')).body as InstrumentsDocument).instruments.map(({ id }) => id);
    expect(await known()).toContain(sent.id);
    await api().delete(`/api/instruments/${sent.id}`).expect(204);
    expect(await known()).not.toContain(sent.id);
  });

  it.each([
    [{ host: '192.168.4.20' }, 403, 'host'],
    [{ host: 'evil.example; rm' }, 400, 'host'],
    [{ port: 99_999 }, 400, 'port'],
    [{ port: 1 }, 502, 'instrument'],
  ])('%j is refused with a remedy', async (over, status, where) => {
    const response = await api().post('/api/instruments').send(wanted(over)).expect(status);
    const problem = response.body as ApiProblem;
    expect(problem.where).toBe(where);
    expect(problem.remedy).toBeTruthy();
  });
});

describe('the simulated bench', () => {
  const runId = '7a0e1d00-0000-4000-8000-00000000a001';
  const hands = { far: 'load', rained: false, wiggled: false };
  const put = (over: object = {}) =>
    api()
      .put('/api/bench')
      .send({ runId, pieceId: '', seed: 0, hands, ...over });
  const setup = { startHz: 20e6, stopHz: 500e6, points: 401, averages: 1, ports: 1 };
  const sweep = async (over: object = {}): Promise<MeasuredSweepData> =>
    (
      await api()
        .post('/api/instruments/simulated-analyser/sweep')
        .send({ ...setup, ...over })
        .expect(200)
    ).body as MeasuredSweepData;

  it('three instruments measure what lies on it; hands change what they read; a sweep can be kept', async () => {
    const before = (await api().get('/api/instruments')).body as InstrumentsDocument;
    expect(before.bench).toBeNull();
    const { instruments, bench } = (await put().expect(200)).body as InstrumentsDocument;
    expect(bench?.runId).toBe(runId);
    expect(
      instruments
        .filter(({ simulated }) => simulated)
        .map(({ kind }) => kind)
        .sort(),
    ).toEqual(['analyser', 'multimeter', 'power-meters']);
    for (const { id } of instruments)
      expect((await api().post(`/api/instruments/${id}/identify`).expect(200)).body).toMatchObject({
        maker: 'Kobran',
      });

    const loaded = await sweep();
    expect(loaded.frequencyHz).toHaveLength(401);
    const trace: AddTrace = {
      ...loaded,
      id: randomUUID(),
      pieceId: '',
      name: 'from the bench',
      far: 'load',
      rained: false,
      by: 'Wenna',
      at: '2026-11-25T10:00:00.000Z',
    };
    await api().post(`/api/runs/${runId}/traces`).send(trace).expect(204);

    const ohm = async (): Promise<number | null> =>
      (
        (await api().post('/api/instruments/simulated-multimeter/ohm').expect(200)).body as {
          ohm: number | null;
        }
      ).ohm;
    await api()
      .put('/api/bench/hands')
      .send({ ...hands, far: 'short' })
      .expect(200);
    await api().post('/api/instruments/simulated-multimeter/zero').expect(204);
    expect(await ohm()).toBeLessThan(2);
    const largest = ({ s11 }: MeasuredSweepData): number =>
      Math.max(...s11.re.map((re, k) => Math.hypot(re, s11.im[k])));
    expect(largest(await sweep())).toBeGreaterThan(largest(loaded) + 0.2);

    const power = { frequencyHz: 151.6e6, powerW: 25 };
    const refused = await api().post('/api/instruments/simulated-power-meters/power').send(power).expect(409);
    expect((refused.body as ApiProblem).message).toContain('dummy load');
    await api().put('/api/bench/hands').send(hands).expect(200);
    const passed = (await api().post('/api/instruments/simulated-power-meters/power').send(power).expect(200))
      .body as MeasuredPower;
    expect(passed.loadW).toBeLessThan(passed.forwardW);
  });

  it('calibrates with open, short, load and through, and then shows less of itself', async () => {
    await put().expect(200);
    const two = { ...setup, ports: 2 };
    for (const step of ['open 1', 'short 1', 'load 1', 'open 2', 'short 2', 'load 2', 'through', 'save'])
      await api()
        .post('/api/instruments/simulated-analyser/calibrate')
        .send({ step, setup: two })
        .expect(204);
    const { s11, s21 } = await sweep({ ports: 2 });
    expect(s21).toBeDefined();
    expect(s11.re).toHaveLength(401);
    const other = await api()
      .post('/api/instruments/simulated-analyser/sweep')
      .send({ ...two, stopHz: 600e6 })
      .expect(409);
    expect((other.body as ApiProblem).message).toContain('calibrate again');
  });

  it('a trimmed piece, what was hidden, and clearing', async () => {
    await put({ pieceId: 'main', seed: 3, hands: { ...hands, far: 'open', cableM: 2 } }).expect(200);
    const fault = (await api().get('/api/bench/fault').expect(200)).body as RevealedFault;
    expect(fault.name).toBeTruthy();
    await put({ hands: { ...hands, cableM: 2 } }).expect(400);
    await put({ pieceId: 'nowhere' }).expect(400);
    const { instruments, bench } = (await api().delete('/api/bench').expect(200)).body as InstrumentsDocument;
    expect(bench).toBeNull();
    expect(instruments.some(({ simulated }) => simulated)).toBe(false);
    await api().get('/api/bench/fault').expect(409);
    await api().post('/api/instruments/simulated-analyser/sweep').send(setup).expect(404);
  });
});

import type { MadeCode, Me } from '@kobran/contract';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import request, { type Response, type Test } from 'supertest';
import { afterAll, beforeAll } from 'vitest';
import { createApp, type RunningApp } from '../app.js';
import type { Config } from '../config.js';
import { DATABASE } from '../database/database.module.js';
import type { Database } from '../database/database.js';
import { configIn } from '../demoServer.fixture.js';
import { freePort } from '../postgres.fixture.js';
import { SessionsService } from './sessions.service.js';

export const OWNER = { name: 'Wenna', phrase: 'copper tide lantern goat' };

/** A person at one device: keeps the key it is given, as a browser does. */
export class Someone {
  key = '';

  constructor(
    private readonly at: () => string,
    /** What their browser calls itself. */
    private readonly agent = 'a browser',
  ) {}

  get url(): string {
    return this.at();
  }

  async ask(method: 'get' | 'post' | 'put' | 'delete', path: string, body?: object): Promise<Response> {
    const asked: Test = request(this.url)[method](path).set('User-Agent', this.agent);
    if (this.key !== '') void asked.set('Cookie', this.key);
    const answer = body ? await asked.send(body) : await asked;
    const [given] = (answer.get('Set-Cookie') ?? []).map((cookie) => cookie.split(';')[0]);
    if (given) this.key = given.endsWith('=') ? '' : given;
    return answer;
  }

  async me(): Promise<Me> {
    return (await this.ask('get', '/api/me')).body as Me;
  }
}

/** A server with the demo jobs, a crew’s door and its first owner, for the tests of one file. */
export function crewServer({
  signIn = 'elsewhere',
  proxy,
}: { signIn?: Config['signIn']; proxy?: string } = {}): {
  /** Somebody who comes by the crew’s door. */
  someone: (agent?: string) => Someone;
  /** Somebody at the machine itself. */
  here: () => Someone;
  db: () => Database;
  /** The server believes nothing which it has seen before. */
  askAgain: () => void;
  /** The folder of the backups. */
  backups: () => string;
  /** An invitation taken up: somebody of the crew, signed in. */
  joined: (name: string, role: 'installer' | 'owner') => Promise<Someone>;
} {
  const folder = mkdtempSync(join(tmpdir(), 'kobran-crew-'));
  let running: RunningApp;
  let [machine, door] = ['', ''];
  beforeAll(async () => {
    const port = await freePort();
    const names = ['127.0.0.1'];
    const own = { address: '127.0.0.1', port, encryption: { kind: 'proxy' } as const, names };
    running = await createApp(
      configIn(folder, { demo: true, signIn, door: { ...own, ...(proxy === undefined ? {} : { proxy }) } }),
    );
    await running.app.listen(0, '127.0.0.1');
    machine = await running.app.getUrl();
    await request(machine).post('/api/crew/owner').send(OWNER).expect(200);
    await running.openDoor(() => undefined);
    door = `http://127.0.0.1:${port}`;
  }, 60_000);
  afterAll(async () => {
    await running.stop();
    rmSync(folder, { recursive: true });
  });
  const someone = (agent?: string): Someone => new Someone(() => door, agent);
  return {
    someone,
    here: () => new Someone(() => machine),
    db: () => running.app.get<Database>(DATABASE),
    askAgain: () => running.app.get(SessionsService).askAgain(),
    backups: () => join(folder, 'backups'),
    joined: async (name, role) => {
      const owner = new Someone(() => machine);
      const { code } = (await owner.ask('post', '/api/crew/invitations', { name, role })).body as MadeCode;
      const person = someone();
      const phrase = `${name} walks over the weir at dusk`;
      await person.ask('post', '/api/me/join', { code, phrase });
      return person;
    },
  };
}

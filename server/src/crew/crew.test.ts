import type { ApiProblem, BackupSummary, CrewDocument, MadeCode, RunDocument } from '@kobran/contract';
import { checkLog, type CrewEntry, type KeptLog } from '@kobran/core';
import { sql } from 'drizzle-orm';
import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import request, { type Response } from 'supertest';
import { describe, expect, it, onTestFinished, vi } from 'vitest';
import { tarrowmere } from '../demo/tarrowmere.js';
import { keyHash } from './codes.js';
import { crewServer, OWNER, type Someone } from './crewServer.fixture.js';

const { someone, here, joined, db, backups, askAgain } = crewServer();
const [brackwater, oster] = tarrowmere;
const [run] = brackwater.runs;
const answered = ({ status, body }: Response): unknown[] => [status, (body as ApiProblem | undefined)?.code];
const note = (by: string, over: object = {}) => ({
  id: randomUUID(),
  kind: 'note',
  about: '',
  text: 'looked at',
  by,
  at: new Date().toISOString(),
  ...over,
});
const signIn = async (who: Someone, phrase = OWNER.phrase, name = OWNER.name): Promise<unknown[]> =>
  answered(await who.ask('post', '/api/me/sign-in', { name, phrase }));
const crewOf = async (who: Someone): Promise<CrewDocument> =>
  (await who.ask('get', '/api/crew')).body as CrewDocument;

describe('two doors', () => {
  it('at the machine nobody has to sign in; by the crew’s door everybody has to', async () => {
    expect(await here().me()).toEqual({ kind: 'here', hasCrew: true });
    expect((await here().ask('get', '/api/jobs')).status).toBe(200);
    const stranger = someone();
    expect(await stranger.me()).toEqual({ kind: 'out', hasCrew: true });
    for (const path of [
      '/api/jobs',
      '/api/board',
      '/api/crew',
      '/api/changes',
      '/api/docs-json',
      '/API/Jobs/',
    ])
      expect(answered(await stranger.ask('get', path))).toEqual([401, 'signed-out']);
    expect(answered(await stranger.ask('post', '/api/jobs', { id: 'x' }))).toEqual([401, 'signed-out']);
  });

  it('is refused before it is read: a body of megabytes by nobody costs nothing', async () => {
    const large = { points: 'x'.repeat(20_000_000) };
    expect(answered(await someone().ask('post', `/api/runs/${run.id}/traces`, large))).toEqual([
      401,
      'signed-out',
    ]);
  });

  it('answers under its own names only, and takes no writing from another site’s page', async () => {
    const member = await joined('Kerra', 'installer');
    const other = await request(member.url).get('/api/me').set('Host', 'elsewhere.example');
    expect(answered(other)).toEqual([421, 'host.refused']);
    const forged = await request(member.url)
      .post(`/api/runs/${run.id}/facts`)
      .set('Cookie', member.key)
      .set('Origin', 'https://elsewhere.example')
      .send(note('Kerra'));
    expect(answered(forged)).toEqual([403, 'origin.refused']);
  });

  it('a second first owner is not made', async () =>
    expect(answered(await here().ask('post', '/api/crew/owner', { ...OWNER, name: 'Perran' }))).toEqual([
      409,
      'crew.has-owner',
    ]));
});

describe('the key of a device', () => {
  // RFC 6265bis, 4.1.3.2 (__Host-), 5.8.3 (SameSite); OWASP Session Management Cheat Sheet: Secure, HttpOnly.
  it('is out of reach of scripts, other sites and plain text', async () => {
    const answer = await request(someone().url).post('/api/me/sign-in').send(OWNER);
    const [cookie] = answer.get('Set-Cookie') ?? [];
    expect(cookie).toMatch(/^__Host-kobran=[\w-]{43};/);
    for (const part of ['HttpOnly', 'Secure', 'SameSite=Strict', 'Path=/']) expect(cookie).toContain(part);
    expect(cookie).not.toContain('Domain');
  });

  it('stands nowhere in the database, no more than a phrase or a code does', async () => {
    const device = someone();
    await signIn(device);
    const { code } = (await here().ask('post', '/api/crew/invitations', { name: 'Ebrel', role: 'installer' }))
      .body as MadeCode;
    const { rows } = (await db().execute(sql`
      select coalesce(string_agg(t::text, ' '), '') as all from (
        select row_to_json(sessions)::text t from sessions union all
        select row_to_json(members)::text from members union all
        select row_to_json(invitations)::text from invitations) x`)) as { rows: { all: string }[] };
    for (const secret of [device.key.split('=')[1], OWNER.phrase, code, code.replaceAll('-', '')])
      expect(rows[0].all).not.toContain(secret);
    expect(rows[0].all).toContain('$argon2id$v=19$m=19456,t=2,p=1$');
  });

  it('changes after half a day; the one before lasts until the new one is in use', async () => {
    const device = someone();
    await signIn(device);
    const first = device.key;
    await older('key_at', '13 hours', first);
    // The answer with the new key is lost on the way: the device still has the first one, and is let in.
    await device.ask('get', '/api/jobs');
    const second = device.key;
    expect(second).not.toBe(first);
    device.key = first;
    expect((await device.ask('get', '/api/jobs')).status).toBe(200);
    device.key = second;
    expect((await device.ask('get', '/api/jobs')).status).toBe(200);
    device.key = first;
    expect((await device.ask('get', '/api/jobs')).status).toBe(200); // Under way while it changed.
  });

  it('changes once, however many requests are under way, and all of them are answered', async () => {
    const device = someone();
    await signIn(device);
    const before = device.key;
    await older('key_at', '13 hours', before);
    const asked = Array.from({ length: 12 }, () =>
      request(device.url).get('/api/jobs').set('Cookie', before),
    );
    const answers = await Promise.all(asked);
    expect(answers.map(({ status }) => status)).toEqual(answers.map(() => 200));
    const given = answers.flatMap((answer) => answer.get('Set-Cookie') ?? []);
    expect(given).toHaveLength(1);
    device.key = given[0].split(';')[0];
    expect((await device.ask('get', '/api/jobs')).status).toBe(200);
  });

  it('signed out, a device hears no more of what others do', async () => {
    const device = await joined('Ysella', 'installer');
    const heard = await fetch(`${device.url}/api/changes`, { headers: { cookie: device.key } });
    expect(heard.headers.get('content-type')).toContain('text/event-stream');
    const id = (await crewOf(here())).devices.find(({ name }) => name === 'Ysella')?.id;
    await here().ask('delete', `/api/crew/devices/${id}`);
    // The server ends it: all of it is read, instead of waiting for ever.
    await heard.text();
    expect(answered(await device.ask('get', '/api/changes'))).toEqual([401, 'session.ended']);
  });

  it('used from two places ends the session for both', async () => {
    const device = someone();
    await signIn(device);
    const stolen = device.key;
    await older('key_at', '13 hours', stolen);
    await device.ask('get', '/api/jobs');
    await device.ask('get', '/api/jobs');
    await older('taken_up_at', '2 minutes', device.key);
    const thief = someone();
    thief.key = stolen;
    expect(answered(await thief.ask('get', '/api/jobs'))).toEqual([401, 'session.ended']);
    expect(answered(await device.ask('get', '/api/jobs'))).toEqual([401, 'session.ended']);
    const log = (await here().ask('get', '/api/crew/log')).body as KeptLog<CrewEntry>;
    expect(log.facts.at(-1)).toMatchObject({ kind: 'session presented twice', by: OWNER.name });
  });

  it('of a month in a drawer opens nothing', async () => {
    const device = someone();
    await signIn(device);
    await older('seen_at', '31 days', device.key);
    expect(answered(await device.ask('get', '/api/jobs'))).toEqual([401, 'session.ended']);
  });

  /** Makes a moment of a session older, as if time had passed; what was believed of it for two seconds is past too. */
  async function older(column: string, by: string, key: string): Promise<void> {
    const hash = keyHash(key.split('=')[1]);
    await db().execute(
      sql`update sessions set ${sql.identifier(column)} = now() - ${by}::interval where key_hash = ${hash}`,
    );
    askAgain();
  }
});

describe('wrong pass phrases', () => {
  it('a wrong name and a wrong phrase are told alike', async () => {
    const [name, phrase] = [
      await signIn(someone(), OWNER.phrase, 'Nobody'),
      await signIn(someone(), 'guess', 'Kerra'),
    ];
    expect(name).toEqual([401, 'sign-in.wrong']);
    expect(phrase).toEqual(name);
  });

  it('have to wait after five, and so has the right one then; another name has not', async () => {
    await joined('Tamsyn', 'installer');
    const guesser = someone();
    // All at once, as a program would: a clock that stands, since a slow machine would have waited already.
    vi.useFakeTimers({ now: Date.now(), toFake: ['Date'] });
    onTestFinished(() => void vi.useRealTimers());
    const tries = await Promise.all(
      Array.from({ length: 12 }, (_, k) => signIn(guesser, `guess number ${k}`, 'Tamsyn')),
    );
    expect(tries.filter(([status]) => status === 401).length).toBeLessThanOrEqual(5);
    expect(tries.filter(([status]) => status === 429).length).toBeGreaterThanOrEqual(7);
    expect(await signIn(someone(), 'Tamsyn walks over the weir at dusk', 'Tamsyn')).toEqual([
      429,
      'sign-in.wait',
    ]);
    expect((await signIn(someone()))[0]).toBe(200);
    const log = (await here().ask('get', '/api/crew/log')).body as KeptLog<CrewEntry>;
    expect(log.facts.filter(({ kind, by }) => kind === 'sign-in refused' && by === 'Tamsyn')).toHaveLength(1);
  });
});

describe('invitations', () => {
  it('let one person in, once, under the name they were made for', async () => {
    const made = (await here().ask('post', '/api/crew/invitations', { name: 'Jory', role: 'installer' }))
      .body as MadeCode;
    expect(made.link).toMatch(new RegExp(`/join#${made.code}$`));
    expect(made.qr).toMatch(/^data:image\/png;base64,/);
    const typed = made.code.toLowerCase().replaceAll('-', ' ');
    const jory = someone('Mozilla/5.0 (Linux; Android 14) Mobile');
    const weak = await jory.ask('post', '/api/me/join', { code: typed, phrase: 'jory' });
    expect(answered(weak)).toEqual([400, 'phrase.short']);
    await jory.ask('post', '/api/me/join', { code: typed, phrase: 'slate quarry in the rain' });
    expect(await jory.me()).toMatchObject({ kind: 'member', name: 'Jory', role: 'installer' });
    const again = await someone().ask('post', '/api/me/join', {
      code: typed,
      phrase: 'slate quarry in the rain',
    });
    expect(answered(again)).toEqual([404, 'code.unknown']);
    expect((await crewOf(jory)).devices).toMatchObject([{ device: 'a phone', isThis: true }]);
  });

  it('of two who take one up at once, one comes in', async () => {
    const { code } = (
      await here().ask('post', '/api/crew/invitations', { name: 'Senara', role: 'installer' })
    ).body as MadeCode;
    const body = { code, phrase: 'two at one narrow door' };
    const both = await Promise.all(
      [someone(), someone()].map((one) => one.ask('post', '/api/me/join', body)),
    );
    expect(both.map(({ status }) => status).toSorted()).toEqual([200, 404]);
    expect((await crewOf(here())).members.filter(({ name }) => name === 'Senara')).toHaveLength(1);
  });

  it('to a new phrase signs the old devices out; withdrawn or too old they are worth nothing', async () => {
    const lowen = await joined('Lowen', 'installer');
    const { code } = (await here().ask('post', '/api/crew/invitations', { name: 'lowen', role: 'owner' }))
      .body as MadeCode;
    const anew = someone();
    await anew.ask('post', '/api/me/join', { code, phrase: 'herring gulls on the roof' });
    // The role is that of the member, whatever was asked for.
    expect(await anew.me()).toMatchObject({ name: 'Lowen', role: 'installer' });
    expect(answered(await lowen.ask('get', '/api/jobs'))).toEqual([401, 'session.ended']);
    const made = (await here().ask('post', '/api/crew/invitations', { name: 'Cador', role: 'installer' }))
      .body as MadeCode;
    await here().ask('delete', `/api/crew/invitations/${made.id}`);
    const gone = await someone().ask('post', '/api/me/invitation', { code: made.code });
    expect(answered(gone)).toEqual([404, 'code.unknown']);
  });
});

describe('roles', () => {
  it('an installer works, and says nothing of who else may', async () => {
    const installer = await joined('Perran', 'installer');
    expect((await installer.ask('get', '/api/jobs')).status).toBe(200);
    expect((await installer.ask('post', `/api/runs/${run.id}/facts`, note('Perran'))).status).toBe(204);
    const { members } = await crewOf(installer);
    const wenna = members.find(({ name }) => name === OWNER.name);
    for (const [method, path, body] of [
      ['post', '/api/crew/invitations', { name: 'A friend', role: 'owner' }],
      ['put', `/api/crew/members/${wenna?.id}`, { role: 'installer' }],
      ['delete', `/api/crew/members/${wenna?.id}`, undefined],
      ['get', '/api/crew/log', undefined],
      ['post', '/api/backups/x/restore', {}],
      ['POST', '/API/backups/x/restore/', {}],
    ] as const) {
      const answer = await installer.ask(method.toLowerCase() as 'get', path, body);
      expect(answered(answer), path).toEqual([403, 'role.refused']);
    }
  });

  it('the last owner stays one; who is taken out is out at once, and their signatures stay', async () => {
    const { members } = await crewOf(here());
    const wenna = members.find(({ name }) => name === OWNER.name);
    const demoted = await here().ask('put', `/api/crew/members/${wenna?.id}`, { role: 'installer' });
    expect(answered(demoted)).toEqual([409, 'crew.last-owner']);
    const piran = await joined('Piran', 'installer');
    await piran.ask('post', `/api/runs/${run.id}/facts`, note('', { text: 'sealed in the rain' }));
    const me = await piran.me();
    await here().ask('delete', `/api/crew/members/${'id' in me ? me.id : ''}`);
    expect(answered(await piran.ask('get', '/api/jobs'))).toEqual([401, 'session.ended']);
    expect(await signIn(someone(), 'Piran walks over the weir at dusk', 'Piran')).toEqual([
      401,
      'sign-in.wrong',
    ]);
    const { facts } = (await here().ask('get', `/api/runs/${run.id}`)).body as RunDocument;
    expect(facts.find((fact) => fact.kind === 'note' && fact.text === 'sealed in the rain')).toMatchObject({
      by: 'Piran',
    });
  });

  it('a lost phone is signed out by an owner; others’ devices are none of an installer’s business', async () => {
    const [lost, nosy] = [await joined('Elowen', 'installer'), await joined('Hedra', 'installer')];
    const id = (await crewOf(here())).devices.find(({ name }) => name === 'Elowen')?.id;
    expect(answered(await nosy.ask('delete', `/api/crew/devices/${id}`))).toEqual([404, 'device.not-found']);
    expect((await lost.ask('get', '/api/jobs')).status).toBe(200);
    await here().ask('delete', `/api/crew/devices/${id}`);
    expect(answered(await lost.ask('get', '/api/jobs'))).toEqual([401, 'session.ended']);
  });

  it('who changes the phrase stays, and is signed out elsewhere', async () => {
    const first = await joined('Morwenna', 'installer');
    const old = 'Morwenna walks over the weir at dusk';
    const second = someone();
    await signIn(second, old, 'Morwenna');
    const wrong = await second.ask('post', '/api/me/phrase', {
      old: 'not it',
      phrase: 'barnacles under the keel',
    });
    expect(answered(wrong)).toEqual([401, 'sign-in.wrong']);
    await second.ask('post', '/api/me/phrase', { old, phrase: 'barnacles under the keel' });
    expect((await second.ask('get', '/api/jobs')).status).toBe(200);
    expect(answered(await first.ask('get', '/api/jobs'))).toEqual([401, 'session.ended']);
    expect((await signIn(someone(), 'barnacles under the keel', 'Morwenna'))[0]).toBe(200);
  });
});

describe('facts are signed by the session', () => {
  it('not by a typed name: an empty one is filled in, another is refused, the member stands beside it', async () => {
    const bryher = await joined('Bryher', 'installer');
    const me = await bryher.me();
    const [empty, own, forged] = [note(''), note('Bryher'), note('Wenna')];
    for (const one of [empty, own]) await bryher.ask('post', `/api/runs/${run.id}/facts`, one);
    const refused = await bryher.ask('post', `/api/runs/${run.id}/facts`, forged);
    expect(answered(refused)).toEqual([403, 'signed.by-another']);
    const { facts } = (await bryher.ask('get', `/api/runs/${run.id}`)).body as RunDocument;
    const kept = (id: string) => facts.find((fact) => fact.id === id);
    for (const { id } of [empty, own])
      expect(kept(id)).toMatchObject({ by: 'Bryher', member: 'id' in me ? me.id : '' });
    expect(kept(forged.id)).toBeUndefined();
  });

  it('a member is not claimed at the machine, where names are typed', async () => {
    const claimed = note('Bryher', { member: randomUUID() });
    await here().ask('post', `/api/runs/${run.id}/facts`, claimed);
    const { facts } = (await here().ask('get', `/api/runs/${run.id}`)).body as RunDocument;
    expect(facts.find(({ id }) => id === claimed.id)).not.toHaveProperty('member');
  });
});

describe('a customer’s link', () => {
  it('shows one site, without names, changes nothing, and ends when it is withdrawn', async () => {
    const made = (
      await here().ask('post', '/api/crew/links', { jobId: brackwater.id, whom: 'Valley council', days: 90 })
    ).body as MadeCode;
    const [council, second] = [someone(), someone()];
    for (const one of [council, second]) await one.ask('post', '/api/me/look', { code: made.code });
    expect(await council.me()).toMatchObject({
      kind: 'viewer',
      jobId: brackwater.id,
      whom: 'Valley council',
    });
    const board = await council.ask('get', `/api/board?job=${brackwater.id}`);
    expect(board.status).toBe(200);
    expect(JSON.stringify(board.body)).not.toContain('Wenna');
    expect((await council.ask('get', `/api/jobs/${brackwater.id}/as-built.pdf?copy=crew`)).status).toBe(200);
    expect((await council.ask('get', `/api/runs/${run.id}/as-built.pdf`)).status).toBe(200);
    for (const [method, path] of [
      ['get', '/api/board'],
      ['get', `/api/board?job=${oster.id}`],
      ['get', `/api/board?job=${brackwater.id}&job=${oster.id}`],
      ['get', `/api/jobs/${oster.id}/as-built.pdf`],
      ['get', `/api/runs/${oster.runs[0].id}/as-built.pdf`],
      ['get', `/api/runs/${randomUUID()}/as-built.pdf`],
      ['get', `/api/runs/${run.id}`],
      ['get', `/api/jobs/${brackwater.id}/handover.zip`],
      ['get', '/api/jobs'],
      ['get', '/api/changes'],
      ['get', '/api/crew'],
      ['post', `/api/runs/${run.id}/facts`],
      ['delete', `/api/jobs/${brackwater.id}`],
    ] as const)
      expect(answered(await council.ask(method, path)), path).toEqual([403, 'role.refused']);
    await here().ask('delete', `/api/crew/links/${made.id}`);
    for (const one of [council, second])
      expect(answered(await one.ask('get', `/api/board?job=${brackwater.id}`))).toEqual([
        401,
        'session.ended',
      ]);
    expect(answered(await someone().ask('post', '/api/me/look', { code: made.code }))).toEqual([
      404,
      'code.unknown',
    ]);
  });
});

describe('a backup', () => {
  it('holds the work and not the keys: put back, it lets in who may come in now, and nobody else', async () => {
    const sent = await joined('Kitto', 'installer');
    const { name } = (await here().ask('post', '/api/backups')).body as BackupSummary;
    const stays = await joined('Meraud', 'installer');
    const me = await sent.me();
    await here().ask('delete', `/api/crew/members/${'id' in me ? me.id : ''}`);
    expect((await here().ask('post', `/api/backups/${name}/restore`)).status).toBe(200);
    expect((await stays.ask('get', '/api/jobs')).status).toBe(200);
    expect(answered(await sent.ask('get', '/api/jobs'))).toEqual([401, 'session.ended']);
    const file = gunzipSync(readFileSync(join(backups(), name))).toString();
    expect(file).toContain(brackwater.id);
    for (const secret of ['argon2id', 'key_hash', 'code_hash']) expect(file).not.toContain(secret);
  });
});

describe('the log of the crew', () => {
  it('has it all in a sound chain, and shows who tidied it', async () => {
    const read = async () => (await here().ask('get', '/api/crew/log')).body as KeptLog<CrewEntry>;
    const log = await read();
    expect(checkLog(log)).toMatchObject({ sound: true });
    const kinds = new Set(log.facts.map(({ kind }) => kind));
    for (const kind of [
      'owner made',
      'invited',
      'joined',
      'signed in',
      'member removed',
      'link made',
      'link opened',
    ])
      expect(kinds).toContain(kind);
    await db().execute(sql`update crew_log set about = 'Piran' where kind = 'owner made'`);
    expect(checkLog(await read())).toMatchObject({ sound: false, entry: 1 });
  });
});

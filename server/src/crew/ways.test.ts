import type { ApiProblem } from '@kobran/contract';
import request from 'supertest';
import { describe, expect, it } from 'vitest';
import { crewServer, OWNER } from './crewServer.fixture.js';

describe('asked to sign in everywhere', () => {
  const { here, someone } = crewServer({ signIn: 'everywhere' });

  it('at the machine too, by a key which plain HTTP carries; the one of the other door is worth nothing there', async () => {
    expect(await here().me()).toEqual({ kind: 'out', hasCrew: true });
    expect((await here().ask('get', '/api/jobs')).status).toBe(401);
    const wenna = here();
    const { headers } = await wenna.ask('post', '/api/me/sign-in', OWNER);
    expect(headers['set-cookie'][0]).toMatch(/^kobran-here=[\w-]{43};.*HttpOnly; SameSite=Strict$/);
    expect((await wenna.ask('get', '/api/jobs')).status).toBe(200);
    const outside = someone();
    await outside.ask('post', '/api/me/sign-in', OWNER);
    const stranger = here();
    stranger.key = outside.key;
    expect((await stranger.ask('get', '/api/jobs')).status).toBe(401);
  });
});

describe('behind a proxy', () => {
  const proxy = 'https://kobran.example';
  const { someone } = crewServer({ proxy });
  const signIn = (phrase: string, forwarded: string, origin = proxy) =>
    request(someone().url)
      .post('/api/me/sign-in')
      .set('Host', 'kobran.example')
      .set('Origin', origin)
      .set('X-Forwarded-For', forwarded)
      .send({ ...OWNER, phrase });

  it('only its page writes, and browsers come back encrypted', async () => {
    const answer = await signIn(OWNER.phrase, '192.0.2.1').expect(200);
    // RFC 6797, 6.1.
    expect(answer.get('Strict-Transport-Security')).toMatch(/^max-age=\d+$/);
    const refused = await signIn(OWNER.phrase, '192.0.2.1', 'https://kobran.example:444');
    expect((refused.body as ApiProblem).code).toBe('origin.refused');
  });

  it('who guesses waits, by what the proxy says last: not others, and not by an address that was made up', async () => {
    for (let k = 0; k < 5; k++) await signIn('guess', `198.51.100.${k}, 192.0.2.7`).expect(401);
    await signIn(OWNER.phrase, '198.51.100.99, 192.0.2.7').expect(429);
    await signIn(OWNER.phrase, '192.0.2.8').expect(200);
  });
});

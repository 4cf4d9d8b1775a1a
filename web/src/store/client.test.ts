import { routes } from '@kobran/contract';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { call, onSignedOut, Refused, messageOf, SignedOut, Unreachable } from './client.js';

const answers = (response: Response): void => void vi.stubGlobal('fetch', () => Promise.resolve(response));
const failure = async (): Promise<unknown> => call(routes.listJobs, {}).catch((error: unknown) => error);

afterEach(() => vi.unstubAllGlobals());

describe('asking the server', () => {
  it('gives what it answers, and nothing for 204', async () => {
    answers(Response.json({ name: 'job' }));
    expect(await call(routes.listJobs, {})).toEqual({ name: 'job' });
    answers(new Response(null, { status: 204 }));
    expect(await call(routes.removeJob, { id: '1' })).toBeUndefined();
  });

  it('tells a problem in the server’s own words', async () => {
    answers(
      Response.json(
        { code: 'job.stale', message: 'Changed elsewhere.', where: 'version', remedy: 'Look at both.' },
        { status: 409 },
      ),
    );
    const error = await failure();
    expect(error).toBeInstanceOf(Refused);
    expect(messageOf(error)).toBe('Changed elsewhere. Look at both.');
  });

  it('a silent server is unreachable, not a problem of the request', async () => {
    vi.stubGlobal('fetch', () => Promise.reject(new TypeError('Failed to fetch')));
    expect(await failure()).toBeInstanceOf(Unreachable);
  });

  it('signed out: what is done waits as without a network, and somebody is told; a wrong phrase is a problem of its own', async () => {
    const told: boolean[] = [];
    const stop = onSignedOut((hasEnded) => told.push(hasEnded));
    const refuse = (code: string): void =>
      answers(Response.json({ code, message: 'No.', where: 'session', remedy: 'Sign in.' }, { status: 401 }));
    for (const code of ['signed-out', 'session.ended']) {
      refuse(code);
      const error = await failure();
      expect(error).toBeInstanceOf(SignedOut);
      expect(error).toBeInstanceOf(Unreachable);
    }
    refuse('sign-in.wrong');
    expect(await failure()).toBeInstanceOf(Refused);
    stop();
    refuse('signed-out');
    await failure();
    expect(told).toEqual([false, true]);
  });

  it('an answer which is not Kobran’s still has a remedy', async () => {
    answers(new Response('<html>Bad gateway</html>', { status: 502 }));
    const error = await failure();
    expect(error).toBeInstanceOf(Refused);
    expect((error as Refused).problem).toMatchObject({ code: 'server.unknown', where: 'server' });
    expect(messageOf(error)).toContain('502');
  });

  it('sends a body as JSON, and a file’s text as it is', async () => {
    const sent: RequestInit[] = [];
    vi.stubGlobal('fetch', (_: string, init: RequestInit) => {
      sent.push(init);
      return Promise.resolve(Response.json({}));
    });
    await call(routes.createJob, { body: { id: '1', name: 'x', site: '' } });
    await call(routes.importJob, { body: '{"broken":' });
    expect(sent.map(({ body }) => body)).toEqual(['{"id":"1","name":"x","site":""}', '{"broken":']);
  });
});

import { afterEach, describe, expect, it, vi } from 'vitest';
import { ask, Refused, said, Unreachable } from './client.js';

const answers = (response: Response): void => void vi.stubGlobal('fetch', () => Promise.resolve(response));
const failure = async (): Promise<unknown> => ask('GET', '/api/jobs').catch((error: unknown) => error);

afterEach(() => vi.unstubAllGlobals());

describe('asking the server', () => {
  it('gives what it answers, and nothing for 204', async () => {
    answers(Response.json({ name: 'job' }));
    expect(await ask('GET', '/api/jobs')).toEqual({ name: 'job' });
    answers(new Response(null, { status: 204 }));
    expect(await ask('DELETE', '/api/jobs/1')).toBeUndefined();
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
    expect(said(error)).toBe('Changed elsewhere. Look at both.');
  });

  it('a silent server is unreachable, not a problem of the request', async () => {
    vi.stubGlobal('fetch', () => Promise.reject(new TypeError('Failed to fetch')));
    expect(await failure()).toBeInstanceOf(Unreachable);
  });

  it('an answer which is not Kobran’s still has a remedy', async () => {
    answers(new Response('<html>Bad gateway</html>', { status: 502 }));
    const error = await failure();
    expect(error).toBeInstanceOf(Refused);
    expect((error as Refused).problem).toMatchObject({ code: 'server.unknown', where: 'server' });
    expect(said(error)).toContain('502');
  });

  it('sends a body as JSON, and a file’s text as it is', async () => {
    const sent: RequestInit[] = [];
    vi.stubGlobal('fetch', (_: string, init: RequestInit) => {
      sent.push(init);
      return Promise.resolve(Response.json({}));
    });
    await ask('POST', '/api/jobs', { name: 'x' });
    await ask('POST', '/api/jobs/import', '{"broken":');
    expect(sent.map(({ body }) => body)).toEqual(['{"name":"x"}', '{"broken":']);
  });
});

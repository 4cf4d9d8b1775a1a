import type { ApiProblem, JobDocument, JobFile } from '@kobran/contract';
import { randomUUID } from 'node:crypto';
import { deflateSync, crc32 } from 'node:zlib';
import { describe, expect, it } from 'vitest';
import { tarrowmere } from '../demo/tarrowmere.js';
import { demoServer } from '../demoServer.fixture.js';

const { api } = demoServer();
const [job] = tarrowmere;

/** A chunk of a PNG: length, name, data, CRC over name and data (ISO/IEC 15948, 5.3). */
function chunk(name: string, data: Buffer): Buffer {
  const body = Buffer.concat([Buffer.from(name, 'latin1'), data]);
  const [length, crc] = [Buffer.alloc(4), Buffer.alloc(4)];
  length.writeUInt32BE(data.length);
  crc.writeUInt32BE(crc32(body));
  return Buffer.concat([length, body, crc]);
}

/** A grey PNG of 2 by 2 px. */
const png = Buffer.concat([
  Buffer.from('\x89PNG\r\n\x1a\n', 'latin1'),
  chunk('IHDR', Buffer.from([0, 0, 0, 2, 0, 0, 0, 2, 8, 0, 0, 0, 0])),
  chunk('IDAT', deflateSync(Buffer.from([0, 90, 90, 0, 90, 90]))),
  chunk('IEND', Buffer.alloc(0)),
]);
const sent = { type: 'image/png', base64: png.toString('base64') };
const pathOf = (id: string, of = job.id): string => `/api/jobs/${of}/pictures/${id}`;

describe('a picture of a job', () => {
  it('comes back byte for byte, is never changed, and runs no script', async () => {
    const id = randomUUID();
    await api().put(pathOf(id)).send(sent).expect(204);
    await api()
      .put(pathOf(id))
      .send({ type: 'image/jpeg', base64: Buffer.from([0xff, 0xd8, 0xff, 0xe0]).toString('base64') })
      .expect(204);
    const answer = await api().get(pathOf(id)).expect(200);
    expect(answer.headers['content-type']).toBe('image/png');
    expect(answer.headers['x-content-type-options']).toBe('nosniff');
    expect(Buffer.compare(answer.body as Buffer, png)).toBe(0);
  });

  it.each<[string, object, string]>([
    [
      'a text which says it is one',
      { ...sent, base64: Buffer.from('<svg/>').toString('base64') },
      'picture.not-a-picture',
    ],
    ['another type than it says', { ...sent, type: 'image/webp' }, 'picture.not-a-picture'],
    ['a drawing with scripts', { ...sent, type: 'image/svg+xml' }, 'value.isIn'],
    ['no base64', { ...sent, base64: '%%%' }, 'value.isBase64'],
    ['nothing', {}, 'value.isIn'],
  ])('%s is refused', async (_, body, code) => {
    const answer = await api().put(pathOf(randomUUID())).send(body).expect(400);
    expect((answer.body as ApiProblem).code).toBe(code);
  });

  it('of 40 MB is refused before it is read, of a little over 2 MB in words', async () => {
    await api()
      .put(pathOf(randomUUID()))
      .send({ ...sent, base64: 'A'.repeat(53_000_000) })
      .expect(413);
    const large = Buffer.concat([png, Buffer.alloc(2_000_000)]);
    const answer = await api()
      .put(pathOf(randomUUID()))
      .send({ ...sent, base64: large.toString('base64') });
    expect(answer.status).toBe(400);
    expect((answer.body as ApiProblem).message).toMatch(/2 MB: make it smaller/);
  });

  it('of no job, or which nobody has kept, is not there', async () => {
    await api().put(pathOf(randomUUID(), randomUUID())).send(sent).expect(404);
    await api().get(pathOf(randomUUID())).expect(404);
  });

  it('that lies under the plan goes out and comes in with its job', async () => {
    const id = randomUUID();
    await api().put(pathOf(id)).send(sent).expect(204);
    const { place } = (await api().get(`/api/jobs/${job.id}`).expect(200)).body as JobDocument;
    const picture = {
      id,
      widthPx: 2,
      heightPx: 2,
      places: [
        { xPx: 0, yPx: 0, xM: 0, yM: 0 },
        { xPx: 200, yPx: 0, xM: 20, yM: 0 },
      ],
    };
    await api()
      .put(`/api/jobs/${job.id}/site`)
      .send({ version: place?.version, site: { ...place?.site, picture } })
      .expect(200);
    const file = (await api().get(`/api/jobs/${job.id}/file`).expect(200)).body as JobFile;
    // The first is the one under the plan; those of the log follow.
    expect(file.pictures?.[0]).toEqual({ id, ...sent });
    const copy = (await api().post('/api/jobs/import').send(file).expect(201)).body as JobDocument;
    expect(copy.place?.site.picture).toEqual(picture);
    const answer = await api().get(pathOf(id, copy.id)).expect(200);
    expect(Buffer.compare(answer.body as Buffer, png)).toBe(0);
    const spoilt = { ...file, pictures: [{ id, type: 'image/png', base64: 'AAAA' }] };
    const refused = await api().post('/api/jobs/import').send(spoilt).expect(400);
    expect((refused.body as ApiProblem).where).toBe('pictures[0].base64');
  });
});

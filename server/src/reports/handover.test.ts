import type { DueInspection, JobDocument, JobFile, RunDocument } from '@kobran/contract';
import { TEXT_WIDTH_MM, type KeptLog, type Sheet } from '@kobran/core';
import { strFromU8, unzipSync } from 'fflate';
import ICAL from 'ical.js';
import { randomUUID } from 'node:crypto';
import { OPS, getDocument, type PDFDocumentProxy } from 'pdfjs-dist/legacy/build/pdf.mjs';
import type { Response } from 'supertest';
import { describe, expect, it } from 'vitest';
import { demoServer } from '../demoServer.fixture.js';
import { tarrowmere } from '../demo/tarrowmere.js';

const { api } = demoServer();
const [brackwater] = tarrowmere;
const [vhf] = brackwater.runs;

function binary(response: Response, done: (error: Error | null, body: Buffer) => void): void {
  const chunks: Buffer[] = [];
  const stream = response as unknown as NodeJS.ReadableStream;
  stream.on('data', (chunk: Buffer) => chunks.push(chunk));
  stream.on('end', () => done(null, Buffer.concat(chunks)));
}
const fetched = async (path: string): Promise<Buffer> =>
  (await api().get(path).buffer(true).parse(binary).expect(200)).body as Buffer;

/** Opens a PDF with a reader that had no part in writing it. */
const opened = (bytes: Buffer): Promise<PDFDocumentProxy> =>
  getDocument({ data: new Uint8Array(bytes), verbosity: 0 }).promise;
async function words(pdf: PDFDocumentProxy): Promise<string> {
  const pages = await Promise.all(
    Array.from(
      { length: pdf.numPages },
      async (_, k) => (await (await pdf.getPage(k + 1)).getTextContent()).items,
    ),
  );
  return pages
    .flat()
    .map((item) => ('str' in item ? item.str : ''))
    .join(' ')
    .replace(/\s+/g, ' ');
}
interface Chapter {
  title: string;
  items: Chapter[];
}

/** Filled boxes of a page, mm. */
async function boxes(
  pdf: PDFDocumentProxy,
  page: number,
): Promise<{ x: number; width: number; height: number }[]> {
  const { fnArray, argsArray } = await (await pdf.getPage(page)).getOperatorList();
  const mm = (points: number): number => (points * 25.4) / 72;
  return fnArray.flatMap((operation, at) => {
    if (operation !== OPS.constructPath) return [];
    const [minX, minY, maxX, maxY] = (argsArray[at] as [unknown, unknown, number[]])[2];
    return [{ x: mm(minX), width: mm(maxX - minX), height: mm(maxY - minY) }];
  });
}

describe('the as-built of a run', () => {
  const path = `/api/runs/${vhf.id}/as-built.pdf`;

  it('says what was built, by whom, what was read, what is open, and the head of the log', async () => {
    const pdf = await opened(await fetched(path));
    const text = await words(pdf);
    const { head } = (await api().get(`/api/runs/${vhf.id}/log`)).body as KeptLog;
    const sheet = (await api().get(`/api/runs/${vhf.id}/sheet`)).body as Sheet;
    expect(text).toContain(vhf.design.name);
    for (const { name, part } of sheet.ends) {
      expect(text).toContain(name);
      expect(text).toContain(part.name);
    }
    expect(text).toContain('Wenna');
    for (const { what } of sheet.snags) expect(text).toContain(what);
    expect(text.replaceAll(' ', '')).toContain(head);
    expect(text).toContain('Birth record');
    expect(text).not.toMatch(/undefined|NaN|\[object/);
  });

  it('draws its ruler to scale: each piece as long on paper as it is in the run', async () => {
    const pdf = await opened(await fetched(path));
    const sheet = (await api().get(`/api/runs/${vhf.id}/sheet`)).body as Sheet;
    const drawn = await boxes(pdf, 1);
    for (const { fromM, toM, kind } of sheet.pieces.filter(({ kind: one }) => one === 'assembly')) {
      const wanted = ((toM - fromM) / sheet.totalM) * TEXT_WIDTH_MM;
      expect(
        drawn.some(({ width, height }) => Math.abs(width - wanted) < 0.1 && height < 3),
        kind,
      ).toBe(true);
    }
  });

  it('shows its photos, as many as are in its log', async () => {
    const pdf = await opened(await fetched(path));
    const drawn = await Promise.all(
      Array.from({ length: pdf.numPages }, async (_, k) => {
        const { fnArray } = await (await pdf.getPage(k + 1)).getOperatorList();
        return fnArray.filter((operation) => operation === OPS.paintImageXObject).length;
      }),
    );
    // Two were taken of this run: the jumper’s plug, and the end which failed.
    expect(drawn.reduce((sum, one) => sum + one, 0)).toBe(2);
    expect(await words(pdf)).toContain('crimped, boot still off');
  });

  it('has an outline and is tagged', async () => {
    const pdf = await opened(await fetched(path));
    const outline = (await pdf.getOutline()) as Chapter[];
    expect(outline.map(({ title }) => title)).toEqual([vhf.design.name]);
    expect(outline[0].items.map(({ title }) => title)).toEqual(
      expect.arrayContaining(['Figures', 'Readings', 'Open problems', 'Log', 'Signatures']),
    );
    const tree = JSON.stringify(await (await pdf.getPage(1)).getStructTree());
    for (const role of ['H1', 'H2', 'Table', 'Figure']) expect(tree).toContain(`"${role}"`);
    expect((await pdf.getMarkInfo())?.Marked).toBe(true);
  });

  it('a customer’s copy has no names of the crew, and all else', async () => {
    const text = await words(await opened(await fetched(`${path}?copy=customer`)));
    for (const name of brackwater.practice.crew ?? []) expect(text).not.toContain(name);
    expect(text).toContain('Readings');
  });

  it('says which revision it is, or that nobody signed', async () => {
    expect(await words(await opened(await fetched(path)))).toContain('Not signed: this is a draft.');
    const signed = brackwater.runs.find(({ handedOver }) => handedOver);
    const text = await words(await opened(await fetched(`/api/runs/${signed?.id}/as-built.pdf`)));
    expect(text).toContain('Changed since revision 1 of 2026-11-05');
  });

  it('refuses what it does not know', async () => {
    await api().get(`${path}?copy=everybody`).expect(400);
    await api().get(`/api/runs/${randomUUID()}/as-built.pdf`).expect(404);
  });
});

describe('a site is handed over', () => {
  const path = `/api/jobs/${brackwater.id}`;

  it('as a document with its schedule, its ground and a chapter for each run', async () => {
    const pdf = await opened(await fetched(`${path}/as-built.pdf`));
    const text = await words(pdf);
    expect(text).toContain('Cable schedule');
    const chapters = (await pdf.getOutline()).map(({ title }) => title);
    for (const { design } of brackwater.runs) expect(chapters).toContain(design.name);
  });

  it('as one file, whose job any Kobran imports again, identical', async () => {
    const files = unzipSync(new Uint8Array(await fetched(`${path}/handover.zip`)));
    expect(Object.keys(files)).toEqual(
      expect.arrayContaining([
        'job.json',
        'as-built.pdf',
        'inspections.ics',
        'cable-schedule.csv',
        'cut-list.csv',
        'materials-used.csv',
        'parts.csv',
        'site.geojson',
      ]),
    );
    expect(Object.keys(files).some((name) => /^sweeps\/1-.*\.s[12]p$/.test(name))).toBe(true);
    // Two plugs went onto the jumper (the demo’s log): both are in the list of what was used.
    const used = strFromU8(files['materials-used.csv']).split('\n');
    expect(used.filter((line) => /VHF voice.*N plug/.test(line)).length).toBeGreaterThanOrEqual(2);
    expect(strFromU8(files['cut-list.csv'])).toMatch(/VHF voice[^\n]*Hut jumper[^\n]*yes/);
    const file = JSON.parse(strFromU8(files['job.json'])) as JobFile;
    const { id } = (await api().post('/api/jobs/import').send(file).expect(201)).body as JobDocument;
    const again = JSON.parse(
      strFromU8(unzipSync(new Uint8Array(await fetched(`/api/jobs/${id}/handover.zip`)))['job.json']),
    ) as JobFile;
    const lasting = ({ exportedAt: _, ...rest }: JobFile): unknown =>
      JSON.parse(JSON.stringify(rest, (key, value: unknown) => (key === 'id' ? undefined : value)));
    expect(lasting(again)).toEqual(lasting(file));
    expect(strFromU8(files['log-heads.txt'])).toContain(file.runs[0].log?.head);
  });

  it('what is looked at again in all jobs, with its job, and as a calendar', async () => {
    // In the salt after six months (handbook of the trade, 6): sealed on 4 May, due on 4 November.
    const [first] = (await api().get('/api/inspections').expect(200)).body as DueInspection[];
    expect(first).toMatchObject({
      job: 'Saltpan Jetty',
      due: expect.stringMatching(/^2026-11-04/) as string,
    });
    expect(first.overdue).toBe(true);
    const calendar = (await fetched('/api/inspections.ics')).toString('utf8');
    const [event] = new ICAL.Component(ICAL.parse(calendar) as unknown[]).getAllSubcomponents('vevent');
    expect(new ICAL.Event(event).startDate.toString()).toBe('2026-11-04');
    await api().delete(`/api/jobs/${first.jobId}`).expect(204);
    expect(
      ((await api().get('/api/inspections')).body as DueInspection[]).some(({ job }) => job === first.job),
    ).toBe(false);
  });

  it('inspections as a calendar which another reader understands; an empty one is one too', async () => {
    const read = async (): Promise<ICAL.Event[]> => {
      const text = (await fetched(`${path}/inspections.ics`)).toString('utf8');
      const calendar = new ICAL.Component(ICAL.parse(text) as unknown[]);
      return calendar.getAllSubcomponents('vevent').map((one) => new ICAL.Event(one));
    };
    expect(await read()).toEqual([]);
    const { wraps } = (await api().get(`/api/runs/${vhf.id}/sheet`)).body as Sheet;
    const outdoors = wraps.find(({ zone }) => zone === 'outdoor');
    const sealed = {
      id: randomUUID(),
      kind: 'sealed',
      by: 'Joss',
      at: '2026-11-26T15:00:00.000Z',
      jointId: outdoors?.jointId,
    };
    await api().post(`/api/runs/${vhf.id}/facts`).send(sealed).expect(204);
    const [event, ...others] = await read();
    expect(others).toEqual([]);
    // Handbook of the trade, 6: outdoors after 24 months.
    expect(event.startDate.toString()).toBe('2028-11-26');
    expect(event.summary).toContain(vhf.design.name);
    const run = (await api().get(`/api/runs/${vhf.id}`)).body as RunDocument;
    expect(run.facts.some(({ kind }) => kind === 'sealed')).toBe(true);
  });
});

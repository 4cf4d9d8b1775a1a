import { CHECK_BAR_MM, catalog, entry, labelForms, labelSizes, stripGauge } from '@kobran/core';
import jsQRModule from 'jsqr';
import { randomUUID } from 'node:crypto';
import { OPS, getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import type { Response } from 'supertest';
import { describe, expect, it } from 'vitest';
import { brackwater } from '../demo/brackwater.js';
import { demoServer } from '../demoServer.fixture.js';

const vhf = '/api/runs/7a0e1d00-0000-4000-8000-00000000a001';
const { api } = demoServer();
// A package of the older kind: what it gives may stand under its default.
const jsQR = 'default' in jsQRModule ? jsQRModule.default : jsQRModule;

/** A box of a drawn path, mm on paper. */
interface Drawn {
  /** Words have it. */
  text?: string;
  x: number;
  y: number;
  width: number;
  height: number;
}

/** Reads a PDF back with a reader that had no part in writing it: page size, drawn paths and words. */
async function readBack(
  response: Response,
): Promise<{ size: number[]; paths: Drawn[]; words: string; boxes: Drawn[] }[]> {
  const mm = (points: number): number => (points * 25.4) / 72;
  const pdf = await getDocument({ data: new Uint8Array(response.body as Buffer), verbosity: 0 }).promise;
  return Promise.all(
    Array.from({ length: pdf.numPages }, async (_, k) => {
      const page = await pdf.getPage(k + 1);
      const { fnArray, argsArray } = await page.getOperatorList();
      // The page is turned upside down by one transform at its start and drawn in points after it.
      const scales: number[] = [];
      const paths: Drawn[] = [];
      fnArray.forEach((operation, at) => {
        if (operation === OPS.transform) scales.push(Math.abs((argsArray[at] as number[])[0]));
        if (operation !== OPS.constructPath) return;
        const [minX, minY, maxX, maxY] = (argsArray[at] as [unknown, unknown, number[]])[2];
        paths.push({ x: mm(minX), y: mm(minY), width: mm(maxX - minX), height: mm(maxY - minY) });
      });
      expect(new Set(scales)).toEqual(new Set([1]));
      const { items } = await page.getTextContent();
      return {
        size: page.view.slice(2).map(mm),
        paths,
        words: items.map((item) => ('str' in item ? item.str : '')).join(' '),
        boxes: items.flatMap((item) => {
          if (!('str' in item) || item.str.trim() === '') return [];
          const [x, y] = [Number(item.transform[4]), page.view[3] - Number(item.transform[5])];
          // From the feet of the letters up by what capitals take.
          const high = 0.7 * item.height;
          return [{ text: item.str, x: mm(x), y: mm(y - high), width: mm(item.width), height: mm(high) }];
        }),
      };
    }),
  );
}

const fetched = (path: string) => api().get(path).buffer(true).parse(binary).expect(200);
function binary(response: Response, done: (error: Error | null, body: Buffer) => void): void {
  const chunks: Buffer[] = [];
  const stream = response as unknown as NodeJS.ReadableStream;
  stream.on('data', (chunk: Buffer) => chunks.push(chunk));
  stream.on('end', () => done(null, Buffer.concat(chunks)));
}

describe('gauges to feel', () => {
  it('one for each part and cable, however many ends have them', async () => {
    const pages = await readBack(await fetched(`${vhf}/gauges.pdf?form=tactile`));
    const titles = pages.map(({ words }) => words).join(' ');
    expect(titles).toContain('Gauges to feel');
    const pairs = titles.match(/, on [^.]+? Notches/g) ?? [];
    expect(pairs.length).toBeGreaterThan(1);
    expect(new Set(pairs.map((one, k) => titles.split(', on ')[k] + one)).size).toBe(pairs.length);
  });

  it('has an upright edge at each cut at true 1:1, deeper for a deeper layer', async () => {
    const [page] = await readBack(await fetched(`${vhf}/gauges.pdf?form=tactile&end=jumper.a`));
    const gauge = stripGauge(entry(catalog.parts, 'uhf-plug-crimp-10mm'), entry(catalog.cables, 'rg213'));
    // IEC and handbook figures of the soldered UHF strip stand in stripFacts; here: paper against gauge.
    const uprights = page.paths.filter(({ width, height }) => width < 0.02 && height > 2 && height < 10);
    const left = Math.min(
      ...page.paths.filter(({ height }) => Math.abs(height - 26) < 0.02).map(({ x }) => x),
    );
    let atMm = 0;
    let deeper = Infinity;
    for (const { lengthMm } of gauge.stretches) {
      atMm += lengthMm;
      const edge = uprights.find(({ x }) => Math.abs(x - left - atMm) < 0.02);
      expect(edge, `${atMm} mm`).toBeDefined();
      expect(edge?.height).toBeLessThan(deeper);
      deeper = edge?.height ?? 0;
    }
  });
});

describe('strip gauges on paper', () => {
  it('are drawn at true 1:1, with a bar of 100 mm, on A4 (ISO 216)', async () => {
    const response = await fetched(`${vhf}/gauges.pdf?end=jumper.a`);
    expect(response.headers['content-type']).toBe('application/pdf');
    const [page, ...others] = await readBack(response);
    expect(others).toEqual([]);
    expect(page.size[0]).toBeCloseTo(210, 2);
    expect(page.size[1]).toBeCloseTo(297, 2);
    const wide = (mm: number): Drawn[] => page.paths.filter(({ width }) => Math.abs(width - mm) < 0.02);
    expect(wide(CHECK_BAR_MM).length).toBe(1);
    const gauge = stripGauge(entry(catalog.parts, 'uhf-plug-crimp-10mm'), entry(catalog.cables, 'rg213'));
    for (const { lengthMm, diameterMm } of gauge.stretches)
      expect(
        page.paths.some(
          ({ width, height }) => Math.abs(width - lengthMm) < 0.02 && Math.abs(height - diameterMm) < 0.02,
        ),
        `${lengthMm} x ${diameterMm}`,
      ).toBe(true);
    expect(wide(gauge.jacketCutMm).length).toBeGreaterThan(0);
    for (const { lengthMm, outerMm } of entry(catalog.parts, 'uhf-plug-crimp-10mm').train)
      expect(
        page.paths.some(
          ({ width, height }) => Math.abs(width - lengthMm) < 0.02 && Math.abs(height - outerMm) < 0.02,
        ),
      ).toBe(true);
    // Nothing runs off the paper.
    for (const { x, y, width, height } of page.paths) {
      expect(Math.min(x, y)).toBeGreaterThanOrEqual(0);
      expect(x + width).toBeLessThanOrEqual(210);
      expect(y + height).toBeLessThanOrEqual(297);
    }
    expect(page.words).toContain('no way back');
    expect(page.words).toContain('Hut jumper, radio end');
  });

  it('come one page to an end, and in inches where the shop thinks so', async () => {
    const pages = await readBack(await fetched(`${vhf}/gauges.pdf?units=imperial`));
    expect(pages).toHaveLength(4);
    expect(pages[0].words).toContain('1 23/32 in');
  });

  it.each([
    [`${vhf}/gauges.pdf?end=nowhere.a`, 404],
    [`${vhf}/gauges.pdf?units=cubits`, 400],
    [`/api/runs/${randomUUID()}/gauges.pdf`, 404],
    [`${vhf}/labels.pdf?piece=jumper&count=0`, 400],
    [`${vhf}/labels.pdf?piece=jumper&count=51`, 400],
    [`${vhf}/labels.pdf?piece=jumper&count=ten`, 400],
    [`${vhf}/labels.pdf?piece=arrester&count=2`, 404],
  ])('%s is refused with %d and the reason', async (path, status) => {
    const { body } = (await api().get(path).expect(status)) as { body: { message: string; remedy: string } };
    expect(body.message).toBeTruthy();
    expect(body.remedy).toBeTruthy();
  });
});

const within = (one: Drawn, frame: Drawn): boolean =>
  one.x >= frame.x &&
  one.y >= frame.y &&
  one.x + one.width <= frame.x + frame.width &&
  one.y + one.height <= frame.y + frame.height;
const overlap = (one: Drawn, other: Drawn): boolean =>
  one.x < other.x + other.width &&
  other.x < one.x + one.width &&
  one.y < other.y + other.height &&
  other.y < one.y + one.height;

describe('labels', () => {
  it('of a whole run: every assembly, both its ends', async () => {
    const [page] = await readBack(await fetched(`${vhf}/labels.pdf`));
    expect(page.words).toContain('Hut jumper');
    expect(page.words).toContain('Mast cable');
    expect(page.words).toContain('antenna end');
    // The box in its way has one too.
    expect(page.words).toContain('Entry box');
    expect(page.words).toContain('from the radio');
  });

  it.each(labelForms.flatMap((form) => labelSizes.map((size) => [form, size] as const)))(
    'no text of a %s, %s, lies over another, over its code or beyond its edge',
    async (form, size) => {
      const pages = await readBack(
        await fetched(`/api/jobs/${brackwater.id}/labels.pdf?form=${form}&size=${size}`),
      );
      for (const { size: paper, paths, boxes } of pages) {
        const frames =
          form === 'roll'
            ? [{ x: 0, y: 0, width: paper[0], height: paper[1] }]
            : paths.filter(({ width }) => width > 30);
        expect(frames.length).toBeGreaterThan(0);
        const dark = paths.filter(({ width }) => width <= 30);
        for (const [k, one] of boxes.entries()) {
          expect(
            frames.filter((frame) => within(one, frame)),
            one.text,
          ).toHaveLength(1);
          for (const other of [...boxes.slice(k + 1), ...dark])
            expect(overlap(one, other), `${one.text} over ${other.text}`).toBe(false);
        }
      }
    },
  );

  it('of a whole site: those of every run', async () => {
    const pages = await readBack(await fetched(`/api/jobs/${brackwater.id}/labels.pdf?form=wrap`));
    const words = pages.map((page) => page.words).join(' ');
    // A long name is cut with an ellipsis; so much of each is always there.
    for (const { design } of brackwater.runs) expect(words).toContain(design.name.slice(0, 7));
  });

  it('two to a piece, numbered, as many pages as they need', async () => {
    const pages = await readBack(await fetched(`${vhf}/labels.pdf?piece=jumper&count=20`));
    const frames = pages.map(({ paths }) => paths.filter(({ width }) => width > 30));
    expect(frames.map(({ length }) => length)).toEqual([39, 1]);
    expect(pages[0].words).toContain('Hut jumper 1');
    expect(pages[1].words).toContain('Hut jumper 20');
    for (const { width, height } of frames[0]) {
      expect(width).toBeCloseTo(60, 1);
      expect(height).toBeCloseTo(20, 1);
    }
  });

  // ISO/IEC 18004, decoded by a library which had no part in writing it, from what is drawn on the page.
  it('its code leads to the piece in this Kobran', async () => {
    const [{ size, paths, words }] = await readBack(await fetched(`${vhf}/labels.pdf?piece=main&form=roll`));
    const PX_PER_MM = 16;
    const [width, height] = size.map((mm) => Math.round(mm * PX_PER_MM));
    const image = new Uint8ClampedArray(4 * width * height).fill(255);
    for (const { x, y, width: w, height: h } of paths)
      for (let row = Math.round(y * PX_PER_MM); row < Math.round((y + h) * PX_PER_MM); row++)
        for (let column = Math.round(x * PX_PER_MM); column < Math.round((x + w) * PX_PER_MM); column++)
          image.fill(0, 4 * (row * width + column), 4 * (row * width + column) + 3);
    const decoded = jsQR(image, width, height);
    expect(decoded?.data).toMatch(
      new RegExp(`^http://127\\.0\\.0\\.1:\\d+/runs/${vhf.slice('/api/runs/'.length)}/visit\\?at=main$`),
    );
    // Read without any server: the words say the same.
    expect(words).toContain('00a001-main-a');
  });
});

import { describe, expect, it } from 'vitest';
import { catalog } from '../catalog/index.js';
import { arrester, cable, fact, sheetOf } from '../run/aRun.fixture.js';
import { predictSweep } from '../run/index.js';
import { groundedSite } from '../site/aGround.fixture.js';
import { aSite, routed } from '../site/aSite.fixture.js';
import { heightProfile, onSite, routeMarks, survey } from '../site/index.js';
import { groundDrawing } from './groundDrawing.js';
import { birthEcho, heightDrawing, TEXT_WIDTH_MM, type Block } from './index.js';
import { planDrawing } from './planDrawing.js';
import { sealDrawing } from './sealDrawing.js';
import { echoDrawing } from './sweepDrawing.js';

const site = aSite();
const design = onSite(
  routed({ pieces: [cable({ id: 'in', lengthM: 3 }), arrester(), cable({ lengthM: 22.5 })] }),
  site,
);
const sheet = sheetOf(design);

type Drawing = Extract<Block, { kind: 'drawing' }>;
/** Nothing of a drawing stands outside the text of the page. */
function expectOnPaper({ shapes, heightMm, says }: Drawing): void {
  expect(says).not.toMatch(/NaN|Infinity|undefined/);
  for (const shape of shapes) {
    const [right, bottom] =
      shape.kind === 'line'
        ? [Math.max(shape.x, shape.toX), Math.max(shape.y, shape.toY)]
        : shape.kind === 'box'
          ? [shape.x + shape.width, shape.y + shape.height]
          : [shape.x, shape.y];
    expect(shape.x, JSON.stringify(shape)).toBeGreaterThanOrEqual(-1e-6);
    expect(shape.y, JSON.stringify(shape)).toBeGreaterThanOrEqual(-1e-6);
    expect(right, JSON.stringify(shape)).toBeLessThanOrEqual(TEXT_WIDTH_MM + 1e-6);
    expect(bottom, JSON.stringify(shape)).toBeLessThanOrEqual(heightMm + 1e-6);
  }
}

describe('drawings of the as-built', () => {
  it('the elevation rises by the mast, on the scale of the ruler, and says its marks', () => {
    const profile = heightProfile(design, site);
    if (!profile) throw new Error('the run has a route');
    const marks = routeMarks(profile, { design, sheet, runId: 'run-0' }, site, catalog);
    const drawing = heightDrawing(profile, marks, sheet.totalM, 'metric') as Drawing;
    expectOnPaper(drawing);
    const run = drawing.shapes.filter((shape) => shape.kind === 'line' && shape.what === 'height');
    const last = run.at(-1);
    expect(run.length).toBe(profile.line.length - 1);
    // The antenna is higher than the radio, and paper counts downwards.
    expect(last?.kind === 'line' && last.toY < run[0].y).toBe(true);
    const supports = marks.filter(({ kind }) => kind === 'support').length;
    expect(supports).toBeGreaterThan(5);
    expect(drawing.says).toContain(`${supports} supports`);
  });

  it('a seal is as long and as thick on paper as it is, layer over layer', () => {
    const sealed = sheetOf(design, [fact({ kind: 'sealed', jointId: 'main>antenna' })]);
    const wrap = sealed.wraps.find(({ jointId }) => jointId === 'main>antenna');
    if (!wrap?.wrap) throw new Error('the joint at the antenna is sealed');
    const drawing = sealDrawing(wrap, 'metric') as Drawing;
    expectOnPaper(drawing);
    const layers = drawing.shapes.filter((shape) => shape.kind === 'line');
    const steps = drawing.shapes.filter((shape) => shape.kind === 'box');
    const [x, toX] = [Math.min(...layers.map((one) => one.x)), Math.max(...layers.map((one) => one.toX))];
    const scale = (toX - x) / wrap.wrap.length.value;
    const thick = Math.max(...layers.map(({ y }) => y)) - Math.min(...layers.map(({ y }) => y));
    expect(thick / scale).toBeCloseTo(wrap.wrap.finishedDiameter.value, 6);
    for (const [k, { width, height }] of steps.entries()) {
      expect(width / scale).toBeCloseTo(wrap.profile[k].lengthM, 6);
      expect(height / scale).toBeCloseTo(wrap.profile[k].diameterM, 6);
    }
  });

  it('the ground has a box for each part and a line for each conductor, within the page', () => {
    const own = groundedSite();
    const siteSheet = survey(own, [], catalog);
    const drawing = groundDrawing(siteSheet, 'metric') as Drawing;
    expectOnPaper(drawing);
    expect(drawing.shapes.filter(({ kind }) => kind === 'box')).toHaveLength(siteSheet.ground.nodes.length);
    for (const { bond } of siteSheet.ground.bonds)
      expect(
        drawing.shapes.some((shape) => shape.kind === 'line' && shape.what === `conductor ${bond.id}`),
      ).toBe(true);
    expect(groundDrawing(survey(aSite(), [], catalog), 'metric')).toBeUndefined();
  });

  it('the plan has its ways to scale, north up', () => {
    const drawing = planDrawing(site, 'metric') as Drawing;
    expectOnPaper(drawing);
    const at = (id: string): { x: number; y: number } => {
      const box = drawing.shapes.find((shape) => shape.kind === 'box' && shape.what === `point ${id}`);
      if (!box) throw new Error(`${id} is not drawn`);
      return box;
    };
    const [one, two, three] = site.points;
    const [a, b, c] = [one, two, three].map(({ id }) => at(id));
    const paper = (p: typeof a, q: typeof a): number => Math.hypot(p.x - q.x, p.y - q.y);
    const ground = (p: typeof one, q: typeof one): number => Math.hypot(p.xM - q.xM, p.yM - q.yM);
    expect(paper(a, b) * ground(one, three)).toBeCloseTo(paper(a, c) * ground(one, two), 6);
    const [northern, southern] = site.points
      .toSorted((p, q) => q.yM - p.yM)
      .filter((_, k, all) => k === 0 || k === all.length - 1);
    expect(at(northern.id).y).toBeLessThanOrEqual(at(southern.id).y);
  });

  // An open end sends everything back, from where it is: the run’s own length within what 500 MHz tell apart (c/2B = 0.2 m).
  it('an echo of a cable left open has its end as the largest, at its length', () => {
    const frequencyHz = Float64Array.from({ length: 401 }, (_, k) => 10e6 + k * 1.225e6);
    const { s11 } = predictSweep(design, catalog, 'main', 'open', frequencyHz);
    const echo = birthEcho(design, catalog, { pieceId: 'main', far: 'open', frequencyHz, s11 });
    if (!echo) throw new Error('an even sweep has an echo');
    expect(echo.peaks[0].distanceM).toBeGreaterThan(22.2);
    expect(echo.peaks[0].distanceM).toBeLessThan(22.8);
    expectOnPaper(echoDrawing(echo, 'metric') as Drawing);
    expect(birthEcho(design, catalog, { pieceId: 'gone', far: 'open', frequencyHz, s11 })).toBeUndefined();
  });
});

import { describe, expect, it } from 'vitest';
import { catalog, entry, withShop } from '../../catalog/index.js';
import { aRun, anOutdoorRun, cable, sheetOf, sheetWith } from '../aRun.fixture.js';
import { cableChoice, type CableChoice } from '../index.js';
import type { Assembly, Design } from '../design/design.js';

const choose = (design: Design, id = 'main'): CableChoice => {
  const piece = design.pieces.find((one): one is Assembly => one.kind === 'assembly' && one.id === id);
  if (!piece) throw new Error('no such cable');
  return cableChoice(design, piece, sheetOf(design), catalog);
};
const marked = ({ rows }: CableChoice, what: string): string | undefined =>
  rows.find(({ marks }) => marks.some((mark) => mark === what))?.cable.id;

describe('all cables side by side', () => {
  it('every cable is weighed, thinnest first, and each refusal has its reason', () => {
    const { rows } = choose(anOutdoorRun());
    expect(rows).toHaveLength(catalog.cables.size);
    expect(rows.map(({ cable: { jacketMm } }) => jacketMm)).toEqual(
      rows.map(({ cable: { jacketMm } }) => jacketMm).toSorted((a, b) => a - b),
    );
    for (const { adequate, against } of rows) expect(adequate).toBe(against.length === 0);
  });

  it('the loss it foretells is the loss the run then has', () => {
    const design = aRun();
    for (const { changed, loss } of choose(design).rows) {
      if (!changed || entry(catalog.cables, changed.cable).impedanceOhm !== 50) continue;
      const after = sheetOf({ ...design, pieces: [changed] });
      expect(after.figures.loss.value).toBeCloseTo(loss.value, 1);
    }
  });

  it('the cheapest adequate is the thinnest which keeps the budget; the best loses least', () => {
    const choice = choose(aRun({ pieces: [cable({ lengthM: 30 })], service: { lossBudgetDb: 2.5 } }));
    const adequate = choice.rows.filter((row) => row.adequate);
    expect(choice.basis).toBe('diameter');
    const cheapest = adequate.find(({ marks }) =>
      marks.includes(choice.basis === 'price' ? 'cheapest adequate' : 'thinnest adequate'),
    );
    expect(cheapest?.cable.jacketMm).toBe(adequate[0].cable.jacketMm);
    const least = Math.min(...adequate.map(({ loss }) => loss.value));
    expect(adequate.find(({ marks }) => marks.includes('lowest loss'))?.loss.value).toBe(least);
  });

  // Geometry: on the frontier of diameter and loss, both brought to 0..1, the point farthest from the line between its ends.
  it('the best value is the bend of the frontier: beyond it thicker cable buys little', () => {
    const choice = choose(aRun({ pieces: [cable({ lengthM: 30 })], service: { lossBudgetDb: 2.5 } }));
    const points = choice.rows
      .filter(({ against }) => against.every(({ kind }) => kind === 'budget'))
      .map(({ cable: { id, jacketMm }, loss }) => ({ id, x: jacketMm, y: loss.value }));
    const front = points.filter(
      (one) =>
        !points.some(
          (other) =>
            other !== one && other.x <= one.x && other.y <= one.y && (other.x < one.x || other.y < one.y),
        ),
    );
    const [xs, ys] = [front.map(({ x }) => x), front.map(({ y }) => y)];
    const unit = (value: number, all: number[]): number =>
      (value - Math.min(...all)) / (Math.max(...all) - Math.min(...all));
    // Distance from the line x + y = 1 between (0, 1) and (1, 0).
    const distance = ({ x, y }: { x: number; y: number }): number =>
      (1 - unit(x, xs) - unit(y, ys)) / Math.SQRT2;
    const [farthest] = front.toSorted((one, other) => distance(other) - distance(one));
    expect(distance(farthest)).toBeGreaterThan(0.1);
    expect(choice.rows.find(({ marks }) => marks.includes('best value'))?.cable.id).toBe(farthest.id);
  });

  // Handbook practice: 75 ohm is refused for transmitting and allowed for receiving; transmit heat does not count there.
  it('receive-only runs may be 75 ohm and are judged by signal-to-noise', () => {
    const transmit = choose(aRun()).rows.find((row) => row.cable.id === 'rg11');
    expect(transmit?.against.map(({ text }) => text).join()).toContain('75 ohm in a 50 ohm run');
    const receive = choose(
      aRun({
        service: { powerW: 0, bands: [{ name: 'hf', lowHz: 7e6, highHz: 7e6 }], lossBudgetDb: 1 },
        pieces: [cable({ lengthM: 60 })],
      }),
    );
    const row = receive.rows.find(({ cable: { id } }) => id === 'rg11');
    expect(row?.against.map(({ text }) => text).join()).not.toContain('75 ohm in');
    expect(row?.margin).toBeUndefined();
    // 60 m of thin cable lose several decibels at 7 MHz and yet cost nothing that is heard.
    const thin = receive.rows.find(({ cable: { id } }) => id === 'rg174');
    expect(thin?.loss.value).toBeGreaterThan(3);
    expect(thin?.left.value).toBeLessThan(0.2);
  });

  it('goes by price where every adequate cable has one', () => {
    const priced = withShop(
      catalog,
      [...catalog.cables.values()].map((one) => ({
        kind: 'cable' as const,
        data: { ...one, costPerM: one.id === 'c600' ? 0.1 : 5 },
      })),
    );
    const design = aRun();
    const [main] = design.pieces;
    if (main.kind !== 'assembly') throw new Error('not a cable');
    const choice = cableChoice(design, main, sheetWith(priced, design), priced);
    expect(choice.basis).toBe('price');
    expect(marked(choice, 'cheapest adequate')).toBe('c600');
  });

  it('names the leg in which a jacket or a bend speaks against a cable', () => {
    const buried = anOutdoorRun({
      legs: [
        {
          id: 'trench',
          name: 'the trench',
          kind: 'direct burial',
          zone: 'buried',
          lengthM: 12,
          slackM: 0,
          bendRadiusMm: 40,
        },
      ],
    });
    const { rows } = choose(buried);
    expect(
      rows
        .find(({ cable: { id } }) => id === 'rg58')
        ?.against.map(({ text }) => text)
        .join(),
    ).toMatch(/the trench: PVC jacket/);
    expect(
      rows
        .find(({ cable: { id } }) => id === 'h12')
        ?.against.map(({ text }) => text)
        .join(),
    ).toMatch(/bends to 40 mm, it takes 70 mm/);
  });
});

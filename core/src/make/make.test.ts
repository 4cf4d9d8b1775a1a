import { describe, expect, it } from 'vitest';
import { catalog, entry } from '../catalog/index.js';
import { cardFor, recipes, stepBlocked, stripGauge } from './index.js';

const gaugeOf = (part: string, cable: string) =>
  stripGauge(entry(catalog.parts, part), entry(catalog.cables, cable));
const stretch = (part: string, cable: string, layer: string): number =>
  gaugeOf(part, cable).stretches.find((s) => s.layer === layer)?.lengthMm ?? 0;

/** Every part on every cable it fits, as cards. */
const cards = [...catalog.parts.values()].flatMap((part) =>
  [...catalog.cables.values()]
    .filter((cable) => stripGauge(part, cable).fit.verdict === 'fits')
    .flatMap((cable) => {
      const card = cardFor(part, cable, 'metric');
      return card ? [[`${part.id} on ${cable.id}`, card] as const] : [];
    }),
);

// Common practice, no source, for every figure of this block.
describe('strip lengths the trade knows', () => {
  it('crimp UHF: braid about 10 mm (3/8 in)', () =>
    expect(Math.abs(stretch('uhf-plug-crimp-10mm', 'rg213', 'braid') - 9.525)).toBeLessThanOrEqual(0.5));
  it('crimp UHF: the end is about 6 mm longer than the connector', () => {
    const { jacketCutMm } = gaugeOf('uhf-plug-crimp-10mm', 'rg213');
    expect(jacketCutMm - entry(catalog.parts, 'uhf-plug-crimp-10mm').jacketToPlaneMm).toBeCloseTo(6, 1);
  });
  it('gland N: about 20 mm of jacket', () =>
    expect(Math.abs(gaugeOf('n-plug-gland-10mm', 'rg213').jacketCutMm - 20)).toBeLessThanOrEqual(1));
  it('BNC on 2.5 mm cable: centre and braid about 6 mm each', () => {
    expect(stretch('bnc-plug-crimp-25mm', 'rg316', 'centre')).toBeCloseTo(6, 0);
    expect(stretch('bnc-plug-crimp-25mm', 'rg316', 'braid')).toBeCloseTo(6, 0);
  });
});

describe('every gauge', () => {
  it.each(cards)('%s: positive, sums to the jacket cut, fits inside the part', (_, { gauge, part }) => {
    for (const { lengthMm } of gauge.stretches) expect(lengthMm).toBeGreaterThan(0);
    expect(gauge.stretches.reduce((sum, { lengthMm }) => sum + lengthMm, 0)).toBeCloseTo(
      gauge.jacketCutMm,
      9,
    );
    expect(gauge.jacketCutMm - part.proudMm).toBeLessThanOrEqual(part.jacketToPlaneMm + 1e-9);
    const diameters = [...gauge.stretches.map(({ diameterMm }) => diameterMm), gauge.jacketMm];
    expect(diameters).toEqual(diameters.toSorted((a, b) => a - b));
  });
});

describe('every card', () => {
  it('exists for every family of the trade', () => {
    expect(new Set(cards.map(([, { recipe }]) => recipe))).toEqual(new Set(recipes.map(({ id }) => id)));
    // Every part on every cable it fits, but for a corrugated tube, which its part’s own sheet flares.
    for (const part of catalog.parts.values())
      for (const cable of catalog.cables.values())
        if (stripGauge(part, cable).fit.verdict === 'fits' && cable.shieldKind !== 'tube')
          expect(cardFor(part, cable, 'metric'), `${part.id} on ${cable.id}`).toBeDefined();
  });

  it('only one recipe makes a part', () => {
    const cable = entry(catalog.cables, 'rg213');
    for (const part of catalog.parts.values())
      expect(recipes.filter(({ makes }) => makes(part, cable)).length, part.id).toBe(1);
  });

  it('the part as gauge speaks of what the part has', () => {
    for (const [name, { train, gauge }] of cards) {
      expect(gauge.partAsGauge, name).toMatch(/\.$/);
      for (const item of ['pin', 'reducer'])
        if (gauge.partAsGauge.includes(` ${item} `) || gauge.partAsGauge.includes(` ${item}:`))
          expect(
            train.some(({ id }) => id === item),
            `${name}: ${item}`,
          ).toBe(true);
    }
  });

  it('a card never speaks of a pin the part has not', () => {
    for (const [name, { train, steps }] of cards)
      if (steps.some(({ id }) => id === 'pin'))
        expect(
          train.some(({ id }) => id === 'pin'),
          name,
        ).toBe(true);
  });

  it.each(cards)('%s: checks stand before the point of no return', (_, { steps, pointOfNoReturn, train }) => {
    expect(pointOfNoReturn).toBeGreaterThan(0);
    const before = steps.slice(0, pointOfNoReturn);
    expect(before.filter(({ reading }) => reading === 'short check').length).toBeGreaterThanOrEqual(1);
    expect(before.some(({ confirm }) => confirm)).toBe(true);
    expect(steps.slice(pointOfNoReturn).some(({ reading }) => reading === 'insulation')).toBe(true);
    expect(new Set(steps.map(({ id }) => id)).size).toBe(steps.length);
    expect(new Set(train.map(({ id }) => id)).size).toBe(train.length);
  });

  it.each(cards)('%s: what slides on is in the train, in its order', (_, { steps, train }) => {
    const order = steps
      .flatMap(({ confirm }) => confirm ?? [])
      .map(({ id }) => train.findIndex((item) => item.id === id));
    expect(order).toEqual(order.toSorted((a, b) => a - b));
    expect(order).not.toContain(-1);
  });

  it('hurtful steps carry their caution', () => {
    for (const [, { steps }] of cards) {
      for (const step of steps.filter(
        ({ timerS, id }) => timerS !== undefined || id === 'jacket' || id === 'crimp',
      ))
        expect(step.caution).toBeTruthy();
    }
  });

  it('speaks the units of the shop', () => {
    const titles = cardFor(
      entry(catalog.parts, 'uhf-plug-crimp-10mm'),
      entry(catalog.cables, 'rg213'),
      'imperial',
    )?.steps.map(({ title }) => title);
    expect(titles).toContain('Take the jacket off, 1 23/32 in back from the cut');
  });

  it('has none for a corrugated tube', () =>
    expect(
      cardFor(entry(catalog.parts, 'n-plug-gland-half-inch'), entry(catalog.cables, 'h12'), 'metric'),
    ).toBeUndefined());
});

describe('a step lets go on only when it may', () => {
  const [, card] = cards[0];
  const slide = card.steps.find(({ confirm }) => confirm);
  const check = card.steps.find(({ reading }) => reading);

  it('asks for every part on the cable', () => {
    if (!slide?.confirm) throw new Error('no slide step');
    const ids = slide.confirm.map(({ id }) => id);
    expect(stepBlocked(slide, ids.slice(1), undefined)).toContain(slide.confirm[0].name);
    expect(stepBlocked(slide, ids, undefined)).toBeUndefined();
  });

  it('asks for the reading, and refuses a bad one', () => {
    if (!check) throw new Error('no check step');
    expect(stepBlocked(check, [], undefined)).toContain('reading');
    expect(stepBlocked(check, [], false)).toContain('mend');
    expect(stepBlocked(check, [], true)).toBeUndefined();
  });
});

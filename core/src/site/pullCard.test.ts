import { describe, expect, it } from 'vitest';
import { catalog } from '../catalog/index.js';
import { aSite, onTheSite, routed, surveyOf } from './aSite.fixture.js';
import { pullCard } from './pullCard.js';
import { survey } from './survey.js';

const withBend = aSite({ duct: { bends: [{ atM: 2, degrees: 90, radiusMm: 300 }] } });
const cardOf = (site = withBend, runs = 1) => {
  const sheet = surveyOf(site, runs);
  const duct = sheet.ways.find(({ way }) => way.id === 'duct');
  return duct && pullCard(site, duct);
};

describe('the card of a pull', () => {
  // By hand, capstan: 8 m and then a bend of 90° with 2 m behind it is harder than the bend first: fed in where the bend is near.
  it('is fed in where the bend is near, and the way it asks less', () => {
    const card = cardOf();
    expect([card?.feedAt.id, card?.pullAt.id]).toEqual(['plate', 'foot']);
    expect(card?.bends).toEqual([{ atM: 2, degrees: 90 }]);
    const turned = cardOf(aSite({ duct: { bends: [{ atM: 8, degrees: 90, radiusMm: 300 }] } }));
    expect([turned?.feedAt.id, turned?.bends[0].atM]).toEqual(['foot', 2]);
    expect(turned?.dry.value).toBeCloseTo(card?.dry.value ?? 0, 6);
  });

  // By hand: RG-213/U, 155 kg/km or so: w; dry 0.5·w·2·e^(0.5·π/2) + 0.5·w·8.
  it('dry and lubricated by hand', () => {
    const card = cardOf();
    const w = (card?.cables[0].plan.cable.cable.massKgPerKm ?? 0) * 9.80665e-3;
    expect(card?.dry.value).toBeCloseTo(0.5 * w * 2 * Math.exp(0.25 * Math.PI) + 0.5 * w * 8, 6);
    expect(card?.lubricated.value).toBeCloseTo(0.35 * w * 2 * Math.exp(0.175 * Math.PI) + 0.35 * w * 8, 6);
  });

  it('three equal cables ask three times as much, and take three times as much together', () => {
    const [one, three] = [cardOf(withBend, 1), cardOf(withBend, 3)];
    expect(three?.dry.value).toBeCloseTo(3 * (one?.dry.value ?? 0), 6);
    expect(three?.limit.value).toBeCloseTo(3 * (one?.limit.value ?? 0), 6);
  });

  // By hand: each bend of 180° multiplies by e^(μπ), 4.8 dry and 3.0 lubricated, what 5 m ask, some 4 and 3 N; RG-213/U takes 450 N.
  it.each([
    [0, 'dry'],
    [2, 'dry'],
    [4, 'lubricated'],
    [6, 'too much'],
  ])('%i half turns and how it may be pulled: %s', (turns, verdict) => {
    const bends = Array.from({ length: turns }, (_, k) => ({
      atM: 5 + k * 0.1,
      degrees: 180,
      radiusMm: 300,
    }));
    expect(cardOf(aSite({ duct: { bends } }))?.verdict).toBe(verdict);
  });

  it('a gentle bend needs nobody', () =>
    expect(cardOf(aSite({ duct: { bends: [{ atM: 2, degrees: 30, radiusMm: 900 }] } }))?.bends).toEqual([]));

  it('a connector which does not pass is told, and there is no card where nothing waits', () => {
    const narrow = cardOf(
      aSite({ duct: { duct: { boreMm: 15, lubricated: true, drained: true, cord: true } } }),
    );
    expect(narrow?.cables[0]).toMatchObject({ leadingPasses: false, madeTooWide: false });
    const site = aSite();
    const laid = survey(site, [{ ...onTheSite(site, 'run', routed()), installed: true }], catalog);
    expect(pullCard(site, laid.ways[2])).toBeUndefined();
    expect(pullCard(site, laid.ways[0])).toBeUndefined();
  });
});

import {
  catalog,
  defaultPractice,
  emptyGround,
  emptySite,
  evaluate,
  noFacts,
  onSite,
  survey,
  type Design,
  type Ground,
  type Site,
} from '@kobran/core';
import { bench, describe } from 'vitest';
import { designOf } from './aLongRun.js';

const WAYS = 60;
const RUNS = 40;
/** Ways which one run goes through. */
const EACH = 8;
const CONDUCTORS = 80;

/** A ring of bars, every fourth with a rod. */
const ground: Ground = {
  ...emptyGround,
  nodes: Array.from({ length: CONDUCTORS }, (_, k) => ({
    id: `n${k}`,
    name: `part ${k}`,
    kind: k % 4 === 0 ? 'rod' : 'entry bar',
    metal: 'copper',
    ...(k % 4 === 0 ? { electrode: { lengthM: 3, diameterMm: 16, depthM: 0 } } : {}),
  })),
  bonds: Array.from({ length: CONDUCTORS }, (_, k) => ({
    id: `b${k}`,
    from: `n${k}`,
    to: `n${(k + 1) % CONDUCTORS}`,
    lengthM: 3,
    section: { areaMm2: 16 },
    metal: 'copper',
    parallel: 1,
    sharpBends: 0,
    joint: 'clamp',
    bimetal: false,
  })),
};

const site: Site = {
  ...emptySite,
  ground,
  points: Array.from({ length: WAYS + 1 }, (_, k) => ({
    id: `p${k}`,
    name: `point ${k}`,
    kind: 'free',
    xM: 6 * k,
    yM: k % 3,
    zM: 0,
  })),
  ways: Array.from({ length: WAYS }, (_, k) => ({
    id: `w${k}`,
    name: `way ${k}`,
    kind: k % 2 === 0 ? 'duct' : 'surface clipped',
    from: `p${k}`,
    to: `p${k + 1}`,
    via: [],
    conditions: ['outside'],
    bends: [{ atM: 2, degrees: 90, radiusMm: 300 }],
    ...(k % 2 === 0 ? { duct: { boreMm: 110, lubricated: false, drained: true, cord: true } } : {}),
    beside: [],
  })),
};

const runs = Array.from({ length: RUNS }, (_, k) => {
  const first = (k * 3) % (WAYS - EACH);
  const given: Design = {
    ...designOf(12),
    route: Array.from({ length: EACH }, (__, n) => ({ way: `w${first + n}`, slack: [] })),
  };
  const design = onSite(given, site);
  const state = { facts: noFacts, practice: defaultPractice, sweepPoints: 2 };
  return { id: `run ${k}`, design, sheet: evaluate(design, catalog, state), installed: false };
});

describe(`a site of ${WAYS} ways, ${RUNS} runs and ${CONDUCTORS} conductors`, () => {
  bench('one run evaluated', () => {
    void evaluate(runs[0].design, catalog, { facts: noFacts, practice: defaultPractice, sweepPoints: 2 });
  });
  bench('the site surveyed', () => {
    void survey(site, runs, catalog);
  });
});

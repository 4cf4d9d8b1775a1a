import prand from 'pure-rand';
import type { PlacedElement } from '../line/index.js';
import type { Cause } from '../prove/index.js';
import type { BenchHands } from './bench.js';
import type { LineFault } from '../run/index.js';
import { generatorOf } from './truth.js';

/** What was done badly, or happened to the cable: one thing, hidden until somebody asks. */
export interface HiddenFault {
  cause: Cause['id'];
  /** Where on the ruler, m. */
  atM: number;
  /** On the line, as hands and weather have it. */
  line: (hands: Pick<BenchHands, 'rained' | 'wiggled'>) => LineFault[];
  /** *Forward* power above which it arcs over, W. */
  arcsAboveW?: number;
}

/** Faults which workmanship and weather leave in a cable. */
type HiddenCause = Extract<
  Cause['id'],
  'nothing' | 'open pin' | 'whisker' | 'loose nut' | 'crush' | 'water' | 'melted dielectric'
>;

/** How often each fault is met with; a third of the work is sound. Common practice, no source. */
const shares: [HiddenCause, number][] = [
  ['nothing', 5],
  ['open pin', 2],
  ['whisker', 2],
  ['loose nut', 2],
  ['crush', 2],
  ['water', 2],
  ['melted dielectric', 1],
];

/** Everything that can be hidden. */
export const hiddenCauses: HiddenCause[] = shares.map(([cause]) => cause);

/** A fault sits this far inside the cable behind its end, m. */
const BEHIND_END_M = 0.002;
/** A cable shorter than this is not crushed and holds no water worth the name, m. */
const LEAST_SPAN_M = 0.3;

/**
 * The fault which follows from a seed.
 *
 * @param placed the sound line with its places, m
 * @param seed 0 is sound work
 */
export function hiddenFault(placed: readonly PlacedElement[], seed: number): HiddenFault {
  const rng = generatorOf(`fault ${seed}`);
  const between = (least: number, most: number): number =>
    least + ((most - least) * prand.unsafeUniformIntDistribution(0, 1_000_000, rng)) / 1_000_000;
  const [cable] = placed
    .filter(({ element }) => element.kind === 'line')
    .toSorted((x, y) => y.toM - y.fromM - (x.toM - x.fromM));
  const span = cable.toM - cable.fromM;
  const sound: HiddenFault = { cause: 'nothing', atM: 0, line: () => [] };
  if (seed === 0) return sound;
  const nearEnd = between(0, 1) < 0.5;
  const endM = nearEnd ? cable.fromM + BEHIND_END_M : cable.toM - BEHIND_END_M;
  const insideM = between(cable.fromM + 0.2 * span, cable.fromM + 0.8 * span);
  const cause = pick(between(0, 1));
  const at = (atM: number, line: HiddenFault['line'], arcsAboveW?: number): HiddenFault => ({
    cause,
    atM,
    line,
    ...(arcsAboveW === undefined ? {} : { arcsAboveW }),
  });
  switch (cause) {
    case 'open pin': {
      const ohm = between(2e5, 5e6);
      return at(endM, ({ wiggled }) => [{ kind: 'bad contact', atM: endM, ohm: wiggled ? 3 : ohm }]);
    }
    case 'whisker': {
      const ohm = between(0.05, 2);
      return at(endM, ({ wiggled }) => (wiggled ? [] : [{ kind: 'short', atM: endM, ohm }]));
    }
    case 'loose nut': {
      const [still, flexed] = [between(4, 12), between(40, 400)];
      return at(endM, ({ wiggled }) => [{ kind: 'bad contact', atM: endM, ohm: wiggled ? flexed : still }]);
    }
    case 'melted dielectric': {
      const [ohm, lengthM] = [between(15, 26), Math.min(0.03, span / 3)];
      const fromM = nearEnd ? endM : endM - lengthM;
      return at(fromM, () => [{ kind: 'crush', atM: fromM, lengthM, ohm }], between(8, 40));
    }
    case 'crush': {
      if (span < LEAST_SPAN_M) return sound;
      const [ohm, lengthM] = [between(15, 36), between(0.03, 0.1)];
      return at(insideM, () => [{ kind: 'crush', atM: insideM, lengthM, ohm }]);
    }
    case 'water': {
      if (span < LEAST_SPAN_M) return sound;
      const [addedK2, toM] = [between(0.04, 0.15), insideM + 0.15 * span];
      return at(insideM, ({ rained }) => [
        { kind: 'wet', fromM: insideM, toM, addedK2: rained ? addedK2 : addedK2 / 6 },
      ]);
    }
    case 'nothing':
      return sound;
  }
}

function pick(chance: number): HiddenCause {
  let at = chance * shares.reduce((sum, [, share]) => sum + share, 0);
  return (shares.find(([, share]) => (at -= share) <= 0) ?? shares[0])[0];
}

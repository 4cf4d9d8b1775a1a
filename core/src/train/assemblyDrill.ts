import prand, { type RandomGenerator } from 'pure-rand';
import { entry, type TrainItem } from '../catalog/index.js';
import { shuffled } from '../chance/index.js';
import {
  cardFor,
  drawnEnd,
  faultKinds,
  faultsOf,
  stripText,
  type Card,
  type DrawnEnd,
  type EndFault,
  type GaugeStretch,
} from '../make/index.js';
import { type UnitSystem } from '../quantity/index.js';
import { makeSchools } from '../practice/index.js';
import { drawn, type DrillScore, type Question } from './question.js';
import type { DrillSetting } from './setting.js';
import type { Subject } from './subjects.js';

export const assemblyDrills = ['order', 'strip', 'fault'] as const;
export type AssemblyDrill = (typeof assemblyDrills)[number];

/** One question about assembling an end, made from its recipe. */
export interface AssemblyQuestion extends Question {
  kind: AssemblyDrill;
  card: Card;
  /** Of an order question: the parts as they lie on the bench. */
  bench: TrainItem[];
  /** Of a fault question: the end as it lies there. */
  end: DrawnEnd | undefined;
}

/** Ends whose braid lies on a neck: their strip lengths have one reason each. */
const necked = ({ gauge, part }: Card): boolean => gauge.stretches.length === 3 && part.neckOuterMm !== null;

/** Questions of a kind, each by its id: `order:part|cable`, `strip:part|cable`, `fault:part|cable|whisker`. */
const pool = (kind: AssemblyDrill, ends: readonly Subject[]): string[] =>
  ends.flatMap(({ part, cable }) => {
    const card = cardFor(part, cable, 'metric');
    const about = `${kind}:${part.id}|${cable.id}`;
    if (!card) return [];
    if (kind === 'order') return card.train.length >= 3 ? [about] : [];
    if (!necked(card)) return [];
    return kind === 'strip' ? [about] : faultsOf(card).map((fault) => `${about}|${fault}`);
  });

/** Have these ends a question of this kind? */
export const asksAssembly = (kind: AssemblyDrill, ends: readonly Subject[]): boolean =>
  pool(kind, ends).length > 0;

/**
 * The next question about assembling; what was missed comes back sooner.
 *
 * @param seed any whole number; the same seed, setting and score give the same question
 */
export function nextAssembly(
  kind: AssemblyDrill,
  setting: DrillSetting,
  score: DrillScore,
  seed: number,
): AssemblyQuestion {
  const rng = prand.xoroshiro128plus(seed);
  return assemblyQuestion(drawn(pool(kind, setting.subjects.ends), score, rng), setting, seed);
}

/** A question by its id. */
export function assemblyQuestion(
  id: string,
  { catalog, system, practice }: Omit<DrillSetting, 'subjects'>,
  seed: number,
): AssemblyQuestion {
  const rng = prand.xoroshiro128plus(seed);
  const [kind, about] = id.split(':');
  const [partId, cableId, fault] = about.split('|');
  const card = cardFor(entry(catalog.parts, partId), entry(catalog.cables, cableId), system, {
    schools: makeSchools(practice),
  });
  if (!card) throw new Error(`no card for ${partId} on ${cableId}`);
  if (kind === 'order') return orderQuestion(id, card, rng);
  if (kind === 'strip') return stripQuestion(id, card, rng, system);
  return faultQuestion(id, card, fault as EndFault, rng);
}

function orderQuestion(id: string, card: Card, rng: RandomGenerator): AssemblyQuestion {
  const right = card.train.map((item) => item.id).join('>');
  return {
    id,
    kind: 'order',
    card,
    question: `In which order do the parts go on? ${card.part.name}, on ${card.cable.name}`,
    bench: shuffled(card.train, rng),
    end: undefined,
    options: [],
    right,
    reason: (answer) => {
      const order = card.train
        .map(({ name, direction }) => (direction ? `${name} (${direction})` : name))
        .join(', ');
      const slip = answer.split('>').findIndex((item, k) => item !== card.train[k].id);
      return slip < 0
        ? `${order}. What is forgotten now cannot follow once the body is on.`
        : `${order}. Place ${slip + 1} is the ${card.train[slip].name}’s: what slides on too late cannot get past what is before it.`;
    },
  };
}

/** Strip lengths which people cut by mistake, each with what it causes. */
const slips: { spoil: (lengths: number[]) => number[]; causes: string }[] = [
  {
    spoil: ([centre, dielectric, braid]) => [braid, dielectric, centre],
    causes: 'Centre and braid are changed over: the pin has no place and the ferrule too much braid.',
  },
  {
    spoil: ([centre, dielectric, braid]) => [centre, dielectric, braid / 2],
    causes: 'Braid for half the neck only: the crimp or gland holds half the shield.',
  },
  {
    spoil: ([centre, dielectric, braid]) => [centre, dielectric + braid, braid],
    causes: 'Too much bare dielectric: the braid ends far from the body, and the pin stands out.',
  },
  {
    spoil: ([centre, dielectric, braid]) => [centre * 0.5, dielectric, braid],
    causes: 'Centre too short: it does not reach through the pin or the tip.',
  },
  {
    spoil: ([centre, dielectric, braid]) => [centre * 1.8, dielectric, braid],
    causes: 'Centre too long: the pin cannot reach the dielectric, a gap is left behind it.',
  },
];

function stripQuestion(id: string, card: Card, rng: RandomGenerator, system: UnitSystem): AssemblyQuestion {
  const lengths = card.gauge.stretches.map(({ lengthMm }) => lengthMm);
  const formatLengths = (some: number[]): string =>
    card.gauge.stretches
      .map(({ layer }: GaugeStretch, k) => `${layer} ${stripText(some[k], system)}`)
      .join(', ');
  const right = formatLengths(lengths);
  const wrong = new Map<string, string>();
  const cut = new Map([[right, lengths]]);
  for (const { spoil, causes } of shuffled(slips, rng)) {
    const spoilt = spoil(lengths);
    const text = formatLengths(spoilt);
    if (text === right || wrong.size === 3) continue;
    wrong.set(text, causes);
    cut.set(text, spoilt);
  }
  return {
    id,
    kind: 'strip',
    card,
    question: `Which strip is right? ${card.part.name}, on ${card.cable.name}`,
    bench: card.train,
    end: undefined,
    options: shuffled([...cut], rng).map(([text, some]) => ({
      id: text,
      text,
      stretches: card.gauge.stretches.map((one, k) => ({ ...one, lengthMm: some[k] })),
    })),
    right,
    reason: (answer) =>
      `${wrong.get(answer) ?? ''} Braid is as long as the neck (${card.part.neckMm} mm), dielectric as the seat (${card.part.seatMm} mm), centre as the pin or tip takes it.`.trim(),
  };
}

function faultQuestion(id: string, card: Card, fault: EndFault, rng: RandomGenerator): AssemblyQuestion {
  const possible = faultsOf(card);
  const others = shuffled(
    possible.filter((one) => one !== fault && one !== 'none'),
    rng,
  ).slice(0, 3);
  const options = shuffled([...new Set([fault, ...others, 'none' as const])], rng);
  const kind = faultKinds[fault];
  const step = kind.step(card);
  return {
    id,
    kind: 'fault',
    card,
    question: `What is wrong with this end? ${card.part.name}, on ${card.cable.name}`,
    bench: card.train,
    end: drawnEnd(card, fault),
    options: options.map((one) => ({ id: one, text: faultKinds[one].label })),
    right: fault,
    reason: () => `${kind.reason}${step ? ` The step for it: “${step}”.` : ''}`,
  };
}

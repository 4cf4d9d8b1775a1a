import { fail, type Problem } from '../../quantity/index.js';

/** Who is on the site on its day of work, with what, and what the weather allows. */

/** What not everybody may or can. */
export const skills = ['crimp', 'solder', 'climb', 'measure', 'sign'] as const;
export type Skill = (typeof skills)[number];

/** Tools of which a crew has few: each is in one hand at a time. */
export const sharedTools = [
  'crimper',
  'compression tool',
  'iron',
  'heat gun',
  'analyser',
  'torque spanner',
] as const;
export type SharedTool = (typeof sharedTools)[number];

/** Minutes from midnight, from and up to. */
export type DaySpan = [fromMin: number, toMin: number];

/** Somebody of the crew on that day. */
export interface Worker {
  name: string;
  hours: DaySpan;
  skills: Skill[];
  /** Not there for so long: another errand, a meal. */
  away: DaySpan[];
}

/** A task which somebody has put to a time, to people, or both. */
export interface FixedTask {
  /** As the plan calls it. */
  task: string;
  startMin?: number;
  people?: string[];
}

export interface DaySetup {
  people: Worker[];
  /** How many of each shared tool there are; one where nothing is said. */
  tools: Partial<Record<SharedTool, number>>;
  /** Rain: nothing is sealed or made in the open. */
  wet: DaySpan[];
  /** Too much wind or a storm: nobody is aloft. */
  windy: DaySpan[];
  fixed: FixedTask[];
}

/** A usual day: nine hours with a break. */
export const usualHours: DaySpan = [8 * 60, 17 * 60];
export const usualBreak: DaySpan = [12 * 60, 12 * 60 + 30];

/** The crew of a practice as it comes: everybody all day, with every skill. */
export const usualDay = (crew: readonly string[]): DaySetup => ({
  people: crew.map((name) => ({
    name,
    hours: [...usualHours],
    skills: [...skills],
    away: [[...usualBreak]],
  })),
  tools: {},
  wet: [],
  windy: [],
  fixed: [],
});

/** So many days are planned ahead at the most. */
export const MAX_DAYS = 4;

/** Another day with the crew of one before: rain, wind and fixed tasks were that day’s. */
export const dayAfter = (day: DaySetup): DaySetup => ({ ...day, wet: [], windy: [], fixed: [] });

const isSpan = (span: readonly number[]): boolean =>
  span.length === 2 &&
  span.every((one) => Number.isInteger(one) && one >= 0 && one <= 24 * 60) &&
  span[0] < span[1];

/** Spans which end before they begin, and names which are there twice. */
export function checkDay({ people, wet, windy }: DaySetup, where: string): Problem[] {
  const spans: [where: string, span: DaySpan][] = [
    ...people.flatMap(({ hours, away }, k): [string, DaySpan][] => [
      [`${where}.people[${k}].hours`, hours],
      ...away.map((span, n): [string, DaySpan] => [`${where}.people[${k}].away[${n}]`, span]),
    ]),
    ...wet.map((span, k): [string, DaySpan] => [`${where}.wet[${k}]`, span]),
    ...windy.map((span, k): [string, DaySpan] => [`${where}.windy[${k}]`, span]),
  ];
  return [
    ...spans
      .filter(([, span]) => !isSpan(span))
      .map(
        ([at]) =>
          fail(
            'day.span',
            'A stretch of the day ends before it begins, or is none.',
            at,
            'Enter from and up to, the earlier first.',
          ).problem,
      ),
    ...people.flatMap(({ name }, k) =>
      people.findIndex((one) => one.name === name) < k
        ? [
            fail(
              'day.twice',
              `${name} is there twice.`,
              `${where}.people[${k}].name`,
              'Give one of them another name.',
            ).problem,
          ]
        : [],
    ),
  ];
}

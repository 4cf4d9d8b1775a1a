import type { Cable, Part, TrainItem } from '../catalog/index.js';
import { type UnitSystem } from '../quantity/index.js';
import type { RecipeInput, Step, WorkId } from './recipe.js';
import { recipes, works } from './recipes/index.js';
import { usualSchools, type MakeSchools } from './schools.js';
import { formatCaliper } from './stripTool.js';
import { stripGauge, stripText, type StripGauge } from './stripGauge.js';
import type { ToolNeed } from './tools.js';

/** The bench instructions for one end. */
export interface Card {
  recipe: string;
  name: string;
  part: Part;
  cable: Cable;
  train: TrainItem[];
  tools: ToolNeed[];
  gauge: StripGauge;
  steps: Step[];
  /** Index of the first step which cannot be undone; -1 where every step can. */
  pointOfNoReturn: number;
  /** About how long it takes, minutes. */
  minutes: number;
  source: string;
}

/** What a card depends on besides part and cable. */
export interface CardOptions {
  schools?: MakeSchools;
  /** Does weather reach this end? */
  exposed?: boolean;
  farEndMade?: boolean;
  twoPersonCheck?: boolean;
  /** Work on an end which exists; a new end when not given. */
  work?: WorkId;
}

/** Looking, cutting back and looking again before a new end, minutes. Common practice, no source. */
const WORK_MINUTES = { 're-end': 6, shrink: 8 };

/**
 * The card for this part on this cable.
 *
 * @param system units in which lengths are written into the sentences
 * @returns nothing when Kobran has no recipe for the part's family
 */
export function cardFor(
  part: Part,
  cable: Cable,
  system: UnitSystem,
  options: CardOptions = {},
): Card | undefined {
  const recipe = recipes.find(({ makes }) => makes(part, cable));
  if (!recipe) return undefined;
  const work = options.work ? works[options.work] : undefined;
  const gauge = stripGauge(part, cable);
  const input: RecipeInput = {
    part,
    cable,
    gauge,
    small: (mm) => stripText(mm, system),
    caliper: (mm) => formatCaliper(mm, system),
    schools: options.schools ?? usualSchools,
    exposed: options.exposed ?? false,
    // Whoever makes an end again has a cable whose other end is finished.
    farEndMade: options.farEndMade || options.work === 're-end',
    twoPersonCheck: options.twoPersonCheck ?? false,
  };
  const newEnd = recipe.steps(input);
  const steps = work ? work.steps(input, newEnd) : newEnd;
  return {
    recipe: recipe.id,
    name: work ? `${recipe.name}: ${work.name}` : recipe.name,
    part,
    cable,
    train: part.train,
    tools: toolsOf(steps),
    gauge,
    steps,
    pointOfNoReturn: steps.findIndex((step) => step.irreversible),
    minutes: work ? WORK_MINUTES[work.id] + (work.id === 're-end' ? part.minutes : 0) : part.minutes,
    source: (work ?? recipe).source,
  };
}

/** What the steps need, each tool once, in the order in which it is first taken up. */
function toolsOf(steps: readonly Step[]): ToolNeed[] {
  const needs = steps.flatMap(({ tools = [] }) => tools);
  return [...new Map(needs.map((need) => [`${need.tool} ${need.hexMm ?? ''}`, need])).values()];
}

/** What a step knows of itself when somebody wants to go on. */
export interface StepDone {
  /** Ids of the parts confirmed on the cable. */
  confirmed: readonly string[];
  /** Does its reading pass? Undefined while none was taken. */
  readingOk?: boolean;
  /** Who made the end, and who looked at it. */
  maker?: string;
  checker?: string;
}

/** What may stop a step: parts to confirm, a reading to take, a name. Returns the sentence, or nothing when the way is free. */
export function stepBlocked(step: Step, done: StepDone): string | undefined {
  const missing = step.confirm ? (step.places ?? []).filter(({ id }) => !done.confirmed.includes(id)) : [];
  if (missing.length > 0) return `Confirm first: ${missing.map(({ name }) => name).join(', ')}.`;
  if (step.reading && done.readingOk === undefined) return 'Take the reading first.';
  if (step.reading && !done.readingOk) return 'The reading says no: mend it before you go on.';
  if (step.secondPerson) return secondBlocked(done);
  if (step.id === 'sign' && same(done.maker, '')) return 'Say who made this end.';
  return undefined;
}

const same = (a: string | undefined, b: string | undefined): boolean =>
  (a ?? '').trim().toLocaleLowerCase() === (b ?? '').trim().toLocaleLowerCase();

function secondBlocked({ maker, checker }: StepDone): string | undefined {
  if (same(maker, '')) return 'Say who made this end.';
  if (same(checker, '')) return 'Say who checked it.';
  return same(maker, checker) ? 'The second check is somebody else’s: name another person.' : undefined;
}

/**
 * Cable which is lost when the end fails at this step, mm: nothing before the first cut into it, the stripped end before the
 * point of no return, and afterwards the stripped end with what lies over the jacket and a square cut behind it.
 * Common practice, no source; whoever cuts it off types what it really was.
 */
export function lostOnFailureMm({ steps, gauge, part, pointOfNoReturn }: Card, at: number): number {
  const jacketAt = steps.findIndex(({ id }) => id === 'jacket');
  if (at < (jacketAt < 0 ? pointOfNoReturn : jacketAt)) return 0;
  if (pointOfNoReturn < 0 || at < pointOfNoReturn) return Math.ceil(gauge.jacketCutMm);
  return Math.ceil(gauge.jacketCutMm + part.gripMm / 2 + SQUARE_CUT_MM);
}

const SQUARE_CUT_MM = 10;

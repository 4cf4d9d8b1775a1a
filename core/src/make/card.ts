import type { Cable, Part, TrainItem } from '../catalog/index.js';
import { formatLength, type UnitSystem } from '../quantity/index.js';
import type { Step } from './recipe.js';
import { recipes } from './recipes/index.js';
import { stripGauge, type StripGauge } from './stripGauge.js';

/** The bench instructions for one end. */
export interface Card {
  recipe: string;
  name: string;
  part: Part;
  cable: Cable;
  train: TrainItem[];
  tools: string[];
  gauge: StripGauge;
  steps: Step[];
  /** Index of the first step which cannot be undone. */
  pointOfNoReturn: number;
  source: string;
}

/**
 * The card for this part on this cable.
 *
 * @param system units in which lengths are written into the sentences
 * @returns nothing when Kobran has no recipe for the part's family yet
 */
export function cardFor(part: Part, cable: Cable, system: UnitSystem): Card | undefined {
  const recipe = recipes.find(({ makes }) => makes(part, cable));
  if (!recipe) return undefined;
  const gauge = stripGauge(part, cable);
  const small = (mm: number): string => formatLength(mm / 1000, { system, small: true, fraction: 32 });
  const input = { part, cable, gauge, small };
  const steps = recipe.steps(input);
  return {
    recipe: recipe.id,
    name: recipe.name,
    part,
    cable,
    train: part.train,
    tools: recipe.tools(input),
    gauge,
    steps,
    pointOfNoReturn: steps.findIndex((step) => step.irreversible),
    source: recipe.source,
  };
}

/** What may stop a step: parts to confirm, a reading to take. Returns the sentence, or nothing when the way is free. */
export function stepBlocked(
  step: Step,
  confirmed: readonly string[],
  readingOk: boolean | undefined,
): string | undefined {
  const missing = step.confirm?.filter(({ id }) => !confirmed.includes(id)) ?? [];
  if (missing.length > 0) return `Confirm first: ${missing.map(({ name }) => name).join(', ')}.`;
  if (step.reading && readingOk === undefined) return 'Take the reading first.';
  if (step.reading && readingOk === false) return 'The reading says no: mend it before you go on.';
  return undefined;
}

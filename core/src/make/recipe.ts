import type { Cable, Part } from '../catalog/index.js';
import type { Layer, StripGauge } from './stripGauge.js';

/** A reading asked for by a step. */
export type StepReading = 'short check' | 'continuity' | 'insulation';

/** One step of a card: one thing to do. */
export interface Step {
  id: string;
  /** Short, for the row of steps. */
  name: string;
  /** One sentence: the thing to do. */
  title: string;
  /** How, in one or two sentences. */
  how: string;
  looksRight: string[];
  goesWrong: string[];
  /** Where the hand is. */
  caution?: string;
  /** The stretch of the gauge this step makes. */
  gauge?: Layer;
  /** Parts which must be on the cable after this step, each confirmed. */
  confirm?: { id: string; name: string; direction?: string }[];
  reading?: StepReading;
  /** Nothing after this step can be undone. */
  irreversible?: boolean;
  /** Seconds of heat or hold to count, where it matters. */
  timerS?: number;
}

/** What a recipe needs to write its steps. */
export interface RecipeInput {
  part: Part;
  cable: Cable;
  gauge: StripGauge;
  /** Writes a small length in the units of the shop, from mm. */
  small: (mm: number) => string;
}

/** How one family of terminations is made: data and small pure functions, one file each. */
export interface Recipe {
  id: string;
  name: string;
  makes: (part: Part, cable: Cable) => boolean;
  tools: (input: RecipeInput) => string[];
  steps: (input: RecipeInput) => Step[];
  source: string;
}

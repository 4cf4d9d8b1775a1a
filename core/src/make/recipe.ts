import type { Cable, Part } from '../catalog/index.js';
import type { MakeSchools } from './schools.js';
import type { Layer, StripGauge } from './stripGauge.js';
import type { ToolNeed } from './tools.js';

/** A reading asked for by a step. */
export type StepReading = 'short check' | 'continuity' | 'insulation' | 'loop';

/** A loose part which goes on the cable at a step. */
export interface Placed {
  id: string;
  name: string;
  direction?: string;
}

/** One step of a card: one thing to do. */
export interface Step {
  id: string;
  /** Short, for the row of steps. */
  name: string;
  /** One sentence: the thing to do. */
  title: string;
  /** How, in one or two sentences. */
  how: string;
  /** The same for hands alone: the part as gauge, what the fingers find. */
  byTouch: string;
  looksRight: string[];
  /** What right feels or sounds like. */
  feelsRight: string[];
  /** What wrong looks like, and what it causes. */
  goesWrong: string[];
  /** Where the hand is. */
  caution?: string;
  /** The stretch of the gauge this step makes. */
  gauge?: Layer;
  /** Parts of the train which go on at this step. */
  places?: Placed[];
  /** Each of them is confirmed one by one. */
  confirm?: boolean;
  reading?: StepReading;
  /** Nothing after this step can be undone. */
  irreversible?: boolean;
  /** Seconds of heat or hold to count, where it matters. */
  timerS?: number;
  /** The shop's school for this step, and why. */
  school?: string;
  /** What the hand holds for it: the list of tools of a card is drawn from its steps. */
  tools?: ToolNeed[];
  /** Somebody else looks and says so. */
  secondPerson?: boolean;
}

/** What a recipe needs to write its steps. */
export interface RecipeInput {
  part: Part;
  cable: Cable;
  gauge: StripGauge;
  /** Writes a small length in the units of the shop, from mm. */
  small: (mm: number) => string;
  /** Writes a diameter as a caliper shows it, from mm. */
  caliper: (mm: number) => string;
  schools: MakeSchools;
  /** Does weather reach this end? */
  exposed: boolean;
  /** Is the far end finished, so that both conductors can be measured at once? */
  farEndMade: boolean;
  twoPersonCheck: boolean;
}

/** How one family of terminations is made: data and small pure functions, one file each. */
export interface Recipe {
  id: string;
  name: string;
  makes: (part: Part, cable: Cable) => boolean;
  steps: (input: RecipeInput) => Step[];
  source: string;
}

export type WorkId = 're-end' | 'shrink';

/** Work on an end which has been made before. */
export interface Work {
  id: WorkId;
  name: string;
  /** @param newEnd steps of the part’s own recipe */
  steps: (input: RecipeInput, newEnd: Step[]) => Step[];
  source: string;
}

/** What every recipe of common practice says of itself. */
export const commonPractice = 'common practice, no source; the part’s own sheet wins';

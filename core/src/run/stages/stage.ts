import type { Practice } from '../../practice/index.js';
import type { UnitSystem } from '../../quantity/index.js';
import type { Design } from '../design/design.js';
import type { StageId } from '../design/stageId.js';
import type { Facts } from '../facts/kinds.js';
import type { SheetBody } from '../sheet/sheet.js';

export type StageState = 'not started' | 'in work' | 'snags' | 'done';

/** State of one stage, computed from facts. */
export interface Stage {
  id: StageId;
  name: string;
  state: StageState;
  /** A few words: `2 of 6 ends`. */
  detail: string;
  /** What to do next in this stage; empty when done. */
  next: string;
  /** The joint or piece it is about, when it is about one. */
  at?: string;
}

/** What a stage looks at. */
export interface StageContext {
  design: Design;
  /** The design as it is written, before target lengths are worked out. */
  written: Design;
  facts: Facts;
  practice: Practice;
  body: SheetBody;
  /** Stages before this one which are not done. */
  waiting: number;
}

/** One stage of the work: a file, and a line in the list. */
export interface StageRule {
  id: StageId;
  name: string;
  look: (context: StageContext) => Pick<Stage, 'state' | 'detail' | 'next'>;
  /** The answer its screen gives in one sentence. */
  headline: (body: SheetBody, design: Design, units: UnitSystem) => string;
}

/** State of a stage of which so many of so many things are done. */
export const progress = (done: number, all: number): StageState =>
  done === all ? 'done' : done === 0 ? 'not started' : 'in work';

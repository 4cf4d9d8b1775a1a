import type { SharedTool, Skill } from '../../site/index.js';
import type { FactBody, TaskEnd } from '../../run/index.js';
import type { Need } from '../needs.js';

/** What somebody does on a day. */
export const taskKinds = [
  'cut',
  'make',
  'bench test',
  'pull',
  'hang',
  'arrester',
  'rod',
  'bond',
  'mate',
  'prove',
  'seal',
  'label',
  'hand over',
] as const;
export type TaskKind = (typeof taskKinds)[number];

export const taskPlaces = ['bench', 'inside', 'ground', 'aloft'] as const;
export type TaskPlace = (typeof taskPlaces)[number];

/** What is known of a task wherever it is done. */
export interface TaskNeeds {
  /** How long it takes, and how far off that may be, minutes. */
  minutes: number;
  spread: number;
  people: number;
  skills: Skill[];
  tools: SharedTool[];
  place: TaskPlace;
  /** Not in rain. */
  dry: boolean;
  /** What it opens to the weather stays open until these are begun: before rain, and overnight, it is capped. */
  opensUntil: string[];
}

export interface Task extends TaskNeeds {
  id: string;
  kind: TaskKind;
  /** `Make Mast cable, antenna end` */
  title: string;
  /** The run it belongs to, or its way; nothing of the whole site. */
  runId: string | undefined;
  whose: string;
  /** Tasks which are done before. */
  after: string[];
  cautions: string[];
  /** What ticking it writes into the log of its run. */
  fact: FactBody | undefined;
  /** The screen on which it is done, below the run. */
  opens: string | undefined;
  /** The entry which shows that it is done, where another screen writes it. */
  ends: TaskEnd | undefined;
  /** Tools which not everybody carries, each with its die. */
  gear: string[];
  /** Materials want air as warm as this, °C. */
  lowestC: number | undefined;
  /** What it takes off the shelf. */
  parts: Need[];
  /** What its time is learned by: a recipe, or its kind. */
  learnedBy: string;
  /** How long it takes whoever has done such before, by their name as names are compared, minutes. */
  minutesOf: Readonly<Record<string, number>>;
}

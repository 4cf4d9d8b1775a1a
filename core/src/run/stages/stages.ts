/** The stages in the order of work. */
export const stageIds = ['plan', 'cut', 'make', 'prove', 'route', 'ground', 'seal', 'handover'] as const;
export type StageId = (typeof stageIds)[number];

export const stageNames: Record<StageId, string> = {
  plan: 'Plan',
  make: 'Make',
  cut: 'Cut',
  prove: 'Prove',
  route: 'Route',
  ground: 'Ground',
  seal: 'Seal',
  handover: 'Hand over',
};

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

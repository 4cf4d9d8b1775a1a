/** The stages of the work, by which problems, remedies and screens name them. Their order and meaning stand in `stages/`. */
export type StageId = 'plan' | 'cut' | 'make' | 'prove' | 'route' | 'ground' | 'seal' | 'handover';

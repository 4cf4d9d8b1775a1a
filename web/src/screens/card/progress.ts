/** How far a card is; kept at this device so that a reload, a crash or an empty battery loses nothing. */
export interface CardProgress {
  step: number;
  /** Parts confirmed on the cable. */
  confirmed: string[];
  /** Readings by step; over range is null. */
  readings: Record<string, number | null>;
  /** What was done differently, in words. */
  deviations: string[];
  /** The second person, once they have looked. */
  checkedBy: string;
}

export const freshProgress: CardProgress = {
  step: 0,
  confirmed: [],
  readings: {},
  deviations: [],
  checkedBy: '',
};

/** @param work what is done to the end: cards for different works do not share a place */
const key = (runId: string, endId: string, work: string): string =>
  `kobran.card.${runId}.${endId}${work === 'new end' ? '' : `.${work}`}`;

export function loadProgress(runId: string, endId: string, work: string): CardProgress {
  try {
    const kept = JSON.parse(localStorage.getItem(key(runId, endId, work)) ?? '{}') as Partial<CardProgress>;
    return { ...freshProgress, ...kept };
  } catch {
    return freshProgress; // Half a text is left of a device that went out while writing: begin this card again.
  }
}

export const keepProgress = (runId: string, endId: string, work: string, progress: CardProgress): void =>
  localStorage.setItem(key(runId, endId, work), JSON.stringify(progress));

export const dropProgress = (runId: string, endId: string, work: string): void =>
  localStorage.removeItem(key(runId, endId, work));

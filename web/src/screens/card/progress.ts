/** How far a card is; kept at this device so that a reload, a crash or an empty battery loses nothing. */
export interface CardProgress {
  step: number;
  /** Parts confirmed on the cable. */
  confirmed: string[];
  /** Readings by step; over range is null. */
  readings: Record<string, number | null>;
}

export const freshProgress: CardProgress = { step: 0, confirmed: [], readings: {} };

const key = (runId: string, endId: string): string => `kobran.card.${runId}.${endId}`;

export function loadProgress(runId: string, endId: string): CardProgress {
  const text = localStorage.getItem(key(runId, endId));
  return text === null ? freshProgress : (JSON.parse(text) as CardProgress);
}

export const keepProgress = (runId: string, endId: string, progress: CardProgress): void =>
  localStorage.setItem(key(runId, endId), JSON.stringify(progress));

export const dropProgress = (runId: string, endId: string): void =>
  localStorage.removeItem(key(runId, endId));

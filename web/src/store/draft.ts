import type { Design } from '@kobran/core';

/** Edits which the server has not acknowledged, kept through reload, crash and an empty battery. */
export interface Draft {
  /** The version the edits were made on. */
  version: number;
  design: Design;
}

const key = (runId: string): string => `kobran.draft.${runId}`;

export function loadDraft(runId: string): Draft | undefined {
  const text = localStorage.getItem(key(runId));
  return text === null ? undefined : (JSON.parse(text) as Draft);
}

export function keepDraft(runId: string, draft: Draft): void {
  localStorage.setItem(key(runId), JSON.stringify(draft));
}

export const dropDraft = (runId: string): void => localStorage.removeItem(key(runId));

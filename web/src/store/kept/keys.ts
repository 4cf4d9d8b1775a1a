/** How things are called in the store of this device. */

export const OUTBOX = 'outbox/';
/** Sorted by the moment, so that what was done first goes first. */
export const outboxKey = (at: string, id: string): string => `${OUTBOX}${at}/${id}`;

/** What the server refused, or what could not be read: kept until somebody decides. */
export const ASIDE = 'aside/';
export const asideKey = (key: string): string => `${ASIDE}${key}`;

export const draftsOf = (runId: string): string => `draft/${runId}/`;
export const draftKey = (runId: string, tab: string): string => `${draftsOf(runId)}${tab}`;

export const progressKey = (runId: string, work: string): string => `progress/${runId}/${work}`;

/** Changes of a job's practice which the server has not got yet; of the shop's under an empty id. */
export const PRACTICE = 'practice/';
export const practiceKey = (jobId: string): string => `${PRACTICE}${jobId}`;

/** Sites which this device has with it. */
export const ALONG = 'along/';
export const alongKey = (jobId: string): string => `${ALONG}${jobId}`;

/** How things are called in the store of this device. */

export const OUTBOX = 'outbox/';
/** Sorted by the moment, so that what was done first goes first. */
export const outboxKey = (at: string, id: string): string => `${OUTBOX}${at}/${id}`;

/** What the server refused, or what could not be read: kept until somebody decides. */
export const ASIDE = 'aside/';
export const asideKey = (key: string): string => `${ASIDE}${key}`;

export const DRAFTS = 'draft/';
/** Of a run by its id; of a site by that of its job with a mark. */
export const draftsOf = (id: string): string => `${DRAFTS}${id}/`;
const SITE = 'site-';
export const siteDraftId = (jobId: string): string => `${SITE}${jobId}`;
/** Which document a draft is of, and which tab made it. */
export function readDraftKey(key: string): {
  id: string;
  kind: 'run' | 'site';
  documentId: string;
  tab: string;
} {
  const [, id = '', tab = ''] = key.split('/');
  const isSite = id.startsWith(SITE);
  return { id, kind: isSite ? 'site' : 'run', documentId: isSite ? id.slice(SITE.length) : id, tab };
}
export const draftKey = (runId: string, tab: string): string => `${draftsOf(runId)}${tab}`;

export const progressKey = (runId: string, work: string): string => `progress/${runId}/${work}`;

/** Changes of a job's practice which the server has not got yet; of the shop's under an empty id. */
export const PRACTICE = 'practice/';
export const practiceKey = (jobId: string): string => `${PRACTICE}${jobId}`;

/** Who was signed in here last. */
export const MEMBER = 'member';

/** Sites which are kept on this device. */
export const SITES = 'site kept/';
export const keptSiteKey = (jobId: string): string => `${SITES}${jobId}`;

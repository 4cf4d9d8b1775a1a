import { readSite, routes, type JobDocument, type SiteDocument } from '@kobran/contract';
import { applySiteChange, emptySite, type Site, type SiteChange } from '@kobran/core';
import { useQuery, useQueryClient, type QueryClient } from '@tanstack/react-query';
import { call } from './client.js';
import { useDevice, warn } from './Device.js';
import type { Saving, Versioned } from './documentEditor.js';
import { Drafts, type ReadDocument } from './drafts.js';
import { jobKey } from './queries.js';
import { ofThisDevice } from './keepAnswers.js';
import { savingFailed } from './savingFailed.js';
import { useDocumentEditor, type OpenDocument } from './useDocumentEditor.js';

export type SiteEditor = OpenDocument<Site, SiteChange>;

const draftId = (jobId: string): string => `site-${jobId}`;

const readDraft: ReadDocument<Site> = (value) => {
  const read = readSite(value);
  return read.ok ? { ok: true, document: read.site } : read;
};

/** What this device kept of a site’s edits; undefined while it is looked up, `{}` when there is nothing. */
export function useSiteDraft(jobId: string): { draft?: Versioned<Site> } | undefined {
  const { keeper, tabs } = useDevice();
  const { data } = useQuery({
    queryKey: ['draft', draftId(jobId)],
    queryFn: async () => {
      const draft = await new Drafts(keeper, tabs, warn).find(draftId(jobId), readDraft);
      return draft ? { draft } : {};
    },
    gcTime: 0,
    staleTime: Infinity,
    meta: ofThisDevice,
  });
  return data;
}

/** The site of a job under edit. */
export function useSiteEditor({ id, place }: JobDocument, draft: Versioned<Site> | undefined): SiteEditor {
  const queries = useQueryClient();
  const known = { version: place?.version ?? 0, document: place?.site ?? emptySite };
  return useDocumentEditor<Site, SiteChange>(draftId(id), known, draft, {
    apply: applySiteChange,
    save: (wish) => save(id, wish, queries),
  });
}

/** What the job says of its site, once the server has another one. */
export function siteArrived(queries: QueryClient, jobId: string, place: SiteDocument): void {
  queries.setQueryData<JobDocument>(jobKey(jobId), (job) => job && { ...job, place });
}

async function save(
  id: string,
  { version, document: site }: Versioned<Site>,
  queries: QueryClient,
): Promise<Saving<Site>> {
  try {
    const saved = await call(routes.replaceSite, { id, body: { version, site } });
    siteArrived(queries, id, saved);
    return { kind: 'saved', saved: { version: saved.version, document: saved.site } };
  } catch (error) {
    return savingFailed(error, ({ version: theirs, data }) => {
      const read = readSite(data);
      return read.ok ? { version: theirs, document: read.site } : undefined;
    });
  }
}

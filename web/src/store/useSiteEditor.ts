import { readSite, routes, type JobDocument, type SiteDocument } from '@kobran/contract';
import { applySiteChange, emptySite, threeWay, type Site, type SiteChange } from '@kobran/core';
import { useQuery, useQueryClient, type QueryClient } from '@tanstack/react-query';
import { call } from './client.js';
import { useDevice, warn } from './Device.js';
import type { Draft, Saving, Versioned } from './documentEditor.js';
import { Drafts, whole, type ReadDocument } from './drafts.js';
import { siteDraftId } from './kept/keys.js';
import { jobKey } from './queries.js';
import { ofThisDevice } from './keepAnswers.js';
import { savingFailed } from './savingFailed.js';
import { useDocumentEditor, type DocumentPorts, type OpenDocument } from './useDocumentEditor.js';

export type SiteEditor = OpenDocument<Site, SiteChange>;

export const readSiteDraft: ReadDocument<Site> = (value) => {
  const read = readSite(value);
  return read.ok ? { ok: true, document: read.site } : read;
};

/** What this device kept of a site’s edits; undefined while it is looked up, `{}` when there is nothing. */
export function useSiteDraft(jobId: string): { draft?: Draft<Site> } | undefined {
  const { keeper, tabs } = useDevice();
  const { data } = useQuery({
    queryKey: ['draft', siteDraftId(jobId)],
    queryFn: async () => {
      const draft = await new Drafts(keeper, tabs, warn).find(siteDraftId(jobId), readSiteDraft);
      return draft ? { draft } : {};
    },
    gcTime: 0,
    staleTime: Infinity,
    meta: ofThisDevice,
  });
  return data;
}

/** The site of a job under edit. */
export function useSiteEditor({ id, place }: JobDocument, draft: Draft<Site> | undefined): SiteEditor {
  const queries = useQueryClient();
  const known = versionedSite(place);
  return useDocumentEditor<Site, SiteChange>(siteDraftId(id), known, draft, sitePorts(id, queries));
}

/** How a site is changed, saved and put together. */
export const sitePorts = (jobId: string, queries: QueryClient): DocumentPorts<Site, SiteChange> => ({
  apply: applySiteChange,
  merge: (base, mine, theirs) => whole(threeWay(base, mine, theirs), readSiteDraft),
  save: (wish) => save(jobId, wish, queries),
});

/** An empty one where nobody has drawn it. */
export const versionedSite = (place: SiteDocument | undefined): Versioned<Site> => ({
  version: place?.version ?? 0,
  document: place?.site ?? emptySite,
});

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

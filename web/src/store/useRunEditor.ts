import { routes, type RunDocument } from '@kobran/contract';
import {
  applyChange,
  onSite,
  threeWay,
  type Catalog,
  type Change,
  type Design,
  type Site,
} from '@kobran/core';
import { useQuery, useQueryClient, type QueryClient } from '@tanstack/react-query';
import { useMemo } from 'react';
import { call } from './client.js';
import { useDevice, warn } from './Device.js';
import type { Draft, Saving, Versioned } from './documentEditor.js';
import { Drafts, whole } from './drafts.js';
import { runKey } from './queries.js';
import { readDesignDraft } from './readDesignDraft.js';
import { ofThisDevice } from './keepAnswers.js';
import { savingFailed } from './savingFailed.js';
import { useCatalog } from './Shop.js';
import { useDocumentEditor, type DocumentPorts, type UnderEdit } from './useDocumentEditor.js';

export interface RunEditor extends UnderEdit {
  /** With its legs from the site, where it lies in one. */
  design: Design;
  change: (changes: readonly Change[]) => void;
}

/** What this device kept of a run’s edits; undefined while it is looked up, `{}` when there is nothing. */
export function useDraft(runId: string): { draft?: Draft<Design> } | undefined {
  const { keeper, tabs } = useDevice();
  const catalog = useCatalog();
  const { data } = useQuery({
    queryKey: ['draft', runId],
    queryFn: async () => {
      const draft = await new Drafts(keeper, tabs, warn).find(runId, (value) =>
        readDesignDraft(value, catalog),
      );
      return draft ? { draft } : {};
    },
    enabled: runId !== '',
    gcTime: 0,
    staleTime: Infinity,
    meta: ofThisDevice,
  });
  return data;
}

/** The design of a run under edit, as screens use it. */
export function useRunEditor(
  run: RunDocument,
  draft: Draft<Design> | undefined,
  site: Site | undefined,
): RunEditor {
  const queries = useQueryClient();
  const catalog = useCatalog();
  const { id } = run;
  const { document, ...rest } = useDocumentEditor<Design, Change>(
    id,
    versioned(run),
    draft,
    runPorts(id, queries, catalog),
  );
  const design = useMemo(() => onSite(document, site), [document, site]);
  const { change, redo, undo, save: state, keepMine, takeTheirs } = rest;
  return useMemo(
    () => ({ design, change, redo, undo, save: state, keepMine, takeTheirs }),
    [design, change, redo, undo, state, keepMine, takeTheirs],
  );
}

/** How the design of a run is changed, saved and put together. */
export const runPorts = (
  id: string,
  queries: QueryClient,
  catalog: Catalog,
): DocumentPorts<Design, Change> => ({
  apply: applyChange,
  merge: (base, mine, theirs) => whole(threeWay(base, mine, theirs), (one) => readDesignDraft(one, catalog)),
  save: (wish) => save(id, wish, queries),
});

export const versioned = ({ version, design }: RunDocument): Versioned<Design> => ({
  version,
  document: design,
});

async function save(
  id: string,
  { version, document: design }: Versioned<Design>,
  queries: QueryClient,
): Promise<Saving<Design>> {
  try {
    const saved = await call(routes.replaceRun, { id, body: { version, design } });
    queries.setQueryData(runKey(id), saved);
    return { kind: 'saved', saved: versioned(saved) };
  } catch (error) {
    return savingFailed(error, (current) =>
      current.design ? { version: current.version, document: current.design } : undefined,
    );
  }
}

import { routes, type RunDocument } from '@kobran/contract';
import type { Change, Design } from '@kobran/core';
import { useQuery, useQueryClient, type QueryClient } from '@tanstack/react-query';
import { useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import { call, Refused, Unreachable } from './client.js';
import { later, useDevice, warn } from './Device.js';
import { DesignEditor, type SaveState, type Saving, type Versioned } from './designEditor.js';
import { Drafts } from './drafts.js';
import { runKey } from './queries.js';
import { useCatalog } from './Shop.js';

export interface RunEditor {
  design: Design;
  save: SaveState;
  change: (changes: readonly Change[]) => void;
  undo: (() => void) | undefined;
  redo: (() => void) | undefined;
  keepMine: () => void;
  takeTheirs: () => void;
}

/** What this device kept of a run’s edits; undefined while it is looked up, `{}` when there is nothing. */
export function useDraft(runId: string): { draft?: Versioned } | undefined {
  const { keeper, tabs } = useDevice();
  const catalog = useCatalog();
  const { data } = useQuery({
    queryKey: ['draft', runId],
    queryFn: async () => {
      const draft = await new Drafts(keeper, tabs, warn).find(runId, catalog);
      return draft ? { draft } : {};
    },
    enabled: runId !== '',
    gcTime: 0,
    staleTime: Infinity,
    networkMode: 'always',
  });
  return data;
}

/** The design of a run under edit, as screens use it. */
export function useRunEditor(document: RunDocument, draft: Versioned | undefined): RunEditor {
  const queries = useQueryClient();
  const { keeper, tabs } = useDevice();
  const { id } = document;
  const [editor] = useState(() => {
    const drafts = new Drafts(keeper, tabs, warn);
    return new DesignEditor(document, draft, {
      save: (wish) => save(id, wish, queries),
      keepDraft: (kept) => drafts.keep(id, kept),
      later,
    });
  });
  useEffect(() => {
    editor.start();
    return () => editor.stop();
  }, [editor]);
  useEffect(() => editor.serverHas(document), [editor, document]);
  const { design, save: state, canUndo, canRedo } = useSyncExternalStore(editor.subscribe, editor.snapshot);
  return useMemo(
    () => ({
      design,
      save: state,
      change: (changes) => editor.change(changes),
      undo: canUndo ? () => editor.undo() : undefined,
      redo: canRedo ? () => editor.redo() : undefined,
      keepMine: () => editor.keepMine(),
      takeTheirs: () => editor.takeTheirs(),
    }),
    [editor, design, state, canUndo, canRedo],
  );
}

async function save(id: string, wish: Versioned, queries: QueryClient): Promise<Saving> {
  try {
    const saved = await call(routes.replaceRun, { id, body: wish });
    queries.setQueryData(runKey(id), saved);
    return { kind: 'saved', saved };
  } catch (error) {
    if (error instanceof Unreachable) return { kind: 'away' };
    if (!(error instanceof Refused)) throw error;
    const { current } = error.problem;
    if (error.status === 409 && current?.design)
      return { kind: 'conflict', theirs: { version: current.version, design: current.design } };
    return error.status >= 500 ? { kind: 'away' } : { kind: 'refused', problem: error.problem };
  }
}

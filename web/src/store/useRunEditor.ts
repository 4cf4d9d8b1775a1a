import type { ApiProblem, RunDocument } from '@kobran/contract';
import { applyChange, type Change, type Design } from '@kobran/core';
import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useRef, useState } from 'react';
import { ask, Refused, Unreachable } from './client.js';
import { runKey } from './queries.js';
import { dropDraft, keepDraft, loadDraft } from './draft.js';
import { edited, historyOf, redone, undone, type History } from './history.js';

export type SaveState =
  | { kind: 'saved' }
  | { kind: 'saving' }
  | { kind: 'offline' }
  | { kind: 'refused'; problem: ApiProblem }
  | { kind: 'conflict'; theirs: { version: number; design: Design } };

export interface RunEditor {
  design: Design;
  save: SaveState;
  change: (changes: readonly Change[]) => void;
  undo: (() => void) | undefined;
  redo: (() => void) | undefined;
  keepMine: () => void;
  takeTheirs: () => void;
}

const PAUSE_MS = 400;
const RETRY_MS = 2_500;

/**
 * The design of a run under edit: undo and redo, autosave with versions, kept on this device until the server has it.
 *
 * @param document the run as it was read; a newer one read later is taken over when nothing is unsaved
 */
export function useRunEditor(document: RunDocument): RunEditor {
  const queries = useQueryClient();
  const [draft] = useState(() => loadDraft(document.id));
  const [history, setHistory] = useState<History>(() =>
    draft ? edited(historyOf(document.design), draft.design) : historyOf(document.design),
  );
  const [base, setBase] = useState({ version: draft?.version ?? document.version, design: document.design });
  const [save, setSave] = useState<SaveState>({ kind: 'saved' });
  const [attempt, setAttempt] = useState(0);
  const sending = useRef(false);
  const { present } = history;
  const dirty = present !== base.design && JSON.stringify(present) !== JSON.stringify(base.design);

  // Another tab or person saved, and nothing of ours is waiting: show theirs, one undo away from what was here.
  if (!dirty && document.version > base.version) {
    setBase({ version: document.version, design: document.design });
    setHistory((now) => edited(now, document.design));
  }

  const stopped = save.kind === 'conflict' || save.kind === 'refused';

  useEffect(() => {
    if (!dirty) {
      dropDraft(document.id);
      return undefined;
    }
    keepDraft(document.id, { version: base.version, design: present });
    if (stopped) return undefined;
    const timer = setTimeout(() => void send(), save.kind === 'offline' ? RETRY_MS : PAUSE_MS);
    return () => clearTimeout(timer);

    async function send(): Promise<void> {
      if (sending.current) return;
      sending.current = true;
      setSave((now) => (now.kind === 'offline' ? now : { kind: 'saving' }));
      try {
        const saved = await ask<RunDocument>('PUT', `/api/runs/${document.id}`, {
          version: base.version,
          design: present,
        });
        queries.setQueryData(runKey(document.id), saved);
        setBase({ version: saved.version, design: present });
        setSave({ kind: 'saved' });
      } catch (error) {
        setSave(failed(error));
      } finally {
        sending.current = false;
        setAttempt((n) => n + 1);
      }
    }
  }, [dirty, present, base, attempt, stopped, save.kind, document.id, queries]);

  const change = useCallback((changes: readonly Change[]) => {
    setHistory((now) => edited(now, changes.reduce(applyChange, now.present)));
    setSave((now) => (now.kind === 'refused' ? { kind: 'saved' } : now));
  }, []);

  const theirs = save.kind === 'conflict' ? save.theirs : undefined;
  return {
    design: present,
    save: dirty && save.kind === 'saved' ? { kind: 'saving' } : save,
    change,
    undo: history.past.length > 0 ? () => setHistory(undone) : undefined,
    redo: history.future.length > 0 ? () => setHistory(redone) : undefined,
    keepMine: () => {
      if (!theirs) return;
      setBase({ version: theirs.version, design: theirs.design });
      setSave({ kind: 'saved' });
    },
    takeTheirs: () => {
      if (!theirs) return;
      setBase({ version: theirs.version, design: theirs.design });
      setHistory((now) => edited(now, theirs.design));
      setSave({ kind: 'saved' });
    },
  };
}

function failed(error: unknown): SaveState {
  if (error instanceof Unreachable) return { kind: 'offline' };
  if (!(error instanceof Refused)) throw error;
  const { current } = error.problem;
  if (error.status === 409 && current?.design)
    return { kind: 'conflict', theirs: { version: current.version, design: current.design } };
  if (error.status >= 500) return { kind: 'offline' };
  return { kind: 'refused', problem: error.problem };
}

import { toast } from 'sonner';
import { useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import { later, useDevice, warn } from './Device.js';
import {
  DocumentEditor,
  type Draft,
  type EditorPorts,
  type SaveState,
  type Versioned,
} from './documentEditor.js';
import { Drafts } from './drafts.js';

/** A document under edit, as the top bar and notices need it. */
export interface UnderEdit {
  save: SaveState;
  undo: (() => void) | undefined;
  redo: (() => void) | undefined;
  keepMine: () => void;
  takeTheirs: () => void;
}

/** A document under edit, as screens use it. */
export interface OpenDocument<D, C> extends UnderEdit {
  document: D;
  change: (changes: readonly C[]) => void;
}

/** How a kind of document is changed, saved and put together. */
export type DocumentPorts<D, C> = Pick<EditorPorts<D, C>, 'apply' | 'save' | 'merge'>;

/** Documents which a screen of this tab has open: they are sent from there. */
export const underEdit = new Set<string>();

/**
 * Edits a document: shown at once, saved after a pause, kept on this device until the server has it.
 *
 * @param id what its drafts are kept under
 * @param known the document as it was read; a newer one is shown when nothing is unsaved
 * @param ports how it is changed and saved; those of the first call are used
 */
export function useDocumentEditor<D, C>(
  id: string,
  known: Versioned<D>,
  draft: Draft<D> | undefined,
  ports: DocumentPorts<D, C>,
): OpenDocument<D, C> {
  const { keeper, tabs } = useDevice();
  const [editor] = useState(() => {
    const drafts = new Drafts(keeper, tabs, warn);
    return new DocumentEditor<D, C>(known, draft, {
      ...ports,
      tellMerged: () =>
        void toast('Somebody else changed this meanwhile. What both did is in; undo takes theirs out.', {
          id: `merged ${id}`,
        }),
      keepDraft: (kept) => drafts.keep(id, kept),
      later,
    });
  });
  useEffect(() => {
    underEdit.add(id);
    editor.start();
    return () => {
      underEdit.delete(id);
      editor.stop();
    };
  }, [editor, id]);
  const { version, document: standing } = known;
  useEffect(() => editor.serverHas({ version, document: standing }), [editor, version, standing]);
  const { document, save, canUndo, canRedo } = useSyncExternalStore(editor.subscribe, editor.snapshot);
  return useMemo(
    () => ({
      document,
      save,
      change: (changes) => editor.change(changes),
      undo: canUndo ? () => editor.undo() : undefined,
      redo: canRedo ? () => editor.redo() : undefined,
      keepMine: () => editor.keepMine(),
      takeTheirs: () => editor.takeTheirs(),
    }),
    [editor, document, save, canUndo, canRedo],
  );
}

import type { ReactNode } from 'react';
import type { RunEditor } from '../store/useRunEditor.js';

/** Two places changed the same run. Both are kept until one is chosen; the other stays one undo away. */
export function ConflictNotice({ editor }: { editor: RunEditor }): ReactNode {
  return (
    <div role="alert" className="flex flex-wrap items-center gap-3 border-b-2 border-stop bg-paper px-4 py-2">
      <p className="flex-1">
        <strong className="text-stop">This run was changed elsewhere while you changed it here.</strong>{' '}
        Nothing is lost: choose one, undo brings the other back.
      </p>
      <button className="button button-primary" onClick={editor.keepMine}>
        Keep mine
      </button>
      <button className="button" onClick={editor.takeTheirs}>
        Use theirs
      </button>
    </div>
  );
}

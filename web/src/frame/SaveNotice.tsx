import type { ReactNode } from 'react';
import type { UnderEdit } from '../store/useDocumentEditor.js';

/** What a person has to decide or mend before a document is saved. */
export function SaveNotice({ what, editor }: { what: 'run' | 'site'; editor: UnderEdit }): ReactNode {
  const { save } = editor;
  if (save.kind === 'conflict') return <ConflictNotice what={what} editor={editor} />;
  if (save.kind !== 'refused') return null;
  return (
    <p role="alert" className="border-b-2 border-stop bg-paper px-4 py-2">
      <strong className="text-stop">Not saved.</strong> {save.problem.message} {save.problem.remedy} Your
      change is kept here; undo takes it back.
    </p>
  );
}

/** Two places changed the same document. Both are kept until one is chosen; the other stays one undo away. */
function ConflictNotice({ what, editor }: { what: string; editor: UnderEdit }): ReactNode {
  return (
    <div role="alert" className="flex flex-wrap items-center gap-3 border-b-2 border-stop bg-paper px-4 py-2">
      <p className="flex-1">
        <strong className="text-stop">This {what} was changed elsewhere while you changed it here.</strong>{' '}
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

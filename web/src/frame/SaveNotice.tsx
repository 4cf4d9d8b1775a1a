import { sayClash, type Clash } from '@kobran/core';
import type { ReactNode } from 'react';
import { useCatalog } from '../store/Shop.js';
import { usePreferences } from '../ui/Preferences.js';
import type { UnderEdit } from '../store/useDocumentEditor.js';

/** What a person has to decide or mend before a document is saved. */
export function SaveNotice({ what, editor }: { what: 'run' | 'site'; editor: UnderEdit }): ReactNode {
  const { save } = editor;
  if (save.kind === 'conflict') return <ConflictNotice what={what} clashes={save.clashes} editor={editor} />;
  if (save.kind !== 'refused') return null;
  return (
    <p role="alert" className="sticky top-0 z-20 border-b-2 border-stop bg-paper px-4 py-2">
      <strong className="text-stop">Not saved.</strong> {save.problem.message} {save.problem.remedy} Your
      change is kept here; undo takes it back.
    </p>
  );
}

/** Two changed the same to different things. Both are kept until one is chosen; the other stays one undo away. */
function ConflictNotice({
  what,
  clashes,
  editor,
}: {
  what: string;
  clashes: readonly Clash[];
  editor: UnderEdit;
}): ReactNode {
  const catalog = useCatalog();
  const { units } = usePreferences();
  return (
    <div
      role="alert"
      className="sticky top-0 z-20 max-h-[60vh] overflow-y-auto border-b-2 border-stop bg-paper px-4 py-2"
    >
      <div className="flex flex-wrap items-center gap-3">
        <p className="min-w-0 flex-1 basis-80">
          <strong className="text-stop">This {what} was changed elsewhere while you changed it here.</strong>{' '}
          {clashes.length > 0
            ? 'Everything else of both is in. Choose what both changed; undo brings the other back.'
            : 'Nothing is lost: choose one, undo brings the other back.'}
        </p>
        <button className="button button-primary" onClick={editor.keepMine}>
          Keep mine
        </button>
        <button className="button" onClick={editor.takeTheirs}>
          Use theirs
        </button>
      </div>
      {clashes.length > 0 && (
        <table className="mt-2 w-full text-left">
          <thead className="text-sm text-muted">
            <tr>
              <th className="py-1 pr-3 font-normal">Changed by both</th>
              <th className="py-1 pr-3 font-normal">Mine</th>
              <th className="py-1 font-normal">Theirs</th>
            </tr>
          </thead>
          <tbody>
            {clashes.slice(0, MOST_SHOWN).map((clash) => {
              const said = sayClash(clash, catalog, units);
              return (
                <tr key={clash.path.join('/')} className="border-t border-rule align-baseline">
                  <th scope="row" className="py-1 pr-3 font-semibold">
                    {said.what}
                  </th>
                  <td className="py-1 pr-3">{said.mine}</td>
                  <td className="py-1">{said.theirs}</td>
                </tr>
              );
            })}
          </tbody>
        </table>
      )}
      {clashes.length > MOST_SHOWN && (
        <p className="text-sm text-muted">and {clashes.length - MOST_SHOWN} more</p>
      )}
    </div>
  );
}

/** More are not read one by one. */
const MOST_SHOWN = 6;

import type { ReactNode } from 'react';
import { useWaitingCount } from '../store/Device.js';
import type { SaveState } from '../store/documentEditor.js';

const words: Record<SaveState['kind'], string> = {
  saved: 'Saved',
  saving: 'Saving…',
  offline: 'Server does not answer. Kept here, trying again',
  refused: 'Not saved',
  conflict: 'Changed elsewhere',
};

/** Says whether what is on the screen is also on the server. */
export function SaveMark({ save }: { save: SaveState }): ReactNode {
  const waiting = useWaitingCount();
  const calm = save.kind === 'saved' || save.kind === 'saving';
  const text =
    calm && waiting > 0
      ? `${waiting} ${waiting === 1 ? 'entry' : 'entries'} on the way`
      : save.kind === 'offline' && save.why !== undefined
        ? `${save.why} Kept here, trying again`
        : words[save.kind];
  return (
    <span
      role="status"
      data-save={calm && waiting > 0 ? 'saving' : save.kind}
      className={`text-sm ${calm ? 'sr-only text-muted sm:not-sr-only' : 'font-semibold text-stop'}`}
    >
      {text}
    </span>
  );
}

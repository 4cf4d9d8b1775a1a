import { REMAKE_M, formatLength } from '@kobran/core';
import { Dialog } from 'radix-ui';
import { useState, type ReactNode } from 'react';
import { usePreferences } from '../../preferences/Preferences.js';

/** A failed end is logged with its cause; the card begins again. */
export function WentWrong({
  open,
  causes,
  onClose,
  onFailed,
}: {
  open: boolean;
  causes: readonly string[];
  onClose: () => void;
  onFailed: (cause: string) => void;
}): ReactNode {
  const { units } = usePreferences();
  const [own, setOwn] = useState('');
  return (
    <Dialog.Root open={open} onOpenChange={(to) => !to && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-10 bg-black/50" />
        <Dialog.Content className="fixed top-1/2 left-1/2 z-20 w-[min(36rem,94vw)] -translate-x-1/2 -translate-y-1/2 rounded border border-edge bg-sheet p-6">
          <Dialog.Title className="text-xl font-bold">What went wrong?</Dialog.Title>
          <Dialog.Description className="mt-1 text-muted">
            It goes into the log, and the card begins again. Starting over costs about{' '}
            {formatLength(REMAKE_M, { system: units, small: true })} of cable.
          </Dialog.Description>
          <div className="mt-4 grid gap-2">
            {causes.map((cause) => (
              <button key={cause} className="button min-h-12 text-left" onClick={() => onFailed(cause)}>
                {cause}
              </button>
            ))}
          </div>
          <form
            className="mt-3 flex gap-2"
            onSubmit={(event) => {
              event.preventDefault();
              if (own.trim() !== '') onFailed(own.trim());
            }}
          >
            <input
              className="field"
              aria-label="Something else"
              placeholder="Something else"
              maxLength={300}
              value={own}
              onChange={({ target }) => setOwn(target.value)}
            />
            <button className="button">Log it</button>
          </form>
          <Dialog.Close className="button mt-4">It is all right, go on</Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

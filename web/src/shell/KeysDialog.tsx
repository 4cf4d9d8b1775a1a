import { Dialog } from 'radix-ui';
import type { ReactNode } from 'react';

const keys: [string, string][] = [
  ['← →', 'joint by joint along the ruler'],
  ['1 … 5', 'apply a remedy of the selected place'],
  ['Esc', 'let go of the selection; leave a card'],
  ['Ctrl Z', 'undo'],
  ['Ctrl Shift Z', 'redo'],
  ['U', 'metric or imperial'],
  ['Space', 'on a card: next step'],
  ['B', 'on a card: step back'],
  ['W', 'on a card: it went wrong'],
  ['R', 'on a card: say it again'],
  ['?', 'these keys'],
];

export function KeysDialog({
  open,
  onOpenChange,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
}): ReactNode {
  return (
    <Dialog.Root open={open} onOpenChange={onOpenChange}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-10 bg-black/50" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed top-1/2 left-1/2 z-20 w-[min(28rem,92vw)] -translate-x-1/2 -translate-y-1/2 rounded border border-edge bg-sheet p-6"
        >
          <Dialog.Title className="text-lg font-bold">Keys</Dialog.Title>
          <dl className="mt-4 grid grid-cols-[8rem_1fr] gap-y-2">
            {keys.map(([key, what]) => (
              <div key={key} className="contents">
                <dt>
                  <kbd className="key">{key}</kbd>
                </dt>
                <dd>{what}</dd>
              </div>
            ))}
          </dl>
          <Dialog.Close className="button mt-6">Close</Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

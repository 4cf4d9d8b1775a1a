import type { ReactNode } from 'react';
import { Window } from './Window.js';

const keys: [string, string][] = [
  ['← →', 'joint by joint along the ruler'],
  ['1 … 5', 'apply a remedy of the selected place'],
  ['Tab', 'piece by piece, joint by joint'],
  ['F', 'make the selected joint fit'],
  ['A', 'put a piece in at the selected place'],
  ['R', 'turn the selected piece round'],
  ['Alt ← →', 'move the selected piece'],
  ['Delete', 'take the selected piece out'],
  ['C', 'all cables side by side for the selected piece'],
  ['W', 'what if: compare with the run as it is now'],
  ['+ − 0', 'zoom in, out, whole run'],
  ['Shift ← →', 'move along the ruler when zoomed'],
  ['Ctrl K', 'find or do anything'],
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
    <Window title="Keys" open={open} onOpenChange={onOpenChange}>
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
    </Window>
  );
}

import { lazy, Suspense, useState, type ReactNode } from 'react';
import { Finder } from '../ui/Finder.js';
import { Window } from '../ui/Window.js';

const Palette = lazy(() => import('./Palette.js').then((script) => ({ default: script.Palette })));

/** Ctrl K: find or do anything by typing; what is typed and entered before there is anything to find is not lost. */
export function PaletteWindow({
  open,
  onOpenChange,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
}): ReactNode {
  return (
    <Window title="Find or do" open={open} onOpenChange={onOpenChange}>
      {open && <Typing onDone={() => onOpenChange(false)} />}
    </Window>
  );
}

function Typing({ onDone }: { onDone: () => void }): ReactNode {
  const [typed, setTyped] = useState('');
  const [entered, setEntered] = useState(false);
  const type = (to: string): void => {
    setTyped(to);
    setEntered(false);
  };
  const early = (
    <Finder
      label="Runs, screens, pieces, connectors, cables, actions, settings"
      items={[]}
      autoFocus
      begun={typed}
      onType={type}
      onNothing={() => setEntered(true)}
      onPick={() => undefined}
      height="max-h-80"
    />
  );
  return (
    <div className="mt-2">
      <Suspense fallback={early}>
        <Palette typed={typed} take={entered} onType={type} onDone={onDone} meanwhile={early} />
      </Suspense>
    </div>
  );
}

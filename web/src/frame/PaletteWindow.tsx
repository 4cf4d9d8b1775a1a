import { lazy, Suspense, useState, type ReactNode } from 'react';
import { Finder } from '../ui/Finder.js';
import { Window } from '../ui/Window.js';

const Palette = lazy(() => import('./Palette.js').then((script) => ({ default: script.Palette })));

/** Ctrl K: find or do anything by typing; what is typed before there is anything to find is not lost. */
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
  const early = (
    <Finder
      label="Runs, screens, pieces, connectors, cables, actions, settings"
      items={[]}
      autoFocus
      begun={typed}
      onType={setTyped}
      onPick={() => undefined}
      height="max-h-80"
    />
  );
  return (
    <div className="mt-2">
      <Suspense fallback={early}>
        <Palette typed={typed} onType={setTyped} onDone={onDone} meanwhile={early} />
      </Suspense>
    </div>
  );
}

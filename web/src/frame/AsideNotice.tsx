import { lazy, Suspense, useState, type ReactNode } from 'react';
import { useOutbox } from '../store/Device.js';

const AsideWindow = lazy(() =>
  import('./AsideWindow.js').then((script) => ({ default: script.AsideWindow })),
);

/** Says that something was set aside on this device. */
export function AsideNotice(): ReactNode {
  const { aside } = useOutbox();
  const [open, setOpen] = useState(false);
  if (aside.length === 0) return null;
  return (
    <>
      <button
        className="rounded border-2 border-caution px-2 py-1 text-sm font-semibold text-caution"
        onClick={() => setOpen(true)}
      >
        {aside.length} set aside
      </button>
      {open && (
        <Suspense>
          <AsideWindow onOpenChange={setOpen} />
        </Suspense>
      )}
    </>
  );
}

import { Filter } from 'lucide-react';
import { lazy, Suspense, useState, type ReactNode } from 'react';
import { useWanted } from './useBoard.js';

const BoardFilters = lazy(() =>
  import('./BoardFilters.js').then((script) => ({ default: script.BoardFilters })),
);

/** Opens what the list can be narrowed by; says how many are in force. */
export function FilterButton(): ReactNode {
  const [{ stage, problem, due, person }] = useWanted();
  const [open, setOpen] = useState(false);
  const inForce = [stage, problem, due, person].filter((one) => one !== undefined).length;
  return (
    <>
      <button className="button" onClick={() => setOpen(true)}>
        <Filter size={16} aria-hidden /> Filter{inForce > 0 ? ` (${inForce})` : ''}
      </button>
      {open && (
        <Suspense>
          <BoardFilters onOpenChange={setOpen} />
        </Suspense>
      )}
    </>
  );
}

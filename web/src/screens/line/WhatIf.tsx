import {
  compareSheets,
  defaultPractice,
  evaluate,
  formatFigure,
  noFacts,
  type Catalog,
  type Design,
} from '@kobran/core';
import { useMemo, useState, type ReactNode } from 'react';
import { usePreferences } from '../../ui/Preferences.js';
import { useOpenRun } from '../../store/RunContext.js';
import { useCatalog } from '../../store/Shop.js';
import { keep, keptMembers } from '../../ui/browserStore.js';

interface WhatIfState {
  /** The run as it was when the what-if began. */
  base: Design | undefined;
  toggle: () => void;
  end: () => void;
}

const keyOf = (runId: string): string => `kobran.what-if.${runId}`;

/** The run which was kept, where it still can be evaluated: its parts may have gone since. */
function keptBase(runId: string, catalog: Catalog): Design | undefined {
  const kept = keptMembers(keyOf(runId), sessionStorage);
  if (!('pieces' in kept)) return undefined;
  try {
    evaluate(kept as unknown as Design, catalog, {
      facts: noFacts,
      practice: defaultPractice,
      sweepPoints: 2,
    });
    return kept as unknown as Design;
  } catch {
    return undefined;
  }
}

/** A what-if outlives a reload of the page: it is kept in this tab. */
export function useWhatIf(): WhatIfState {
  const { id, editor } = useOpenRun();
  const catalog = useCatalog();
  const [base, setBase] = useState<Design | undefined>(() => keptBase(id, catalog));
  const put = (design: Design | undefined): void => {
    if (design) keep(keyOf(id), design, sessionStorage);
    else sessionStorage.removeItem(keyOf(id));
    setBase(design);
  };
  return { base, end: () => put(undefined), toggle: () => put(base ? undefined : editor.design) };
}

/** The run as it was beside the run as it is, figure by figure. */
export function WhatIf({ base, onEnd }: { base: Design; onEnd: () => void }): ReactNode {
  const { sheet, editor, facts, practice } = useOpenRun();
  const catalog = useCatalog();
  const { units } = usePreferences();
  const before = useMemo(
    () => evaluate(base, catalog, { facts, practice, sweepPoints: 2 }),
    [base, catalog, facts, practice],
  );
  const lines = useMemo(() => compareSheets(before, sheet), [before, sheet]);
  /** What reads differently too; a change beyond the last digit shown is none. */
  const changed = lines.filter(
    ({ better, before: a, after: b }) =>
      better !== undefined && formatFigure(a, units) !== formatFigure(b, units),
  );
  const same = changed.length === 0;
  const back = (): void => {
    editor.change([{ op: 'set design', design: base }]);
    onEnd();
  };
  return (
    <section aria-label="What if" className="mt-2 border-y-2 border-ink bg-panel px-3 py-2">
      <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
        <h2 className="font-bold">What if?</h2>
        <p className="flex-1 text-muted">
          {same
            ? 'Change anything: its figures then stand beside those of the run as it was.'
            : 'The run as it was, and as you have made it.'}
        </p>
        <button className="button" onClick={onEnd}>
          Compare with the run as it is now
        </button>
        <button className="button" disabled={same} onClick={back}>
          Revert to the run as it was
        </button>
      </div>
      {!same && (
        <div className="relative overflow-x-auto">
          <table className="mt-1 text-sm">
            <thead>
              <tr className="text-left">
                <th scope="col" className="pr-4 font-normal text-muted">
                  <span className="sr-only">Figure</span>
                </th>
                {changed.map(({ name }) => (
                  <th key={name} scope="col" className="pr-6 font-semibold">
                    {name}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody className="figures">
              {(['before', 'after'] as const).map((which) => (
                <tr key={which}>
                  <th
                    scope="row"
                    className="pr-4 text-left font-sans font-normal whitespace-nowrap text-muted"
                  >
                    {which === 'before' ? 'as it was' : 'now'}
                  </th>
                  {changed.map((line) => (
                    <td
                      key={line.name}
                      className={`pr-6 whitespace-nowrap ${line.better === which ? 'font-bold' : ''}`}
                    >
                      {formatFigure(line[which], units)}
                      {line.better === which && (
                        <>
                          <span aria-hidden="true"> ✓</span>
                          <span className="sr-only"> better</span>
                        </>
                      )}
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
          <p className="text-sm text-muted">
            The same:{' '}
            {lines
              .filter((line) => !changed.includes(line))
              .map(({ name, after }) => `${name.toLowerCase()} ${formatFigure(after, units)}`)
              .join(', ')}
          </p>
        </div>
      )}
    </section>
  );
}

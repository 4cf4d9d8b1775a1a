import { runExpectations } from '@kobran/core';
import { useMemo, type ReactNode } from 'react';
import { useOpenRun } from '../../store/RunContext.js';
import { useCatalog } from '../../store/Shop.js';
import { FigureText } from '../../ui/FigureText.js';

/** What the run as a whole should show, before anything is read. */
export function WholeRun(): ReactNode {
  const { editor, sheet } = useOpenRun();
  const catalog = useCatalog();
  const { design } = editor;
  const all = useMemo(() => runExpectations(design, catalog, sheet), [design, catalog, sheet]);
  return (
    <section className="mt-5" aria-labelledby="whole">
      <h2 id="whole" className="text-lg font-bold">
        The whole run
      </h2>
      <ul className="divide-y divide-rule border-y border-rule">
        {all.map(({ name, how, expected, limit }) => (
          <li
            key={name}
            className="grid gap-x-6 py-2 sm:grid-cols-2 lg:grid-cols-[minmax(0,1.2fr)_11rem_minmax(0,1.4fr)]"
          >
            <div>
              <h3 className="font-semibold">{name}</h3>
              <p className="text-sm text-muted">{how}</p>
            </div>
            <p className="pt-0.5">
              {expected.unit === 'ohm' ? (
                <span className="figures">{expected.value === Infinity ? 'open' : 'near 0 Ω'}</span>
              ) : (
                <FigureText figure={expected} />
              )}
            </p>
            <p className="pt-0.5">{limit}</p>
          </li>
        ))}
      </ul>
    </section>
  );
}

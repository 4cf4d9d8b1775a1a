import { formatFigure, type Sheet } from '@kobran/core';
import type { ReactNode } from 'react';
import { NavLink } from 'react-router';
import { usePreferences, useWords } from '../ui/Preferences.js';
import { StateMark, stateWords } from '../ui/StateMark.js';

/** The stages in the order of work, each with its state and a few words. */
export function StageRail({ sheet, runId }: { sheet: Sheet; runId: string }): ReactNode {
  const words = useWords();
  const { units } = usePreferences();
  return (
    <nav
      aria-label="Stages"
      className="border-b border-rule md:w-38 md:shrink-0 md:overflow-y-auto md:border-r md:border-b-0"
    >
      <ol className="flex overflow-x-auto md:block md:py-2">
        {sheet.stages.map(({ id, name, state, detail }) => (
          <li key={id} className="relative shrink-0">
            <NavLink
              to={`/runs/${runId}/${id}`}
              className={({ isActive }) =>
                `flex gap-2.5 border-b-4 px-3 py-2 hover:bg-panel md:border-b-0 md:border-l-4 ${isActive ? 'border-copper bg-panel' : 'border-transparent'}`
              }
            >
              <span className="mt-0.5" title={stateWords[state]}>
                <StateMark state={state} />
              </span>
              <span>
                <span className="block font-semibold">{words(name)}</span>
                <span className="sr-only">{stateWords[state]}: </span>
                <span className="block text-sm whitespace-nowrap text-muted md:whitespace-normal">
                  {id === 'route' &&
                    sheet.route.spans.length > 0 &&
                    `${formatFigure(sheet.route.total, units)}, `}
                  {id === 'ground' ? words(detail) : detail}
                </span>
              </span>
            </NavLink>
          </li>
        ))}
      </ol>
    </nav>
  );
}

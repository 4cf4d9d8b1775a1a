import type { StageState } from '@kobran/core';
import type { ReactNode } from 'react';

/** What the marks say. */
export const stateWords: Record<StageState, string> = {
  'not started': 'not started',
  'in work': 'in work',
  done: 'done',
  snags: 'problem',
};

/** How far each half stands from the middle: apart, touching, locked together. */
const apart: Record<StageState, number> = { 'not started': 3, 'in work': 0, done: 0, snags: 0 };

/** State of work by two halves of a connector in profile: apart, touching, locked together by the nut, locked with a stop on top. */
export function StateMark({ state }: { state: StageState }): ReactNode {
  const locked = state === 'done' || state === 'snags';
  const gap = apart[state];
  const fill = locked ? 'var(--ink)' : 'var(--paper)';
  return (
    <svg viewBox="0 0 24 16" width="24" height="16" aria-hidden="true" className="shrink-0">
      <g fill={fill} stroke="var(--ink)" strokeWidth="1.5" strokeLinejoin="round">
        <path d={`M${1} 6h${6 - gap}v-2.5h5v9h-5v-2.5h-${6 - gap}z`} />
        <path d={`M${23} 6h-${6 - gap}v-2.5h-5v9h5v-2.5h${6 - gap}z`} />
        {gap > 0 && <path d={`M${12 - gap} 8h3`} />}
        {locked && <rect x="8.5" y="1.5" width="7" height="13" rx="1" />}
      </g>
      {state === 'snags' && (
        <g>
          <rect x="12" y="0.75" width="11" height="11" rx="2" fill="var(--stop)" stroke="var(--sheet)" />
          <path d="M15 3.75l5 5M20 3.75l-5 5" stroke="var(--sheet)" strokeWidth="1.8" />
        </g>
      )}
    </svg>
  );
}

import type { StageState } from '@kobran/core';
import type { ReactNode } from 'react';

/** State of a stage by shape: empty, half, crossed, full. */
export function StateMark({ state }: { state: StageState }): ReactNode {
  return (
    <svg viewBox="0 0 16 16" width="16" height="16" aria-hidden="true" className="shrink-0">
      {state === 'snags' ? (
        <>
          <rect x="1" y="1" width="14" height="14" rx="2" fill="var(--stop)" />
          <path d="M5 5l6 6M11 5l-6 6" stroke="var(--sheet)" strokeWidth="2" />
        </>
      ) : (
        <>
          <circle
            cx="8"
            cy="8"
            r="6.5"
            fill={state === 'done' ? 'var(--ink)' : 'var(--paper)'}
            stroke="var(--ink)"
            strokeWidth="1.5"
          />
          {state === 'in work' && <path d="M8 1.5a6.5 6.5 0 0 1 0 13z" fill="var(--ink)" />}
          {state === 'done' && (
            <path d="M4.5 8.2l2.4 2.4 4.6-4.8" fill="none" stroke="var(--sheet)" strokeWidth="1.8" />
          )}
        </>
      )}
    </svg>
  );
}

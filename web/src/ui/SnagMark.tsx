import type { SnagLevel } from '@kobran/core';
import type { ReactNode } from 'react';

/** Level of a snag by shape: a crossed square stops, a triangle cautions, a ring notes. */
export function SnagMark({ level, size = 16 }: { level: SnagLevel; size?: number }): ReactNode {
  return (
    <svg viewBox="0 0 16 16" width={size} height={size} aria-hidden="true" className="shrink-0">
      {level === 'stop' && (
        <>
          <rect x="1" y="1" width="14" height="14" rx="2" fill="var(--stop)" />
          <path d="M5 5l6 6M11 5l-6 6" stroke="var(--sheet)" strokeWidth="2" />
        </>
      )}
      {level === 'caution' && (
        <>
          <path
            d="M8 1.5L15 14.5H1z"
            fill="none"
            stroke="var(--caution)"
            strokeWidth="1.8"
            strokeLinejoin="round"
          />
          <path d="M8 6v4M8 11.4v1.4" stroke="var(--caution)" strokeWidth="1.7" />
        </>
      )}
      {level === 'note' && (
        <>
          <circle cx="8" cy="8" r="6.3" fill="none" stroke="var(--note)" strokeWidth="1.6" />
          <path d="M8 7v4.4M8 4.3v1.5" stroke="var(--note)" strokeWidth="1.7" />
        </>
      )}
    </svg>
  );
}

export const snagColour: Record<SnagLevel, string> = {
  stop: 'text-stop',
  caution: 'text-caution',
  note: 'text-note',
};

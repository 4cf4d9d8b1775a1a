import type { GaugeStretch } from '@kobran/core';
import type { ReactNode } from 'react';
import { StripMini } from '../../drawing/gauge/StripMini.js';

const MINI_PX = 150;

/** Answers to choose from, by pressing or by digit; after the answer right and wrong are told by word and colour. */
export function Options({
  options,
  right,
  answer,
  onAnswer,
}: {
  options: readonly { id: string; text: string; stretches?: GaugeStretch[] }[];
  right: string;
  answer: string | undefined;
  onAnswer: (id: string) => void;
}): ReactNode {
  const longestMm = Math.max(
    1,
    ...options.map(({ stretches }) => (stretches ?? []).reduce((sum, { lengthMm }) => sum + lengthMm, 0)),
  );
  return (
    <ol className="space-y-2">
      {options.map(({ id, text, stretches }, k) => {
        const shown = answer !== undefined && (id === right || id === answer);
        return (
          <li key={id}>
            <button
              className={`button min-h-11 w-full justify-start text-left ${shown ? (id === right ? 'border-lake text-lake' : 'border-stop text-stop') : ''}`}
              aria-disabled={answer !== undefined}
              onClick={() => onAnswer(id)}
            >
              <span aria-hidden="true" className="figures text-muted">
                {k + 1}
              </span>
              {stretches && <StripMini stretches={stretches} longestMm={longestMm} width={MINI_PX} />}
              <span>{text}</span>
              {shown && (
                <span className="sr-only">{id === right ? ' – right' : ' – your answer, wrong'}</span>
              )}
            </button>
          </li>
        );
      })}
    </ol>
  );
}

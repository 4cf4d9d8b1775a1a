import { disconnectPlan, type GroundSheet } from '@kobran/core';
import type { ReactNode } from 'react';
import { useWords } from '../../../ui/Preferences.js';

/** For places with storms: what is unplugged, and in which order. */
export function DisconnectPlan({ ground }: { ground: GroundSheet }): ReactNode {
  const words = useWords();
  const steps = disconnectPlan(ground);
  if (steps.length < 2) return null;
  return (
    <details className="mt-6 max-w-3xl">
      <summary className="cursor-pointer font-bold">Before a storm: what is unplugged, in order</summary>
      <ol className="mt-2 list-decimal space-y-1 pl-6">
        {steps.map((step) => (
          <li key={step}>{words(step)}</li>
        ))}
      </ol>
    </details>
  );
}

import { labelForms, type LabelForm } from '@kobran/core';
import type { ReactNode } from 'react';

const labelNames: Record<LabelForm, string> = {
  flag: 'flags',
  wrap: 'wrap-round',
  roll: 'from a roll',
};

/** Labels as they are printed: a link for every form. */
export function LabelLinks({ hrefOf }: { hrefOf: (form: LabelForm) => string }): ReactNode {
  return (
    <p className="flex flex-wrap items-center gap-x-4 gap-y-1 text-sm">
      Labels:
      {labelForms.map((form) => (
        <a
          key={form}
          className="inline-flex min-h-8 items-center underline underline-offset-4"
          href={hrefOf(form)}
        >
          {labelNames[form]}
        </a>
      ))}
    </p>
  );
}

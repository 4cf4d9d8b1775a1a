import { labelForms, labelSizes, type LabelForm, type LabelSize } from '@kobran/core';
import { useState, type ReactNode } from 'react';

const labelNames: Record<LabelForm, string> = {
  flag: 'flags',
  wrap: 'wrap-round',
  roll: 'from a roll',
};

/** How labels are printed, as the server is asked for it. */
export interface LabelWish {
  form: LabelForm;
  size: LabelSize;
}

/** Labels as they are printed: a link for every form, in a size. */
export function LabelLinks({ hrefOf }: { hrefOf: (wish: LabelWish) => string }): ReactNode {
  const [size, setSize] = useState<LabelSize>('usual');
  return (
    <p className="flex flex-wrap items-center gap-x-4 gap-y-1 text-sm">
      Labels:
      {labelForms.map((form) => (
        <a
          key={form}
          className="inline-flex min-h-8 items-center underline underline-offset-4"
          href={hrefOf({ form, size })}
        >
          {labelNames[form]}
        </a>
      ))}
      <label className="flex items-center gap-2 text-muted">
        size
        <select
          className="field w-auto py-0.5"
          value={size}
          onChange={({ target }) => setSize(labelSizes.find((one) => one === target.value) ?? 'usual')}
        >
          {labelSizes.map((one) => (
            <option key={one}>{one}</option>
          ))}
        </select>
      </label>
    </p>
  );
}

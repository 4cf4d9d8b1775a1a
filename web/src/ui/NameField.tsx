import type { ReactNode } from 'react';
import { Labelled } from './Labelled.js';

/** A name as somebody types it into a form. */
export function NameField({
  label,
  value,
  onChange,
  autoComplete = 'off',
}: {
  label: string;
  value: string;
  onChange: (name: string) => void;
  /** `username` where a password manager looks for it. */
  autoComplete?: string;
}): ReactNode {
  return (
    <Labelled label={label}>
      {(control) => (
        <input
          {...control}
          className="field"
          value={value}
          required
          maxLength={60}
          autoComplete={autoComplete}
          spellCheck={false}
          onChange={({ target }) => onChange(target.value)}
        />
      )}
    </Labelled>
  );
}

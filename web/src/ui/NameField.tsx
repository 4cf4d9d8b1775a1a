import { useId, type ReactNode } from 'react';

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
  const id = useId();
  return (
    <div>
      <label htmlFor={id} className="mb-1 block text-sm text-muted">
        {label}
      </label>
      <input
        id={id}
        className="field"
        value={value}
        required
        maxLength={60}
        autoComplete={autoComplete}
        spellCheck={false}
        onChange={({ target }) => onChange(target.value)}
      />
    </div>
  );
}

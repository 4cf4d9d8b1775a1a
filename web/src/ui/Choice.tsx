import { useId, type ReactNode } from 'react';
import { Labelled } from './Labelled.js';

interface Option {
  value: string;
  label: string;
}

/** A labelled choice; the browser’s own list, for thumbs, keyboards and screen readers alike. */
export function Choice({
  label,
  value,
  options,
  onChange,
  hint,
}: {
  label: string;
  value: string;
  options: readonly Option[];
  onChange: (value: string) => void;
  hint?: string;
}): ReactNode {
  return (
    <Labelled label={label} hint={hint}>
      {(control) => (
        <select
          {...control}
          className="field"
          value={value}
          onChange={({ target }) => onChange(target.value)}
        >
          {options.map((option) => (
            <option key={option.value} value={option.value}>
              {option.label}
            </option>
          ))}
        </select>
      )}
    </Labelled>
  );
}

/** Two or three schools side by side; pressing one chooses it. */
export function Methods<T extends string>({
  label,
  value,
  options,
  onChange,
  stacked = false,
}: {
  label: string;
  value: T;
  options: readonly { value: T; label: string; why: string }[];
  onChange: (value: T) => void;
  /** One above the other, for a narrow column. */
  stacked?: boolean;
}): ReactNode {
  const name = useId();
  return (
    <fieldset>
      <legend className="mb-1 text-sm text-muted">{label}</legend>
      <div className={`grid gap-2 ${stacked ? '' : 'sm:grid-cols-2'}`}>
        {options.map((option) => (
          <label
            key={option.value}
            className={`flex cursor-pointer items-start gap-2 rounded border-2 px-3 py-2 ${option.value === value ? 'border-copper' : 'border-rule'}`}
          >
            <input
              type="radio"
              name={name}
              className="mt-1 accent-ink"
              checked={option.value === value}
              onChange={() => onChange(option.value)}
            />
            <span>
              <span className="block font-semibold">{option.label}</span>
              <span className="block text-sm text-muted">{option.why}</span>
            </span>
          </label>
        ))}
      </div>
    </fieldset>
  );
}

/** A few choices as radio buttons in boxes, side by side or one above the other. */
export function Chips<T extends string>({
  legend,
  value,
  options,
  onChange,
  stacked = false,
}: {
  /** For screen readers; the page says it in its own way. */
  legend: string;
  /** Nothing while nobody has chosen. */
  value: T | undefined;
  options: readonly (readonly [value: T, label: string])[];
  onChange: (value: T) => void;
  stacked?: boolean;
}): ReactNode {
  const name = useId();
  return (
    <fieldset className={stacked ? 'grid gap-2' : 'flex flex-wrap gap-2'}>
      <legend className="sr-only">{legend}</legend>
      {options.map(([one, label]) => (
        <label
          key={one}
          className={`flex cursor-pointer items-center gap-2 rounded border-2 px-3 ${stacked ? 'min-h-11' : 'min-h-9'} ${one === value ? 'border-copper font-semibold' : 'border-rule'}`}
        >
          <input
            type="radio"
            name={name}
            className="accent-ink"
            checked={one === value}
            onChange={() => onChange(one)}
          />
          {label}
        </label>
      ))}
    </fieldset>
  );
}

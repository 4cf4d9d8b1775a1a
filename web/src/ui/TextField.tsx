import { useState, type ReactNode } from 'react';
import { Labelled } from './Labelled.js';

/** A line of text, taken over when the field is left; an empty one falls back to what stood there. */
export function TextField({
  label,
  value,
  onChange,
  maxLength,
  allowEmpty = false,
  suggestions = [],
}: {
  label: string;
  value: string;
  onChange: (value: string) => void;
  maxLength: number;
  allowEmpty?: boolean;
  /** Offered while typing; anything else may be typed too. */
  suggestions?: readonly string[];
}): ReactNode {
  const [text, setText] = useState<string>();
  function commit(): void {
    if (text === undefined) return;
    const trimmed = text.trim();
    setText(undefined);
    if ((trimmed !== '' || allowEmpty) && trimmed !== value) onChange(trimmed);
  }
  return (
    <Labelled label={label}>
      {(control) => (
        <>
          <input
            {...control}
            className="field"
            value={text ?? value}
            maxLength={maxLength}
            list={suggestions.length > 0 ? `${control.id}-list` : undefined}
            onChange={({ target }) => setText(target.value)}
            onBlur={commit}
            onKeyDown={({ key }) => {
              if (key === 'Enter') commit();
              if (key === 'Escape') setText(undefined);
            }}
          />
          {suggestions.length > 0 && (
            <datalist id={`${control.id}-list`}>
              {suggestions.map((one) => (
                <option key={one} value={one} />
              ))}
            </datalist>
          )}
        </>
      )}
    </Labelled>
  );
}

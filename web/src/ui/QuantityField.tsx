import { settledMarks, type Problem, type Result } from '@kobran/core';
import { useState, type ReactNode } from 'react';
import { Labelled } from './Labelled.js';
import { usePreferences } from './Preferences.js';

interface Props<T> {
  label: string;
  /** The value in SI. */
  value: T | undefined;
  format: (value: T) => string;
  parse: (text: string) => Result<T>;
  onChange: (value: T) => void;
  /** Emptied; a field without it cannot be. */
  onClear?: () => void;
  /** Least and most that is taken; what is outside stays in the field, with these. */
  range?: readonly [least: T, most: T] | undefined;
  hint?: string;
  hideLabel?: boolean;
  placeholder?: string;
}

/**
 * A field for a quantity with its unit. What cannot be read stays in the field with the reason; Escape brings the old value back.
 */
export function QuantityField<T = number>({
  label,
  value,
  format,
  parse,
  onChange,
  onClear,
  range,
  hint,
  hideLabel,
  placeholder,
}: Props<T>): ReactNode {
  const { numbers } = usePreferences();
  const [text, setText] = useState<string>();
  const [problem, setProblem] = useState<Problem>();
  const shown = text ?? (value === undefined ? '' : format(value));

  function commit(): void {
    if (text !== undefined) take(text);
  }

  function readIn(text: string): Result<T> {
    // Three decimals behind a point stood in this field before: then the point is read so, and where the device reads commas it is asked.
    const pointed = value !== undefined && /\d\.\d{3}(?!\d)/.test(format(value));
    const mark = pointed ? (numbers === ',' ? undefined : '.') : numbers;
    const read = parse(mark ? settledMarks(text, mark) : text);
    const outside = read.ok && range && outsideOf(range, read.value, { label, format });
    return outside ? { ok: false, problem: outside } : read;
  }

  function take(text: string): void {
    if (text.trim() === '' && (value === undefined || onClear)) {
      revert();
      if (value !== undefined) onClear?.();
      return;
    }
    const read = readIn(text);
    if (!read.ok) return setProblem(read.problem);
    setText(undefined);
    setProblem(undefined);
    // What is shown is rounded: leaving it as it was must not change the value.
    if (value === undefined || text !== format(value)) onChange(read.value);
  }

  function revert(): void {
    setText(undefined);
    setProblem(undefined);
  }

  return (
    <Labelled
      label={label}
      hideLabel={hideLabel}
      hint={hint}
      problem={problem && `${problem.message} ${problem.remedy}`}
    >
      {(control) => (
        <>
          <input
            {...control}
            className="field figures"
            autoComplete="off"
            value={shown}
            placeholder={placeholder}
            aria-invalid={problem !== undefined}
            onChange={({ target }) => setText(target.value)}
            onBlur={commit}
            onKeyDown={({ key }) => {
              if (key === 'Enter') commit();
              if (key === 'Escape') revert();
            }}
          />
          {problem?.choices && (
            <p role="group" aria-label="Which is meant?" className="mt-1 flex flex-wrap gap-2">
              {problem.choices.map((choice) => (
                <button key={choice} type="button" className="button" onClick={() => take(choice)}>
                  {choice}
                </button>
              ))}
            </p>
          )}
        </>
      )}
    </Labelled>
  );
}

/** What is against a value which does not lie within what is taken. */
function outsideOf<T>(
  [least, most]: readonly [T, T],
  value: T,
  { label, format }: Pick<Props<T>, 'label' | 'format'>,
): Problem | undefined {
  if (value >= least && value <= most) return undefined;
  return {
    code: 'field.range',
    message: `It has to lie between ${format(least)} and ${format(most)}.`,
    where: label,
    remedy: 'Type one between them.',
  };
}

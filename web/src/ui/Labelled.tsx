import { useId, type ReactNode } from 'react';

/** What a control needs to be found by its name and to be told with what stands below it. */
export interface ControlProps {
  id: string;
  'aria-describedby': string | undefined;
}

/** A control with its name above it, and a hint below it or what is wrong with it. */
export function Labelled({
  label,
  hideLabel = false,
  hint,
  problem,
  children,
}: {
  label: string;
  /** Only for who does not see the page: it says it in another way. */
  hideLabel?: boolean;
  hint?: string | undefined;
  /** Stands in the place of the hint, and is read out. */
  problem?: string | undefined;
  children: (control: ControlProps) => ReactNode;
}): ReactNode {
  const id = useId();
  const below = problem ?? hint;
  return (
    <div>
      <label htmlFor={id} className={hideLabel ? 'sr-only' : 'mb-1 block text-sm text-muted'}>
        {label}
      </label>
      {children({ id, 'aria-describedby': below === undefined ? undefined : `${id}-below` })}
      {below !== undefined && (
        <p
          id={`${id}-below`}
          role={problem === undefined ? undefined : 'alert'}
          className={`mt-1 text-sm ${problem === undefined ? 'text-muted' : 'text-stop'}`}
        >
          {below}
        </p>
      )}
    </div>
  );
}

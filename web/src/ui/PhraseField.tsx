import { Eye, EyeOff } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { Labelled } from './Labelled.js';

/** A pass phrase, hidden until somebody wants to see what they type; a password manager may fill it in. */
export function PhraseField({
  label,
  value,
  onChange,
  isNew = false,
  hint,
}: {
  label: string;
  value: string;
  onChange: (phrase: string) => void;
  /** Chosen just now: nothing is filled in. */
  isNew?: boolean;
  hint?: string;
}): ReactNode {
  const [isShown, setShown] = useState(false);
  return (
    <Labelled label={label} hint={hint}>
      {(control) => (
        <div className="flex gap-2">
          <input
            {...control}
            className="field min-w-0 flex-1"
            type={isShown ? 'text' : 'password'}
            autoComplete={isNew ? 'new-password' : 'current-password'}
            autoCapitalize="none"
            spellCheck={false}
            required
            maxLength={200}
            value={value}
            onChange={({ target }) => onChange(target.value)}
          />
          <button
            type="button"
            className="button"
            aria-label={isShown ? 'Hide what is typed' : 'Show what is typed'}
            aria-pressed={isShown}
            onClick={() => setShown(!isShown)}
          >
            {isShown ? <EyeOff size={18} aria-hidden /> : <Eye size={18} aria-hidden />}
          </button>
        </div>
      )}
    </Labelled>
  );
}

import type { ReactNode } from 'react';
import { usePreferences } from './Preferences.js';
import { TextField } from './TextField.js';

/** Who signs readings and log entries at this device. */
export function SignedBy({ crew = [] }: { crew?: readonly string[] }): ReactNode {
  const { name, signedInAs, set } = usePreferences();
  if (signedInAs !== undefined)
    return (
      <p>
        <span className="mb-1 block text-sm text-muted">Signed by</span>
        <span className="font-semibold">{signedInAs}</span>
      </p>
    );
  return (
    <TextField
      label="Signed by"
      value={name}
      maxLength={60}
      allowEmpty
      suggestions={crew}
      onChange={(to) => set({ name: to })}
    />
  );
}

import type { ReactNode } from 'react';
import { usePreferences } from './Preferences.js';
import { TextField } from './TextField.js';

/** Who signs readings and log entries at this device. */
export function SignedBy({ crew = [] }: { crew?: readonly string[] }): ReactNode {
  const { name, set } = usePreferences();
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

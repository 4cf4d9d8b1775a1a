import type { ReactNode } from 'react';
import { usePreferences } from '../preferences/Preferences.js';
import { TextField } from './TextField.js';

/** Who signs readings and log entries at this device. */
export function SignedBy(): ReactNode {
  const { name, set } = usePreferences();
  return (
    <TextField
      label="Signed by"
      value={name}
      maxLength={60}
      allowEmpty
      onChange={(to) => set({ name: to })}
    />
  );
}

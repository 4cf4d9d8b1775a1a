import { Wrench } from 'lucide-react';
import type { ReactNode } from 'react';
import { Menu, type MenuItem } from '../ui/Menu.js';
import { usePreferences } from '../ui/Preferences.js';
import { useNarrow } from '../ui/useNarrow.js';
import { tools } from './Palette.js';

/** The screens which belong to no run; and what a phone’s top bar has no room for. */
export function ToolsMenu(): ReactNode {
  const { units, theme, set } = usePreferences();
  const narrow = useNarrow();
  const settings: MenuItem[] = [
    {
      label: units === 'metric' ? 'Feet and inches' : 'Metres and millimetres',
      hint: 'units',
      act: () => set({ units: units === 'metric' ? 'imperial' : 'metric' }),
    },
    {
      label: theme === 'light' ? 'Dark' : 'Light',
      hint: 'theme',
      act: () => set({ theme: theme === 'light' ? 'dark' : 'light' }),
    },
  ];
  return (
    <Menu
      items={narrow ? [...tools, ...settings] : tools}
      align="end"
      className="flex min-h-9 items-center gap-1.5 rounded px-2 hover:bg-panel"
      trigger={
        <>
          <Wrench size={17} aria-hidden />
          <span className="sr-only sm:not-sr-only">Tools</span>
        </>
      }
    />
  );
}

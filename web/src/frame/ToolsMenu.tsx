import { Wrench } from 'lucide-react';
import type { ReactNode } from 'react';
import { Menu } from '../ui/Menu.js';
import { useNarrow } from '../ui/useNarrow.js';
import { tools } from './tools.js';
import { useSettings } from './useSettings.js';

/** The screens which belong to no run; and what a phone’s top bar has no room for. */
export function ToolsMenu(): ReactNode {
  const settings = useSettings();
  const narrow = useNarrow();
  // A wide top bar has units and theme of its own.
  const rest = narrow ? settings : settings.filter(({ id }) => id !== 'units' && id !== 'theme');
  return (
    <Menu
      items={[...tools, ...rest]}
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

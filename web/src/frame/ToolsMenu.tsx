import { Wrench } from 'lucide-react';
import type { ReactNode } from 'react';
import { Menu } from '../ui/Menu.js';
import { tools } from './Palette.js';

/** The screens which belong to no run. */
export function ToolsMenu(): ReactNode {
  return (
    <Menu
      items={tools}
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

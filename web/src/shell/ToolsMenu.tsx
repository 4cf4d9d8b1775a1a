import { DropdownMenu } from 'radix-ui';
import { Wrench } from 'lucide-react';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { tools } from './Palette.js';

/** The screens which belong to no run. */
export function ToolsMenu(): ReactNode {
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger className="flex min-h-9 items-center gap-1.5 rounded px-2 hover:text-copper">
        <Wrench size={17} aria-hidden />
        <span className="sr-only sm:not-sr-only">Tools</span>
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="end"
          sideOffset={4}
          className="z-20 min-w-56 rounded border border-edge bg-paper p-1"
        >
          {tools.map(({ to, label, hint }) => (
            <DropdownMenu.Item key={to} asChild>
              <Link to={to} className="block rounded px-3 py-2 outline-none data-highlighted:bg-panel">
                <span className="font-semibold">{label}</span>
                <span className="block text-sm text-muted">{hint}</span>
              </Link>
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}

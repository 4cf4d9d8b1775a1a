import { DropdownMenu } from 'radix-ui';
import type { ReactNode } from 'react';
import { Link } from 'react-router';

/** Somewhere a menu leads: a screen, or a file of the server which opens beside the page. */
export interface MenuItem {
  to: string;
  label: string;
  hint: string;
  file?: boolean;
}

const ITEM = 'block rounded px-3 py-2 outline-none data-highlighted:bg-panel';

/** A list of places behind one button. */
export function Menu({
  items,
  trigger,
  label,
  className,
  align,
}: {
  items: readonly MenuItem[];
  trigger: ReactNode;
  /** What the button is called, where its own text does not say it. */
  label?: string;
  className: string;
  align: 'start' | 'end';
}): ReactNode {
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger className={className} aria-label={label}>
        {trigger}
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align={align}
          sideOffset={4}
          className="z-20 min-w-56 rounded border border-edge bg-paper p-1"
        >
          {items.map(({ to, label: name, hint, file }) => (
            <DropdownMenu.Item key={to} asChild>
              {file ? (
                <a href={to} target="_blank" rel="noreferrer" className={ITEM}>
                  <ItemText name={name} hint={hint} />
                </a>
              ) : (
                <Link to={to} className={ITEM}>
                  <ItemText name={name} hint={hint} />
                </Link>
              )}
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}

function ItemText({ name, hint }: { name: string; hint: string }): ReactNode {
  return (
    <>
      <span className="font-semibold">{name}</span>
      <span className="block text-sm text-muted">{hint}</span>
    </>
  );
}

import { DropdownMenu } from 'radix-ui';
import type { ReactNode } from 'react';
import { Link } from 'react-router';

/** Where a menu leads, a screen or a file of the server which opens beside the page; or something it does. */
export type MenuItem = { label: string; hint: string } & (
  | { to: string; file?: boolean }
  | {
      act: () => void;
      /** It cannot be done yet; the hint says why. */
      disabled?: boolean;
    }
);

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
          className="z-20 max-h-(--radix-dropdown-menu-content-available-height) min-w-56 overflow-y-auto rounded border border-edge bg-paper p-1"
        >
          {items.map((item) => (
            <Item key={item.label} item={item} />
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}

function Item({ item }: { item: MenuItem }): ReactNode {
  const text = <ItemText name={item.label} hint={item.hint} />;
  if ('act' in item)
    return (
      <DropdownMenu.Item
        className={`${ITEM} cursor-pointer data-disabled:cursor-default data-disabled:text-muted`}
        disabled={item.disabled ?? false}
        onSelect={item.act}
      >
        {text}
      </DropdownMenu.Item>
    );
  return (
    <DropdownMenu.Item asChild>
      {item.file ? (
        <a href={item.to} target="_blank" rel="noreferrer" className={ITEM}>
          {text}
        </a>
      ) : (
        <Link to={item.to} className={ITEM}>
          {text}
        </Link>
      )}
    </DropdownMenu.Item>
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

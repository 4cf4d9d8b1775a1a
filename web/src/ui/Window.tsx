import { Dialog } from 'radix-ui';
import { X } from 'lucide-react';
import type { ReactNode } from 'react';

/** A dialog with a title, closed by Escape or its cross. */
export function Window({
  title,
  description,
  open,
  onOpenChange,
  wide = false,
  children,
}: {
  title: string;
  description?: string;
  open: boolean;
  onOpenChange: (open: boolean) => void;
  wide?: boolean;
  children: ReactNode;
}): ReactNode {
  return (
    <Dialog.Root open={open} onOpenChange={onOpenChange}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-10 bg-black/50" />
        <Dialog.Content
          {...(description ? {} : { 'aria-describedby': undefined })}
          className={`fixed top-1/2 left-1/2 z-20 max-h-[92vh] -translate-x-1/2 -translate-y-1/2 overflow-y-auto rounded border border-edge bg-sheet p-5 ${wide ? 'w-[min(52rem,94vw)]' : 'w-[min(30rem,94vw)]'}`}
        >
          <div className="flex items-start justify-between gap-4">
            <Dialog.Title className="text-lg font-bold">{title}</Dialog.Title>
            <Dialog.Close
              className="grid size-8 shrink-0 place-items-center rounded hover:bg-panel"
              aria-label="Close"
            >
              <X size={18} aria-hidden />
            </Dialog.Close>
          </div>
          {description && <Dialog.Description className="text-muted">{description}</Dialog.Description>}
          {children}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

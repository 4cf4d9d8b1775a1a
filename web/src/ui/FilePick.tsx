import { Upload } from 'lucide-react';
import type { ReactNode } from 'react';

/** A button that opens a file, and the name of the one which is open. */
export function FilePick({
  label,
  accept,
  picked,
  onPick,
}: {
  label: string;
  accept: string;
  picked: string | undefined;
  onPick: (file: File) => void;
}): ReactNode {
  return (
    <div>
      <label className="button relative min-h-11 w-full cursor-pointer focus-within:outline-3 focus-within:outline-offset-2 focus-within:outline-ink">
        <Upload size={16} aria-hidden /> {label}
        <input
          type="file"
          accept={accept}
          className="absolute inset-0 cursor-pointer opacity-0"
          onChange={({ target }) => {
            const file = target.files?.[0];
            if (file) onPick(file);
            target.value = '';
          }}
        />
      </label>
      {picked && <p className="mt-1 truncate text-sm text-muted">{picked}</p>}
    </div>
  );
}

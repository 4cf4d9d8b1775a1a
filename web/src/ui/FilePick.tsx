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
  picked?: string | undefined;
  onPick: (file: File) => void;
}): ReactNode {
  return (
    <div>
      <label className="button relative w-full cursor-pointer focus-within:outline-3 focus-within:outline-offset-2 focus-within:outline-ink">
        <Upload size={16} aria-hidden /> {label}
        <FileInput accept={accept} onPick={([file]) => onPick(file)} />
      </label>
      {picked && <p className="mt-1 truncate text-sm text-muted">{picked}</p>}
    </div>
  );
}

/** The browser’s own picker, laid unseen over the label around it. */
export function FileInput({
  accept,
  onPick,
  multiple = false,
}: {
  accept: string;
  onPick: (files: readonly File[]) => void;
  multiple?: boolean;
}): ReactNode {
  return (
    <input
      type="file"
      accept={accept}
      multiple={multiple}
      className="absolute inset-0 cursor-pointer opacity-0"
      onChange={({ target }) => {
        const files = [...(target.files ?? [])];
        if (files.length > 0) onPick(files);
        // The same file may be picked again, after it was mended.
        target.value = '';
      }}
    />
  );
}

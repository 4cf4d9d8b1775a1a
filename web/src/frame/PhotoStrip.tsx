import { MAX_PHOTOS_OF_PLACE, type KeptPhoto } from '@kobran/core';
import { Camera } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { toast } from 'sonner';
import { usePhotoSource, usePhotoTaking } from '../store/usePhotoTaking.js';
import { sayMoment } from '../ui/dates.js';
import { FileInput } from '../ui/FilePick.js';
import { TextField } from '../ui/TextField.js';
import { Window } from '../ui/Window.js';

interface Props {
  jobId: string;
  /** What is on them, in words: `Mast cable, antenna end`. */
  of: string;
  photos: readonly KeptPhoto[];
  /** A new one, or other words under one. */
  onTake: (photo: Pick<KeptPhoto, 'pictureId' | 'sha256' | 'caption'>) => void;
  onWithdraw: (photo: KeptPhoto) => void;
}

const ACCEPT = 'image/jpeg,image/png,image/webp,image/*';

/** Photos of one place: the phone’s camera, a file, or one dropped here; each opens large. */
export function PhotoStrip({ jobId, of, photos, onTake, onWithdraw }: Props): ReactNode {
  const take = usePhotoTaking(jobId);
  const source = usePhotoSource(jobId);
  const [open, setOpen] = useState<KeptPhoto>();
  const [busy, setBusy] = useState(false);
  const room = MAX_PHOTOS_OF_PLACE - photos.length;
  async function takeAll(files: readonly File[]): Promise<void> {
    setBusy(true);
    for (const file of files.slice(0, room)) {
      const taken = await take(file);
      if (taken.ok) onTake({ pictureId: taken.pictureId, sha256: taken.sha256 });
      else toast.error(taken.why);
    }
    if (files.length > room)
      toast.error(`${files.length - room} not taken: ${MAX_PHOTOS_OF_PLACE} are kept of one place.`);
    setBusy(false);
  }
  return (
    <div
      role="group"
      aria-label={`Photos of ${of}`}
      className="flex flex-wrap items-center gap-2"
      onDragOver={(event) => event.preventDefault()}
      onDrop={(event) => {
        event.preventDefault();
        void takeAll([...event.dataTransfer.files]);
      }}
    >
      {photos.map((photo, k) => (
        <button
          key={photo.pictureId}
          className="size-16 overflow-hidden rounded border border-edge"
          onClick={() => setOpen(photo)}
        >
          <img className="size-full object-cover" src={source(photo.pictureId)} alt={altOf(photo, of, k)} />
        </button>
      ))}
      {room > 0 && (
        <label className="button relative min-h-11 cursor-pointer md:min-h-9 focus-within:outline-3 focus-within:outline-offset-2 focus-within:outline-ink">
          <Camera size={18} aria-hidden /> {busy ? 'One moment…' : 'Add photos'}
          <span className="sr-only"> of {of}</span>
          <FileInput multiple accept={ACCEPT} onPick={(files) => void takeAll(files)} />
        </label>
      )}
      {open && (
        <Window
          wide
          title={`Photo of ${of}`}
          open
          onOpenChange={(stays) => {
            if (!stays) setOpen(undefined);
          }}
        >
          <img
            className="mt-3 max-h-[60vh] w-full object-contain"
            src={source(open.pictureId)}
            alt={altOf(open, of, photos.indexOf(open))}
          />
          <p className="my-2 text-muted">
            {sayMoment(open.at)}, {open.by || 'unsigned'}
          </p>
          <TextField
            label="Words under it"
            value={open.caption ?? ''}
            maxLength={300}
            allowEmpty
            onChange={(caption) => {
              onTake({ pictureId: open.pictureId, sha256: open.sha256, caption });
              setOpen({ ...open, caption });
            }}
          />
          <div className="mt-3 flex flex-wrap gap-3">
            <a className="button" href={source(open.pictureId)} download={`${open.pictureId}.jpg`}>
              Export
            </a>
            <button
              className="button"
              onClick={() => {
                onWithdraw(open);
                setOpen(undefined);
              }}
            >
              Withdraw the photo
            </button>
          </div>
        </Window>
      )}
    </div>
  );
}

const altOf = ({ caption, at }: KeptPhoto, of: string, k: number): string =>
  `${of}, photo ${k + 1}${caption ? `: ${caption}` : ''}, ${sayMoment(at)}`;

import { bytesHash, type KeptPhoto } from '../run/index.js';
import type { Block } from './report.js';

/** The bytes of a photo as they are kept. */
export interface PrintedPicture {
  type: string;
  bytes: Uint8Array;
}

/** What a page can take. */
const PRINTED = new Set(['image/jpeg', 'image/png']);

/**
 * Photos with what is on them, who took them and when; one whose bytes are not those which were taken is said, not printed.
 *
 * @param nameOf what a photo is of, in words
 * @param signed who and when, in words
 */
export function photoBlocks(
  photos: readonly KeptPhoto[],
  pictures: ReadonlyMap<string, PrintedPicture>,
  nameOf: (about: string) => string,
  signed: (photo: KeptPhoto) => string,
): Block[] {
  if (photos.length === 0) return [];
  const printed = photos.map((photo) => {
    const picture = pictures.get(photo.pictureId);
    const caption = [nameOf(photo.about), photo.caption, signed(photo)].filter(Boolean).join(', ');
    return { caption, picture, fault: picture && faultOf(picture, photo) };
  });
  const shown = printed.flatMap(({ caption, picture, fault }) =>
    picture && !fault ? [{ caption, bytes: picture.bytes }] : [],
  );
  const rest = printed.filter(({ picture, fault }) => !picture || fault);
  return [
    { kind: 'heading', level: 2, text: 'Photos' },
    ...(shown.length > 0 ? [{ kind: 'photos' as const, photos: shown }] : []),
    ...rest.map(({ caption, fault }): Block => ({
      kind: 'text',
      text: `${caption}: ${fault ?? 'not at the server'}.`,
      tone: 'muted',
    })),
  ];
}

function faultOf({ type, bytes }: PrintedPicture, { sha256 }: KeptPhoto): string | undefined {
  if (bytesHash(bytes) !== sha256) return 'another picture lies in its place than was taken';
  return PRINTED.has(type) ? undefined : 'kept as a file beside this document';
}

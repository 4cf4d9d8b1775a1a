import { MAX_PICTURE_BYTES, type Picture } from '@kobran/contract';

/** More than this a device does not read: it would stand still. */
const MAX_FILE_MB = 80;
/** How small: its longer edge, px, and its bytes. */
export interface PictureLimits {
  edgePx: number;
  bytes: number;
}
/** Wider than this no screen and no page shows it. */
const SCREEN: PictureLimits = { edgePx: 2000, bytes: MAX_PICTURE_BYTES };
/** From fine to coarse, until it is small enough. */
const QUALITIES = [0.85, 0.7, 0.5, 0.35];

/** A picture which can be sent, or why a file is none. */
export type SmallerPicture =
  { ok: true; picture: Picture; widthPx: number; heightPx: number } | { ok: false; why: string };

/**
 * Makes a picture small enough to be sent, on this device. It is drawn anew: where and with what it was taken does not go along.
 *
 * @returns what can be sent, or a sentence
 */
export async function smallerPicture(file: File, limits = SCREEN): Promise<SmallerPicture> {
  if (file.size > MAX_FILE_MB * 1e6)
    return {
      ok: false,
      why: `${file.name} has ${Math.round(file.size / 1e6)} MB. Save it smaller first: ${MAX_FILE_MB} MB are read.`,
    };
  let drawn: ImageBitmap;
  try {
    drawn = await createImageBitmap(file);
  } catch {
    return { ok: false, why: `${file.name} is no picture this browser can read. JPEG, PNG and WebP are.` };
  }
  const scale = Math.min(1, limits.edgePx / Math.max(drawn.width, drawn.height));
  const [widthPx, heightPx] = [drawn.width, drawn.height].map((edge) =>
    Math.max(1, Math.round(edge * scale)),
  );
  const canvas = new OffscreenCanvas(widthPx, heightPx);
  const paper = canvas.getContext('2d');
  if (!paper) return { ok: false, why: 'This browser cannot make pictures smaller.' };
  // What can be seen through is paper: JPEG knows no other.
  paper.fillStyle = '#ffffff';
  paper.fillRect(0, 0, widthPx, heightPx);
  paper.drawImage(drawn, 0, 0, widthPx, heightPx);
  drawn.close();
  for (const quality of QUALITIES) {
    const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality });
    if (blob.size <= limits.bytes)
      return {
        ok: true,
        picture: { type: 'image/jpeg', base64: await base64Of(blob) },
        widthPx,
        heightPx,
      };
  }
  return { ok: false, why: `${file.name} stays larger than ${limits.bytes / 1e6} MB. Crop it first.` };
}

const base64Of = async (blob: Blob): Promise<string> => {
  let binary = '';
  for (const byte of new Uint8Array(await blob.arrayBuffer())) binary += String.fromCharCode(byte);
  return btoa(binary);
};

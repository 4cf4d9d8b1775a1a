import type { Picture, PictureType } from '@kobran/contract';
import type { Problem } from '@kobran/core';

const ascii = (bytes: Uint8Array, from: number, to: number): string =>
  Buffer.from(bytes.subarray(from, to)).toString('latin1');

/** How a file of each type begins: ISO/IEC 10918-1, ISO/IEC 15948, RFC 9649. */
const begins: Record<PictureType, (bytes: Uint8Array) => boolean> = {
  'image/jpeg': (bytes) => bytes[0] === 0xff && bytes[1] === 0xd8 && bytes[2] === 0xff,
  'image/png': (bytes) => ascii(bytes, 0, 8) === '\x89PNG\r\n\x1a\n',
  'image/webp': (bytes) => ascii(bytes, 0, 4) === 'RIFF' && ascii(bytes, 8, 12) === 'WEBP',
};

/** What is wrong with a picture; nothing when it is what it says it is. */
export function pictureFault({ type, base64 }: Picture, where: string): Problem | undefined {
  const bytes = Buffer.from(base64, 'base64');
  if (begins[type](bytes)) return undefined;
  return {
    code: 'picture.not-a-picture',
    message: `These bytes are no ${type.slice('image/'.length).toUpperCase()} picture.`,
    where: `${where}base64`,
    remedy: 'Send a JPEG, PNG or WebP picture, and say which of them it is.',
  };
}

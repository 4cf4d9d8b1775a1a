import { MAX_PHOTO_BYTES, pathOf, routes } from '@kobran/contract';
import { bytesHash } from '@kobran/core';
import { useCallback } from 'react';
import { smallerPicture } from '../ui/smallerPicture.js';
import { useDevice, useOutbox } from './Device.js';

/** Wide enough to see a whisker on a pin. */
const PHOTO = { edgePx: 1600, bytes: MAX_PHOTO_BYTES };

/** A photo whose bytes are on their way to the server, or why a file is none. */
export type TakenPhoto = { ok: true; pictureId: string; sha256: string } | { ok: false; why: string };

/** Makes a photo small, strips where it was taken, and keeps it on this device until the server has it. */
export function usePhotoTaking(jobId: string): (file: File) => Promise<TakenPhoto> {
  const { outbox } = useDevice();
  return useCallback(
    async (file) => {
      const made = await smallerPicture(file, PHOTO);
      if (!made.ok) return made;
      const { type, base64 } = made.picture;
      const id = crypto.randomUUID();
      await outbox.put({
        runId: '',
        kind: 'picture',
        body: { id, at: new Date().toISOString(), jobId, type, base64 },
      });
      const bytes = Uint8Array.from(atob(base64), (letter) => letter.charCodeAt(0));
      return { ok: true, pictureId: id, sha256: bytesHash(bytes) };
    },
    [outbox, jobId],
  );
}

/** Where the bytes of photos of a job are: on this device until the server has them. */
export function usePhotoSource(jobId: string): (pictureId: string) => string {
  const { waiting } = useOutbox();
  return (pictureId) => {
    const mine = waiting.find(({ kind, body }) => kind === 'picture' && body.id === pictureId);
    return mine?.kind === 'picture'
      ? `data:${mine.body.type};base64,${mine.body.base64}`
      : pathOf(routes.readPicture, { id: jobId, pictureId });
  };
}

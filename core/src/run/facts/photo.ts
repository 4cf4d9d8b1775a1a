import type { FactKind } from './fact.js';

/** A photo was taken of an end, a joint, a piece or a task. Its bytes are kept beside the log, its hash in it. */
export interface Photo {
  kind: 'photo';
  /** What is on it: an end, a piece, a joint, a task of the day, or empty for the run. */
  about: string;
  /** Under which its bytes are kept in the job. */
  pictureId: string;
  /** SHA-256 of its bytes, hexadecimal: another picture in its place is seen. */
  sha256: string;
  caption?: string;
}

export const photo: FactKind<Photo> = {
  kind: 'photo',
  about: ({ about }) => about,
  text: ({ caption = '' }) => caption,
};

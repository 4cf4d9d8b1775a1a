import type { FactKind } from './fact.js';

/** Something worth remembering, in words. */
export interface Note {
  kind: 'note';
  /** An end, a piece, a joint, or empty for the run. */
  about: string;
  text: string;
}

export const note: FactKind<Note> = {
  kind: 'note',
  about: ({ about }) => about,
  text: ({ text }) => text,
};

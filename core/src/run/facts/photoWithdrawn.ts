import type { FactKind } from './fact.js';

/** A photo is not shown any more: the wrong joint, a face, a blur. What was taken stays in the log. */
export interface PhotoWithdrawn {
  kind: 'photo withdrawn';
  about: string;
  pictureId: string;
}

export const photoWithdrawn: FactKind<PhotoWithdrawn> = {
  kind: 'photo withdrawn',
  about: ({ about }) => about,
  text: () => '',
};

import { faceInFull, faces } from '@kobran/core';

/** Every face of the catalogue, body and contact both said. */
export const faceOptions = [...faces].map(([value, face]) => ({ value, label: faceInFull(face) }));

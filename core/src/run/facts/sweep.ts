import type { FactKind } from './fact.js';

/** Which sweep is meant: its samples are kept beside the log, their hash in it. */
export interface OfSweep {
  /** An assembly alone, or empty for the whole run. */
  pieceId: string;
  name: string;
  /** Of its samples, see `sweepHash`: others in their place are seen. */
  sha256: string;
}

/** A sweep was taken or read from a file, and kept. */
export interface Sweep extends OfSweep {
  kind: 'sweep';
}

export const sweep: FactKind<Sweep> = {
  kind: 'sweep',
  about: ({ pieceId }) => pieceId,
  text: ({ name }) => `“${name}”`,
};

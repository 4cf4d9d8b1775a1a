import type { FactKind } from './fact.js';

/** The run was signed off and handed over. */
export interface HandedOver {
  kind: 'handed over';
  /** Hash of the design which was signed, legs and all: what is handed over is this and no other. */
  design?: string;
  /** What still stood against it then, in words. */
  problems?: string;
  /** Why it was handed over with stages still open. */
  reason?: string;
}

export const handedOver: FactKind<HandedOver> = {
  kind: 'handed over',
  about: () => '',
  text: ({ problems, reason }) =>
    [problems && `with ${problems}`, reason && `because: ${reason}`].filter(Boolean).join('; '),
};

import type { FactKind } from './fact.js';

/** The run was signed off and handed over. */
export interface HandedOver {
  kind: 'handed over';
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

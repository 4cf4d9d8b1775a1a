import type { FactKind } from './fact.js';

/** What somebody sees under a seal which was taken off. */
export const openedFinds = ['dry and clean', 'water', 'corroded'] as const;
export type OpenedFind = (typeof openedFinds)[number];

/** A seal was taken off, or was never there: the joint is open. */
export interface Opened {
  kind: 'opened';
  jointId: string;
  /** Other joints which were under the same wrap. */
  with?: string[];
  /** Nothing where it had only been marked as sealed by mistake. */
  found?: OpenedFind;
  reason?: string;
}

export const opened: FactKind<Opened> = {
  kind: 'opened',
  about: ({ jointId }) => jointId,
  text: ({ found, reason }) =>
    [found === undefined ? 'it was not sealed' : `found ${found}`, reason ?? ''].filter(Boolean).join(', '),
};

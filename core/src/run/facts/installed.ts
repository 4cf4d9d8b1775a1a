import type { UsedPart } from '../../catalog/index.js';
import type { FactKind } from './fact.js';

/** The run lies in its route, or only in one way of its site so far. */
export interface Installed {
  kind: 'installed';
  way?: { id: string; name: string };
  /** What left the shelf for it: clips, hangers, grips. */
  used?: UsedPart[];
}

export const installed: FactKind<Installed> = {
  kind: 'installed',
  about: ({ way }) => way?.id ?? '',
  text: ({ way }) => (way ? `pulled into ${way.name}` : 'along its legs, loops left'),
};

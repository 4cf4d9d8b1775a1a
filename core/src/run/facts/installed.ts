import type { FactKind } from './fact.js';

/** The run lies in its route. */
export interface Installed {
  kind: 'installed';
}

export const installed: FactKind<Installed> = {
  kind: 'installed',
  about: () => '',
  text: () => 'along its legs, loops left',
};

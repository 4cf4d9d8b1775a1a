import type { Catalog } from '../../catalog/index.js';
import type { Clash } from '../../merge/index.js';
import type { UnitSystem } from '../../quantity/index.js';
import { memberName, sayMember } from './sayMember.js';

/** A clash as it is laid before a person. */
export interface ClashWords {
  /** `Mast cable: length` */
  what: string;
  mine: string;
  theirs: string;
}

/** What everything of a document lies in says nothing to who looks at one of its things. */
const containers = new Set(['pieces', 'points', 'ways', 'legs', 'service', 'ground']);

/** What two have made of one thing, side by side. */
export function sayClash({ path, mine, theirs }: Clash, catalog: Catalog, system: UnitSystem): ClashWords {
  const key = path.at(-1) ?? '';
  const steps = path.filter((step, k) => !(containers.has(step) && path.length > 1 && k < path.length - 1));
  const what = steps.map((step) => memberName(step)).join(': ');
  const say = (value: unknown): string => {
    if (key === 'order' && Array.isArray(value)) return 'laid so';
    if (typeof value === 'object' && value !== null && !Array.isArray(value)) return 'changed';
    return value === undefined ? 'taken out' : sayMember(key, value, catalog, system);
  };
  return { what, mine: say(mine), theirs: say(theirs) };
}

import { SHARP_BEND_M } from '../ground/conductor.js';
import type { SiteRule } from './siteSnag.js';

/** A surge does not take corners: each tight bend counts as more conductor. */
export const sharpBends: SiteRule = ({ ground: { bonds } }) =>
  bonds
    .filter(({ bond }) => bond.sharpBends > 0)
    .map(({ bond, from, to }) => ({
      rule: 'ground-wire-bends',
      level: 'note' as const,
      at: bond.id,
      what: `${bond.sharpBends} tight ${bond.sharpBends === 1 ? 'bend' : 'bends'} from ${from.name} to ${to.name}`,
      why: `Each counts as ${SHARP_BEND_M} m of conductor. Keep bends above 200 mm radius.`,
      remedies: [
        {
          title: 'Lay it in wide bends',
          detail: 'above 200 mm radius',
          changes: [{ op: 'put bond' as const, bond: { ...bond, sharpBends: 0 } }],
        },
      ],
      source: 'common practice, no source',
    }));

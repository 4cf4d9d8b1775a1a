import { unseenDuct } from '../document/site.js';
import type { SiteRule } from './siteSnag.js';

/** Where something gnaws or treads, a bare jacket does not last. Handbook of the trade, from memory: armour, duct or gel-filled cable. */
export const animals: SiteRule = ({ ways }) =>
  ways.flatMap(({ way, cables }) => {
    const bare = cables.filter(({ cable }) => cable.shieldKind !== 'tube');
    if (!way.conditions.includes('animals') || way.kind === 'duct' || bare.length === 0) return [];
    return [
      {
        rule: 'animals',
        level: 'caution' as const,
        at: way.id,
        what: `Animals get at the cables in ${way.name}`,
        why: `Rodents gnaw, livestock treads: a jacket of plastic keeps neither off. A duct, an armoured or a gel-filled cable does.`,
        remedies: [
          {
            title: `Put a duct of ${unseenDuct.boreMm} mm there`,
            detail: way.name,
            changes: [
              {
                op: 'put way' as const,
                way: {
                  ...way,
                  kind: 'duct' as const,
                  duct: { ...unseenDuct, drained: true, cord: true },
                },
              },
            ],
          },
        ],
        source: 'common practice, no source',
      },
    ];
  });

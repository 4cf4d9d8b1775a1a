import { usualBond } from '../ground/newBond.js';
import { bondRoleNames } from '../../ground/index.js';
import type { SiteRule } from './siteSnag.js';

const mm2 = (value: number): string => `${Number(value.toFixed(1))} mm²`;

/** Conductors thinner than the shop’s profile asks. */
export const wireThin: SiteRule = ({ site, ground: { bonds, profile } }) =>
  bonds
    .filter((one) => one.areaMm2 < one.smallestMm2 - 0.05)
    .map(({ bond, from, to, role, areaMm2, smallestMm2 }) => {
      const { section, metal, parallel } = usualBond(site.ground, profile, from, to);
      return {
        rule: 'ground-wire-thin',
        level: 'caution' as const,
        at: bond.id,
        what: `Too thin from ${from.name} to ${to.name}`,
        why: `${mm2(areaMm2)} ${bond.metal}; your profile asks ${mm2(smallestMm2)} ${bondRoleNames[role]}.`,
        remedies: [
          {
            title: `Take ${mm2('areaMm2' in section ? section.areaMm2 : 0)} ${metal}`,
            detail: `${from.name} to ${to.name}`,
            changes: [{ op: 'put bond' as const, bond: { ...bond, section, metal, parallel } }],
          },
        ],
        source: profile.source,
      };
    });

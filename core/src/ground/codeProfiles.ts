/** What a conductor is for. */
export const bondRoles = ['electrodes', 'mast', 'shield', 'arrester', 'equipment'] as const;
export type BondRole = (typeof bondRoles)[number];

export const bondRoleNames: Record<BondRole, string> = {
  electrodes: 'between electrodes and bars',
  mast: 'from the mast',
  shield: 'from a cable’s shield',
  arrester: 'from an arrester',
  equipment: 'from equipment and other lines',
};

/** What a shop’s profile asks of conductors. It is shown as that, and certifies nothing. */
export interface CodeProfile {
  id: string;
  name: string;
  edition: string;
  country: string;
  source: string;
  /** Smallest copper, mm². */
  copperMm2: Record<BondRole, number>;
  /** Resistance to earth which is asked for, ohm. */
  earthOhm: number;
}

export const codeProfiles: readonly CodeProfile[] = [
  {
    id: 'common-practice',
    name: 'Common practice',
    edition: '',
    country: '',
    source: 'common practice, no source',
    copperMm2: { electrodes: 16, mast: 16, shield: 6, arrester: 6, equipment: 6 },
    earthOhm: 10,
  },
  {
    id: 'iec-62305-3',
    name: 'IEC 62305-3',
    edition: '2024',
    country: 'international',
    source: 'IEC 62305-3, 62305-4, from memory',
    // Kits and arresters carry part of a stroke: 16 mm². IEC 62305-3 and -4, from memory.
    copperMm2: { electrodes: 50, mast: 50, shield: 16, arrester: 16, equipment: 6 },
    earthOhm: 10,
  },
  {
    id: 'nec-810',
    name: 'NEC article 810',
    edition: '2026',
    country: 'United States',
    source: 'NEC 810.21, 250.53, from memory',
    copperMm2: { electrodes: 13.3, mast: 5.26, shield: 5.26, arrester: 5.26, equipment: 5.26 },
    earthOhm: 25,
  },
];

/** The profile with this id, of the shop’s own and those which are shipped; else the first of these. */
export const codeProfile = (id: string, own: readonly CodeProfile[] = []): CodeProfile =>
  [...own, ...codeProfiles].find((one) => one.id === id) ?? codeProfiles[0];

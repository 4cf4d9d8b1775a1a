/** Questions on which good people differ at the bench; the shop chooses, and the card says why. Handbook practice, no source. */

export const centreSchools = ['crimp', 'solder', 'crimp and solder'] as const;
export const markingSchools = ['ruler', 'part', 'tool'] as const;
export const unbraidingSchools = ['brush', 'pick', 'push under'] as const;
export const uhfShieldSchools = ['crimp', 'solder', 'screw-on', 'gland', 'piercing'] as const;

export type CentreSchool = (typeof centreSchools)[number];
export type MarkingSchool = (typeof markingSchools)[number];
export type UnbraidingSchool = (typeof unbraidingSchools)[number];
export type UhfShieldSchool = (typeof uhfShieldSchools)[number];

/** The schools which change a card. */
export interface MakeSchools {
  centreSchool: CentreSchool;
  marking: MarkingSchool;
  unbraiding: UnbraidingSchool;
}

export const usualSchools: MakeSchools = {
  centreSchool: 'crimp and solder',
  marking: 'part',
  unbraiding: 'brush',
};

/** One way to do it, with what the engineering says. */
export interface School<T extends string = string> {
  value: T;
  label: string;
  why: string;
}

export const schoolsOfCentre: School<CentreSchool>[] = [
  {
    value: 'crimp',
    label: 'Crimp',
    why: 'Quick and cold, the same every time; needs the right die for the pin.',
  },
  {
    value: 'solder',
    label: 'Solder',
    why: 'Needs clean heat from inside the tip; none may be left outside.',
  },
  {
    value: 'crimp and solder',
    label: 'Crimp, then solder',
    why: 'The crimp holds the conductor still while the solder takes; two tools, and both rules hold.',
  },
];

export const schoolsOfMarking: School<MarkingSchool>[] = [
  {
    value: 'ruler',
    label: 'Ruler',
    why: 'Gives a figure to write down; trusts that the part is as its sheet says.',
  },
  {
    value: 'part',
    label: 'The part against the cable',
    why: 'Adapts to each part as it is, and works by touch alone.',
  },
  {
    value: 'tool',
    label: 'Bladed strip tool',
    why: 'Fastest for many of the same; needs to be set and tried on scrap first.',
  },
];

export const schoolsOfUnbraiding: School<UnbraidingSchool>[] = [
  {
    value: 'brush',
    label: 'Stiff nylon brush',
    why: 'Held still while the cable is turned in it, it breaks the fewest strands.',
  },
  {
    value: 'pick',
    label: 'Blunt pick',
    why: 'At hand everywhere; loses more strands, so it is second best.',
  },
  {
    value: 'push under',
    label: 'Do not unbraid, push the neck under',
    why: 'No strand is lost where a neck goes under the braid; elsewhere the brush is taken.',
  },
];

export const schoolsOfUhfShield: School<UhfShieldSchool>[] = [
  { value: 'crimp', label: 'Crimp on a neck', why: 'Repeatable if the die matches the ferrule.' },
  {
    value: 'solder',
    label: 'Solder through the holes',
    why: 'Cannot turn; risks melted insulation and a cold joint.',
  },
  {
    value: 'screw-on',
    label: 'Fold back, screw the body over it',
    why: 'Quick; may turn and break the centre unless bonded or taped.',
  },
  { value: 'gland', label: 'Clamp in a gland', why: 'Seals best outdoors; more parts to lose.' },
  {
    value: 'piercing',
    label: 'Piercing',
    why: 'No stripping at all; stranded centre only, and hard to inspect.',
  },
];

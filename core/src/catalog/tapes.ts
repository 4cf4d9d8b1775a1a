/** A roll of sealing tape. Width and thickness in mm, unstretched; roll length in m. */
export interface Tape {
  id: string;
  name: string;
  kind: 'rubber' | 'silicone' | 'mastic' | 'vinyl';
  widthMm: number;
  thicknessMm: number;
  rollM: number;
  /** Final length over free length: the least at which it fuses or lies flat, and the most it takes. */
  stretch: readonly [least: number, most: number];
  /** Coldest air in which it is put on, °C. */
  lowestC: number;
  /** A liner between its turns, kept longer than the tape when cutting. */
  liner: boolean;
  /** Stands the sun without anything over it. */
  uv: boolean;
  shelfMonths: number;
  source: string;
}

// Handbook of the trade, 6: widths, thicknesses and rolls from memory; temperatures and shelf lives typical, from memory.
const nominal = 'nominal, from memory';

const rubber = {
  kind: 'rubber',
  thicknessMm: 0.76,
  rollM: 9.1,
  stretch: [1.2, 3],
  lowestC: 0,
  liner: true,
  uv: false,
  shelfMonths: 60,
  source: nominal,
} as const;

const vinyl = {
  kind: 'vinyl',
  thicknessMm: 0.18,
  rollM: 20,
  stretch: [1, 1.3],
  lowestC: 0,
  liner: false,
  uv: true,
  shelfMonths: 60,
  source: nominal,
} as const;

export const tapes = {
  rubber38: { ...rubber, id: 'rubber38', name: 'self-fusing rubber, 38 mm', widthMm: 38 },
  rubber50: { ...rubber, id: 'rubber50', name: 'self-fusing rubber, 50 mm', widthMm: 50 },
  rubber25: { ...rubber, id: 'rubber25', name: 'self-fusing rubber, 25 mm', widthMm: 25 },
  rubber19: { ...rubber, id: 'rubber19', name: 'self-fusing rubber, 19 mm', widthMm: 19 },
  silicone25: {
    id: 'silicone25',
    name: 'self-fusing silicone, 25 mm',
    kind: 'silicone',
    widthMm: 25,
    thicknessMm: 0.5,
    rollM: 3,
    stretch: [1.5, 3],
    lowestC: -40,
    liner: true,
    uv: true,
    shelfMonths: 60,
    source: nominal,
  },
  mastic63: {
    id: 'mastic63',
    name: 'butyl mastic, 63 mm',
    kind: 'mastic',
    widthMm: 63,
    thicknessMm: 3.2,
    rollM: 0.6,
    stretch: [1, 1.1],
    lowestC: 0,
    liner: true,
    uv: false,
    shelfMonths: 60,
    source: nominal,
  },
  vinyl19: { ...vinyl, id: 'vinyl19', name: 'UV-stable vinyl, 19 mm', widthMm: 19 },
  vinyl50: { ...vinyl, id: 'vinyl50', name: 'UV-stable vinyl, 50 mm', widthMm: 50, rollM: 6 },
} as const satisfies Record<string, Tape>;

/** What a tape does in a seal: it fuses to itself, stands the sun, or fills. */
export const tapeRoles = ['fusing', 'vinyl', 'mastic'] as const;
export type TapeRole = (typeof tapeRoles)[number];

export const roleOfTape = ({ kind }: Pick<Tape, 'kind'>): TapeRole =>
  kind === 'rubber' || kind === 'silicone' ? 'fusing' : kind;

/** Taken where the shop has not said what lies on its shelf. */
const usualTapes: Record<TapeRole, Tape> = {
  fusing: tapes.rubber38,
  vinyl: tapes.vinyl19,
  mastic: tapes.mastic63,
};

/** Tapes for a role: those of the shop first, then the shipped ones. */
export const tapesFor = (role: TapeRole, own: readonly Tape[] = []): Tape[] =>
  [...own, ...Object.values<Tape>(tapes)].filter((tape) => roleOfTape(tape) === role);

/** The tape on the shelf for a role; the usual one where the shop has not chosen, or has this one no more. */
export const tapeFor = (role: TapeRole, id: string | undefined, own: readonly Tape[] = []): Tape =>
  tapesFor(role, own).find((tape) => tape.id === id) ?? usualTapes[role];

export const sleeveKinds = ['cold shrink', 'adhesive shrink', 'gel boot'] as const;
export type SleeveKind = (typeof sleeveKinds)[number];

/** What closes over a joint in one piece. Diameters and lengths in mm. */
export interface Sleeve {
  id: string;
  name: string;
  kind: SleeveKind;
  /** As it comes: the widest part of the joint passes. */
  openMm: number;
  /** Recovered or closed: the thinnest jacket is still held. */
  closedMm: number;
  /** As it comes; a shrink gets shorter, see {@link Sleeve.keeps}. */
  lengthMm: number;
  /** Share of its length which is left when it has closed. */
  keeps: number;
  /** Wall once it has closed. */
  wallMm: number;
  lowestC: number;
  source: string;
}

// Handbook of the trade, 6: ratios 3:1 and 4:1; sizes of a usual series, from memory.
const nominal = 'usual sizes, from memory';

const cold = (openMm: number, closedMm: number, lengthMm: number): Sleeve => ({
  id: `cold-${openMm}-${closedMm}`,
  name: `cold shrink, ${openMm} to ${closedMm} mm`,
  kind: 'cold shrink',
  openMm,
  closedMm,
  lengthMm,
  keeps: 0.95,
  wallMm: 3,
  lowestC: -20,
  source: nominal,
});

const adhesive = (openMm: number, closedMm: number, ratio: string): Sleeve => ({
  id: `adhesive-${openMm}-${closedMm}`,
  name: `adhesive-lined shrink ${ratio}, ${openMm} to ${closedMm} mm`,
  kind: 'adhesive shrink',
  openMm,
  closedMm,
  lengthMm: 150,
  keeps: 0.9,
  wallMm: 2,
  lowestC: -30,
  source: nominal,
});

const boot = (openMm: number, closedMm: number, lengthMm: number): Sleeve => ({
  id: `boot-${openMm}-${closedMm}`,
  name: `gel boot, ${openMm} to ${closedMm} mm`,
  kind: 'gel boot',
  openMm,
  closedMm,
  lengthMm,
  keeps: 1,
  wallMm: 5,
  lowestC: -20,
  source: nominal,
});

export const sleeves: readonly Sleeve[] = [
  cold(20, 6, 150),
  cold(32, 9, 180),
  cold(48, 14, 230),
  cold(70, 22, 280),
  adhesive(12, 4, '3:1'),
  adhesive(19, 6, '3:1'),
  adhesive(24, 6, '4:1'),
  adhesive(32, 8, '4:1'),
  adhesive(40, 13, '3:1'),
  adhesive(52, 13, '4:1'),
  boot(24, 5, 130),
  boot(36, 9, 170),
  boot(55, 12, 230),
];

/** Of each kind those of the shop where it has said which lie on its shelf, else every usual size. */
export const sleevesOf = (own: readonly Sleeve[] = []): Sleeve[] =>
  sleeveKinds.flatMap((kind) => {
    const ofKind = own.filter((one) => one.kind === kind);
    return ofKind.length > 0 ? ofKind : sleeves.filter((one) => one.kind === kind);
  });

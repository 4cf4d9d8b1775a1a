import { isOfSeries } from '../catalog/index.js';
import type { Part, Style } from '../catalog/index.js';

/** How each style is marked by holding the part against the cable: usable by touch. Common practice, no source. */
const byTouch: Record<Style, (part: Part) => string> = {
  crimp: ({ proudMm, face }) =>
    isOfSeries(face, 'f')
      ? 'Hold the bladed tool’s stop against the cut end; its two blades are the gauge.'
      : proudMm > 0
        ? `Lay the connector beside the cable, its tip ${proudMm} mm short of the cut end. The jacket ends where the neck ends.`
        : 'Lay the neck beside the cable: the braid shows for its length. Hold the pin beside the conductor: its bore shows how much to bare.',
  solder: () =>
    'Lay the body beside the cable, tip at the cut end: the jacket ends where the body’s thread ends, the dielectric where its bore narrows.',
  'screw-on': () =>
    'Lay the body beside the cable, tip at the cut end: the jacket ends just inside the body’s open end. The dielectric ends where the bore narrows.',
  reducer: () =>
    'Lay reducer and body beside the cable, tip at the cut end: the jacket ends at the reducer’s nose, the dielectric where the body’s bore narrows.',
  washers: () =>
    'Lay the body beside the cable, tip at the cut end: braid and dielectric end at its open end. The jacket ends half as far again behind it.',
  gland: ({ proudMm }) =>
    proudMm > 0
      ? 'Lay the clamp sleeve beside the cable: the braid shows for its length. The conductor reaches from the hat to just beyond the tip.'
      : 'Lay the clamp sleeve beside the cable: the braid shows for its length, the dielectric ends at its rim. The conductor shows for the rear insulator and the depth of the pin.',
  corrugated: () =>
    'Saw in a valley. Lay the back half beside the cable, its front at the cut: the jacket ends where the clamp ring’s seat ends.',
  compression: () => 'Hold the bladed tool’s stop against the cut end; its two blades are the gauge.',
  piercing: () => 'Nothing is stripped: the cable goes in as it is cut.',
  'side-entry': () =>
    'Lay the body beside the cable: the conductor is as long as the slot, the braid as the neck.',
  'right angle': () =>
    'Lay the body beside the cable: the conductor reaches to the middle of the window, the braid is as long as the neck.',
  bulkhead: () =>
    'Lay the jack beside the cable: the conductor is as long as the cup is deep; leave the braid a finger’s width.',
  pigtail: () => 'A hand’s width of jacket off leaves both tails long enough to be cut to the legs.',
};

/** One or two sentences for marking without a ruler. */
export const partAsGauge = (part: Part): string => byTouch[part.style](part);

/** What of a part lies under the braid, by the name a hand knows it by; nothing where no such piece is the braid's length. */
const neckOf: Partial<Record<Style, string>> = {
  crimp: 'neck',
  'side-entry': 'neck',
  'right angle': 'neck',
  gland: 'clamp sleeve',
};

/** How one cut is found by touch, the part itself being the gauge. Common practice, no source. */
export function touchGauge(part: Part, layer: 'braid' | 'centre'): string {
  const neck = neckOf[part.style];
  if (layer === 'braid')
    return neck
      ? `Lay the ${neck} on the braid, its end at the jacket’s edge: the braid is as long as it.`
      : 'Lay the body beside the cable as before: the braid ends where the part’s own step is felt.';
  if (part.train.some(({ id }) => id === 'rear'))
    return 'Hold rear insulator and pin beside the conductor, the insulator’s flat side at the hat’s rim: bare as much as both take.';
  if (part.train.some(({ id }) => id === 'pin'))
    return 'Hold the pin beside the conductor, its mouth where the dielectric shall end: bare as much as its bore is deep.';
  return part.proudMm > 0
    ? 'Lay the body beside the cable, tip towards the cut: bare what reaches from the dielectric’s stop to a little beyond the tip.'
    : 'Lay the body beside the cable, tip at the cut: bare what reaches back to where its bore narrows.';
}

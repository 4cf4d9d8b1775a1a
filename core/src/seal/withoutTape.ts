/** Joints which half laps of tape do not seal, and what does. Handbook of the trade; common practice, no source. */

export type HousingKind = 'pit' | 'box' | 'splice';

const housed: Record<HousingKind, string[]> = {
  pit: [
    'Set the pit so that its floor drains: the joint hangs above the highest water, cables enter from below or from the side.',
    'Joint tight and dry, grease on the threads only, adhesive-lined sleeve or rubber tape over it; no UV layer is needed there.',
    'Close the lid, mark the pit on the plan and on a label at both ends of the cable.',
  ],
  box: [
    'A box rated for lying in earth, with glands of the cables’ own diameters; the joint lies above its lowest gland.',
    'Joint tight and dry before the box is closed; a bag of desiccant, changed at each inspection.',
    'Mark the box on the plan and on a label at both ends of the cable.',
  ],
  splice: [
    'A resin or gel splice which its maker rates for burial, of these jacket diameters.',
    'Clean and roughen the jackets where its seals sit; joint tight and proved before it is closed: it does not open again.',
    'Pour or close it as its sheet says, let it cure, prove once more, and mark its place on the plan.',
  ],
};

/** How a joint in the ground is closed. It is never taped and buried. */
export const buriedInstructions = (housing: HousingKind | undefined): string[] =>
  housing
    ? housed[housing]
    : [
        'A joint in the ground is never taped and buried: water gets in within a season or two.',
        'Put it in a pit or box above the water, or into a resin or gel splice rated for burial; best of all, run the cable through without a joint.',
      ];

/** How the split of a bare pair is closed: it is no cylinder, and half laps of tape leave its crotch open. */
export const barePairInstructions: string[] = [
  'Pair joined and proved, clean and dry.',
  'Fill the crotch between the two tails with sealant, or pot the whole split in a cup or box of resin, until no strand of the braid shows.',
  'Fuse rubber tape over crotch and jacket, 50 mm down the cable; then a UV layer.',
  'Let the cable leave downwards, so that water drips off and does not run along the braid.',
];

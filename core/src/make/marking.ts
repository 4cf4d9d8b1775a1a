import type { RecipeInput } from './recipe.js';
import { about } from './stripGauge.js';
import type { MarkingSchool } from './schools.js';
import { stripToolSettings } from './stripTool.js';

/** How an end is marked, in words. */
export interface Marking {
  title: string;
  how: string;
  right: string[];
}

type MarkingInput = Pick<RecipeInput, 'gauge' | 'cable' | 'small' | 'caliper' | 'schools'>;

const ways: Record<MarkingSchool, (input: MarkingInput) => Marking> = {
  ruler: ({ gauge, small }) => ({
    title: `Mark the jacket ${about(gauge)}${small(gauge.jacketCutMm)} from the cut end`,
    how: `${cutsFromEnd(gauge)
      .map(({ layer, atMm }) => `${layer} at ${small(atMm)}`)
      .join(
        ', ',
      )}; all measured from the cut end, each ± ${small(gauge.toleranceMm)}.${gauge.nominal ? ' Figures for parts of this kind: check them against yours.' : ''}`,
    right: ['a fine line all round, square to the cable'],
  }),
  part: ({ gauge }) => ({
    title: 'Mark the jacket by holding the part against the cable',
    how: gauge.partAsGauge,
    right: ['a fine line all round where the part says'],
  }),
  tool: ({ gauge, cable, small, caliper }) => ({
    title: 'Set the strip tool and try it on scrap',
    how: `${stripToolSettings(gauge, cable)
      .map(({ atMm, leavesMm }) => `Blade at ${small(atMm)} leaving ${caliper(leavesMm)} across`)
      .join('; ')}. Cut a piece of scrap first.`,
    right: ['the scrap shows bright braid and an unmarked conductor', 'its lengths are those of the gauge'],
  }),
};

/** The marking of an end in the shop's school; of a fold-back end too. */
export const markingOf = (input: MarkingInput): Marking => ways[input.schools.marking](input);

/** Every cut measured from the cut end, the deepest first; mm. */
export function cutsFromEnd({ stretches }: MarkingInput['gauge']): { layer: string; atMm: number }[] {
  const next = {
    centre: 'dielectric',
    dielectric: 'braid',
    braid: 'jacket',
    tube: 'jacket',
    jacket: 'jacket',
  } as const;
  let atMm = 0;
  return stretches.map(({ layer, lengthMm }, k) => {
    atMm += lengthMm;
    return { layer: k === stretches.length - 1 ? 'jacket' : next[layer], atMm };
  });
}

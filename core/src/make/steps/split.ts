import { generalCard } from '../generalCard.js';
import type { RecipeInput, Step } from '../recipe.js';
import { soldering } from './benches.js';
import { heat } from './join.js';
import { bareCentre, dressBraid } from './prepare.js';

/** The cable split in two, at a jack or at the legs of a dipole. */

const split: Step = {
  id: 'split',
  name: 'Split',
  title: 'Draw the cable out through a hole picked in the braid; twist the braid to a tail',
  how: 'Part the strands near the jacket, do not cut any. Tin the ends of both tails.',
  byTouch:
    'Bend the cable at the jacket, part the strands at the bend with a blunt pick and pull the dielectric out through the gap.',
  looksRight: ['braid whole in one tail', 'dielectric unmarked where it comes out'],
  feelsRight: ['one thick tail and one stiff one, no loose strand'],
  goesWrong: ['cut strands: the tail breaks in the wind'],
  tools: [{ tool: 'pick' }],
};

const solderTails = (own: Pick<Step, 'title' | 'places'>): Step => ({
  id: 'solder',
  name: 'Solder',
  how: 'Rosin only: acid flux eats the copper from within. Enough iron for the lug, quick, and keep still while it sets. Strain on the jacket, not on the tails.',
  byTouch:
    'Rosin solder only. Iron on the joint, count, hold still until cold; then pull the jacket, not the tail.',
  looksRight: ['bright, drawn in, no spike'],
  feelsRight: ['smooth and solid, no spike'],
  goesWrong: ['the weight hangs on the solder: it cracks', 'acid flux: green and broken within a year'],
  ...heat,
  tools: soldering('fine-iron'),
  irreversible: true,
  ...own,
});

/** Water creeps down the braid from a split first. */
const sealSplit = ({ exposed, part }: RecipeInput): Step => ({
  id: 'seal',
  name: 'Seal',
  title: 'Adhesive shrink over the split while it is still dry',
  how: `An end cap of sealant on the braid first.${exposed ? ' This end is outdoors: water creeps down the braid from here.' : ''}${part.style === 'pigtail' ? ' Below a dipole’s centre goes a choke.' : ''}`,
  byTouch:
    'Press sealant into the crotch of the two tails, tube over it up to the tails; gun moving, count, feel for the bead when cold.',
  looksRight: ['adhesive seen all round at both ends'],
  feelsRight: ['a soft bead at both ends, cold'],
  goesWrong: ['plain shrink: it is no seal'],
  caution: 'Hot air burns; keep it moving and off the dielectric.',
  timerS: 20,
  tools: [{ tool: 'hot-air' }],
});

/** The whole card of a split end; `solder` says where the tails go. */
export const splitCard = (input: RecipeInput, solder: Pick<Step, 'title' | 'places'>): Step[] =>
  generalCard(input, {
    slide: ['shrink'],
    prepare: [dressBraid(input), bareCentre(input), split],
    firstCheck: 'Both tails free.',
    join: [solderTails(solder)],
    finish: [sealSplit(input)],
  });

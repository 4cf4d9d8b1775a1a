import { commonPractice, type RecipeInput, type Step, type Work } from '../recipe.js';

/** A damaged end is cut off and made anew: first back to bright copper and dry braid, then the card of its part. */
export const reEnd: Work = {
  id: 're-end',
  name: 're-ending a damaged cable',
  steps: (input, newEnd) => [disconnect, cutBack(input), bright(input), ...newEnd],
  source: commonPractice,
};

const disconnect: Step = {
  id: 'off-air',
  name: 'Off the air',
  title: 'Radio off, cable unplugged at both ends',
  how: 'Put a note on the radio. Nobody transmits into a cable that is on the bench.',
  byTouch: 'Unplug both ends yourself and keep the radio’s end with you.',
  looksRight: ['both ends in the open', 'note on the radio'],
  feelsRight: ['both ends in your hands'],
  goesWrong: ['a transmitter keyed by somebody else burns the hand that holds the end'],
  caution: 'Unplug both ends before you cut. A storm in sight: leave it alone.',
};

const cutBack = ({ small, gauge }: RecipeInput): Step => ({
  id: 'cut-back',
  name: 'Cut back',
  title: 'Cut the damaged end off, behind the last place that is bent, crushed or wet',
  how: `At least ${small(gauge.jacketCutMm)} behind the old connector’s jacket edge; keep the piece, its length goes into the log.`,
  byTouch:
    'Run the cable through two fingers from the sound part towards the end; cut where it first feels flat, soft or swollen, and a hand’s breadth more.',
  looksRight: ['cut through round, sound cable'],
  feelsRight: ['round and firm on both sides of the cut'],
  goesWrong: ['cut too near: the new end stands in wet braid and fails again'],
  caution: 'Cut away from the thumb.',
  tools: [{ tool: 'cutter' }],
});

const bright = ({ gauge, small }: RecipeInput): Step => ({
  id: 'bright',
  name: 'Bright and dry',
  title: 'Open a finger’s width of jacket: bright copper, dry braid?',
  how: `Black, green or wet: cut another 50 to 100 mm and look again. This trial is cut off with the square cut; keep ${small(gauge.jacketCutMm)} for the strip.`,
  byTouch: 'Wipe the opened braid with a dry paper: no grit, no damp; a strand bent double does not break.',
  looksRight: ['braid the colour of new copper or tin', 'paper stays dry and clean'],
  feelsRight: ['springy, dry, no grit'],
  goesWrong: [
    'dark for more than a metre: the water came from further up; prove the cable before another end is spent on it',
    'black strands take neither solder nor crimp',
  ],
  caution: 'Blade away from the thumb.',
  tools: [{ tool: 'knife' }],
});

import { commonPractice, type Step, type Work } from '../recipe.js';
import { finalCheck } from '../steps/check.js';

/** Adhesive-lined shrink and strain relief on an end which is made: part of a seal, never the whole of it. */
export const adhesiveShrink: Work = {
  id: 'shrink',
  name: 'adhesive shrink and strain relief',
  steps: () => [tube, clean, over, cool, relief, finalCheck],
  source: commonPractice,
};

const tube: Step = {
  id: 'tube',
  name: 'Tube',
  title: 'Take adhesive-lined tube which passes over the plug and still grips the jacket',
  how: 'Shrink ratio 3 to 1 or 4 to 1, long enough for the body’s rear and three jacket diameters. The coupling nut stays free.',
  byTouch: 'It goes over the nut with a little play; inside, the lining is rough and slightly tacky.',
  looksRight: ['lining seen inside the tube', 'it covers the rear of the body, not the nut'],
  feelsRight: ['rough lining inside', 'it slides over the nut'],
  goesWrong: ['plain tube: strain relief, no seal', 'over the nut: the plug can never be uncoupled'],
};
const clean: Step = {
  id: 'clean',
  name: 'Clean',
  title: 'Wipe jacket and body clean and dry',
  how: 'A rag with alcohol; let it dry off before any heat. Grease and hand cream keep adhesive from holding.',
  byTouch: 'Wipe until the rag squeaks; wait until nothing smells of alcohol.',
  looksRight: ['matt, clean, dry'],
  feelsRight: ['the rag squeaks'],
  goesWrong: ['a greasy jacket: the adhesive peels off in the first frost'],
  caution: 'Alcohol burns: away with bottle and rag before the hot air is on.',
};
const over: Step = {
  id: 'shrink',
  name: 'Shrink',
  title: 'Tube half on the body, half on the jacket; shrink it from the body outwards',
  how: 'Hot air all round, moving; from the body towards the cable, so that air is driven out.',
  byTouch:
    'Find the middle of the tube with a thumb at the body’s rear. Gun moving a hand’s breadth away, count.',
  looksRight: ['no bubble, adhesive at both ends'],
  feelsRight: ['grips all along once it is cold'],
  goesWrong: [
    'from both ends at once: a bubble of damp air is shut in',
    'one place too long: the dielectric wanders',
  ],
  caution: 'Hot air burns; keep it moving and off the dielectric.',
  tools: [{ tool: 'hot-air' }],
  timerS: 25,
};
const cool: Step = {
  id: 'cool',
  name: 'Cool',
  title: 'Leave it alone until it is cold',
  how: 'The adhesive holds only when cold; a joint moved warm leaks.',
  byTouch: 'Hands off while it counts; then it is hard to the nail.',
  looksRight: ['a thin bead all round both ends'],
  feelsRight: ['a hard bead at both ends'],
  goesWrong: ['moved while warm: the bead has a gap'],
  caution: 'It stays hot longer than it looks.',
  timerS: 60,
};
const relief: Step = {
  id: 'relief',
  name: 'Relief',
  title: 'Tie the cable so that nothing hangs on the connector',
  how: 'First support within 150 to 300 mm of the connector, a drip loop below it, no tie squeezed hard.',
  byTouch: 'Lift the cable at the first tie: the connector must not take its weight when you let go.',
  looksRight: ['the loop’s lowest point is below the connector', 'round under the tie, not squashed'],
  feelsRight: ['the connector is not pulled when you let go'],
  goesWrong: ['weight on the connector: the pin works loose', 'tie too tight: the cable is crushed there'],
};

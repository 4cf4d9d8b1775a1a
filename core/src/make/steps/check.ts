import type { Style } from '../../catalog/index.js';
import type { RecipeInput, Step } from '../recipe.js';
import { hasPart } from './words.js';

/** What is measured and pulled, before and after the point of no return. */

export const shortCheck = (id: string, when: string): Step => ({
  id,
  name: 'Check',
  title: 'Measure centre to braid',
  how: `${when} The far end is open.`,
  byTouch: `One lead on the centre, one on the braid, the far end open: a meter that beeps must stay silent.`,
  looksRight: ['open: above 100 MΩ, or over range'],
  feelsRight: ['no beep'],
  goesWrong: ['a few ohms: a strand touches the centre; find it now'],
  reading: 'short check',
  tools: [{ tool: 'meter' }],
});

/** What a tug that fails says of each way to take hold. */
const tugFails: Record<Style, string> = {
  crimp: 'it turns or slips: wrong die, or the neck went over the braid; cut off and start again',
  solder: 'it turns: a cold joint in its holes; heat them again, longer, one after the other',
  'screw-on':
    'it turns: the body has not cut into the braid; bond or tape it, or start again with a crimp part',
  reducer: 'it turns: the reducer is not home, or its holes are cold joints',
  washers: 'it turns or slips: the reducer is not hard against the washer; two tools, tighter',
  gland:
    'it slips: the rubber is not squeezed, or the braid does not lie over the clamp sleeve; open it and look',
  corrugated: 'it slips: the ring does not sit on the crest; open it and look',
  compression:
    'it slides: not compressed to its stop, or the mandrel went inside the foil; cut off and start again',
  piercing: 'it slides: the teeth are not through the jacket; press them again, then cut off and start again',
  'side-entry': 'it slips: wrong die for one of the two diameters; cut off and start again',
  'right angle': 'it slips: wrong die, or the neck went over the braid; cut off and start again',
  bulkhead: 'a tail moves: a cold joint; heat it again',
  pigtail: 'a tail moves: the strain lies on the solder and not on the jacket',
};

export const tug = ({ part }: RecipeInput): Step => ({
  id: 'tug',
  name: 'Tug',
  title: 'Pull the connector, firmly, once',
  how: 'Hold the cable, not the coupling nut.',
  byTouch:
    'One hand on the body, one on the jacket, a thumb across the edge between them: pull, and try to turn.',
  looksRight: ['nothing moves'],
  feelsRight: ['the edge under the thumb stays where it was'],
  goesWrong: [tugFails[part.style]],
});

export const finalCheck: Step = {
  id: 'prove',
  name: 'Prove',
  title: 'Measure centre to shell again',
  how: 'Flex the cable behind the connector while you watch the meter.',
  byTouch:
    'One lead on the centre, one on the shell; flex the cable behind the connector: the meter stays silent.',
  looksRight: ['open, and it stays open when flexed'],
  feelsRight: ['no beep, not even while it is flexed'],
  goesWrong: ['a short now came with the closing: this end is cut off'],
  reading: 'insulation',
  tools: [{ tool: 'meter' }],
};

/** Both conductors at once when the far end is finished; the centre alone before that. */
export const through = ({ farEndMade }: RecipeInput): Step =>
  farEndMade
    ? {
        id: 'through',
        name: 'Loop',
        title: 'Join pin and shell at the far end, measure the loop here',
        how: 'A clip or a short plug at the far end; zero the leads first. Take the clip off again.',
        byTouch:
          'A clip across pin and shell at the far end; here the meter beeps without a break while the cable is flexed.',
        looksRight: ['the copper of this length, there and back, and not more'],
        feelsRight: ['a steady beep, no crackle'],
        goesWrong: [
          'open or jumping: a pin does not hold the conductor, or the braid is not held',
          'too high: a cold joint or a corroded braid',
        ],
        reading: 'loop',
        tools: [{ tool: 'meter' }],
      }
    : {
        id: 'through',
        name: 'Through',
        title: 'Measure tip to the far conductor',
        how: 'Centre to centre, from the tip to the bare conductor at the other end.',
        byTouch: 'One lead on the tip, one on the far conductor: a steady beep while the cable is flexed.',
        looksRight: ['well under an ohm for a jumper, the copper of its length for a long cable'],
        feelsRight: ['a steady beep, no crackle'],
        goesWrong: ['open or jumping: the pin does not hold the conductor'],
        reading: 'continuity',
        tools: [{ tool: 'meter' }],
      };

export const secondPerson: Step = {
  id: 'second',
  name: 'Second',
  title: 'Let somebody else look, pull and measure',
  how: 'Hand over cable and meter; whoever did not make this end says who they are.',
  byTouch: 'Hand over cable and meter; whoever did not make this end says who they are.',
  looksRight: ['the second person reads the same'],
  feelsRight: ['the second person’s tug moves nothing'],
  goesWrong: ['the two readings differ: measure again with the leads zeroed'],
  school: 'Our practice: two people check each end. What one hand has just made, its eyes see as right.',
  secondPerson: true,
};

export const signOff = (input: RecipeInput): Step => {
  const loose = [
    ...(hasPart(input, 'nut') ? ['nut runs free'] : []),
    ...(hasPart(input, 'shrink') ? ['shrink in place'] : []),
    ...(hasPart(input, 'backnut') ? ['back nut hard'] : []),
    ...(hasPart(input, 'cap') ? ['cap on'] : []),
    ...(hasPart(input, 'relief') ? ['strain relief home'] : []),
  ];
  return {
    id: 'sign',
    name: 'Sign off',
    title: 'Sign this end off',
    how: 'Who made it, and the readings, go into the log of the run with the time.',
    byTouch: 'Say or type who made it; the readings go into the log of the run with the time.',
    looksRight: ['label on', ...loose],
    feelsRight: ['label found', ...loose],
    goesWrong: [],
  };
};

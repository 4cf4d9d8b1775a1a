import { markingOf } from '../marking.js';
import type { RecipeInput, Step } from '../recipe.js';
import { touchGauge } from '../partAsGauge.js';
import { about } from '../stripGauge.js';
import type { ToolNeed } from '../tools.js';
import { stripper } from './benches.js';
import { schoolsOfMarking, schoolsOfUnbraiding, type School } from '../schools.js';
import { hasPart, listed, placed, stretch } from './words.js';

/** From the parts in the bag to a prepared end: what every card begins with. */

export const partsCheck = ({ part }: RecipeInput): Step => ({
  id: 'parts',
  name: 'Parts',
  title: `Lay out the ${part.train.length} parts in a row`,
  how: `In sliding order: ${part.train.map((item) => item.name).join(', ')}.`,
  byTouch: `Lay them left to right in sliding order and count them: ${part.train.map((item) => item.name).join(', ')}.`,
  looksRight: ['every part is there and clean', 'the bore of the part takes the cable'],
  feelsRight: [
    `${part.train.length} pieces under the fingers, none with a burr`,
    'the cable enters the bore',
  ],
  goesWrong: ['a part is missing: find it now, not after the crimp'],
});

export const slideOn = (input: RecipeInput, ids: string[]): Step => {
  const items = placed(input, ...ids);
  return {
    id: 'slide',
    name: 'Slide on',
    title: `Slide on ${listed(items.map((item) => item.name))}`,
    how: 'In this order, each the right way round, well back from the end.',
    byTouch:
      'Feel each for its front before it goes on: thread, nose or rim as named. Push it an arm’s length back.',
    looksRight: items.map(
      ({ name, direction }) => `${name}${direction ? `: ${direction}` : ' on the cable'}`,
    ),
    feelsRight: items.map(
      ({ name, direction }) => `${name} slides freely${direction ? `, ${direction}` : ''}`,
    ),
    goesWrong: ['forgotten or back to front: the finished end has to be cut off'],
    places: items,
    confirm: true,
  };
};

export const squareCut: Step = {
  id: 'cut',
  name: 'Square',
  title: 'Cut the cable’s end square',
  how: 'Sharp cutter, one go. Turn the cable and look from the side.',
  byTouch:
    'Hold the cutter across the cable, not aslant; one firm squeeze. Turn the cut face on a flat fingertip.',
  looksRight: ['round, not squashed', 'the face is square to the jacket'],
  feelsRight: ['flat face, no edge standing out as you turn it', 'the end is still round'],
  goesWrong: ['a slanted end makes every strip length wrong on one side'],
  caution: 'Cut away from the thumb.',
  tools: [{ tool: 'cutter' }],
};

const chosen = <T extends string>(schools: School<T>[], value: T): string => {
  const school = schools.find((one) => one.value === value);
  return school ? `Our practice: ${school.label.toLowerCase()}. ${school.why}` : '';
};

/** Where to cut, marked the shop's way. */
export const mark = (input: RecipeInput): Step => {
  const { gauge, schools } = input;
  const { title, how, right } = markingOf(input);
  return {
    id: 'mark',
    name: 'Mark',
    title,
    how,
    byTouch: `${gauge.partAsGauge} Hold a thumbnail there and start the blade at it.`,
    looksRight: right,
    feelsRight: ['the mark is where the part says, felt twice'],
    goesWrong: [
      'measured from a slanted cut: every length is out',
      'the figures of another part: some sold for the same cable differ by a millimetre',
    ],
    gauge: 'jacket',
    school: chosen(schoolsOfMarking, schools.marking),
    ...(schools.marking === 'ruler' ? { tools: [{ tool: 'ruler' as const }] } : {}),
  };
};

export const jacket = ({ gauge, small, schools }: RecipeInput): Step => ({
  id: 'jacket',
  name: 'Jacket',
  title: `Take the jacket off, ${about(gauge)}${small(gauge.jacketCutMm)} back from the cut`,
  how:
    schools.marking === 'tool'
      ? 'Clamp the tool on, turn it three to five times until it runs free, pull straight off.'
      : 'Score it all round, do not press to the braid. Flex until it parts, pull it off straight.',
  byTouch:
    'Rest the blade at your thumbnail, turn the cable and not the knife. Bend the cable: the score opens and the jacket slides off.',
  looksRight: ['braid bright and whole, no strand cut', 'edge square, jacket end smooth'],
  feelsRight: ['the edge is even all round under a nail', 'braid springy, no cut strand pricks'],
  goesWrong: [
    'a ring of cut strands: the crimp holds nothing; start again',
    'black or wet braid: cut back until it is bright and dry',
  ],
  caution: 'Blade away from the thumb.',
  tools: [stripper({ schools })],
  gauge: 'jacket',
});

/** Where a neck goes under the braid it need not be undone. */
const canStayWoven = (input: RecipeInput): boolean =>
  input.part.neckOuterMm !== null && hasPart(input, 'ferrule');

const toolOf = (input: RecipeInput): 'brush' | 'pick' | 'push under' =>
  input.schools.unbraiding === 'push under' && !canStayWoven(input) ? 'brush' : input.schools.unbraiding;

const combTools = (tool: keyof ReturnType<typeof combing>): ToolNeed[] =>
  tool === 'push under' ? [] : [{ tool }];

const OPENED_MM = 5;

const combing = ({ small }: Pick<RecipeInput, 'small'>) => ({
  brush: `Open the first ${small(OPENED_MM)} by hand, then hold a stiff nylon brush still and turn the cable in it.`,
  pick: 'Open it from the cut with a blunt pick, a few crossings at a time, never pulling.',
  'push under': 'Leave it woven; open only its mouth a little, so that the neck finds its way under.',
});

export const dressBraid = (input: RecipeInput): Step => {
  const { gauge, small } = input;
  const tool = toolOf(input);
  return {
    id: 'braid',
    name: 'Braid',
    title: `Trim the braid to ${small(stretch(gauge, 'braid'))}`,
    how: `${combing(input)[tool]} Trim with fine scissors.`,
    byTouch: `${touchGauge(input.part, 'braid')} ${combing(input)[tool]} Pinch the braid flat and cut along your fingertips, turning the cable.`,
    looksRight: ['even all round', 'no loose strands left on the dielectric'],
    feelsRight: ['one smooth edge round the cable', 'the dielectric is clean under a fingertip'],
    goesWrong: ['a stray strand finds the centre and shorts the end'],
    gauge: 'braid',
    tools: [...combTools(tool), { tool: 'scissors' }, { tool: 'eye-protection' }],
    school: chosen(schoolsOfUnbraiding, tool),
  };
};

/** Braid combed and turned back over what lies behind it. */
export const foldBack = (input: RecipeInput, over: string): Step => {
  const tool = toolOf(input);
  return {
    id: 'fold',
    name: 'Fold back',
    title: `Comb the braid out and fold it back over ${over}`,
    how: `${combing(input)[tool]} Lay it back even all round, trimmed to ${input.small(input.part.foldBackMm)}.`,
    byTouch: `${combing(input)[tool]} Stroke it back flat with the fingers all round; trim what reaches past the first joint of the little finger.`,
    looksRight: ['one thin even layer', 'no strand left on the dielectric'],
    feelsRight: [`smooth over ${over}, no lump on one side`, 'nothing but dielectric in front of the fold'],
    goesWrong: [
      'a lump on one side: the body starts askew',
      'a stray strand finds the centre and shorts the end',
    ],
    school: chosen(schoolsOfUnbraiding, tool),
    tools: [...combTools(tool), { tool: 'scissors' }, { tool: 'eye-protection' }],
  };
};

/** What of the dielectric stays: the same figure as in the gauge. */
const dielectricLeft = ({ gauge, small, part }: Pick<RecipeInput, 'gauge' | 'small' | 'part'>): string => {
  const leftMm = stretch(gauge, 'dielectric');
  if (leftMm > 0) return `Leave ${small(leftMm)} of dielectric beyond the braid.`;
  return part.style === 'gland'
    ? 'Foil and dielectric end flush with the rim of the hat.'
    : 'The dielectric ends with the braid.';
};

export const bareCentre = ({ gauge, small, cable, schools, part }: RecipeInput): Step => ({
  id: 'centre',
  name: 'Centre',
  title: `Bare the centre for ${small(stretch(gauge, 'centre'))}`,
  how: `${dielectricLeft({ gauge, small, part })} Never ring the conductor.${isThick(cable) ? ' Chamfer the conductor’s edge: a burr ruins the contact.' : ''}`,
  byTouch: `${touchGauge(part, 'centre')} Roll the cable under a light blade, stop before metal; twist the plug of dielectric off with the lay of the strands.`,
  looksRight: ['conductor bright and round, no nick', 'dielectric cut square'],
  feelsRight: ['the conductor is smooth along a nail', 'the dielectric ends in a flat step'],
  goesWrong: ['a nick breaks at the first bend', 'a lost strand makes the contact loose'],
  caution: 'Blade away from the thumb.',
  tools: [stripper({ schools }), ...(isThick(cable) ? [{ tool: 'deburrer' as const }] : [])],
  gauge: 'centre',
});

/** Solid conductors from here on have an edge that cuts a contact, mm. Common practice, no source. */
const THICK_MM = 2.5;
const isThick = ({ centreKind, centreMm }: RecipeInput['cable']): boolean =>
  centreKind === 'solid' && centreMm >= THICK_MM;

/** From so many strands on one may be missing. Common practice, no source. */
const MANY_STRANDS = 19;

/** How many strands may be lost, as a count where there are few. */
function strandsLost(centre: string): string {
  const count = Number(/stranded (\d+)\//.exec(centre)?.[1]);
  return count < MANY_STRANDS
    ? `a strand lost: of ${count} none may be missing; cut back`
    : 'strands lost: up to one in twenty is tolerable on a jumper; more, and the end is cut back';
}

/** Every strand counted in: the last look before metal goes on. */
export const strands = ({ cable, gauge }: RecipeInput): Step => {
  const stranded = cable.centreKind === 'stranded';
  return {
    id: 'strands',
    name: 'Strands',
    title: stranded ? 'Twist the strands the way they lie' : 'Go over the conductor and the braid once more',
    how: stranded
      ? 'Every strand together, none bent back. Then look along the dielectric for whiskers of the braid.'
      : 'Solid conductor: straight, round and without a nick. Look along the dielectric for whiskers of the braid.',
    byTouch: 'Draw the end through two fingertips from the jacket outwards, turning it: a whisker pricks.',
    looksRight: [
      `conductor would enter a ${gauge.fit.pin.boreMm.toFixed(2)} mm bore without force`,
      'dielectric clean all round',
    ],
    feelsRight: [stranded ? 'one round wire, nothing springs away' : 'one straight wire', 'nothing pricks'],
    goesWrong: [
      'one strand astray shorts to the body later',
      'a conductor of the other size: the other pin of the bag is needed',
      strandsLost(cable.centre),
    ],
  };
};

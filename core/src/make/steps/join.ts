import { hexDiesMm } from '../../catalog/index.js';
import { dieText, type ToolNeed } from '../tools.js';
import { schoolsOfCentre } from '../schools.js';
import { pinDieMm, soldering } from './benches.js';
import type { RecipeInput, Step } from '../recipe.js';
import { hasPart, placed, ratchetCaution } from './words.js';

/** Where connector and cable become one: pins, tips, necks, ferrules, holes. */

/** Where the iron is used: how long, and what it does to a hand. */
export const heat: Pick<Step, 'caution' | 'timerS'> = {
  caution: 'The iron burns. Ventilate, and keep your face out of the smoke.',
  timerS: 5,
};

const centreSchool = ({ schools }: RecipeInput): string => {
  const { label, why } =
    schoolsOfCentre.find(({ value }) => value === schools.centreSchool) ?? schoolsOfCentre[0];
  return `Our practice: ${label.toLowerCase()}. ${why}`;
};

/** The conductor fastened in the tip of a UHF plug: crimped, soldered or both; after it nothing comes apart. */
export const fastenTip = (input: RecipeInput): Step => {
  const { centreSchool: school } = input.schools;
  return school === 'crimp'
    ? {
        ...solderTip,
        title: 'Crimp the tip on the conductor, then trim it flush',
        how: 'Two crimps in the waist of the tip, a quarter turn apart. Cut what stands proud and round it off.',
        looksRight: ['two even dents, the tip still straight', 'tip rounded, nothing proud'],
        goesWrong: [
          'crimped once only: it loosens when it gets warm',
          'bent: the plug will not enter the jack',
        ],
        caution: ratchetCaution,
        tools: [{ tool: 'pin-crimper' }],
        timerS: undefined,
        school: centreSchool(input),
      }
    : {
        ...solderTip,
        title:
          school === 'solder' ? solderTip.title : 'Crimp the tip, solder it from inside, then trim it flush',
        tools: [
          ...(school === 'solder' ? [] : [{ tool: 'pin-crimper' as const }]),
          ...soldering('fine-iron'),
        ],
        school: centreSchool(input),
      };
};

/** The conductor soldered in the tip of a UHF plug; after it nothing comes apart any more. */
export const solderTip: Step = {
  id: 'tip',
  name: 'Tip',
  title: 'Solder the tip from inside, then trim it flush',
  how: 'Hot and brief. Let it cool before you touch or flex it. Outdoors, fill the tip with sealant.',
  byTouch:
    'Rest the iron’s side on the tip, feed solder at its mouth, count. When cold, file what stands proud; a fingertip finds the rest.',
  looksRight: ['solder drawn in, none outside the pin', 'tip rounded, nothing proud'],
  feelsRight: ['tip smooth and round, no bead on its side'],
  goesWrong: [
    'solder outside: the plug will not enter the jack',
    'too long: the insulation melts and the centre wanders',
  ],
  ...heat,
  tools: soldering('fine-iron'),
  irreversible: true,
};

/**
 * The loose pin of a captive-pin part: crimped or soldered, never both. Where the shop does both on open tips, the pin's own sheet decides: pins of
 * crimp parts are crimped, pins of gland parts soldered; one too thick for a die is soldered.
 */
export const pinOn = (input: RecipeInput, bySheet: 'crimp' | 'solder' = 'crimp'): Step => {
  const { boreMm } = input.gauge.fit.pin;
  const dieMm = pinDieMm(boreMm);
  const wanted = input.schools.centreSchool === 'crimp and solder' ? bySheet : input.schools.centreSchool;
  const way = dieMm === undefined ? 'solder' : wanted;
  const solders = way === 'solder';
  const { label, why } = schoolsOfCentre.find(({ value }) => value === way) ?? schoolsOfCentre[0];
  // A gland part has its rear insulator between them.
  const against = hasPart(input, 'rear') ? 'rear insulator' : 'dielectric';
  return {
    id: 'pin',
    name: 'Pin',
    title: solders
      ? `Pin hard against the ${against}, then solder it through its hole`
      : `Pin hard against the ${against}, then crimp it with the ${dieText(dieMm ?? 0)} die`,
    how: `Take the pin with the ${boreMm.toFixed(2)} mm bore and try it on dry. Not home: clear a crumb out of its bore, or shorten the conductor until the pin meets the ${against}; the dielectric stays as it is. See the conductor through the pin’s hole.${solders ? ' Solder: wick it in, none outside.' : ''}`,
    byTouch:
      'Try both pins of the bag: the right one goes on with a light push and does not wobble. Push it home, a nail finds no gap behind it.',
    looksRight: [`no gap between pin and ${against}`, 'pin straight, conductor seen in the hole'],
    feelsRight: [
      'pin does not wobble or turn',
      solders ? 'no gap under the nail, no bead on its side' : 'no gap under the nail',
    ],
    goesWrong: [
      'a gap: the pin stands too far forward and damages the jack',
      'the conductor crushed oval by blunt cutters: it will not enter; round it off or cut again',
      'wrong pin of the two in the bag: loose, or it will not go on',
      ...(solders ? ['solder outside: the pin will not go home'] : ['wrong die: the pin turns on the wire']),
    ],
    ...(solders ? heat : { caution: ratchetCaution }),
    tools: solders ? soldering('fine-iron') : [{ tool: 'pin-crimper', hexMm: dieMm }],
    school: `${wanted === input.schools.centreSchool ? 'Our practice' : 'As the pin’s own sheet says'}: ${label.toLowerCase()}. ${why}`,
    places: placed(input, 'pin'),
  };
};

/** The captive pin goes home with a click. */
export const clickIn = (input: RecipeInput): Step => ({
  id: 'body',
  name: 'Body',
  title: 'Push into the body until the pin clicks',
  how: 'Neck under the braid, every strand outside. Straight, no twisting once it clicks.',
  byTouch:
    'Neck under the braid; push straight until you feel and hear the click. A fingertip on the front finds pin and insulator level.',
  looksRight: ['a click you hear and feel', 'pin level with the face of the insulator'],
  feelsRight: ['one clear click', 'the pin cannot be pushed back by a fingertip'],
  goesWrong: ['no click: pin not home, the contact is too deep', 'braid inside the neck: short'],
  places: placed(input, 'body'),
  irreversible: true,
});

/** The neck goes under the braid, the conductor through the tip. */
export const neckUnder = (input: RecipeInput): Step => ({
  id: 'body',
  name: 'Body',
  title: 'Push the neck under the braid until it meets the jacket',
  how: 'Twist gently. The conductor comes out of the tip, the braid stays outside the neck.',
  byTouch:
    'Twist and push; the braid rides up outside. You are home when body and jacket touch under the nail and the conductor pricks at the tip.',
  looksRight: [
    'neck hidden by braid, body against the jacket',
    `conductor ${input.small(input.part.proudMm)} proud of the tip`,
  ],
  feelsRight: ['no gap between body and jacket', 'conductor felt at the tip, braid smooth over the neck'],
  goesWrong: [
    'braid pushed back in folds: the ferrule will not go over it',
    'a strand went in with the conductor: pull out and look',
  ],
  places: placed(input, 'body'),
});

/** The ferrule closed on braid and neck with the part's own die. */
export const crimpFerrule = ({ part }: RecipeInput, own: Partial<Step> = {}): Step => ({
  id: 'crimp',
  name: 'Crimp',
  title: `Ferrule up to the body, crimp with the ${dieText(part.hexMm ?? 0)} die`,
  how: 'Half its length over neck and braid, half over the jacket. Close the tool until it lets go.',
  byTouch:
    'Push the ferrule up until it stops at the body; tool hard against the body, squeeze until it springs open.',
  looksRight: ['even hex, ferrule hard against the body'],
  feelsRight: ['six even flats, no fin between them', 'no gap before the body'],
  goesWrong: [
    'wrong die: loose, or the neck is crushed',
    'ferrule short of the body: braid shows and the joint is weak',
  ],
  caution: ratchetCaution,
  tools: [{ tool: 'crimper', hexMm: part.hexMm ?? undefined }],
  irreversible: true,
  ...own,
});

/** The ferrule of a slotted part has two diameters, closed by two dies of the set: its own, and the next above it. */
export const ferruleDies = ({ part: { hexMm, style } }: RecipeInput): ToolNeed[] =>
  hexMm === null
    ? []
    : [hexMm, ...hexDiesMm.filter((die) => die > hexMm).slice(0, style === 'side-entry' ? 1 : 0)].map(
        (die) => ({
          tool: 'crimper',
          hexMm: die,
        }),
      );

/** Braid to body through the holes of a UHF plug. */
export const solderHoles = (own: Partial<Step> = {}): Step => ({
  id: 'holes',
  name: 'Holes',
  title: 'Solder braid to body through the holes',
  how: 'A 100 W chisel tip on the body, not on the braid; 8 to 15 s for each hole, solder in when it flows: 5 s is a cold joint. Let it cool between them.',
  byTouch:
    'Iron’s side beside the hole, solder into it, count; next hole after a pause. When cold, each hole is filled and smooth.',
  looksRight: ['solder bright, drawn round braid and hole'],
  feelsRight: ['each hole filled, no sharp lump', 'the body does not turn on the cable'],
  goesWrong: [
    'a grey lump on the body only: a cold joint that turns later',
    'heated for long: the insulation melts and the centre wanders into the braid',
  ],
  ...heat,
  timerS: 12,
  tools: soldering('heavy-iron'),
  irreversible: true,
  ...own,
});

/** The conductor laid in a slot or window and soldered there; neck under the braid. */
export const intoSlot = (input: RecipeInput): Step => ({
  id: 'body',
  name: 'Body',
  title: 'Neck under the braid, conductor into the slot',
  how: 'Every strand in the slot, none beside it. The braid stays outside the neck.',
  byTouch:
    'Window up under the thumb; push the neck under the braid until a nail finds the conductor lying in its slot.',
  looksRight: ['conductor lies in the slot by itself, without being pressed'],
  feelsRight: ['the conductor lies level in the slot, nothing beside it'],
  goesWrong: ['a strand over the edge touches the body', 'conductor short of the slot: cut again'],
  places: placed(input, 'body'),
});

export const solderSlot: Step = {
  id: 'solder',
  name: 'Solder',
  title: 'Solder the conductor in its slot',
  how: 'Fine tip, little solder, brief.',
  byTouch:
    'Tip of the iron on the slot, a touch of solder, count. When cold a nail slides over the slot without catching.',
  looksRight: ['solder drawn along the conductor, nothing proud of the slot'],
  feelsRight: ['slot level, no bead towards the body'],
  goesWrong: ['a blob reaches the body: a short', 'too hot: the insulator of the contact softens'],
  ...heat,
  tools: soldering('fine-iron'),
  irreversible: true,
};

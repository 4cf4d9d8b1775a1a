import {
  bareCentre,
  continuity,
  dressBraid,
  finalCheck,
  jacket,
  partsCheck,
  shortCheck,
  signOff,
  slideOn,
  squareCut,
  tug,
} from '../commonSteps.js';
import type { Recipe } from '../recipe.js';

/** BNC, N and SMA crimp parts: a loose centre pin clicks into the body, a ferrule crimps the braid on the neck. */
export const crimpPin: Recipe = {
  id: 'crimp-pin',
  name: 'crimp with captive pin',
  makes: (part) => part.style === 'crimp' && part.train.some(({ id }) => id === 'pin'),
  tools: ({ part }) => [
    'sharp cutter',
    'jacket knife or strip tool',
    'soft stiff brush',
    'pin crimper or fine iron',
    `ratchet crimper, ${part.hexMm} mm hex`,
    'ohm-meter',
  ],
  steps: (input) => [
    partsCheck(input),
    slideOn(input, ['shrink', 'ferrule']),
    squareCut,
    jacket(input),
    dressBraid(input),
    bareCentre(input),
    {
      id: 'strands',
      name: 'Strands',
      title:
        input.cable.centreKind === 'stranded'
          ? 'Twist the strands the way they lie'
          : 'Look at the conductor all round',
      how:
        input.cable.centreKind === 'stranded'
          ? 'Every strand together, none bent back.'
          : 'Solid conductor: straight, round and without a nick.',
      looksRight: [`enters the ${input.gauge.fit.pin.boreMm.toFixed(2)} mm bore of the pin without force`],
      goesWrong: [
        'one strand outside the pin shorts to the body later',
        'the other pin of the bag does not hold this conductor',
      ],
    },
    shortCheck('short1', 'Before the pin goes on.'),
    {
      id: 'pin',
      name: 'Pin',
      title: 'Pin hard against the dielectric, then crimp or solder it',
      how: 'See the conductor through the pin’s hole. Solder: wick it in, none outside.',
      looksRight: ['no gap between pin and dielectric', 'pin straight, conductor seen in the hole'],
      goesWrong: [
        'a gap: the pin stands too far forward and damages the jack',
        'solder outside: the pin will not click in',
      ],
      caution: 'The iron burns; the crimper’s jaws do not let go until closed.',
      timerS: 3,
    },
    shortCheck('short2', 'Pin on, before it goes into the body: past the click there is no going back.'),
    {
      id: 'body',
      name: 'Body',
      title: 'Push into the body until the pin clicks',
      how: 'Neck under the braid, every strand outside. Straight, no twisting once it clicks.',
      looksRight: ['a click you hear and feel', 'pin level with the face of the insulator'],
      goesWrong: ['no click: pin not home, the contact is too deep', 'braid inside the neck: short'],
      irreversible: true,
    },
    {
      id: 'crimp',
      name: 'Crimp',
      title: `Trim the braid to the neck, ferrule up, crimp with the ${input.part.hexMm} mm die`,
      how: 'Ferrule hard against the body. Close the tool until it lets go.',
      looksRight: ['even hex, no braid showing'],
      goesWrong: ['wrong die: it slips off in a tug, or crushes the dielectric'],
      caution: 'A ratchet tool does not let go until it is closed or its lever is pressed: fingers out.',
      irreversible: true,
    },
    tug,
    finalCheck,
    continuity,
    {
      id: 'finish',
      name: 'Finish',
      title: 'Shrink over the ferrule, label on',
      how: 'Shrink last, warm it evenly from the connector outwards.',
      looksRight: ['smooth, grips jacket and ferrule'],
      goesWrong: ['scorched jacket: too hot, too near'],
      caution: 'Hot air burns; keep it off the dielectric.',
    },
    signOff,
  ],
  source: 'common practice, no source; the part’s own sheet wins',
};

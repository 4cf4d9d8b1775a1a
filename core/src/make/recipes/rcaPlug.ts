import { isPushOn } from '../../catalog/index.js';
import { generalCard } from '../generalCard.js';
import { commonPractice, type Recipe, type RecipeInput, type Step } from '../recipe.js';
import { soldering } from '../steps/benches.js';
import { heat } from '../steps/join.js';
import { placed } from '../steps/words.js';

/** Push-on plug for receive antennas: centre into the pin, braid to the tab. */
export const rcaPlug: Recipe = {
  id: 'rca-plug',
  name: 'RCA or TV plug, soldered',
  makes: ({ style, face }) => style === 'solder' && isPushOn(face),
  steps: (input) =>
    generalCard(input, {
      slide: ['cover'],
      firstCheck: 'Before the plug.',
      join: [solder(input)],
      finish: [cover],
    }),
  source: commonPractice,
};

const solder = (input: RecipeInput): Step => ({
  id: 'solder',
  name: 'Solder',
  title: 'Conductor into the hollow pin, braid to the tab; solder both',
  how: 'Pin first. Let it cool, then the tab; close the strain clip over the jacket.',
  byTouch:
    'Conductor into the pin, iron on its side, count; when cold the braid on the tab. Bend the clip over the jacket.',
  looksRight: ['solder drawn into the pin, none outside', 'clip holds the jacket, not the braid'],
  feelsRight: ['pin smooth', 'the clip holds the jacket'],
  goesWrong: ['melted insulator: the pin leans and shorts'],
  places: placed(input, 'body'),
  ...heat,
  tools: [...soldering('fine-iron'), { tool: 'pliers' }],
  irreversible: true,
});

const cover: Step = {
  id: 'cover',
  name: 'Cover',
  title: 'Screw the cover on, label on',
  how: 'It must not turn the cable with it.',
  byTouch: 'Hold plug and cable together in one hand, turn the cover with the other.',
  looksRight: ['cover home'],
  feelsRight: ['cover tight, cable not twisted'],
  goesWrong: ['cover forgotten on the bench: cut off and start again'],
};

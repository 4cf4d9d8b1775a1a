import { formatFigure, formatLength, type UnitSystem } from '../quantity/index.js';
import type { ClosurePlan } from './closures/index.js';
import type { DripLoop } from './dripLoop.js';
import type { SealLayer, SealPlan } from './plan.js';
import type { ProfileStep } from './tape.js';
import type { SealSystem } from './systems/index.js';
import { sealWords } from './systems/words.js';

/** What a step wants to know before the card goes on. */
export type SealAsk = 'proved' | 'torque' | 'dry' | 'temperature' | 'found';

/** One step of sealing a joint, as the hand at it reads or hears it. */
export interface SealStep {
  id: string;
  title: string;
  text: string;
  caution?: string;
  ask?: SealAsk;
  /** Which layer goes on. */
  layer?: number;
}

/** What both cards of a joint have in common: that of layers, and that of what closes it without. */
interface JointWork {
  /** Of the coupling, N·m; nothing where it is locked without a spanner. */
  torqueNm: number | undefined;
  salt: boolean;
  /** A tube cap or a drain hole is near. */
  staysOpen: boolean;
  aloft: boolean;
}

/** What the card is made for. */
export interface SealWork extends JointWork {
  plan: SealPlan;
  system: SealSystem;
  profile: readonly ProfileStep[];
  loop: DripLoop | undefined;
  units: UnitSystem;
}

/** What is said wherever a card is read aloft. */
export const ALOFT_CAUTION =
  'Work aloft: fall arrest on, tools on lanyards, nobody below, no power lines near. Local rules decide who may climb.';

/** Proved, tight, dry, warm enough and clean: before anything closes a joint. */
function firstSteps(
  { torqueNm, salt, staysOpen, aloft }: JointWork,
  { lowestC, joined }: Pick<ClosurePlan, 'lowestC' | 'joined'>,
): SealStep[] {
  return [
    {
      id: 'proved',
      title: 'Is the run proved?',
      text: 'A seal on a joint which is not proved comes off again.',
      ask: 'proved',
      ...(aloft ? { caution: ALOFT_CAUTION } : {}),
    },
    torqueNm === undefined || joined !== undefined
      ? {
          id: 'torque',
          title: 'Joined',
          text: joined ?? 'Turn or push it home until it locks, and pull once.',
        }
      : {
          id: 'torque',
          title: `Torque: ${torqueNm} N·m`,
          text: 'Tighten with the torque spanner, hold the body with a second one, and enter what it read.',
          ask: 'torque',
        },
    {
      id: 'dry',
      title: 'Is it dry?',
      text: 'Touch the joint and both jackets: no water, no frost, no dew.',
      ask: 'dry',
    },
    {
      id: 'temperature',
      title: 'How warm is it?',
      text: `These materials go on from ${lowestC} °C. Keep them in a pocket when it is near that.`,
      ask: 'temperature',
    },
    {
      id: 'clean',
      title: joined === undefined ? 'Clean, and grease the threads' : 'Clean',
      text: `${salt ? 'Rinse salt off with fresh water and dry it. ' : ''}Wipe jackets and joint with alcohol.${joined === undefined ? ' A thin film of silicone grease on the threads only.' : ''}`,
      ...(staysOpen ? { caution: 'The cap of the tube and every drain hole stay free.' } : {}),
    },
  ];
}

const photoStep: SealStep = {
  id: 'photo',
  title: 'Photograph it',
  text: 'With the label in the picture. It is put with this joint at the hand-over.',
};

/**
 * The card of a seal, one thing a step. Order by the handbook of the trade, 6: proved, torque read, dry and warm enough, degreased and
 * greased, drip loop held, layers, a look all round, tie, photo.
 */
export function sealSteps(work: SealWork): SealStep[] {
  const { plan, system, loop } = work;
  return [
    ...firstSteps(work, plan),
    {
      id: 'loop',
      title: 'Hold the drip loop',
      text: `Let the cable hang ${loop ? formatFigure(loop.depth, work.units) : 'a hand'} below the joint, so that water runs to the loop and drips off there.${loop ? ` Its bend takes ${formatFigure(loop.extra, work.units)} more than straight on.` : ''}`,
    },
    ...plan.layers.map((layer, k): SealStep => ({
      id: `layer-${k}`,
      title: layer.name,
      text: layerText(layer, work),
      layer: k,
    })),
    ...sealWords[system.id].after.map((text, k): SealStep => ({
      id: `after-${k}`,
      title: k === 0 ? 'Finish' : 'Then',
      text,
    })),
    {
      id: 'look',
      title: 'Look all round',
      text: 'From every side: no bare metal, no wrinkle, no open lap looking upwards. Run a finger along both ends.',
    },
    photoStep,
  ];
}

/** The card of a joint which no layer closes: the same before, then the steps of its pit, box, splice or potting. */
export const closureSteps = (plan: ClosurePlan, work: JointWork): SealStep[] => [
  ...firstSteps(work, plan),
  ...plan.steps.map((step, k): SealStep => ({ id: `step-${k}`, ...step })),
  photoStep,
];

/** Where a layer begins, how it goes and where it ends, from edges which a hand finds. */
export function layerText(
  { fromM, toM, tape }: SealLayer,
  { profile, units }: Pick<SealWork, 'profile' | 'units'>,
): string {
  const jointM = profile.reduce((sum, { lengthM }) => sum + lengthM, 0);
  const flush = (pastM: number): boolean => pastM < FLUSH_M;
  const below = flush(-fromM)
    ? `at the flange below the ${profile[0].name}`
    : `${small(-fromM, units)} below the lower edge of the ${profile[0].name}${thumbs(-fromM)}`;
  const above = flush(toM - jointM)
    ? `at the flange above the ${profile[profile.length - 1].name}`
    : `${small(toM - jointM, units)} above the upper edge of the ${profile[profile.length - 1].name}${thumbs(toM - jointM)}`;
  if (!tape) return `Slide it over, so that it begins ${below} and ends ${above}.`;
  const { direction, turns, tapeM, stretch, lap, stickyOut } = tape;
  const [from, to] = direction === 'up' ? [below, above] : [above, below];
  return [
    `Cut ${small(tapeM, units, 10)}${tape.tape.liner ? ', its liner a little longer' : ''}.`,
    stickyOut ? 'Sticky side outwards.' : '',
    `Start ${from}.`,
    `${lapWords(lap)}, ${stretch < 1.1 ? 'light tension' : stretchText(tape)}: ${Math.round(turns)} turns ${direction === 'up' ? 'upwards' : 'downwards'}.`,
    `Stop ${to}${tape.tape.kind === 'vinyl' && !stickyOut ? ', the last turn without tension' : ''}.`,
  ]
    .filter(Boolean)
    .join(' ');
}

/** A layer that ends so near the joint ends with it, m. */
const FLUSH_M = 1e-3;

/** Said by what an eye sees: how much of the width is left, since width shrinks by the root of the stretch. */
const stretchText = ({ tape: { kind }, stretch }: NonNullable<SealLayer['tape']>): string =>
  `stretched to ${stretch} times its length, until ${Math.round(100 / Math.sqrt(stretch))} % of its width is left${kind === 'vinyl' ? '' : ' (looser it does not fuse)'}`;

const lapWords = (lap: number): string =>
  lap === 1 / 2 ? 'Half lap' : lap === 2 / 3 ? 'Two-thirds lap' : 'A quarter lap';

const small = (metres: number, system: UnitSystem, stepMm = 1): string =>
  formatLength((Math.ceil((metres * 1000) / stepMm - 1e-6) * stepMm) / 1000, {
    system,
    small: true,
    digits: 0,
  });

/** A thumb is about 25 mm wide: where it is dark or cold, a hand measures with it. From memory. */
function thumbs(metres: number): string {
  const count = Math.round((metres / 0.025) * 2) / 2;
  return count < 1 ? '' : ` (${count === 1 ? 'a thumb' : `${count} thumbs`})`;
}

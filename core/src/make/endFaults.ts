import type { TrainItem } from '../catalog/index.js';
import type { Card } from './card.js';
import type { GaugeStretch } from './stripGauge.js';

export const endFaults = [
  'none',
  'whisker',
  'short braid',
  'melted insulation',
  'wrong pin',
  'forgotten ferrule',
] as const;
export type EndFault = (typeof endFaults)[number];

/** A prepared end as somebody finds it on the bench, sound or not; lengths in mm. */
export interface DrawnEnd {
  /** From the cut backwards. */
  stretches: GaugeStretch[];
  jacketMm: number;
  /** Loose parts on the cable behind the end, in sliding order. */
  onCable: TrainItem[];
  /** The pin on the conductor: its bore, its length, and the gap between it and the dielectric. */
  pin?: { boreMm: number; outerMm: number; lengthMm: number; gapMm: number };
  /** A strand of the braid which lies across the dielectric to the centre. */
  whisker: boolean;
  /** The dielectric swollen and sunken by heat: by how much its diameter varies, mm; 0 when it is sound. */
  swollenMm: number;
  /** What a sighted person would learn, without naming the fault. */
  description: string;
}

/** A fault of an end: when it can occur, how it shows, and which step of the card would have caught it. */
interface FaultKind {
  label: string;
  occurs: (card: Card) => boolean;
  spoil: (end: DrawnEnd, card: Card) => DrawnEnd;
  /** Why it is wrong, and what it does. */
  reason: string;
  /** Step of the recipe at which it is caught. */
  step: (card: Card) => string | undefined;
}

const has = ({ train }: Card, item: string): boolean => train.some(({ id }) => id === item);
const stepNamed = ({ steps }: Card, ...ids: string[]): string | undefined =>
  steps.find(({ id }) => ids.includes(id))?.title;

export const faultKinds: Record<EndFault, FaultKind> = {
  none: {
    label: 'Nothing is wrong',
    occurs: () => true,
    spoil: (end) => end,
    reason: 'Braid even, dielectric clean and square, every part on the cable: go on.',
    step: () => undefined,
  },
  whisker: {
    label: 'A strand of braid reaches the centre',
    occurs: () => true,
    spoil: (end) => ({
      ...end,
      whisker: true,
      description: `${end.description} One thin strand runs from the braid along the dielectric to the centre.`,
    }),
    reason: 'It shorts the end, now or at the first bend; the short check before the body finds it.',
    step: (card) => stepNamed(card, 'strands'),
  },
  'short braid': {
    label: 'The braid is too short',
    occurs: () => true,
    spoil: (end) => ({
      ...end,
      stretches: end.stretches.map((one) =>
        one.layer === 'braid'
          ? { ...one, lengthMm: one.lengthMm * 0.35 }
          : one.layer === 'dielectric'
            ? { ...one, lengthMm: one.lengthMm + braidOf(end) * 0.65 }
            : one,
      ),
      description: end.description.replace(/braid [\d.]+ mm/, `braid ${(braidOf(end) * 0.35).toFixed(1)} mm`),
    }),
    reason:
      'The neck is longer than the braid over it: ferrule or gland holds only part of the shield, and it pulls out.',
    step: (card) => stepNamed(card, 'braid'),
  },
  'melted insulation': {
    label: 'The insulation has melted',
    occurs: () => true,
    spoil: (end) => ({
      ...end,
      swollenMm: 0.35 * (end.stretches.find(({ layer }) => layer === 'dielectric')?.diameterMm ?? 0),
      description: `${end.description} The dielectric bulges in one place and is sunken in another.`,
    }),
    reason:
      'Heated too long: the centre wanders towards the braid, the impedance is wrong there, and it arcs or shorts under power.',
    step: (card) => stepNamed(card, 'pin', 'tip', 'solder', 'holes'),
  },
  'wrong pin': {
    label: 'The wrong pin is on the conductor',
    occurs: (card) => has(card, 'pin'),
    spoil: (end, { cable }) => ({
      ...end,
      pin: end.pin && { ...end.pin, boreMm: cable.centreMm * 1.7, gapMm: 1.6 },
      description: end.description.replace(
        'The pin sits on the conductor without play, hard against the dielectric.',
        'The pin’s bore is much wider than the conductor, and a gap shows between pin and dielectric.',
      ),
    }),
    reason:
      'Two pins come in the bag; this one is for a thicker conductor. It neither holds nor stands where it should, and a pin too far forward ruins the jack.',
    step: (card) => stepNamed(card, 'pin'),
  },
  'forgotten ferrule': {
    label: 'The ferrule is not on the cable',
    occurs: (card) => has(card, 'ferrule'),
    spoil: (end) => ({
      ...end,
      onCable: end.onCable.filter(({ id }) => id !== 'ferrule'),
      description: end.description
        .replace(/ferrule, |, ferrule|ferrule/, '')
        .replace('On the cable: .', 'On the cable: nothing.'),
    }),
    reason: 'Once the body is on it cannot follow: the finished end has to be cut off.',
    step: (card) => stepNamed(card, 'slide'),
  },
};

const braidOf = ({ stretches }: DrawnEnd): number =>
  stretches.find(({ layer }) => layer === 'braid')?.lengthMm ?? 0;

/** The end of this card as it stands before its body goes on, with the fault that is asked for. */
export function drawnEnd(card: Card, fault: EndFault): DrawnEnd {
  const { gauge, train, part, steps } = card;
  const pin = train.find(({ id }) => id === 'pin');
  const slid = new Set(steps.find(({ id }) => id === 'slide')?.places?.map(({ id }) => id));
  const onCable = train.filter(({ id }) => slid.has(id));
  const sound: DrawnEnd = {
    stretches: gauge.stretches,
    jacketMm: gauge.jacketMm,
    onCable,
    ...(pin
      ? {
          pin: {
            boreMm: gauge.fit.pin.boreMm,
            outerMm: Math.max(pin.outerMm, gauge.fit.pin.boreMm + 0.6),
            lengthMm: part.pins[0].depthMm + 3,
            gapMm: 0,
          },
        }
      : {}),
    whisker: false,
    swollenMm: 0,
    description: [
      `From the cut: ${gauge.stretches.map(({ layer, lengthMm }) => `${layer} ${lengthMm.toFixed(1)} mm`).join(', ')}.`,
      ...(pin ? ['The pin sits on the conductor without play, hard against the dielectric.'] : []),
      `The neck of the part is ${part.neckMm.toFixed(1)} mm long.`,
      `On the cable: ${onCable.map(({ name }) => name).join(', ') || 'nothing'}.`,
    ].join(' '),
  };
  return faultKinds[fault].spoil(sound, card);
}

/** Faults this end can have. */
export const faultsOf = (card: Card): EndFault[] =>
  endFaults.filter((fault) => faultKinds[fault].occurs(card));

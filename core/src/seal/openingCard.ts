import { ALOFT_CAUTION, type SealStep } from './sealCard.js';
import type { SealSystemId } from './systems/index.js';
import { sealWords } from './systems/words.js';

/** What a joint is opened from. */
export interface OpeningWork {
  /** Nothing where it is potted, or lies in a pit, box or splice. */
  system: SealSystemId | undefined;
  aloft: boolean;
  transmits: boolean;
  /** Direct current for a preamplifier, relay or tuner goes along the cable. */
  fed: boolean;
}

/** What opens that which no layer closed. Common practice, no source. */
const closedOtherwise = [
  'Open the pit or box at its lid. A filled splice or a potted split does not open again: it is cut out, and a new one made.',
  'Keep water and earth out while it is open: a cloth under it, cables held up.',
];

/**
 * The card of opening a sealed joint: transmitter off and kept off, the seal taken off away from the cable, the threads and the braid looked
 * at, and what was found written down. Handbook of the trade, 6; common practice, no source.
 */
export function openingSteps({ system, aloft, transmits, fed }: OpeningWork): SealStep[] {
  const cautions = [
    ...(aloft ? [ALOFT_CAUTION] : []),
    ...(transmits
      ? ['A transmitter which somebody keys burns the hand at an open joint. Switch it off and keep it off.']
      : []),
  ];
  return [
    {
      id: 'off',
      title: transmits ? 'Transmitter off, and kept off' : 'Receiver off',
      text: [
        transmits
          ? 'Switch it off at its supply, tag it, and disconnect the cable at the radio. Tell who might key it.'
          : 'Disconnect the cable at the receiver.',
        fed ? 'Take the direct current off the cable too: an open joint short-circuits its feed.' : '',
      ]
        .filter(Boolean)
        .join(' '),
      ...(cautions.length > 0 ? { caution: cautions.join(' ') } : {}),
    },
    {
      id: 'dry',
      title: 'Is it dry outside?',
      text: 'An open joint drinks rain and dew. Wait for dry air, or hold a cover over it.',
    },
    ...(system ? sealWords[system].opening : closedOtherwise).map((text, k): SealStep => ({
      id: `open-${k}`,
      title: k === 0 ? 'Take the seal off' : 'Then',
      text,
    })),
    {
      id: 'look',
      title: 'Look inside',
      text: 'Water, green or white on the threads, a dark braid, a soft dielectric: any of these, and the end is made again.',
      ask: 'found',
    },
    {
      id: 'photo',
      title: 'Photograph what you found',
      text: 'Before it is cleaned.',
    },
  ];
}

import { faceInFull, faceName, isReverse, seriesById, type Face } from '../catalog/index.js';
import { reflectionDb } from '../line/reflection.js';

export type Verdict = 'mates' | 'mates with a caution' | 'no contact' | 'damages' | 'does not fit';

/** What happens when two faces meet, and why. */
export interface Mating {
  verdict: Verdict;
  /** Does signal pass? */
  passes: boolean;
  /** The physical reason: which dimension meets which. */
  reason: string;
  /** What to do; empty when nothing. */
  todo: string;
  source: string;
}

const mating = (verdict: Verdict, reason: string, todo: string, source: string): Mating => ({
  verdict,
  passes: verdict === 'mates' || verdict === 'mates with a caution',
  reason,
  todo,
  source,
});

type Rule = (a: Face, b: Face) => Mating | undefined;

const pinMm = (face: Face): number =>
  seriesById[face.series].variants.find((v) => v.impedanceOhm === face.impedanceOhm)?.pinMm ??
  seriesById[face.series].variants[0].pinMm;

const standards = (a: Face, b: Face): string =>
  [...new Set([seriesById[a.series].standard, seriesById[b.series].standard])].join('; ');

const differentCoupling: Rule = (a, b) => {
  if (a.series === b.series) return undefined;
  const [sa, sb] = [seriesById[a.series], seriesById[b.series]];
  const sharesThread = sa.thread === sb.thread;
  const reason = sharesThread
    ? `Both threads are ${sa.thread} and start to turn, but the ${pinMm(a)} mm and ${pinMm(b)} mm contacts do not belong together; forcing it spreads the smaller socket.`
    : `${sa.name} couples by ${sa.thread} (${sa.threadMm} mm), ${sb.name} by ${sb.thread} (${sb.threadMm} mm).`;
  return mating(
    'does not fit',
    reason,
    `Use an adapter from ${faceName(a)} to ${faceName(b)}, or re-end the cable.`,
    standards(a, b),
  );
};

const sameBody: Rule = (a, b) => {
  if (a.body !== b.body) return undefined;
  const reason =
    a.body === 'plug'
      ? 'Two plugs: both have a coupling nut and no thread to turn it on.'
      : 'Two jacks: neither has a coupling nut.';
  const between = a.body === 'plug' ? 'jack to jack' : 'plug to plug';
  return mating(
    'does not fit',
    reason,
    `Put a ${seriesById[a.series].name} ${between} adapter between them.`,
    standards(a, b),
  );
};

const sameContact: Rule = (a, b) => {
  if (a.contact !== b.contact) return undefined;
  const reverse = isReverse(a) ? a : b;
  const what = `${faceInFull(a)} meets ${faceInFull(b)}: the ${faceName(reverse)} is of reverse polarity`;
  return a.contact === 'pin'
    ? mating(
        'damages',
        `${what}, so two ${pinMm(a)} mm pins meet tip to tip and bend.`,
        'Do not couple them; use a reverse-polarity part or adapter.',
        standards(a, b),
      )
    : mating(
        'no contact',
        `${what}. The threads agree, but socket meets socket and nothing bridges them.`,
        'Use a reverse-polarity part or adapter.',
        standards(a, b),
      );
};

const mixedImpedance: Rule = (a, b) => {
  if (a.impedanceOhm === b.impedanceOhm || a.impedanceOhm === null || b.impedanceOhm === null)
    return undefined;
  if (a.series === 'n') {
    const pin = a.contact === 'pin' ? a : b;
    const socket = pin === a ? b : a;
    return pin.impedanceOhm === 75
      ? mating(
          'no contact',
          `The 75 ohm pin is ${pinMm(pin)} mm; the 50 ohm socket is made for ${pinMm(socket)} mm. It is loose and makes no reliable contact.`,
          'Use N connectors of one impedance.',
          standards(a, b),
        )
      : mating(
          'damages',
          `The 50 ohm pin is ${pinMm(pin)} mm; the 75 ohm socket is made for ${pinMm(socket)} mm. It is spread and ruined.`,
          'Use N connectors of one impedance.',
          standards(a, b),
        );
  }
  const echo = reflectionDb(a.impedanceOhm, b.impedanceOhm).toFixed(1);
  return mating(
    'mates with a caution',
    `Bodies and contacts mate, but 50 meets 75 ohm: return loss ${echo} dB where the line itself changes. Old 75 ohm parts with a thin pin can be intermittent.`,
    'Accept it for receiving, or keep to one impedance.',
    standards(a, b),
  );
};

const rules: Rule[] = [differentCoupling, sameBody, sameContact, mixedImpedance];

/**
 * What happens when two faces are coupled. Symmetric: the verdict of (a, b) is that of (b, a).
 *
 * @returns the verdict with its physical reason and what to do
 * @example mate(faceOf('rp-sma-plug'), faceOf('sma-jack')).verdict // 'no contact'
 */
export function mate(a: Face, b: Face): Mating {
  for (const rule of rules) {
    const found = rule(a, b);
    if (found) return found;
  }
  const { coupling, torqueSaid, standard } = seriesById[a.series];
  const how = coupling === 'thread' ? `Tighten to ${torqueSaid}.` : `Turn a ${torqueSaid}.`;
  return mating(
    'mates',
    `${faceInFull(a)} into ${faceInFull(b)}: same series, opposite bodies, pin into socket.`,
    how,
    standard,
  );
}

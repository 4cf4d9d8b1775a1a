import { faceInFull, faceName, isReverse, seriesOf, variantOf, type Face } from '../catalog/index.js';
import { aloneDb, jointElements, reflectionDb } from '../line/index.js';
import { figure, type Figure } from '../quantity/index.js';

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

const pinMm = (face: Face): number => variantOf(face).pinMm;

const standards = (a: Face, b: Face): string =>
  [...new Set([seriesOf(a).standard, seriesOf(b).standard])].join('; ');

/** Major diameters closer than this start to turn on each other before they bind, mm. */
const NEARLY_MM = 0.2;

const differentCoupling: Rule = (a, b) => {
  if (a.series === b.series || seriesOf(a).intermates?.includes(b.series)) return undefined;
  const [sa, sb] = [seriesOf(a), seriesOf(b)];
  return mating(
    'does not fit',
    couplingClash(a, b),
    sa.coupling === 'soldered' || sb.coupling === 'soldered'
      ? `Put a connector on the tails, or take an adapter to ${faceName(sa.coupling === 'soldered' ? b : a)}.`
      : `Use an adapter from ${faceName(a)} to ${faceName(b)}, or re-end the cable.`,
    standards(a, b),
  );
};

/** Which dimension of one coupling meets which of the other. */
function couplingClash(a: Face, b: Face): string {
  const [sa, sb] = [seriesOf(a), seriesOf(b)];
  const threads = sa.coupling === 'thread' && sb.coupling === 'thread';
  const differs = Math.abs(sa.threadMm - sb.threadMm);
  if (threads && sa.thread === sb.thread)
    return `Both threads are ${sa.thread} and start to turn, but the ${pinMm(a)} mm and ${pinMm(b)} mm contacts do not belong together; forcing it spreads the smaller socket.`;
  if (threads && differs <= NEARLY_MM)
    return `${sa.thread} and ${sb.thread} are both about ${sa.threadMm} mm across and start to turn, then bind: the pitches differ, and so do the ${pinMm(a)} mm and ${pinMm(b)} mm contacts.`;
  const threadText = ({ name, coupling, thread, threadMm }: typeof sa): string =>
    coupling === 'soldered'
      ? `${name} has no coupling, only ends to solder`
      : `${name} couples by ${thread} (${threadMm} mm)`;
  return `${threadText(sa)}; ${threadText(sb)}.`;
}

const sameBody: Rule = (a, b) => {
  if (a.body !== b.body) return undefined;
  const { name, coupling, bodyNames } = seriesOf(a);
  const two = `Two ${bodyNames?.[a.body] ?? `${a.body}s`}`;
  const without: Record<typeof coupling, string> = {
    thread: 'both have a coupling nut and no thread to turn it on',
    bayonet: 'both have a slotted ring and no lugs to catch',
    'push-on': 'both have a skirt and nothing to push it over',
    'snap-on': 'both have a skirt and nothing to snap it over',
    soldered: 'wires alone make no joint that lasts',
  };
  const reason =
    a.body === 'plug' ? `${two}: ${without[coupling]}.` : `${two}: neither has what takes hold of the other.`;
  const between = a.body === 'plug' ? 'jack to jack' : 'plug to plug';
  return mating(
    'does not fit',
    reason,
    `Put ${/^[NFRSM]/.test(name) ? 'an' : 'a'} ${name} ${between} adapter between them.`,
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

/** Smallest difference of pin diameters at which a pin is loose in the other's socket, or spreads it, mm. Common practice. */
const PIN_TELLS_MM = 0.2;

const pinAgainstSocket: Rule = (a, b) => {
  const [pin, socket] = a.contact === 'pin' ? [a, b] : [b, a];
  const extra = pinMm(pin) - pinMm(socket);
  if (Math.abs(extra) < PIN_TELLS_MM) return undefined;
  const contactText = (face: Face): string =>
    face.thinPin ? 'thin-pin' : face.impedanceOhm === null ? '' : `${face.impedanceOhm} ohm`;
  const meets = `The ${contactText(pin)} pin is ${pinMm(pin)} mm; the ${contactText(socket)} socket is made for ${pinMm(socket)} mm.`;
  const todo = `Use ${seriesOf(a).name} connectors of one impedance and make.`;
  return extra < 0
    ? mating('no contact', `${meets} It is loose and makes no reliable contact.`, todo, standards(a, b))
    : mating('damages', `${meets} It is spread and ruined.`, todo, standards(a, b));
};

const mixedImpedance: Rule = (a, b) => {
  if (a.impedanceOhm === b.impedanceOhm || a.impedanceOhm === null || b.impedanceOhm === null)
    return undefined;
  const echo = reflectionDb(a.impedanceOhm, b.impedanceOhm).toFixed(1);
  return mating(
    'mates with a caution',
    `Bodies and contacts mate, but 50 meets 75 ohm: return loss ${echo} dB where the line itself changes. Old 75 ohm parts with a thin pin can be intermittent.`,
    'Accept it for receiving, or keep to one impedance.',
    standards(a, b),
  );
};

/** One thread and contact for three series: they couple, each only as good as the lesser, and the finer socket at risk. */
const finerAndCoarser: Rule = (a, b) => {
  if (a.series === b.series) return undefined;
  const [finer, coarser] = variantOf(a).maxFrequencyHz > variantOf(b).maxFrequencyHz ? [a, b] : [b, a];
  return mating(
    'mates with a caution',
    `${seriesOf(a).name} and ${seriesOf(b).name} share the ${seriesOf(a).thread} thread and the contact’s diameter. The joint is good to the ${variantOf(coarser).maxFrequencyHz / 1e9} GHz of ${seriesOf(coarser).name} only, and a pin out of tolerance ruins the finer ${seriesOf(finer).name} socket.`,
    `Look at the ${seriesOf(coarser).name} pin with a lens and gauge it first; turn the nut only, never the body.`,
    standards(a, b),
  );
};

const rules: Rule[] = [
  differentCoupling,
  sameBody,
  sameContact,
  pinAgainstSocket,
  mixedImpedance,
  finerAndCoarser,
];

/**
 * What happens when two faces are coupled. Symmetric: the verdict of (a, b) is that of (b, a).
 *
 * @returns the verdict with its physical reason and what to do
 * @example mate(faceOf('rp-sma-plug'), faceOf('sma-jack')).verdict // 'no contact'
 */
export function mate(a: Face, b: Face): Mating {
  const ofA = known.get(a) ?? new WeakMap<Face, Mating>();
  known.set(a, ofA);
  const found = ofA.get(b) ?? judge(a, b);
  ofA.set(b, found);
  return found;
}

/** Verdicts never change, and the faces of the catalogue are few. */
const known = new WeakMap<Face, WeakMap<Face, Mating>>();

function judge(a: Face, b: Face): Mating {
  for (const rule of rules) {
    const found = rule(a, b);
    if (found) return found;
  }
  const { coupling, torque, standard } = seriesOf(a);
  const how: Record<typeof coupling, string> = {
    thread: `Tighten: ${torque}.`,
    bayonet: `Turn a ${torque}.`,
    'snap-on': 'Push until it snaps; pull on the body, never on the cable.',
    'push-on': 'Push home; nothing holds it but friction.',
    soldered: 'Solder, or screw the lugs down; then seal the split.',
  };
  return mating(
    'mates',
    coupling === 'soldered'
      ? `${faceName(a)} on ${faceName(b)}: centre to one side, braid to the other.`
      : `${faceInFull(a)} into ${faceInFull(b)}: same series, opposite bodies, pin into socket.`,
    how[coupling],
    standard,
  );
}

/** The electrical effect of a joint as a figure. */
export interface MatingEffect {
  what: string;
  figure: Figure;
}

/** Gap between two sockets whose threads are home, m. From memory of the interface drawings; an estimate. */
const SOCKET_GAP_M = 1.5e-3;
const VACUUM_PERMITTIVITY = 8.854e-12;

/**
 * What the joint does to a wave.
 *
 * Where signal passes: the echo of this joint alone between matched lines of the left face's impedance. Where it does not:
 * what leaks over the gap between the contacts, taken as a parallel-plate capacitance in series (an estimate).
 * @param frequencyHz where it is asked, Hz
 */
export function matingEffect(a: Face, b: Face, frequencyHz: number): MatingEffect {
  if (mate(a, b).passes) {
    const { echoDb } = aloneDb(jointElements(a, b), frequencyHz, a.impedanceOhm ?? b.impedanceOhm ?? 50);
    return {
      what: 'Echo of this joint alone',
      figure: figure(echoDb, 'dB', 'both halves as short lines of their own impedance'),
    };
  }
  const radiusM = (Math.min(pinMm(a), pinMm(b)) * 0.9) / 1000;
  const farad = (VACUUM_PERMITTIVITY * Math.PI * radiusM ** 2) / SOCKET_GAP_M;
  const reactance = 1 / (2 * Math.PI * frequencyHz * farad);
  const downDb = 20 * Math.log10(Math.hypot(100, reactance) / 100);
  return {
    what: 'Leaks through, below what arrives',
    figure: figure(
      downDb,
      'dB',
      'gap between the contacts as a plate capacitance in a 50 ohm line, an estimate',
      6,
    ),
  };
}

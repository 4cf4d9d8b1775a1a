import { braidMm, styleById, type Cable, type Part, type PinBore, type Style } from '../catalog/index.js';

export type FitVerdict = 'fits' | 'tight' | 'loose' | 'wrong pin' | 'wrong die' | 'wrong shield';

/** One dimension of a part over the cable's, with the play between them in mm. */
export interface Gap {
  what: string;
  partMm: number;
  cableMm: number;
  gapMm: number;
  verdict: FitVerdict;
}

export interface CableFit {
  verdict: FitVerdict;
  gaps: Gap[];
  /** The pin of the bag which suits this conductor. */
  pin: PinBore;
  /** One sentence naming the worst gap. */
  reason: string;
}

/** Smallest and largest play in mm. */
type Play = readonly [least: number, most: number];

/** Play which a hand still calls a fit. Common practice, no source. */
const PIN: Play = [0.02, 0.35];
/** A tip or cup filled with solder forgives a thin conductor. */
const FILLED: Play = [0.02, 2.5];
/** The cup of a panel jack, the eye of a lug: solder fills what is left round a conductor that is about as thick. */
const CUP: Play = [0.02, 0.5];
const DIELECTRIC: Play = [-0.05, 0.6];
const NECK: Play = [-0.15, 1.2];
const OVER_JACKET: Play = [0, 0.9];
/** The thread bites into the folded braid. */
const BITES: Play = [-0.9, 0.1];
/** A ferrule is closed by a hex a little larger than its bore. */
const DIE: Play = [-0.3, 1];

/** What of a style lies over what of the cable. */
interface StylePlay {
  pin: Play;
  bodyBore?: { over: 'dielectric' | 'braid'; play: Play };
  neck?: Play;
  grip?: { over: 'jacket' | 'folded braid'; play: Play };
}

const ferruled: StylePlay = {
  pin: PIN,
  bodyBore: { over: 'dielectric', play: DIELECTRIC },
  neck: NECK,
  grip: { over: 'jacket', play: OVER_JACKET },
};

const plays: Record<Style, StylePlay> = {
  crimp: ferruled,
  gland: ferruled,
  corrugated: {
    pin: PIN,
    bodyBore: { over: 'braid', play: [0, 0.5] },
    grip: { over: 'jacket', play: OVER_JACKET },
  },
  'side-entry': { ...ferruled, pin: FILLED },
  'right angle': { ...ferruled, pin: FILLED },
  solder: {
    pin: FILLED,
    bodyBore: { over: 'braid', play: [0, 1.2] },
    grip: { over: 'jacket', play: [0, 1.8] },
  },
  'screw-on': {
    pin: FILLED,
    bodyBore: { over: 'dielectric', play: [-0.05, 1.2] },
    grip: { over: 'folded braid', play: BITES },
  },
  reducer: { pin: FILLED, grip: { over: 'jacket', play: OVER_JACKET } },
  washers: { pin: FILLED, grip: { over: 'jacket', play: OVER_JACKET } },
  // The conductor itself is the pin: thick enough to hold in the jack, thin enough to enter it.
  compression: {
    pin: [-0.3, 0.6],
    bodyBore: { over: 'dielectric', play: DIELECTRIC },
    grip: { over: 'jacket', play: [0.6, 2.2] },
  },
  piercing: { pin: [0.02, 0.6], grip: { over: 'jacket', play: OVER_JACKET } },
  bulkhead: { pin: CUP },
  // Shrink tube closes to a third: beyond that it no longer grips.
  pigtail: { pin: CUP, grip: { over: 'jacket', play: [0.5, 2.6] } },
};

function gap(what: string, partMm: number, cableMm: number, [least, most]: Play): Gap {
  const gapMm = Math.round((partMm - cableMm) * 100) / 100;
  const verdict = gapMm < least ? 'tight' : gapMm > most ? 'loose' : 'fits';
  return { what, partMm, cableMm, gapMm, verdict };
}

/** The pin whose bore is the smallest that still takes the conductor, of the right kind when the bag has both. */
function choosePin(part: Part, cable: Cable, [least]: Play): PinBore {
  const takes = part.pins.filter((pin) => pin.boreMm - cable.centreMm >= least);
  const kind = takes.filter((pin) => pin.made === 'either' || pin.made === cable.centreKind);
  return [...kind, ...takes].sort((x, y) => x.boreMm - y.boreMm)[0] ?? part.pins[0];
}

/**
 * Does this connector part fit this cable? From the dimensions of both, gap by gap.
 *
 * @returns the worst verdict, every gap in mm, and which of the pins in the bag to take
 * @example fitCable(part('uhf-plug-crimp-5mm'), cable('rg213')).verdict // 'tight'
 */
export function fitCable(part: Part, cable: Cable): CableFit {
  const ofPart = known.get(part) ?? new WeakMap<Cable, CableFit>();
  known.set(part, ofPart);
  const fit = ofPart.get(cable) ?? fitOf(part, cable);
  ofPart.set(cable, fit);
  return fit;
}

/** Parts and cables of a catalogue do not change: each pair is looked at once. */
const known = new WeakMap<Part, WeakMap<Cable, CableFit>>();

function fitOf(part: Part, cable: Cable): CableFit {
  const play = plays[part.style];
  const pin = choosePin(part, cable, play.pin);
  const gaps = gapsOf(part, cable, pin, play);
  const bad = gaps.filter((g) => g.verdict !== 'fits');
  const worst = bad.sort((x, y) => Math.abs(y.gapMm) - Math.abs(x.gapMm)).at(0);
  if (!worst) {
    const reason =
      gaps.length > 0 ? 'Every bore has its working clearance.' : 'Nothing has to pass over this cable.';
    return { verdict: 'fits', gaps, pin, reason };
  }
  return { verdict: worst.verdict, gaps, pin, reason: reasonOf(worst, cable) };
}

const gapsOf = (part: Part, cable: Cable, pin: PinBore, play: StylePlay): Gap[] => [
  ...shieldGap(part, cable),
  ...pinGap(part, cable, pin, play),
  ...boreGap(part, cable, play),
  ...neckGap(part, cable, play),
  ...gripGap(part, cable, play),
  ...dieGap(part),
];

/** A braid goes under or over something; a corrugated tube has none, and is clamped on its crest. */
function shieldGap({ style }: Part, { shieldKind, jacketMm }: Cable): Gap[] {
  if ((style === 'corrugated') === (shieldKind === 'tube')) return [];
  return [{ what: 'shield', partMm: 0, cableMm: jacketMm, gapMm: -jacketMm, verdict: 'wrong shield' }];
}

function pinGap({ style }: Part, cable: Cable, pin: PinBore, play: StylePlay): Gap[] {
  const centre = gap('pin bore over the centre conductor', pin.boreMm, cable.centreMm, play.pin);
  const unsuited = style === 'piercing' && cable.centreKind === 'solid';
  return [{ ...centre, verdict: centre.verdict === 'fits' && !unsuited ? 'fits' : 'wrong pin' }];
}

function boreGap({ bodyBoreMm }: Part, cable: Cable, { bodyBore }: StylePlay): Gap[] {
  if (!bodyBore || bodyBoreMm === null) return [];
  const under = bodyBore.over === 'dielectric' ? cable.dielectricMm : braidMm(cable);
  return [gap(`body bore over the ${bodyBore.over}`, bodyBoreMm, under, bodyBore.play)];
}

const neckGap = ({ neckOuterMm }: Part, { dielectricMm }: Cable, { neck }: StylePlay): Gap[] =>
  neck && neckOuterMm !== null ? [gap('braid over the neck', neckOuterMm, dielectricMm, neck)] : [];

function gripGap({ gripBoreMm, style }: Part, cable: Cable, { grip }: StylePlay): Gap[] {
  if (!grip || gripBoreMm === null) return [];
  const folded = cable.jacketMm + braidMm(cable) - cable.dielectricMm;
  const under = grip.over === 'jacket' ? Math.max(cable.jacketMm, braidMm(cable)) : folded;
  return [gap(`${styleById[style].grip} over the ${grip.over}`, gripBoreMm, round(under), grip.play)];
}

function dieGap({ hexMm, gripBoreMm }: Part): Gap[] {
  if (hexMm === null || gripBoreMm === null) return [];
  const die = gap('hex die over the ferrule’s bore', hexMm, gripBoreMm, DIE);
  return [{ ...die, verdict: die.verdict === 'fits' ? 'fits' : 'wrong die' }];
}

const round = (mm: number): number => Math.round(mm * 100) / 100;

function reasonOf({ what, partMm, cableMm, gapMm, verdict }: Gap, cable: Cable): string {
  if (verdict === 'wrong shield')
    return cable.shieldKind === 'tube'
      ? `${cable.name} has a corrugated tube and no braid: this part holds a braid.`
      : `${cable.name} has a braid: this part is clamped on a corrugated tube.`;
  if (verdict === 'wrong pin' && gapMm >= 0.02 && gapMm <= 0.6 && cable.centreKind === 'solid')
    return `the spike needs a stranded centre to enter; ${cable.name} has a solid ${cable.centreMm} mm one.`;
  return `${what}: ${partMm} mm on ${cableMm} mm, ${Math.abs(gapMm)} mm ${gapMm < 0 ? 'too small' : 'of play'}.`;
}

/** What a shop reaches for first; a gland seals best where weather reaches. Common practice, no source. */
const preference: Record<Style, number> = {
  compression: 0,
  crimp: 1,
  gland: 2,
  corrugated: 2,
  solder: 3,
  'screw-on': 4,
  reducer: 5,
  washers: 6,
  'side-entry': 7,
  'right angle': 8,
  bulkhead: 9,
  piercing: 10,
  pigtail: 11,
};

/** Parts which fit a cable, the usual choice first. */
export function partsFor(cable: Cable, parts: Iterable<Part>, exposed = false): Part[] {
  const rank = ({ style }: Part): number => (exposed && style === 'gland' ? 0.5 : preference[style]);
  return [...parts]
    .filter((part) => fitCable(part, cable).verdict === 'fits')
    .sort((x, y) => rank(x) - rank(y) || x.minutes - y.minutes);
}

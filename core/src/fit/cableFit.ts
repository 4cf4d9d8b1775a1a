import { braidMm, type Cable, type Part, type PinBore } from '../catalog/index.js';

export type FitVerdict = 'fits' | 'tight' | 'loose' | 'wrong pin';

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

/** Smallest and largest play in mm which a hand still calls a fit. Common practice, no source. */
const play = {
  pin: [0.02, 0.35],
  dielectric: [-0.05, 0.6],
  braid: [-0.15, 1.2],
  jacket: [0, 0.9],
} as const;

function gap(what: string, partMm: number, cableMm: number, [least, most]: readonly [number, number]): Gap {
  const gapMm = Math.round((partMm - cableMm) * 100) / 100;
  const verdict = gapMm < least ? 'tight' : gapMm > most ? 'loose' : 'fits';
  return { what, partMm, cableMm, gapMm, verdict };
}

/** The pin whose bore is the smallest that still takes the conductor, of the right kind when the bag has both. */
function choosePin(part: Part, cable: Cable): PinBore {
  const takes = part.pins.filter((pin) => pin.boreMm - cable.centreMm >= play.pin[0]);
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
  const pin = choosePin(part, cable);
  const centre = gap(
    'pin bore over the centre conductor',
    pin.boreMm,
    cable.centreMm,
    part.style === 'compression' ? [-1, 1] : play.pin,
  );
  const gaps: Gap[] = [
    { ...centre, verdict: centre.verdict === 'fits' ? 'fits' : 'wrong pin' },
    gap('body bore over the dielectric', part.bodyBoreMm, cable.dielectricMm, play.dielectric),
    gap('braid over the neck', part.neckOuterMm, cable.dielectricMm, play.braid),
    gap(
      `${part.style === 'crimp' ? 'ferrule' : 'gland'} over the jacket`,
      part.ferruleBoreMm,
      Math.max(cable.jacketMm, braidMm(cable)),
      play.jacket,
    ),
  ];
  const bad = gaps.filter((g) => g.verdict !== 'fits');
  const worst = bad.sort((x, y) => Math.abs(y.gapMm) - Math.abs(x.gapMm))[0];
  if (!worst) return { verdict: 'fits', gaps, pin, reason: 'Every bore has its working clearance.' };
  const reason = `${worst.what}: ${worst.partMm} mm on ${worst.cableMm} mm, ${Math.abs(worst.gapMm)} mm ${worst.gapMm < 0 ? 'too small' : 'of play'}.`;
  return { verdict: worst.verdict, gaps, pin, reason };
}

import {
  faceCode,
  faceOf,
  isPlainAdapter,
  seriesOf,
  variantOf,
  type Adapter,
  type Face,
} from '../catalog/index.js';
import { adapterElements, aloneDb, jointElements, turnedRound, type Element } from '../line/index.js';
import { formatDecibels, formatFrequency } from '../quantity/index.js';
import { mate } from './mate.js';

/** An adapter turned the way it is used. */
export interface TurnedAdapter {
  adapter: Adapter;
  reversed: boolean;
}

/** What a chain of adapters must bear. */
export interface ChainNeeds {
  topHz: number;
  /** *Forward* power, W; 0 for receive only. */
  powerW: number;
  /** SWR on the line, for the peak voltage. */
  swr: number;
  /** Does weather reach the joint? */
  exposed: boolean;
  /** How many of each adapter are on the shelf, by id. */
  stock: ReadonlyMap<string, number>;
  /** Longest chain tried. */
  most: number;
}

export const easyNeeds: ChainNeeds = {
  topHz: 100e6,
  powerW: 0,
  swr: 1,
  exposed: false,
  stock: new Map(),
  most: 2,
};

/** One way to join two faces by adapters, with what speaks for and against it. */
export interface Chain {
  adapters: TurnedAdapter[];
  /** Does it pass signal at this band, power and place? */
  passes: boolean;
  /** Joints more than without it. */
  joints: number;
  lossDb: number;
  echoDb: number;
  /** Rigid length which hangs on a port. */
  leverMm: number;
  massG: number;
  /** How many of its adapters lie on the shelf. */
  onShelf: number;
  against: string[];
  /** The ranking in a sentence. */
  why: string;
}

/** The face which looks back, and the one which looks on. */
export const facesOfTurned = ({ adapter, reversed }: TurnedAdapter): [Face, Face] => {
  const [a, b] = adapter.faces.map(faceOf);
  return reversed ? [b, a] : [a, b];
};

const joins = (a: string, b: string): boolean => mate(faceOf(a), faceOf(b)).passes;

/** SMA ends at 18 GHz (IEC 61169-15); what goes further is made for measuring. */
const PRECISE_ABOVE_HZ = 18e9;
const isPrecise = (code: string): boolean => variantOf(faceOf(code)).maxFrequencyHz > PRECISE_ABOVE_HZ;

interface Turned extends TurnedAdapter {
  enter: string;
  leave: string;
}

const indices = new WeakMap<ReadonlyMap<string, Adapter>, Map<string, Turned[]>>();

/** Adapters by the face they can be put on; one index for each catalogue, filled face by face. */
function adaptersOn(face: string, shelf: ReadonlyMap<string, Adapter>): Turned[] {
  const index = indices.get(shelf) ?? new Map<string, Turned[]>();
  indices.set(shelf, index);
  const known = index.get(face);
  if (known) return known;
  const found = [...shelf.values()].filter(isPlainAdapter).flatMap((adapter): Turned[] => {
    const [a, b] = adapter.faces;
    const ways: Turned[] = [{ adapter, reversed: false, enter: a, leave: b }];
    if (a !== b) ways.push({ adapter, reversed: true, enter: b, leave: a });
    return ways.filter(({ enter }) => joins(face, enter));
  });
  index.set(face, found);
  return found;
}

/**
 * Chains of adapters which join two faces, every joint passing signal, best first.
 *
 * Ranked by: passing at this band, power and place; fewest joints; loss and reflection at the top frequency; what is on
 * the shelf; the lever on the port.
 * @param most how many are returned
 * @returns none when nothing of the catalogue joins them within `needs.most` adapters
 */
export function adapterChains(
  from: Face,
  to: Face,
  shelf: ReadonlyMap<string, Adapter>,
  needs: ChainNeeds = easyNeeds,
  most = 12,
): Chain[] {
  return turnedChains(faceCode(from), faceCode(to), shelf, needs.most)
    .map((adapters) => judged(from, to, adapters, needs))
    .sort(byWorth)
    .slice(0, most);
}

/**
 * Chains by their faces alone, shortest first: all of the shortest length that joins, or of every length up to `most`.
 */
export function turnedChains(
  from: string,
  to: string,
  shelf: ReadonlyMap<string, Adapter>,
  most: number,
  lengths: 'shortest' | 'all' = 'shortest',
): TurnedAdapter[][] {
  const found: TurnedAdapter[][] = [];
  // An adapter of the laboratory’s series would do where SMA does, and is put in only where one of the two ends is such.
  const mayBePrecise = isPrecise(from) || isPrecise(to);
  const fits = ({ adapter }: Turned): boolean => mayBePrecise || !adapter.faces.some(isPrecise);
  let open: { chain: Turned[]; leave: string }[] = [{ chain: [], leave: from }];
  for (let length = 1; length <= most && (lengths === 'all' || found.length === 0); length++) {
    const last = length === most;
    open = open.flatMap(({ chain, leave }) =>
      adaptersOn(leave, shelf)
        .filter(fits)
        .filter((next) => joins(next.leave, to) || (!last && !visited(chain, next, from)))
        .map((next) => ({ chain: [...chain, next], leave: next.leave })),
    );
    found.push(...open.filter(({ leave }) => joins(leave, to)).map(({ chain }) => chain));
  }
  return found;
}

/** A chain that comes back to a face it had before goes in circles. */
const visited = (chain: Turned[], next: Turned, from: string): boolean =>
  next.leave === from || chain.some(({ leave }) => leave === next.leave);

/** All elements between two faces joined by adapters, the outer joints included. */
export function chainElements(from: Face, to: Face, adapters: readonly TurnedAdapter[]): Element[] {
  let left = from;
  const elements = adapters.flatMap((turned) => {
    const [enter, leave] = facesOfTurned(turned);
    const own = adapterElements(turned.adapter);
    const all = [...jointElements(left, enter), ...(turned.reversed ? turnedRound(own) : own)];
    left = leave;
    return all;
  });
  return [...elements, ...jointElements(left, to)];
}

/** A chain with its figures and what speaks against it. */
export function judged(from: Face, to: Face, adapters: TurnedAdapter[], needs: ChainNeeds): Chain {
  const ohm = from.impedanceOhm ?? to.impedanceOhm ?? 50;
  const { lossDb, echoDb } = aloneDb(chainElements(from, to, adapters), needs.topHz, ohm);
  const stock = new Map(needs.stock);
  const onShelf = adapters.filter(({ adapter }) => {
    const left = stock.get(adapter.id) ?? 0;
    stock.set(adapter.id, left - 1);
    return left > 0;
  }).length;
  const stops = stopsOf(from, to, adapters, needs);
  const doubts = doubtsOf(from, to, adapters, needs);
  const leverMm = adapters.reduce((sum, { adapter }) => sum + adapter.lengthMm, 0);
  return {
    adapters,
    passes: stops.length === 0,
    joints: adapters.length,
    lossDb,
    echoDb,
    leverMm,
    massG: adapters.reduce((sum, { adapter }) => sum + adapter.massG, 0),
    onShelf,
    against: [...stops, ...doubts],
    why: `${adapters.length === 1 ? 'One more joint' : `${adapters.length} more joints`}; costs ${formatDecibels(lossDb)} and echoes ${formatDecibels(echoDb)} down at ${formatFrequency(needs.topHz)}; ${onShelf === adapters.length ? 'on the shelf' : onShelf > 0 ? `${onShelf} of ${adapters.length} on the shelf` : 'to buy'}; ${leverMm} mm long.`,
  };
}

const allFaces = (from: Face, to: Face, adapters: TurnedAdapter[]): Face[] => [
  from,
  ...adapters.flatMap(facesOfTurned),
  to,
];

/** What forbids a chain at this band and power. */
function stopsOf(
  from: Face,
  to: Face,
  adapters: TurnedAdapter[],
  { topHz, powerW, swr }: ChainNeeds,
): string[] {
  const peakV = Math.sqrt(2 * powerW * 50 * swr);
  const [entry, ...others] = [...new Set(allFaces(from, to, adapters).map((face) => seriesOf(face)))];
  const weak = [entry, ...others].find((series) => powerW > 0 && series.peakVoltage < peakV);
  const receive = [entry, ...others].find((series) => powerW > 0 && series.receiveOnly);
  const pad = adapters.some(({ adapter }) => adapter.form === 'matching pad');
  const slow = adapters.find(({ adapter }) => adapter.maxFrequencyHz < topHz);
  return [
    ...(weak ? [`${weak.name} is rated ${weak.peakVoltage} V, ${Math.round(peakV)} V peak stands here`] : []),
    ...(receive ? [`${receive.name} is no place for transmit power`] : []),
    ...(pad && powerW > 0 ? ['a matching pad turns 5.7 dB of the power into heat'] : []),
    ...(slow && slow.adapter.maxFrequencyHz * 2 < topHz
      ? [`${slow.adapter.name} is good to ${formatFrequency(slow.adapter.maxFrequencyHz)}`]
      : []),
  ];
}

/** What makes a chain worse without forbidding it. */
function doubtsOf(from: Face, to: Face, adapters: TurnedAdapter[], { topHz, exposed }: ChainNeeds): string[] {
  const list = allFaces(from, to, adapters);
  const slow = adapters.find(
    ({ adapter }) => adapter.maxFrequencyHz < topHz && adapter.maxFrequencyHz * 2 >= topHz,
  );
  const mixed = list.some(
    (face, k) => k % 2 === 0 && mate(face, list[k + 1]).verdict === 'mates with a caution',
  );
  const open = exposed ? list.find((face) => seriesOf(face).weather === 'none') : undefined;
  return [
    ...(slow ? [`above the ${formatFrequency(slow.adapter.maxFrequencyHz)} of ${slow.adapter.name}`] : []),
    ...(mixed ? ['50 meets 75 ohm in it'] : []),
    ...(open ? [`${seriesOf(open).name} has no seal and stands in the weather`] : []),
    ...(list.some((face) => variantOf(face).thinPin) ? ['an old thin pin may be intermittent'] : []),
  ];
}

/** Steps of loss and reflection below which two chains are as good as each other, dB. */
const TELLS_DB = 0.02;

/** Power not delivered, dB: what heat and reflection cost together. */
const cost = ({ lossDb }: Chain): number => Math.round(lossDb / TELLS_DB);

function byWorth(x: Chain, y: Chain): number {
  return (
    Number(y.passes) - Number(x.passes) ||
    x.joints - y.joints ||
    x.against.length - y.against.length ||
    cost(x) - cost(y) ||
    y.onShelf - x.onShelf ||
    x.leverMm - y.leverMm
  );
}

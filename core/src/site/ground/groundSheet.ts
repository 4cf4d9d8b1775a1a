import type { Catalog } from '../../catalog/index.js';
import { figure, type Figure } from '../../quantity/index.js';
import { arrestersOf } from '../../run/index.js';
import { areaMm2, arresterNode, type Bond, type GroundNode, type GroundReading } from '../document/ground.js';
import type { Site } from '../document/site.js';
import type { SurveyedRun, WaySheet } from '../waySheet.js';
import { codeProfile, type BondRole, type CodeProfile } from '../../ground/index.js';
import { smallestMm2 } from './metals.js';
import { bondOhm, bondUh, SHARP_BEND_M } from './conductor.js';
import { islandsOf, pathsToEarth } from './connections.js';
import { earthOf, ownOhm, type EarthSheet } from './earth.js';
import { kitPlaces, type KitPlace } from './kits.js';
import { groundParts, isElectrode, isToBeTied, roleOf, type GroundPart } from './nodes.js';
import { firstStroke, strokeVolts, subsequentStroke } from './stroke.js';

/** A part of the ground with what is known of it. */
export interface NodeSheet extends GroundPart {
  isElectrode: boolean;
  /** Is it tied to the one system, and over conductors which are all logged as joined? */
  tied: boolean;
  joined: boolean;
  /** Its conductors to the nearest electrode, in order. */
  path: string[];
  /** Volts of the first stroke’s share along that way; nothing where a length of it is not known. */
  volts: Figure | undefined;
  /** Its conductors along that way whose length nobody knows. */
  unmeasured: string[];
  /** Of an electrode: what it alone has to earth. */
  ohm: Figure | undefined;
}

/** A conductor with its figures. */
export interface BondSheet {
  bond: Bond;
  from: GroundPart;
  to: GroundPart;
  role: BondRole;
  /** Nothing where nobody says it and no points do. */
  length: Figure | undefined;
  /** Nothing where its length is not known; so the figures below. */
  inductance: Figure | undefined;
  resistance: Figure | undefined;
  /** Along it, of the share of each stroke. */
  first: Figure | undefined;
  subsequent: Figure | undefined;
  /** What a metre of it, and one sharp bend, cost of the first stroke. */
  perMetre: Figure;
  perBend: Figure;
  areaMm2: number;
  smallestMm2: number;
  /** The latest of its readings. */
  reading: GroundReading | undefined;
}

export interface GroundSheet {
  /** Is anything of it drawn? */
  drawn: boolean;
  profile: CodeProfile;
  nodes: NodeSheet[];
  bonds: BondSheet[];
  /** Conductors whose arrester is gone with its run. */
  loose: Bond[];
  /** Sets of parts which are tied together but not to the one system. */
  islands: NodeSheet[][];
  earth: EarthSheet;
  kits: KitPlace[];
  /** At the arrester which stands highest in a first stroke; nothing where one of them is not known. */
  highest: Figure | undefined;
  /** Arresters whose volts nobody can say: tied to nothing, or over a conductor without a length. */
  voltsUnknown: NodeSheet[];
  /** Tubes of its arresters by nominal voltage: what is kept spare. */
  tubes: { tubeV: number; count: number }[];
  /** Done is only what is tied over logged joints and was measured. */
  state: 'not known' | 'in work' | 'done';
  next: string;
}

/** A way over a conductor of unknown length is the last resort, microhenry. */
const UNKNOWN_UH = 1e6;

const worth = (
  id: string,
  readings: readonly GroundReading[],
  kind: GroundReading['kind'],
): GroundReading | undefined =>
  readings
    .filter((one) => one.kind === kind && one.about === id)
    .reduce<GroundReading | undefined>((last, one) => (last && last.on > one.on ? last : one), undefined);

/** What a site’s ground is: who is tied to whom, with which volts, and what is missing. Pure. */
export function groundSheet(
  site: Site,
  ways: readonly WaySheet[],
  runs: readonly SurveyedRun[],
  catalog: Catalog,
  own: readonly CodeProfile[],
): GroundSheet {
  const { ground } = site;
  const profile = codeProfile(ground.profile, own);
  const parts = groundParts(site, runs, catalog);
  const known = new Map(parts.map((part) => [part.id, part]));
  const isWhole = ({ from, to }: Bond): boolean => known.has(from) && known.has(to);
  const mounted = new Map(
    runs.flatMap(({ id, design, grounded }) =>
      arrestersOf(design).map((piece) => [arresterNode(id, piece.id), grounded] as const),
    ),
  );
  const whole = ground.bonds.filter(isWhole).map((bond): Bond => {
    const made =
      bond.made ?? (bond.joint === 'mounted' ? (mounted.get(bond.from) ?? mounted.get(bond.to)) : undefined);
    return made ? { ...bond, made } : bond;
  });
  const bonds = whole.map((bond) => bondSheet(site, profile, bond, known));
  const sets = islandsOf(
    parts.map(({ id }) => id),
    whole,
  );
  const main = mainOf(sets, known);
  const uh = new Map(bonds.map((one) => [one.bond.id, one.inductance?.value]));
  const paths = pathsToEarth(
    main.filter((id) => isElectrode(known.get(id) as GroundPart)),
    whole,
    // A way of which every length is known comes before one that only may be shorter.
    ({ id }) => (uh.get(id) ?? UNKNOWN_UH) + 0.01,
  );
  const onMain = new Set(main);
  const joined = new Set(
    islandsOf(
      parts.map(({ id }) => id),
      whole.filter(({ made }) => made),
    ).find((set) => set.some((id) => onMain.has(id) && isElectrode(known.get(id) as GroundPart))) ?? [],
  );
  const byId = new Map(bonds.map((one) => [one.bond.id, one]));
  const nodes = parts.map((part): NodeSheet => {
    const path = paths.get(part.id);
    const steps = (path ?? []).flatMap(({ id }) => byId.get(id) ?? []);
    const unmeasured = steps.filter(({ first }) => !first).map(({ bond: { id } }) => id);
    return {
      ...part,
      isElectrode: isElectrode(part),
      tied: path !== undefined,
      joined: joined.has(part.id),
      path: (path ?? []).map(({ id }) => id),
      unmeasured,
      volts:
        steps.length > 0 && unmeasured.length === 0
          ? figure(
              steps.reduce((sum, { first }) => sum + (first?.value ?? 0), 0),
              'V',
              'sum along its conductors to the nearest electrode, first stroke',
            )
          : undefined,
      ohm: part.node && ownOhm(part.node, ground),
    };
  });
  const sheetOf = new Map(nodes.map((node) => [node.id, node]));
  const islands = sets
    .filter((set) => !set.some((id) => sheetOf.get(id)?.tied))
    .map((set) => set.map((id) => sheetOf.get(id)).filter((node): node is NodeSheet => node !== undefined))
    .filter((set) => set.some(isToBeTied));
  const sheet = {
    drawn: ground.nodes.length > 0,
    profile,
    nodes,
    bonds,
    loose: ground.bonds.filter((bond) => !isWhole(bond)),
    islands,
    earth: earthOf(
      nodes.filter(({ tied }) => tied).flatMap(({ node }): GroundNode[] => (node ? [node] : [])),
      ground,
      bonds.filter(({ from }) => sheetOf.get(from.id)?.tied),
    ),
    kits: kitPlaces(site, ways),
    ...highestOf(nodes),
    tubes: tubesOf(parts),
  };
  return { ...sheet, ...stateOf(sheet) };
}

/** The one system: where the building’s electrode is, else where most electrodes are, else most parts. */
function mainOf(sets: readonly string[][], known: ReadonlyMap<string, GroundPart>): string[] {
  const weight = (set: readonly string[]): number =>
    set.reduce((sum, id) => {
      const part = known.get(id);
      if (!part || !isElectrode(part)) return sum + 0.001;
      return sum + (part.kind === 'building electrode' ? 1000 : 1);
    }, 0);
  return sets.reduce<string[]>((best, set) => (weight(set) > weight(best) ? set : best), []);
}

function bondSheet(
  { ground }: Site,
  profile: CodeProfile,
  bond: Bond,
  known: ReadonlyMap<string, GroundPart>,
): BondSheet {
  const [from, to] = [bond.from, bond.to].map((id) => known.get(id) as GroundPart);
  const role = roleOf(from, to);
  const length = lengthOf(bond, from, to);
  const metres = length?.value;
  // What one more metre or bend costs is said of the first metre where nobody knows how many there are.
  const reckonedM = metres ?? 0;
  const [first, subsequent] = [firstStroke(ground.level), subsequentStroke(ground.level)];
  const volts = (ofUh: number, ofOhm: number, stroke = first): number =>
    strokeVolts(ofUh, ofOhm, ground.share, stroke);
  const share = `${Math.round(ground.share * 100)} % of a stroke of level ${ground.level}, IEC 62305-1`;
  const [uh, ohm] = [bondUh(bond, reckonedM), bondOhm(bond, reckonedM)];
  const ofKnown = (one: Figure): Figure | undefined => (metres === undefined ? undefined : one);
  return {
    bond,
    from,
    to,
    role,
    length,
    inductance: ofKnown(
      figure(
        uh,
        'uH',
        'areaMm2' in bond.section ? 'round wire, Rosa; bends counted' : 'flat strap, Terman; bends counted',
      ),
    ),
    resistance: ofKnown(figure(ohm, 'ohm', 'resistivity times length over section')),
    first: ofKnown(figure(volts(uh, ohm), 'V', `first, ${share}`)),
    subsequent: ofKnown(figure(volts(uh, ohm, subsequent), 'V', `subsequent, ${share}`)),
    // What one more metre would add.
    perMetre: figure(volts(bondUh(bond, reckonedM + 1) - uh, bondOhm(bond, 1)), 'V', `first, ${share}`),
    perBend: figure(
      volts(
        bondUh({ ...bond, sharpBends: bond.sharpBends + 1 }, Math.max(reckonedM, SHARP_BEND_M)) -
          bondUh(bond, Math.max(reckonedM, SHARP_BEND_M)),
        0,
      ),
      'V',
      `first, ${share}; a bend counts as ${SHARP_BEND_M} m`,
    ),
    areaMm2: areaMm2(bond.section) * bond.parallel,
    smallestMm2: bond.joint === 'mounted' ? 0 : smallestMm2(profile, role, bond.metal),
    reading: worth(bond.id, ground.readings, 'bond'),
  };
}

/** Length of a conductor: as measured, else straight between its places. */
function lengthOf({ lengthM, joint }: Bond, from: GroundPart, to: GroundPart): Figure | undefined {
  if (lengthM !== undefined) return figure(lengthM, 'm', 'as measured');
  if (joint === 'mounted') return figure(0, 'm', 'screwed on');
  const [a, b] = [from.place, to.place];
  const metres = a && b ? Math.hypot(b.xM - a.xM, b.yM - a.yM, b.zM - a.zM) : 0;
  return metres > 0 ? figure(metres, 'm', 'straight between its points', 0.2 * metres) : undefined;
}

function highestOf(nodes: readonly NodeSheet[]): Pick<GroundSheet, 'highest' | 'voltsUnknown'> {
  const arresters = nodes.filter(({ kind }) => kind === 'arrester');
  const voltsUnknown = arresters.filter(({ volts }) => !volts);
  // The one that is not known may be the highest.
  if (voltsUnknown.length > 0) return { highest: undefined, voltsUnknown };
  const highest = arresters
    .flatMap(({ volts }) => volts ?? [])
    .reduce<Figure | undefined>((most, one) => (most && most.value >= one.value ? most : one), undefined);
  return { highest, voltsUnknown };
}

function tubesOf(parts: readonly GroundPart[]): GroundSheet['tubes'] {
  const counts = new Map<number, number>();
  for (const { arrester } of parts)
    if (arrester?.tubeV !== undefined) counts.set(arrester.tubeV, (counts.get(arrester.tubeV) ?? 0) + 1);
  return [...counts].map(([tubeV, count]) => ({ tubeV, count })).sort((x, y) => x.tubeV - y.tubeV);
}

function stateOf({
  drawn,
  islands,
  nodes,
  bonds,
  earth,
}: Pick<GroundSheet, 'drawn' | 'islands' | 'nodes' | 'bonds' | 'earth'>): Pick<
  GroundSheet,
  'state' | 'next'
> {
  if (!drawn) return { state: 'not known', next: 'Draw the bars and electrodes of the site' };
  const [island] = islands;
  if (island)
    return {
      state: 'in work',
      next: `Tie ${(island.find(({ isElectrode: own }) => own) ?? island[0]).name} to the system`,
    };
  const open = bonds.find(({ bond }) => !bond.made);
  if (open) return { state: 'in work', next: `Join ${open.from.name} to ${open.to.name}, and log it` };
  if (nodes.some((node) => isToBeTied(node) && !node.joined))
    return { state: 'in work', next: 'Log the joints which are made' };
  if (!earth.reading) return { state: 'in work', next: 'Measure the resistance to earth' };
  const untested = bonds.find(({ bond, reading }) => bond.joint !== 'mounted' && !reading);
  if (untested)
    return { state: 'in work', next: `Measure from ${untested.from.name} to ${untested.to.name}` };
  return { state: 'done', next: '' };
}

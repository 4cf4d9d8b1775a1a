import { figure, type Figure } from '../../quantity/index.js';
import {
  areaMm2,
  type Bond,
  type ElectrodeKind,
  type Ground,
  type GroundNode,
  type GroundReading,
} from '../document/ground.js';
import { buriedWireOhm, electrodeOhm, rodsFactor } from './electrodes.js';
import { isElectrode } from './nodes.js';

/** What a system of electrodes has to earth. */
export interface EarthSheet {
  /** Measured where it was, else computed; nothing where neither can be. */
  resistance: Figure | undefined;
  /** The latest reading of the whole system. */
  reading: GroundReading | undefined;
  rods: number;
  /** Electrodes of the system whose resistance nobody knows: not computed, not measured. It is lower with them. */
  unknown: GroundNode[];
}

/** How far off a computed resistance may be: soil is not known better. Common practice, no source. */
const SOIL_SPREAD = 0.5;

const latest = (readings: readonly GroundReading[], ids: readonly string[]): GroundReading | undefined =>
  readings
    .filter(({ kind, about }) => kind === 'earth' && ids.includes(about))
    .reduce<GroundReading | undefined>((last, one) => (last && last.on > one.on ? last : one), undefined);

/** What an electrode alone has to earth: as measured on it, else computed from its soil. */
export function ownOhm(node: GroundNode, ground: Ground): Figure | undefined {
  if (!isElectrode(node)) return undefined;
  const reading = latest(ground.readings, [node.id]);
  if (reading) return figure(reading.ohm, 'ohm', `measured, ${reading.method}, ${reading.on}`);
  const computed =
    node.electrode &&
    electrodeOhm(node.kind as ElectrodeKind, node.electrode, ground.soilOhmM * ground.season);
  return computed === undefined
    ? undefined
    : figure(
        computed,
        'ohm',
        node.kind === 'rod' ? 'IEEE Std 142, ρ/(2πL)·(ln(8L/d) − 1)' : 'BS 7430, from memory',
        computed * SOIL_SPREAD,
      );
}

/** What a conductor that lies bare in the soil has to earth, ohm; nothing where it does not, or is of unknown length. */
function bareOhm(bond: Bond, lengthM: number | undefined, ground: Ground): number | undefined {
  if (bond.bareDepthM === undefined || !lengthM) return undefined;
  const diameterM = 2 * Math.sqrt(areaMm2(bond.section) / Math.PI) * 1e-3;
  return buriedWireOhm(ground.soilOhmM * ground.season, lengthM, diameterM, Math.max(0.05, bond.bareDepthM));
}

/**
 * What all of one system has to earth. A reading at a bar or mast is one of the whole; rods share the soil by the table of
 * IEEE Std 142, what else there is lies beside them. Conductors that lie bare in the soil are electrodes too: BS 7430.
 */
export function earthOf(
  nodes: readonly GroundNode[],
  ground: Ground,
  bonds: readonly { bond: Bond; length: Figure | undefined }[] = [],
): EarthSheet {
  const electrodes = nodes.filter(isElectrode);
  const rods = electrodes.filter(({ kind }) => kind === 'rod');
  const reading = latest(
    ground.readings,
    nodes.filter((node) => !isElectrode(node)).map(({ id }) => id),
  );
  const unknown = electrodes.filter((node) => !ownOhm(node, ground));
  const base = { reading, rods: rods.length, unknown };
  if (reading)
    return { ...base, resistance: figure(reading.ohm, 'ohm', `measured, ${reading.method}, ${reading.on}`) };
  const ohms = (of: readonly GroundNode[]): number[] =>
    of.flatMap((node) => ownOhm(node, ground)?.value ?? []);
  const rodOhms = ohms(rods);
  const mean = rodOhms.reduce((sum, ohm) => sum + ohm, 0) / rodOhms.length;
  const beside = [
    ...(rodOhms.length > 0 ? [(mean * rodsFactor(rodOhms.length)) / rodOhms.length] : []),
    ...ohms(electrodes.filter(({ kind }) => kind !== 'rod')),
    ...bonds.flatMap(({ bond, length }) => bareOhm(bond, length?.value, ground) ?? []),
  ];
  if (beside.length === 0) return { ...base, resistance: undefined };
  const all = 1 / beside.reduce((sum, ohm) => sum + 1 / ohm, 0);
  return {
    ...base,
    resistance: figure(
      all,
      'ohm',
      'from soil and electrodes; rods one length apart, IEEE Std 142',
      all * SOIL_SPREAD,
    ),
  };
}

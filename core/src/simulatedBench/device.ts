import { entry } from '../catalog/index.js';
import { stripGauge } from '../make/index.js';
import {
  cableLine,
  scattering,
  SPEED_OF_LIGHT,
  type Complex,
  type Complexes,
  type PlacedElement,
  type Scattering,
} from '../line/index.js';
import { assemblyOf, closedBy, placedElements, withFaults, type LineFault } from '../run/index.js';
import type { ReadBench } from './bench.js';
import { connectorLine } from './connectorLine.js';
import { hiddenFault, type HiddenFault } from './hiddenFault.js';
import { builtRun } from './truth.js';

/** What the instruments of the simulated bench have before them. */
export interface Device {
  elements: readonly PlacedElement[];
  fault: HiddenFault;
  /** Reflection of what is on its far end. */
  closed: (frequencyHz: Float64Array) => Complexes;
  /** From pin to shell at its near end, direct current, ohm; infinite when nothing joins them. */
  dcOhm: number;
}

/** Insulation of a dry cable, ohm and metre: longer cables leak more. Common practice, no source. */
const DRY_OHM_M = 5e11;
/** Insulation which water leaves, ohm. Common practice, no source. */
const WET_OHM = 3e5;
/** A shorted stub for direct current, ohm. */
const LEAD_OHM = 0.01;

/** The device as it really is, with what hands and weather do to it. */
export function deviceOn(bench: ReadBench): Device {
  const { design, catalog } = builtRun(bench.design, bench.catalog);
  const sound =
    bench.cableM === undefined
      ? placedElements(design, catalog, bench.pieceId)
      : trimmed(bench, bench.cableM);
  const fault = hiddenFault(sound, bench.seed);
  const faults = fault.line(bench);
  return {
    elements: withFaults(sound, faults),
    fault,
    closed: (frequencyHz) => each(closedBy(bench.far, bench.design, frequencyHz), frequencyHz.length),
    dcOhm: directCurrentOhm(bench, sound, faults),
  };

  /** With one connector on: the near one and the bare cable. */
  function trimmed({ pieceId }: ReadBench, cableM: number): PlacedElement[] {
    const piece = assemblyOf(design, pieceId);
    const cable = entry(catalog.cables, piece.cable);
    const part = entry(catalog.parts, piece.a.part);
    // The bare end of the conductor lies in the connector; the rest from cut to cut is cable.
    const [first] = stripGauge(part, cable).stretches;
    const bareM = first.layer === 'centre' ? first.lengthMm / 1000 : 0;
    return [
      { element: connectorLine(part), fromM: 0, toM: 0 },
      { element: cableLine(cable, Math.max(0.001, cableM - bareM)), fromM: 0, toM: cableM },
    ];
  }
}

const each = (closed: Complex | Complexes, count: number): Complexes =>
  typeof closed.re === 'number'
    ? {
        re: new Float64Array(count).fill(closed.re),
        im: new Float64Array(count).fill((closed as Complex).im),
      }
    : (closed as Complexes);

/** One-way delay of the device, s: where an echo of its end is looked for. */
export const delayOf = ({ elements }: Device): number =>
  elements.reduce(
    (sum, { element }) =>
      element.kind === 'line' ? sum + element.lengthM / (element.velocityFactor * SPEED_OF_LIGHT) : sum,
    0,
  );

/** Scattering of the device between its two ends. */
export const deviceScattering = ({ elements }: Device, frequencyHz: Float64Array, ohm = 50): Scattering =>
  scattering(
    elements.map(({ element }) => element),
    frequencyHz,
    ohm,
  );

/** What an ohm-meter from pin to shell of the near end finds: the copper there and back, what joins the far end, and what leaks. */
function directCurrentOhm(
  { design, catalog, pieceId, far, cableM }: ReadBench,
  sound: readonly PlacedElement[],
  faults: readonly LineFault[],
): number {
  const assemblies = design.pieces.flatMap((piece) =>
    piece.kind === 'assembly' && (pieceId === '' || piece.id === pieceId) ? [piece] : [],
  );
  const copper = assemblies.reduce((sum, piece) => {
    const { innerOhmPerKm, outerOhmPerKm } = entry(catalog.cables, piece.cable);
    return sum + ((innerOhmPerKm + outerOhmPerKm) * (cableM ?? piece.lengthM)) / 1000;
  }, 0);
  const lengthM = sound.at(-1)?.toM ?? 0;
  const series = faults.reduce((sum, one) => (one.kind === 'bad contact' ? sum + one.ohm : sum), 0);
  const joined =
    far === 'antenna' && design.antenna.dcShort
      ? 0
      : { open: Infinity, short: 0, load: 50, antenna: Infinity }[far];
  const across = faults.flatMap((one) =>
    one.kind === 'short' ? [one.ohm] : one.kind === 'wet' ? [WET_OHM] : [],
  );
  // A quarter-wave arrester and the arms of a pad join pin and shell by design.
  for (const { element } of sound)
    if (element.kind === 'shunt stub') across.push(LEAD_OHM);
    else if (element.kind === 'shunt resistance') across.push(element.ohm);
  const leaks = [DRY_OHM_M / Math.max(lengthM, 0.1), ...across, copper + series + joined];
  return 1 / leaks.reduce((sum, ohm) => sum + 1 / ohm, 0);
}

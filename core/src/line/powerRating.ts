import { braidMm, type Cable, type Series } from '../catalog/index.js';
import { attenuationDbPer100M, SPEED_OF_LIGHT } from './attenuation.js';

/** How far published ratings of one type, and this balance, lie from each other, as a share either way. From memory. */
export const AVERAGE_POWER_SPREAD = 0.3;

/**
 * A jacket of FEP stands 200 °C, what lies beside it and its connectors do not: no more of it is used. PTFE cable then carries two to three times
 * what polyethylene of its size does (handbook of the trade, from memory).
 */
const HOTTEST_USED_C = 140;
/** What a centre conductor may reach in its dielectric, °C. From memory. */
const DIELECTRIC_C: readonly [name: RegExp, celsius: number][] = [
  [/PTFE|FEP/i, HOTTEST_USED_C],
  [/foam/i, 90],
  [/./, 85],
];
/** Heat that passes a metre of it per kelvin, W/(m·K). Tables of heat transfer texts, from memory; foam is mostly gas. */
const DIELECTRIC_CONDUCTS: readonly [name: RegExp, wPerMK: number][] = [
  [/PTFE/i, 0.25],
  [/air/i, 0.06],
  [/foam/i, 0.12],
  [/./, 0.33],
];
const JACKET_CONDUCTS: readonly [name: RegExp, wPerMK: number][] = [
  [/PVC/i, 0.17],
  [/FEP/i, 0.2],
  [/./, 0.33],
];
/** Copper’s loss per kelvin, as a share: half of 0.39 %, since the skin effect takes the root. */
const LOSS_PER_K = 0.002;
/** Free convection of a lying cylinder, W/(m²K) at 1 K on 1 m: 1.32·(ΔT/d)^¼. Simplified equations for air, texts on heat transfer (McAdams). */
const CONVECTION = 1.32;
/** A dark jacket radiates so much, W/(m²K), near the temperature of a room (Stefan–Boltzmann, emissivity 0.9). */
const RADIATION = 6;
/** Thermal over electrical conductivity of copper, W·Ω/K (Wiedemann–Franz; 398 W/(m·K) and 58 MS/m of standard tables). */
const HEAT_PER_CONDUCTANCE = 398 / 58e6;

const oneOf = (table: readonly [RegExp, number][], text: string): number =>
  table.find(([name]) => name.test(text))?.[1] ?? NaN;

/** Where the heat of a watt arises, and the resistances in its way out, K·m/W. */
interface HeatPath {
  /** Loss per metre and watt carried: of the centre, the dielectric and the shield. */
  centre: number;
  inDielectric: number;
  shield: number;
  dielectricKMPerW: number;
  jacketKMPerW: number;
}

function heatPath(cable: Cable, frequencyHz: number): HeatPath {
  const share = (db: number): number => 1 - 10 ** (-db / 1000);
  const { centreMm, dielectricMm, jacketMm, k2 } = cable;
  const all = attenuationDbPer100M(cable, frequencyHz);
  const dielectricDb = Math.min(all, (k2 * frequencyHz) / 1e6);
  const conductors = share(all) - share(dielectricDb);
  // The same current flows on both: the loss goes by the circumference.
  const ofCentre = dielectricMm / (dielectricMm + centreMm);
  const overMm = braidMm(cable);
  const through = (fromMm: number, toMm: number, wPerMK: number): number =>
    Math.log(Math.max(1, toMm / fromMm)) / (2 * Math.PI * wPerMK);
  return {
    centre: conductors * ofCentre,
    inDielectric: share(dielectricDb),
    shield: conductors * (1 - ofCentre),
    dielectricKMPerW: through(centreMm, dielectricMm, oneOf(DIELECTRIC_CONDUCTS, cable.dielectric)),
    jacketKMPerW: through(overMm, jacketMm, oneOf(JACKET_CONDUCTS, cable.jacket)),
  };
}

/** How much warmer than the air a jacket is that sheds so much, K: its surface by convection and radiation. */
function surfaceK(wPerM: number, jacketMm: number): number {
  const m = jacketMm / 1000;
  let kelvin = 10;
  // h grows slowly with its own answer: a few rounds settle it to a thousandth.
  for (let round = 0; round < 12; round++)
    kelvin = wPerM / (Math.PI * m * (CONVECTION * (kelvin / m) ** 0.25 + RADIATION));
  return kelvin;
}

/** Kelvin over the air of the shield and of the centre of a cable which carries so much. */
function rises(path: HeatPath, jacketMm: number, watts: number): { shieldK: number; centreK: number } {
  let [shieldK, centreK] = [0, 0];
  // Warm copper loses more, and is warmer for it.
  for (let round = 0; round < 6; round++) {
    const centre = watts * path.centre * (1 + LOSS_PER_K * centreK);
    const shield = watts * path.shield * (1 + LOSS_PER_K * shieldK);
    const inDielectric = watts * path.inDielectric;
    const all = centre + shield + inDielectric;
    shieldK = surfaceK(all, jacketMm) + all * path.jacketKMPerW;
    // Heat of the dielectric arises on the way: half of it passes as much as that of the centre.
    centreK = shieldK + (centre + inDielectric / 2) * path.dielectricKMPerW;
  }
  return { shieldK, centreK };
}

/**
 * How far heat spreads along the conductors before it is shed, m: √(k·A / g) of a fin, g being what a metre sheds per kelvin.
 * Source: fin equation, texts on heat transfer; the section follows from the DC resistances.
 */
function heatSpreadM({ innerOhmPerKm, outerOhmPerKm, jacketMm }: Cable): number {
  const conductance = 1000 / Math.max(innerOhmPerKm, 0.1) + 1000 / Math.max(outerOhmPerKm, 0.1);
  const aWatt = 10;
  return Math.sqrt((HEAT_PER_CONDUCTANCE * conductance * surfaceK(aWatt, jacketMm)) / aWatt);
}

/**
 * By how much a standing wave heats the hottest place of a cable more than a matched line of the same power:
 * (S² + 1)/(2S) + F1·(S² − 1)/(2S).
 *
 * F1 is 1 where the maxima lie far apart (giving S) and falls to 0 where many half waves lie in what heat spreads over:
 * 1/(1 + (2β·ℓ)²), the answer of a fin to heat which varies as cos 2βx. Source: handbook formula of cable makers, from memory.
 */
export function standingWaveHeat(cable: Cable, frequencyHz: number, swr: number): number {
  const twiceBeta = (4 * Math.PI * frequencyHz) / (cable.velocityFactor * SPEED_OF_LIGHT);
  const f1 = 1 / (1 + (twiceBeta * heatSpreadM(cable)) ** 2);
  return (swr * swr + 1 + f1 * (swr * swr - 1)) / (2 * swr);
}

/**
 * Average power a cable bears at a frequency and ambient, W, with a standing wave on it; good within `AVERAGE_POWER_SPREAD`.
 *
 * Heat balance in series: centre, dielectric, shield, jacket, surface; the limit is the temperature which dielectric and jacket stand.
 * Source: texts on heat transfer; it meets handbook tables of six types at 30, 150 and 450 MHz within its spread (from memory, see the test).
 */
export function averagePowerW(cable: Cable, frequencyHz: number, ambientC: number, swr: number): number {
  const jacketK = Math.min(cable.maxJacketC, HOTTEST_USED_C) - ambientC;
  const dielectricK = oneOf(DIELECTRIC_C, cable.dielectric) - ambientC;
  if (jacketK <= 0 || dielectricK <= 0) return 0;
  const path = heatPath(cable, frequencyHz);
  const holds = (watts: number): boolean => {
    const { shieldK, centreK } = rises(path, cable.jacketMm, watts);
    return shieldK <= jacketK && centreK <= dielectricK;
  };
  let [least, most] = [0, 1];
  while (holds(most)) [least, most] = [most, most * 4];
  // To a thousandth.
  while (most - least > 1e-3 * most) {
    const middle = (least + most) / 2;
    if (holds(middle)) least = middle;
    else most = middle;
  }
  return least / standingWaveHeat(cable, frequencyHz, swr);
}

/** A connector’s rating is for this ambient; its insulators go to so much. From memory. */
const RATED_AT_C = 40;
const INSULATOR_C = 90;

/** Average power a connector bears, W: falls as 1/√f and with ambient; its short pin stands at a maximum of current, so it bears 1/SWR of it. */
export function connectorAverageW(
  { averageAt100MhzW }: Series,
  frequencyHz: number,
  ambientC: number,
  swr: number,
): number {
  const cooler = Math.min(1, Math.max(0, (INSULATOR_C - ambientC) / (INSULATOR_C - RATED_AT_C)));
  return (averageAt100MhzW * Math.sqrt(100e6 / frequencyHz) * cooler) / swr;
}

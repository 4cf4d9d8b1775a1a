import type { Cable, Series } from '../catalog/index.js';
import { attenuationDbPer100M, SPEED_OF_LIGHT } from './attenuation.js';

/** Heat a metre of cable sheds, W per K of headroom and mm of jacket diameter. Fitted to handbook tables, see `averagePowerW`. */
const SHED_W_PER_K_MM = 0.028;
/**
 * A jacket of FEP stands 200 °C, what lies beside it and its connectors do not: no more of it is used. PTFE cable then carries two to three times
 * what polyethylene of its size does (handbook of the trade, from memory).
 */
const HOTTEST_USED_C = 120;
/** Thermal over electrical conductivity of copper, W·Ω/K (Wiedemann–Franz; 398 W/(m·K) and 58 MS/m of standard tables). */
const HEAT_PER_CONDUCTANCE = 398 / 58e6;

/**
 * How far heat spreads along the conductors before it is shed, m: √(k·A / g) of a fin, g being what a metre sheds per kelvin.
 * Source: fin equation, texts on heat transfer; the section follows from the DC resistances.
 */
function heatSpreadM({ innerOhmPerKm, outerOhmPerKm, jacketMm }: Cable): number {
  const conductance = 1000 / Math.max(innerOhmPerKm, 0.1) + 1000 / Math.max(outerOhmPerKm, 0.1);
  return Math.sqrt((HEAT_PER_CONDUCTANCE * conductance) / (SHED_W_PER_K_MM * jacketMm));
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
 * Average power a cable bears at a frequency and ambient, W, with a standing wave on it.
 *
 * The heat a metre of cable sheds is taken as 0.028 W per K of headroom and mm of jacket diameter: it puts RG-213/U at
 * 40 °C and 30 MHz near 1.2 kW and RG-58C/U near 260 W, within 30 % of handbook tables (from memory). Heat per metre is P·(1 − 10^(−a/10)).
 */
export function averagePowerW(cable: Cable, frequencyHz: number, ambientC: number, swr: number): number {
  const headroomK = Math.max(0, Math.min(cable.maxJacketC, HOTTEST_USED_C) - ambientC);
  const shedWPerM = SHED_W_PER_K_MM * headroomK * cable.jacketMm;
  const heatPerWattM = 1 - 10 ** (-attenuationDbPer100M(cable, frequencyHz) / 1000);
  return shedWPerM / heatPerWattM / standingWaveHeat(cable, frequencyHz, swr);
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

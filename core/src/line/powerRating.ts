import { attenuationDbPer100M } from './attenuation.js';
import type { Cable } from '../catalog/index.js';

/**
 * Average power a cable bears at a frequency and ambient, W.
 *
 * The heat a metre of cable sheds is taken as 0.028 W per K of headroom and mm of jacket diameter: it puts RG-213/U at
 * 40 °C and 30 MHz near 1.2 kW and RG-58C/U near 260 W, within 30 % of handbook tables (from memory). Heat per metre is P·(1 − 10^(−a/10)).
 * With SWR the rating falls by the average of both directions' currents, (SWR² + 1) / (2 SWR).
 */
export function averagePowerW(cable: Cable, frequencyHz: number, ambientC: number, swr: number): number {
  const headroomK = Math.max(0, cable.maxJacketC - ambientC);
  const shedWPerM = SHED_W_PER_K_MM * headroomK * cable.jacketMm;
  const heatPerWattM = 1 - 10 ** (-attenuationDbPer100M(cable, frequencyHz) / 1000);
  return shedWPerM / heatPerWattM / ((swr * swr + 1) / (2 * swr));
}

const SHED_W_PER_K_MM = 0.028;

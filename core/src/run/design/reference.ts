import { faceOf } from '../../catalog/index.js';
import type { Design } from './design.js';

/** The impedance a run is meant for: 75 ohm where both ports are 75 ohm faces, else 50. */
export const referenceOhmOf = ({ radio, antenna }: Pick<Design, 'radio' | 'antenna'>): number =>
  faceOf(radio.face).impedanceOhm === 75 && faceOf(antenna.face).impedanceOhm === 75 ? 75 : 50;

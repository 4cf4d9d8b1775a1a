import type { Cable } from '../catalog/index.js';
import type { StepReading } from '../make/index.js';
import { figure } from '../quantity/index.js';
import { expectations, resistanceLimits, type Expectation, type OhmMeter } from './expectations.js';

/**
 * What a reading asked for on a card should show.
 *
 * @param reading a short or insulation check (centre to shell, far end open), continuity (centre to centre), or the loop (far end joined)
 * @param lengthM length of the cable measured through, m
 */
export function cardExpectation(
  reading: StepReading,
  cable: Cable,
  lengthM: number,
  meter: OhmMeter = 'two-wire',
): Expectation {
  const [loop, insulation] = expectations(cable, lengthM, [], meter);
  if (reading === 'loop') return loop;
  if (reading !== 'continuity')
    return { ...insulation, id: reading, name: 'Centre to shell', how: 'Far end open.' };
  const centre = (cable.innerOhmPerKm * lengthM) / 1000;
  const { spread, most } = resistanceLimits(centre, meter);
  return {
    ...loop,
    id: 'continuity',
    name: 'Centre to centre',
    how: 'From the tip to the far conductor; “it beeps” is an answer.',
    expected: figure(centre, 'ohm', `DC ohm/km of the centre of ${cable.name}, 20 °C`, spread),
    least: 0,
    most,
  };
}

import type { Cable } from '../../catalog/index.js';
import { cableLine, type Complex } from '../../line/index.js';
import { polarReflection, type MatchDevice } from './device.js';
import { piece } from './quarterWave.js';

const DEGREES = 180 / Math.PI;

/** Reactance of a stub, ohm: Z0 tan βl shorted, −Z0 cot βl open (Pozar, Microwave Engineering). */
export const stubReactance = (z0Ohm: number, degrees: number, far: 'open' | 'shorted'): number =>
  far === 'shorted' ? z0Ohm * Math.tan(degrees / DEGREES) : -z0Ohm / Math.tan(degrees / DEGREES);

/**
 * One stub across the line at a distance from the load: the place where the conductance is the line’s own, and the stub that
 * takes its susceptance away. Source: single-stub tuning, Pozar, Microwave Engineering.
 *
 * @returns the two places within half a wave, the nearer first; none when the load reflects everything or nothing
 */
export function stubMatches(
  load: Complex,
  frequencyHz: number,
  runCable: Cable,
  stubCable: Cable,
  far: 'open' | 'shorted',
): MatchDevice[] {
  const ohm = runCable.impedanceOhm;
  const [size, angle] = polarReflection(load, ohm);
  if (size < 1e-3 || size > 1 - 1e-6) return [];
  // 1 + jb where cos θ = −|Γ|: y = (1 − Γ)/(1 + Γ) has a real part of one there.
  return [1, -1]
    .map((side): MatchDevice => {
      const theta = side * Math.acos(-size);
      const turn = (((angle - theta) % (2 * Math.PI)) + 2 * Math.PI) % (2 * Math.PI);
      const away = (turn / 2) * DEGREES;
      // b = Im[(1 − Γ)/(1 + Γ)] = −2|Γ| sin θ / |1 + Γ|²
      const b = (-2 * size * Math.sin(theta)) / (1 + 2 * size * Math.cos(theta) + size * size);
      const length = stubDegrees(-b / ohm, stubCable.impedanceOhm, far);
      const pieces = [
        piece(`${far} stub`, stubCable, length, frequencyHz, far),
        piece('from the stub to the load', runCable, away, frequencyHz),
      ];
      const [stub, line] = pieces;
      return {
        name: far === 'open' ? 'Open stub' : 'Shorted stub',
        frequencyHz,
        pieces,
        elements: [
          {
            kind: 'shunt stub',
            line: cableLine(stub.cable, stub.lengthM),
            end: far === 'open' ? 'open' : 'short',
          },
          cableLine(line.cable, line.lengthM),
        ],
      };
    })
    .sort((x, y) => x.pieces[1].degrees - y.pieces[1].degrees);
}

/** Length of a stub with a susceptance, siemens, 0 to 180 degrees. */
function stubDegrees(siemens: number, z0Ohm: number, far: 'open' | 'shorted'): number {
  const angle = far === 'open' ? Math.atan(siemens * z0Ohm) : Math.atan(-1 / (siemens * z0Ohm));
  return (((angle * DEGREES) % 180) + 180) % 180;
}

/** A stub that shorts one frequency and passes another as well as it can: an open quarter wave across the line. */
export function trapStub(notchHz: number, passHz: number, cable: Cable): MatchDevice {
  const one = piece('open stub', cable, 90, notchHz, 'open');
  return {
    name: 'Notch stub',
    frequencyHz: passHz,
    pieces: [one],
    elements: [{ kind: 'shunt stub', line: cableLine(cable, one.lengthM), end: 'open' }],
  };
}

import type { Problem } from '../../quantity/index.js';
import type { Cable } from '../cable.js';
import { faces } from '../face.js';
import { fitLossLaw, lawMisses } from '../lossLaw.js';
import type { PartDimensions } from '../part.js';
import type { Adapter } from '../adapters.js';
import type { Port, Reel, ShopEntry } from './entries.js';

const problem = (code: string, message: string, where: string, remedy: string): Problem => ({
  code,
  message,
  where,
  remedy,
});

/** How far the impedance of a cable's diameters may lie from the one stated: nominal diameters are rounded. */
const IMPEDANCE_SHARE = 0.3;

/** Impedance of a coaxial line of these diameters: 59.96·VF·ln(D/d), a stranded centre counted 0.94 of its circle (Pozar). */
export const impedanceFromDiameters = ({
  centreMm,
  centreKind,
  dielectricMm,
  velocityFactor,
}: Pick<Cable, 'centreMm' | 'centreKind' | 'dielectricMm' | 'velocityFactor'>): number =>
  59.96 * velocityFactor * Math.log(dielectricMm / (centreMm * (centreKind === 'stranded' ? 0.94 : 1)));

/** What rounding a fitted law to four figures may add to its residual. */
const LAW_ROUNDING = 0.005;

function cableProblems(cable: Cable): Problem[] {
  const { centreMm, dielectricMm, jacketMm, impedanceOhm } = cable;
  if (dielectricMm <= centreMm)
    return [
      problem(
        'cable.layers',
        `The dielectric (${dielectricMm} mm) is not thicker than the centre (${centreMm} mm).`,
        'dielectricMm',
        'Measure both again: the dielectric lies over the centre.',
      ),
    ];
  if (jacketMm <= dielectricMm)
    return [
      problem(
        'cable.layers',
        `The jacket (${jacketMm} mm) is not thicker than the dielectric (${dielectricMm} mm).`,
        'jacketMm',
        'Measure both again: braid and jacket lie over the dielectric.',
      ),
    ];
  const { lossPoints = [] } = cable;
  const fitted = fitLossLaw(lossPoints);
  if (fitted && lawMisses(lossPoints, cable) > fitted.residual + LAW_ROUNDING)
    return [
      problem(
        'cable.loss',
        `k1 and k2 lie ${(lawMisses(lossPoints, cable) * 100).toFixed(0)} % beside the figures of the sheet.`,
        'k1',
        `Fitted to them they are ${fitted.k1.toPrecision(3)} and ${fitted.k2.toPrecision(3)}; take those, or take the figures out.`,
      ),
    ];
  const computed = impedanceFromDiameters(cable);
  if (Math.abs(computed - impedanceOhm) > IMPEDANCE_SHARE * impedanceOhm)
    return [
      problem(
        'cable.impedance',
        `These diameters and this velocity factor make ${computed.toFixed(0)} ohm, not ${impedanceOhm} ohm.`,
        'centreMm',
        'Check the centre’s and the dielectric’s diameter, and the velocity factor.',
      ),
    ];
  if (cable.bendRepeatedMm < cable.bendOnceMm)
    return [
      problem(
        'cable.bend',
        `It cannot flex (${cable.bendRepeatedMm} mm) tighter than it may be bent once (${cable.bendOnceMm} mm).`,
        'bendRepeatedMm',
        'Swap the two radii.',
      ),
    ];
  return [];
}

const unknownFace = (face: string, where: string): Problem[] =>
  faces.has(face)
    ? []
    : [
        problem(
          'face.unknown',
          `There is no connector “${face}”.`,
          where,
          'Use a connector of the catalogue, for example n-plug.',
        ),
      ];

function partProblems(part: PartDimensions): Problem[] {
  const problems = unknownFace(part.face, 'face');
  const tighter = (
    inner: 'bodyBoreMm' | 'neckOuterMm',
    outer: 'neckOuterMm' | 'gripBoreMm',
    what: string,
  ): void => {
    const [small, large] = [part[inner], part[outer]];
    if (small !== null && large !== null && large <= small && part.style !== 'solder')
      problems.push(
        problem(
          'part.bores',
          `${what}: ${large} mm is not wider than ${small} mm.`,
          outer,
          'Measure both again, or leave the one out which this style does not have.',
        ),
      );
  };
  tighter('bodyBoreMm', 'neckOuterMm', 'The neck’s outside must be wider than the bore in it');
  tighter('neckOuterMm', 'gripBoreMm', 'What grips the jacket must be wider than the neck under the braid');
  if (part.neckMm + part.seatMm > part.jacketToPlaneMm + 1e-9)
    problems.push(
      problem(
        'part.length',
        `Neck and seat (${part.neckMm + part.seatMm} mm) are longer than the whole part (${part.jacketToPlaneMm} mm).`,
        'jacketToPlaneMm',
        'Measure from the jacket’s edge to the front of the shell.',
      ),
    );
  if (part.hexMm !== null && part.gripBoreMm !== null && part.hexMm < part.gripBoreMm - 0.5)
    problems.push(
      problem(
        'part.die',
        `A die of ${part.hexMm} mm cannot close over a ferrule whose bore is ${part.gripBoreMm} mm.`,
        'hexMm',
        'Read the die’s figure across its flats, and the bore of the ferrule before it is crimped.',
      ),
    );
  if (part.proudMm > part.jacketToPlaneMm)
    problems.push(
      problem(
        'part.proud',
        `${part.proudMm} mm stand proud of a part that is ${part.jacketToPlaneMm} mm long.`,
        'proudMm',
        'Measure what of the conductor stands beyond the tip before it is trimmed.',
      ),
    );
  for (const [k, { depthMm }] of part.pins.entries()) {
    if (depthMm > part.jacketToPlaneMm)
      problems.push(
        problem(
          'part.pin',
          `Pin ${k + 1} is ${depthMm} mm deep, the whole part ${part.jacketToPlaneMm} mm long.`,
          `pins[${k}].depthMm`,
          'Measure how deep the conductor sits.',
        ),
      );
  }
  return problems;
}

const adapterProblems = ({ faces: [a, b], form, device, maxFrequencyHz }: Adapter): Problem[] => [
  ...unknownFace(a, 'faces[0]'),
  ...unknownFace(b, 'faces[1]'),
  ...(device && device.lowHz >= maxFrequencyHz
    ? [problem('device.band', 'The band ends below its start.', 'device.lowHz', 'Swap the two frequencies.')]
    : []),
  ...((form === 'device') === (device !== undefined)
    ? []
    : [
        problem(
          'device.form',
          'A device has the form “device”, and says what it does.',
          'form',
          'Choose the form “device”, or another form without band, loss and power.',
        ),
      ]),
];

const portProblems = ({ face, lowHz, highHz }: Port): Problem[] => [
  ...unknownFace(face, 'face'),
  ...(highHz < lowHz
    ? [problem('port.band', 'The band ends below its start.', 'highHz', 'Swap the two frequencies.')]
    : []),
];

function reelProblems({ damaged, lengthM }: Reel): Problem[] {
  return damaged.flatMap(({ fromM, toM }, k) => {
    if (toM <= fromM)
      return [
        problem(
          'reel.span',
          `The damaged stretch ends at ${toM} m, where it does not start yet (${fromM} m).`,
          `damaged[${k}].toM`,
          'Give its two places from the outer end of the reel.',
        ),
      ];
    if (toM > lengthM)
      return [
        problem(
          'reel.span',
          `The damaged stretch ends at ${toM} m of a reel of ${lengthM} m.`,
          `damaged[${k}].toM`,
          'Measure the reel, or the stretch, again.',
        ),
      ];
    return [];
  });
}

/** What cannot be true of the dimensions of an entry, each dimension named. */
export function implausible({ kind, data }: ShopEntry): Problem[] {
  switch (kind) {
    case 'cable':
      return cableProblems(data);
    case 'part':
      return partProblems(data);
    case 'adapter':
      return adapterProblems(data);
    case 'port':
      return portProblems(data);
    case 'stock':
      return [];
    case 'reel':
      return reelProblems(data);
  }
}

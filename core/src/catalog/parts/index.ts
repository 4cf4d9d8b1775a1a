import type { FaceCode } from '../face.js';
import type { Part } from '../part.js';
import { compressionPart, crimpPart, glandPart, type CableGroup, type PartShape } from './derive.js';

type Axial = Omit<PartShape, 'face' | 'group'>;

/** Axial dimensions by family, mm. The rules of thumb they agree with are common practice, no source. */
const uhfCrimp: Axial = { neckMm: 9.5, seatMm: 1, frontMm: 27, pinDepthMm: 27, proudMm: 6, minutes: 12 };
const pinCrimp: Axial = { neckMm: 8, seatMm: 3, frontMm: 16, pinDepthMm: 5, minutes: 12 };
const nCrimp: Axial = { neckMm: 9, seatMm: 4, frontMm: 18, pinDepthMm: 5.5, minutes: 14 };
const smaCrimp: Axial = { neckMm: 6, seatMm: 1.5, frontMm: 10, pinDepthMm: 3, minutes: 12 };
const thinBncCrimp: Axial = { neckMm: 6, seatMm: 2, frontMm: 16, pinDepthMm: 6, minutes: 12 };
const nGland: Axial = { neckMm: 9, seatMm: 4, frontMm: 17, pinDepthMm: 7, minutes: 20 };
const uhfGland: Axial = { neckMm: 9, seatMm: 2, frontMm: 27, pinDepthMm: 27, proudMm: 2, minutes: 20 };
const fCompression: Axial = { neckMm: 6, seatMm: 0, frontMm: 9, pinDepthMm: 12, proudMm: 3, minutes: 5 };

type Row = [make: (shape: PartShape) => Part, axial: Axial, face: FaceCode, groups: CableGroup[]];

const rows: Row[] = [
  [crimpPart, uhfCrimp, 'uhf-plug', ['5 mm', '6 mm', '10 mm']],
  [crimpPart, pinCrimp, 'bnc-plug', ['5 mm', '6 mm']],
  [crimpPart, thinBncCrimp, 'bnc-plug', ['2.5 mm']],
  [crimpPart, pinCrimp, 'bnc-jack', ['5 mm']],
  [crimpPart, pinCrimp, 'bnc75-plug', ['6 mm 75 ohm']],
  [crimpPart, nCrimp, 'n-plug', ['5 mm', '6 mm', '10 mm']],
  [crimpPart, nCrimp, 'n-jack', ['5 mm', '10 mm']],
  [glandPart, nGland, 'n-plug', ['5 mm', '6 mm', '10 mm']],
  [glandPart, uhfGland, 'uhf-plug', ['10 mm']],
  [crimpPart, smaCrimp, 'sma-plug', ['2.5 mm', '5 mm']],
  [crimpPart, smaCrimp, 'sma-jack', ['2.5 mm', '5 mm']],
  [crimpPart, smaCrimp, 'rp-sma-plug', ['2.5 mm', '5 mm']],
  [compressionPart, fCompression, 'f-plug', ['6 mm 75 ohm']],
];

/** Nominal connector parts for the cables of the catalogue. */
export const parts: Part[] = rows.flatMap(([make, axial, face, groups]) =>
  groups.map((group) => make({ ...axial, face, group })),
);

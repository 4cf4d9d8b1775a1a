import type { FaceCode } from '../face.js';
import type { Part, Style } from '../part.js';
import type { CableGroup } from './groups.js';
import { nominalPart } from './partOf.js';
import type { Axial } from './styles/style.js';

/** Axial dimensions by family, mm. The rules of thumb they agree with are common practice, no source. */
const uhfCrimp: Axial = { neckMm: 9.5, seatMm: 1, frontMm: 27, pinDepthMm: 27, proudMm: 6, minutes: 12 };
const uhfSolder: Axial = { neckMm: 11.1, seatMm: 1.6, frontMm: 15.9, pinDepthMm: 15.9, minutes: 18 };
const uhfScrewOn: Axial = {
  neckMm: 0,
  seatMm: 7.5,
  frontMm: 20.5,
  pinDepthMm: 20.5,
  proudMm: 2,
  minutes: 10,
};
const uhfReducer: Axial = { neckMm: 0, seatMm: 3, frontMm: 16, pinDepthMm: 16, minutes: 14 };
const uhfWashers: Axial = { neckMm: 13, seatMm: 0, frontMm: 25, pinDepthMm: 25, minutes: 14 };
/** Gland parts: dielectric and foil end flush with the rim of the hat; what was bared beyond it is conductor. */
const uhfGland: Axial = { neckMm: 9, seatMm: 0, frontMm: 29, pinDepthMm: 29, proudMm: 2, minutes: 20 };
const uhfPiercing: Axial = { neckMm: 0, seatMm: 0, frontMm: 38, pinDepthMm: 0, minutes: 4 };
const pinCrimp: Axial = { neckMm: 8, seatMm: 3, frontMm: 16, pinDepthMm: 5, minutes: 12 };
const thinBncCrimp: Axial = { neckMm: 6, seatMm: 2, frontMm: 16, pinDepthMm: 6, minutes: 12 };
const sideEntry: Axial = { neckMm: 6, seatMm: 2, frontMm: 16, pinDepthMm: 6, minutes: 14 };
const nCrimp: Axial = { neckMm: 9, seatMm: 4, frontMm: 18, pinDepthMm: 5.5, minutes: 14 };
const nGland: Axial = { neckMm: 9, seatMm: 0, rearMm: 4, frontMm: 21, pinDepthMm: 7, minutes: 20 };
const bncGland: Axial = { neckMm: 7, seatMm: 0, rearMm: 3, frontMm: 19, pinDepthMm: 5.5, minutes: 20 };
const smaCrimp: Axial = { neckMm: 6, seatMm: 1.5, frontMm: 10, pinDepthMm: 3, minutes: 12 };
const fmeCrimp: Axial = { neckMm: 7, seatMm: 2, frontMm: 10, pinDepthMm: 4, minutes: 10 };
/** Tube bare of its jacket for the ring, the front half from the tube’s edge, the conductor into its spring contact. */
const onCorrugation: Axial = { neckMm: 12, seatMm: 0, frontMm: 22, pinDepthMm: 9, minutes: 30 };
const bigGland: Axial = { neckMm: 12, seatMm: 0, rearMm: 4, frontMm: 28, pinDepthMm: 9, minutes: 30 };
const fCompression: Axial = { neckMm: 0, seatMm: 6, frontMm: 3, pinDepthMm: 3, proudMm: 3, minutes: 5 };
const fCrimp: Axial = { neckMm: 0, seatMm: 6, frontMm: 3, pinDepthMm: 3, proudMm: 3, minutes: 6 };
const rcaSolder: Axial = { neckMm: 4, seatMm: 2, frontMm: 14, pinDepthMm: 10, minutes: 8 };
const panel: Axial = { neckMm: 12, seatMm: 4, frontMm: 8, pinDepthMm: 6, minutes: 15 };
const tails: Axial = { neckMm: 30, seatMm: 8, frontMm: 12, pinDepthMm: 12, minutes: 20 };

/** A family of parts on the faces and cable sizes for which it is made. */
type Row = [style: Style, axial: Axial, faces: FaceCode[], groups: CableGroup[]];

const thin: CableGroup[] = ['5 mm', '5 mm double-braid', '6 mm'];
const thick: CableGroup[] = ['10 mm', '10 mm double-braid'];
const common: CableGroup[] = [...thin, '7 mm', ...thick];
const tubes: CableGroup[] = ['1/2 in corrugated', '1/2 in very flexible corrugated', '7/8 in corrugated'];

const rows: Row[] = [
  ['crimp', uhfCrimp, ['uhf-plug'], [...common, '6 mm 75 ohm', '10 mm 75 ohm']],
  ['crimp', pinCrimp, ['mini-uhf-plug'], ['5 mm', '6 mm']],
  ['crimp', thinBncCrimp, ['bnc-plug', 'bnc-jack', 'tnc-plug'], ['2.5 mm']],
  ['crimp', thinBncCrimp, ['bnc75-plug', 'bnc75-jack'], ['2.5 mm 75 ohm']],
  [
    'crimp',
    smaCrimp,
    ['smb-plug', 'smb-jack', 'smc-plug', 'smc-jack', 'mcx-plug', 'mcx-jack', 'mmcx-plug', 'mmcx-jack'],
    ['2.5 mm'],
  ],
  ['crimp', pinCrimp, ['bnc-plug', 'tnc-plug'], common],
  ['crimp', pinCrimp, ['bnc-jack', 'tnc-jack', 'rp-tnc-plug', 'rp-tnc-jack'], thin],
  ['crimp', pinCrimp, ['rp-tnc-plug'], ['10 mm']],
  ['crimp', pinCrimp, ['bnc-plug'], ['6 mm 75 ohm']],
  ['crimp', pinCrimp, ['bnc75-plug', 'bnc75-jack', 'tnc75-plug'], ['6 mm 75 ohm', '7 mm 75 ohm']],
  ['crimp', nCrimp, ['n-plug', 'n-jack'], common],
  ['crimp', nCrimp, ['n75-plug'], ['6 mm 75 ohm', '10 mm 75 ohm']],
  [
    'crimp',
    smaCrimp,
    ['sma-plug', 'sma-jack', 'rp-sma-plug', 'rp-sma-jack'],
    ['2.5 mm', '5 mm', '5 mm double-braid'],
  ],
  ['crimp', smaCrimp, ['sma-plug', 'rp-sma-plug'], ['6 mm']],
  ['crimp', fmeCrimp, ['fme-jack', 'fme-plug'], ['2.5 mm', '5 mm']],
  ['crimp', nCrimp, ['43-10-plug'], thick],
  ['crimp', fCrimp, ['f-plug'], ['6 mm 75 ohm', '7 mm 75 ohm']],
  ['gland', uhfGland, ['uhf-plug'], thick],
  ['gland', nGland, ['n-plug'], common],
  ['gland', nGland, ['n-jack'], ['5 mm', ...thick]],
  ['gland', nGland, ['n75-plug'], ['10 mm 75 ohm']],
  ['gland', bigGland, ['n-plug', '7-16-plug', '43-10-plug'], ['15 mm']],
  ['gland', bigGland, ['n-plug', '7-16-plug'], ['13 mm']],
  ['corrugated', onCorrugation, ['n-plug', 'n-jack', '7-16-plug', '7-16-jack', '43-10-plug'], tubes],
  ['gland', bigGland, ['7-16-plug', '7-16-jack'], thick],
  ['gland', bigGland, ['n-jack'], ['13 mm', '15 mm']],
  ['gland', bncGland, ['bnc-plug'], [...thin, '10 mm']],
  ['gland', bncGland, ['tnc-plug', 'rp-tnc-plug'], [...thin, '10 mm']],
  ['gland', bncGland, ['bnc75-plug'], ['6 mm 75 ohm']],
  ['solder', uhfSolder, ['uhf-plug'], [...thick, '10 mm 75 ohm']],
  ['solder', rcaSolder, ['rca-plug'], ['2.5 mm', '5 mm', '6 mm 75 ohm']],
  ['solder', rcaSolder, ['tv-plug', 'tv-jack'], ['6 mm 75 ohm', '7 mm 75 ohm']],
  ['screw-on', uhfScrewOn, ['uhf-plug'], [...thick, '10 mm 75 ohm']],
  ['reducer', uhfReducer, ['uhf-plug'], [...thin, '6 mm 75 ohm', '7 mm 75 ohm']],
  ['washers', uhfWashers, ['uhf-plug'], [...thin, '6 mm 75 ohm']],
  ['piercing', uhfPiercing, ['uhf-plug'], ['5 mm', '6 mm', '10 mm']],
  ['side-entry', sideEntry, ['bnc-plug'], ['2.5 mm']],
  ['right angle', pinCrimp, ['bnc-plug', 'tnc-plug'], ['5 mm', '6 mm']],
  ['right angle', sideEntry, ['bnc-plug'], ['2.5 mm']],
  ['right angle', nCrimp, ['n-plug'], ['5 mm', '6 mm', '10 mm']],
  ['right angle', smaCrimp, ['sma-plug'], ['2.5 mm', '5 mm']],
  ['compression', fCompression, ['f-plug'], ['6 mm 75 ohm', '7 mm 75 ohm', '10 mm 75 ohm']],
  ['bulkhead', panel, ['uhf-jack', 'n-jack', 'bnc-jack', 'tnc-jack'], ['5 mm', '6 mm', '10 mm']],
  ['bulkhead', panel, ['sma-jack', 'rp-sma-jack'], ['2.5 mm', '5 mm']],
  ['bulkhead', panel, ['f-jack', 'rca-jack', 'bnc75-jack'], ['6 mm 75 ohm', '7 mm 75 ohm']],
  [
    'pigtail',
    tails,
    ['pair-plug'],
    ['5 mm', '6 mm', '7 mm', '10 mm', '6 mm 75 ohm', '7 mm 75 ohm', '10 mm 75 ohm'],
  ],
];

/** Nominal connector parts for the cables of the catalogue. */
export const parts: Part[] = rows.flatMap(([style, axial, faces, groups]) =>
  faces.flatMap((face) => groups.map((group) => nominalPart(style, axial, face, group))),
);

export { hexDiesMm, nominalSource } from './groups.js';
export { partOf } from './partOf.js';
export { styleById } from './styles/index.js';

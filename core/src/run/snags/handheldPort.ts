import { entry, faceName, seriesOf, type Catalog } from '../../catalog/index.js';
import type { PlacedPiece } from '../wave/layout.js';
import type { MildRule } from './snag.js';

/** Insulators whose depths differ by less couple alike, mm. Common practice, no source. */
const ALIKE_MM = 0.5;

/** SMA ports of handhelds: insulator depth varies, and anything stiff is a lever on them. Common practice, no source. */
export const handheldPort: MildRule = ({ design, layout, catalog }) => {
  const joint = layout.joints[0];
  if (!design.radio.handheld || joint.left.series !== 'sma') return [];
  const first = joint.rightPiece;
  const leverMm = first && first.piece.kind !== 'assembly' ? Math.round((first.toM - first.fromM) * 1000) : 0;
  const ofAntenna = design.radio.insulatorDepthMm;
  const ofPiece = insulatorDepthMm(first, catalog);
  const depth =
    ofAntenna === undefined || ofPiece === undefined ? undefined : depthVerdict(ofAntenna, ofPiece, first);
  return [
    {
      rule: 'handheld',
      of: joint.id,
      level: 'caution',
      stage: 'plan',
      at: joint.id,
      distanceM: 0,
      what: depth?.what ?? `${faceName(joint.left)} of a handheld: compare the depth before forcing`,
      why: `${depth?.why ?? `Insulator depth varies by up to 2 mm between handhelds: compare with the antenna that came with it${ofAntenna === undefined ? '' : ` (${ofAntenna} mm)`}.`} Coupled daily, an SMA port of ${seriesOf(joint.left).matings} matings lasts about a year, so a saver is worth it before it is worn${leverMm > 0 ? `, and ${leverMm} mm of rigid adapter hangs on the port` : ''}.`,
      remedies: [
        {
          title: 'I have compared them: not a deep port',
          detail: 'drops the caution for this radio',
          changes: [{ op: 'set radio', radio: { handheld: false } }],
        },
      ],
      source: 'common practice, no source',
    },
  ];
};

const insulatorDepthMm = (placed: PlacedPiece | undefined, { adapters }: Catalog): number | undefined =>
  placed?.piece.kind === 'adapter' ? entry(adapters, placed.piece.adapter).insulatorDepthMm : undefined;

/** What two measured depths say: of the antenna that came with the set, and of what is to go there instead, mm. */
function depthVerdict(
  antennaMm: number,
  pieceMm: number,
  piece: PlacedPiece | undefined,
): { what: string; why: string } {
  const name = piece?.name ?? 'The adapter';
  const deeperMm = Number((pieceMm - antennaMm).toFixed(2));
  const measured = `Its insulator lies ${pieceMm} mm deep, that of the antenna which came with the set ${antennaMm} mm.`;
  if (Math.abs(deeperMm) <= ALIKE_MM)
    return {
      what: `${name} is as deep as the handheld’s own antenna; mind the lever and the wear`,
      why: measured,
    };
  return deeperMm > 0
    ? {
        what: `${name} may not reach the contact of the handheld`,
        why: `${measured} Its pin stops ${deeperMm} mm short: contact comes and goes. Take one as deep as the antenna.`,
      }
    : {
        what: `${name} touches bottom before its thread is home`,
        why: `${measured} It is ${-deeperMm} mm too shallow: forced, it pushes the port’s insulator in. Take one as deep as the antenna.`,
      };
}

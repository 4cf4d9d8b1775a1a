import { faceName, seriesOf } from '../../catalog/index.js';
import type { SnagRule } from './snag.js';

/** SMA ports of handhelds: insulator depth varies, and anything stiff is a lever on them. Common practice, no source. */
export const handheldPort: SnagRule = ({ design, layout }) => {
  const joint = layout.joints[0];
  if (!design.radio.handheld || joint.left.series !== 'sma') return [];
  const first = joint.rightPiece;
  const leverMm = first && first.piece.kind !== 'assembly' ? Math.round((first.toM - first.fromM) * 1000) : 0;
  return [
    {
      rule: 'handheld',
      of: joint.id,
      level: 'caution',
      stage: 'plan',
      at: joint.id,
      distanceM: 0,
      what: `${faceName(joint.left)} of a handheld: compare the depth before forcing`,
      why: `Insulator depth varies by up to 2 mm between handhelds: compare with the antenna that came with it. Coupled daily, an SMA port of ${seriesOf(joint.left).matings} matings lasts about a year, so a saver is worth it before it is worn${leverMm > 0 ? `, and ${leverMm} mm of rigid adapter hangs on the port` : ''}.`,
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

import { entry, faceName, seriesOf, type Face } from '../../catalog/index.js';
import { reflectionDb } from '../../line/index.js';
import { formatFrequency, formatPower } from '../../quantity/index.js';
import { inCable } from '../edit/betterCables.js';
import type { Remedy } from '../design/remedy.js';
import type { Finding, SnagRule } from './snag.js';

/** 75 ohm cable in a 50 ohm transmit run, and series that carry no transmit power. Handbook practice. */
export const seventyFive: SnagRule = ({ design, catalog, layout, referenceOhm, topHz }) => {
  const { powerW } = design.service;
  const receiveOnly: Remedy = {
    title: 'Make it a receive-only run',
    detail: 'no transmit power',
    changes: [{ op: 'set service', service: { powerW: 0 } }],
  };
  const cables = layout.pieces.flatMap(({ piece, fromM }): Finding[] => {
    if (piece.kind !== 'assembly' || powerW === 0 || piece.target) return [];
    const cable = entry(catalog.cables, piece.cable);
    if (cable.impedanceOhm === referenceOhm) return [];
    const fifty = [...catalog.cables.values()]
      .filter((other) => other.impedanceOhm === referenceOhm)
      .map((other) => ({ other, changed: inCable(piece, other, catalog) }))
      .find(({ changed }) => changed);
    return [
      {
        rule: 'impedance',
        of: piece.id,
        level: 'caution',
        stage: 'plan',
        at: piece.id,
        distanceM: fromM,
        what: `${cable.impedanceOhm} ohm cable in a ${referenceOhm} ohm transmit run`,
        why: `Each end of it sends back an echo ${reflectionDb(referenceOhm, cable.impedanceOhm).toFixed(1)} dB down.`,
        remedies: fifty?.changed
          ? [
              {
                title: `Use ${fifty.other.name} for ${piece.label}`,
                detail: 'same connectors',
                changes: [{ op: 'set piece', piece: fifty.changed }],
              },
            ]
          : [receiveOnly],
        source: 'reflection (Z2 − Z1)/(Z2 + Z1)',
      },
    ];
  });
  const joints =
    powerW === 0
      ? []
      : layout.joints.filter(
          ({ left, right, mating }) => mating.passes && [left, right].some((face) => refused(face, topHz)),
        );
  return [
    ...cables,
    ...joints.map((joint): Finding => {
      const face = [joint.left, joint.right].find((one) => refused(one, topHz)) ?? joint.left;
      const { peakVoltage, standard, coupling } = seriesOf(face);
      const because =
        face.series === 'f'
          ? 'the pin of an F joint is the bare conductor of the cable'
          : coupling === 'push-on'
            ? 'nothing but friction holds the joint'
            : `two bare wires are no line at ${formatFrequency(topHz)}`;
      return {
        rule: 'no-transmit',
        of: joint.id,
        level: 'stop',
        stage: 'plan',
        at: joint.id,
        distanceM: joint.atM,
        what: `${faceName(face)} is no place for transmit power`,
        why: `${formatPower(powerW)} forward; ${because}, rated ${peakVoltage} V.`,
        remedies: [receiveOnly],
        source: standard,
      };
    }),
  ];
};

/** Series for receiving only; tails soldered at the centre of a dipole do carry power up to the end of HF (common practice). */
const refused = (face: Face, topHz: number): boolean =>
  seriesOf(face).receiveOnly && !(face.series === 'pair' && topHz <= HF_TOP_HZ);
const HF_TOP_HZ = 30e6;

import { entry } from '../../catalog/index.js';
import { reflectionDb } from '../../line/index.js';
import { formatFrequency } from '../../quantity/index.js';
import { inCable } from '../edit/betterCables.js';
import type { Assembly } from '../design/design.js';
import type { MildFinding, MildRule } from './snag.js';

/** Echoes weaker than this are lost among those of good joints, dB. Common practice, no source. */
const TELLS_DB = 26;

/**
 * Two cables of different impedance one after the other. In a transmit run a whole cable of the wrong impedance is said by
 * its own rule; this one names the step. Source: reflection (Z2 − Z1)/(Z2 + Z1).
 */
export const impedanceStep: MildRule = ({ design, catalog, layout, referenceOhm, topHz }) => {
  const cables = layout.pieces.flatMap(({ piece, fromM }) =>
    piece.kind === 'assembly' ? [{ piece, fromM, ohm: entry(catalog.cables, piece.cable).impedanceOhm }] : [],
  );
  return cables.slice(1).flatMap(({ piece, fromM, ohm }, k): MildFinding[] => {
    const before = cables[k];
    const echoDb = reflectionDb(before.ohm, ohm);
    if (before.ohm === ohm || echoDb > TELLS_DB || before.piece.target || piece.target) return [];
    const odd: Assembly = ohm === referenceOhm ? before.piece : piece;
    const same = [...catalog.cables.values()]
      .filter(({ impedanceOhm }) => impedanceOhm === referenceOhm)
      .map((cable) => ({ cable, changed: inCable(odd, cable, catalog) }))
      .find(({ changed }) => changed);
    return [
      {
        rule: 'impedance-step',
        of: piece.id,
        level: design.service.powerW > 0 ? 'caution' : 'note',
        stage: 'plan',
        at: piece.id,
        distanceM: fromM,
        what: `${before.ohm} ohm meets ${ohm} ohm at ${piece.label}`,
        why: `The step sends back an echo ${echoDb.toFixed(1)} dB down at ${formatFrequency(topHz)} and everywhere else.`,
        remedies: same?.changed
          ? [
              {
                title: `Use ${same.cable.name} for ${odd.label}`,
                detail: `${referenceOhm} ohm all along`,
                changes: [{ op: 'set piece', piece: same.changed }],
              },
            ]
          : [
              {
                title: `This length is meant: a transformer`,
                detail: 'gives the piece a target of a quarter wave',
                changes: [
                  { op: 'set piece', piece: { ...piece, target: { frequencyHz: topHz, degrees: 90 } } },
                ],
              },
            ],
        source: 'reflection (Z2 − Z1)/(Z2 + Z1); standard texts',
      },
    ];
  });
};

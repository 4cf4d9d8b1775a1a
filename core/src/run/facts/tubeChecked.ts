import type { FactKind } from './fact.js';

/** Why a gas tube is taken out and looked at. */
export const tubeReasons = ['by plan', 'after a strike near by', 'poor SWR'] as const;
export type TubeReason = (typeof tubeReasons)[number];

/** The tube of an arrester was taken out and looked at; where a new one went in, its nominal voltage. */
export interface TubeChecked {
  kind: 'tube checked';
  pieceId: string;
  reason: TubeReason;
  found: 'sound' | 'damaged';
  newV?: number;
}

export const tubeChecked: FactKind<TubeChecked> = {
  kind: 'tube checked',
  about: ({ pieceId }) => pieceId,
  text: ({ reason, found, newV }) =>
    `${reason}: ${found}${newV === undefined ? '' : `, new ${newV} V tube and gasket fitted`}`,
};

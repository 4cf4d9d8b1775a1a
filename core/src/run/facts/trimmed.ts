import type { FarEnd } from '../../cut/index.js';
import { formatFrequency, formatLength } from '../../quantity/index.js';
import type { FactKind } from './fact.js';

/** A resonance read while a piece was trimmed. */
export interface TrimRecord {
  /** Id of the cable, and its lot; empty when the lot is not known. */
  cable: string;
  lot: string;
  /** Between the two cut ends, m. */
  lengthM: number;
  frequencyHz: number;
  far: FarEnd;
  order: number;
  /** Delay of the connector on the near end, s. */
  nearS: number;
  /** Two readings agreed that this cable is not as it is named: its lot is taken as it was read. */
  notAsNamed?: true;
}

export interface Trimmed {
  kind: 'trimmed';
  pieceId: string;
  trim: TrimRecord;
}

export const trimmed: FactKind<Trimmed> = {
  kind: 'trimmed',
  about: ({ pieceId }) => pieceId,
  text: ({ trim }) =>
    `${formatFrequency(trim.frequencyHz)} at ${formatLength(trim.lengthM, { system: 'metric', digits: 4 })}, far end ${trim.far}`,
};

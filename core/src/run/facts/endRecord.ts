import type { Catalog } from '../../catalog/index.js';

/** Work on ends which a record may be about. */
export const endWorks = ['new end', 're-end', 'shrink'] as const;
export type EndWork = (typeof endWorks)[number];

/** What a fact about an end says in figures, so that a shop can learn from it. */
export interface EndRecord {
  /** Id of the connector part, and of the cable it went on. */
  part: string;
  cable: string;
  /** Which recipe it was made by. */
  recipe: string;
  work: EndWork;
  /** Its shrink tube is lined with adhesive, against weather; nothing in logs of earlier versions. */
  lined?: true;
  /** Why it failed or was damaged, or what was done differently. */
  cause?: string;
  /** Step of the card at which it happened. */
  step?: string;
  /** Cable lost, m. */
  lostM?: number;
  /** The second person of a two-person check. */
  checkedBy?: string;
  /** What was done differently on the way to a made end. */
  deviations?: string[];
}

/** A piece of several made side by side. */
export interface PieceOfBatch {
  /** From 1. */
  piece: number;
  of: number;
}

/** A fact about an end. Entries of before records were kept have none. */
export interface AboutEnd {
  endId: string;
  end?: EndRecord;
  batch?: PieceOfBatch;
}

/** What the log calls the end: `jumper.a`, and `jumper.a#3` for a piece of a batch beside the run’s own. */
export const aboutEnd = ({ endId }: AboutEnd): string => endId;

export const partNameOf = ({ end }: AboutEnd, catalog: Catalog): string =>
  end ? (catalog.parts.get(end.part)?.name ?? end.part) : '';

export const batchText = ({ batch }: AboutEnd): string =>
  batch ? `piece ${batch.piece} of ${batch.of}` : '';

/** The cause and the step it happened at. */
export const causeText = ({ end }: AboutEnd): string =>
  end?.cause === undefined ? '' : `${end.cause}${end.step === undefined ? '' : ` (at ${end.step})`}`;

/** Parts of a sentence, those which are empty left out. */
export const joined = (parts: readonly string[], by = '; '): string =>
  parts.filter((part) => part !== '').join(by);

import type { Catalog } from '../../catalog/index.js';
import { birthRecord } from './birthRecord.js';
import { cut } from './cut.js';
import { damaged } from './damaged.js';
import { deviation } from './deviation.js';
import { endFailed } from './endFailed.js';
import { endMade } from './endMade.js';
import type { FactKind, Signature } from './fact.js';
import { grounded } from './grounded.js';
import { handedOver } from './handedOver.js';
import { installed } from './installed.js';
import { opened } from './opened.js';
import { notCut } from './notCut.js';
import { note } from './note.js';
import { photo } from './photo.js';
import { photoWithdrawn } from './photoWithdrawn.js';
import { powerStep } from './powerStep.js';
import { reading } from './reading.js';
import { runReading } from './runReading.js';
import { sealed } from './sealed.js';
import { shrinkFitted } from './shrinkFitted.js';
import { sweep } from './sweep.js';
import { sweepWithdrawn } from './sweepWithdrawn.js';
import { taskBegun } from './taskBegun.js';
import { taskDone } from './taskDone.js';
import { tubeChecked } from './tubeChecked.js';
import { trimmed } from './trimmed.js';
import { withdrawn } from './withdrawn.js';

/** Every kind of fact: a new one is a file and a line here. */
const kinds = [
  reading,
  runReading,
  endMade,
  endFailed,
  deviation,
  damaged,
  shrinkFitted,
  cut,
  notCut,
  trimmed,
  powerStep,
  installed,
  grounded,
  tubeChecked,
  sealed,
  opened,
  handedOver,
  taskBegun,
  taskDone,
  photo,
  photoWithdrawn,
  sweep,
  sweepWithdrawn,
  birthRecord,
  withdrawn,
  note,
] as const;

type BodyOf<Kind> = Kind extends FactKind<infer Body> ? Body : never;

/** What happened, without who and when. */
export type FactBody = BodyOf<(typeof kinds)[number]>;
export type FactKindId = FactBody['kind'];

/** What was read or done: a row kept beside a design, never inside it. */
export type Fact = Signature & FactBody;
export type FactOf<Kind extends FactKindId> = Signature & Extract<FactBody, { kind: Kind }>;

/** What has been read and done, in any order. */
export type Facts = readonly Fact[];

export const factKinds: readonly FactKindId[] = kinds.map(({ kind }) => kind);

/** The kind of a fact; the list above is complete, since the union is drawn from it. */
function kindOf(fact: FactBody): FactKind<FactBody> {
  const found = kinds.find(({ kind }) => kind === fact.kind);
  if (!found) throw new Error(`no kind of fact is called ${fact.kind}`);
  return found as FactKind<FactBody>;
}

/** What a fact is about: an end, a piece, a joint, or the run (empty). */
export const aboutOf = (fact: FactBody): string => kindOf(fact).about(fact);

/** How a fact reads in the log; one of an earlier version as that version worded it. */
export const factText = (fact: Fact, catalog: Catalog): string =>
  fact.wording ?? kindOf(fact).text(fact, catalog);

import { signedState } from '../log/index.js';
import { asSentence, fail, type Problem } from '../../quantity/index.js';
import type { SheetBody } from '../sheet/sheet.js';
import type { Stage, StageRule } from './stage.js';

/** Signed off, with its record. */
export const handover: StageRule = {
  id: 'handover',
  name: 'Hand over',
  look({ written, facts, practice, waiting }) {
    const { revision, changed, missing } = signedState(written, facts, practice);
    if (revision && changed)
      return {
        state: 'in work',
        detail: `changed since revision ${revision.number}`,
        next: `Sign the change off as revision ${revision.number + 1}`,
      };
    if (revision && missing > 0)
      return { state: 'in work', detail: 'one of two signatures', next: 'Have a second person sign' };
    if (revision)
      return {
        state: 'done',
        detail: revision.design === undefined ? 'handed over' : `revision ${revision.number} handed over`,
        next: '',
      };
    return {
      state: waiting === 0 ? 'in work' : 'not started',
      detail: waiting === 0 ? 'ready' : `${waiting} ${waiting === 1 ? 'stage' : 'stages'} to go`,
      next: 'Export the job file and sign off',
    };
  },
  headline: ({ headline }) => headline,
};

/** A reason says something: fewer letters say nothing. */
const LEAST_REASON = 4;

/**
 * What keeps a run from being handed over: a stop always, open stages and a missing name until somebody gives a reason.
 *
 * @returns nothing when it may be signed off
 */
export function signOffProblem(
  { snags, stages }: Pick<SheetBody, 'snags'> & { stages: readonly Stage[] },
  { by, reason = '', signers = [] }: { by: string; reason?: string; signers?: readonly string[] },
): Problem | undefined {
  const stop = snags.find(({ level }) => level === 'stop') ?? stages.find(({ state }) => state === 'snags');
  if (stop) {
    const what = 'what' in stop ? stop.what : `${stop.name}: ${stop.detail}`;
    return fail(
      'handover.stop',
      `A stop stands against this run: ${asSentence(what)}`,
      stop.at ?? 'run',
      'Mend it first; a run with a stop is not handed over.',
    ).problem;
  }
  if (by.trim() === '')
    return fail(
      'handover.unsigned',
      'Nobody has signed.',
      'by',
      'Enter the name of whoever hands the run over.',
    ).problem;
  if (signers.includes(by))
    return fail(
      'handover.signed-twice',
      `${by} has signed this already.`,
      'by',
      'A second person looks at it and signs with their own name.',
    ).problem;
  const open = stages.filter(({ id, state }) => id !== 'handover' && state !== 'done');
  if (open.length > 0 && reason.trim().length < LEAST_REASON)
    return fail(
      'handover.open',
      `${open.length} ${open.length === 1 ? 'stage is' : 'stages are'} still open: ${open.map(({ name }) => name.toLowerCase()).join(', ')}.`,
      'reason',
      'Finish them, or give the reason why it is handed over so.',
    ).problem;
  return undefined;
}

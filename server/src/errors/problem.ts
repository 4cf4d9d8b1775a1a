import type { ApiProblem } from '@kobran/contract';
import { HttpException } from '@nestjs/common';

/** An error in the one shape of the API. */
export class ProblemException extends HttpException {
  constructor(
    status: number,
    readonly problem: ApiProblem,
  ) {
    super(problem.message, status);
  }
}

/** What is wrong: a code for programs, and for people what, where and how to mend it. */
export interface ProblemText extends Omit<ApiProblem, 'others' | 'current'> {
  code: string;
}

export const problem = (status: number, text: ProblemText): ProblemException =>
  new ProblemException(status, text);

export const notFound = (
  what:
    | 'job'
    | 'run'
    | 'entry'
    | 'card'
    | 'assembly'
    | 'trace'
    | 'instrument'
    | 'backup'
    | 'picture'
    | 'member'
    | 'device',
  id: string,
): ProblemException =>
  problem(404, {
    code: `${what}.not-found`,
    message: `There is no ${what} ${id}.`,
    where: 'path',
    remedy: `Go back to the board; the ${what} may have been deleted.`,
  });

/** The write was made on an older version; what stands now goes along, so that nothing is lost. */
export const stale = (
  what: 'job' | 'run' | 'entry' | 'practice' | 'site',
  sent: number,
  current: NonNullable<ApiProblem['current']>,
): ProblemException =>
  new ProblemException(409, {
    code: `${what}.stale`,
    message: `This ${what} was changed elsewhere: your change was made on version ${sent}, it is at version ${current.version} now.`,
    where: 'version',
    remedy: 'Look at both and choose one.',
    current,
  });

/** A new thing under an id which something else has: nothing of it was kept. */
export const idTaken = (what: 'fact' | 'trace' | 'entry', id: string): ProblemException =>
  problem(409, {
    code: `${what}.id-taken`,
    message: `There is another ${what} under ${id} already; this one was not kept.`,
    where: 'id',
    remedy:
      what === 'entry'
        ? 'Change or delete the one that stands first.'
        : 'Send it again under an id of its own.',
  });

/** An own entry which runs still name is not taken away from under them. */
export const inUse = (name: string, runs: string[]): ProblemException =>
  problem(409, {
    code: 'entry.in-use',
    message: `${name} is used by ${runs.length === 1 ? 'the run' : `${runs.length} runs, first`} “${runs[0]}”.`,
    where: 'path',
    remedy: 'Take another one in that run first.',
  });

/** Stored, and refused by the rules: kept as it is, and said so. */
export const damaged = (what: 'job' | 'run' | 'trace', id: string, message: string): ProblemException =>
  problem(422, {
    code: `${what}.damaged`,
    message,
    where: 'database',
    remedy: `The ${what} ${id} is kept as it is; import it again from a file, or restore a backup.`,
  });

/** More complaints nobody reads; a spoilt file of a megabyte would be answered with eighty. */
const MAX_OTHERS = 19;

/** The first problem speaks, the others go along, as many as somebody would mend at once. */
export const invalid = ([first, ...others]: ApiProblem[]): ProblemException =>
  new ProblemException(400, others.length > 0 ? { ...first, others: others.slice(0, MAX_OTHERS) } : first);

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

export const said = (
  status: number,
  code: string,
  message: string,
  where: string,
  remedy: string,
): ProblemException => new ProblemException(status, { code, message, where, remedy });

export const notFound = (
  what: 'job' | 'run' | 'entry' | 'card' | 'assembly' | 'trace' | 'instrument',
  id: string,
): ProblemException =>
  said(
    404,
    `${what}.not-found`,
    `There is no ${what} ${id}.`,
    'path',
    `Go back to the board; the ${what} may have been deleted.`,
  );

/** The write was made on an older version; what stands now goes along, so that nothing is lost. */
export const stale = (
  what: 'job' | 'run' | 'entry',
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

/** An own entry which runs still name is not taken away from under them. */
export const inUse = (name: string, runs: string[]): ProblemException =>
  said(
    409,
    'entry.in-use',
    `${name} is used by ${runs.length === 1 ? 'the run' : `${runs.length} runs, first`} “${runs[0]}”.`,
    'path',
    'Take another one in that run first.',
  );

/** The first problem speaks, the others go along. */
export const invalid = ([first, ...others]: ApiProblem[]): ProblemException =>
  new ProblemException(400, others.length > 0 ? { ...first, others } : first);

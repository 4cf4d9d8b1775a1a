import type { ApiProblem } from '@kobran/contract';
import { Catch, HttpException, type ArgumentsHost, type ExceptionFilter } from '@nestjs/common';
import type { Request, Response } from 'express';
import type { Logger } from 'pino';
import { ProblemException } from './problem.js';

/** Gives every error the one shape; what is a bug is logged and says so without its stack. */
@Catch()
export class ProblemFilter implements ExceptionFilter {
  constructor(private readonly logger: Logger) {}

  catch(error: unknown, host: ArgumentsHost): void {
    const context = host.switchToHttp();
    const { status, problem } = this.answer(error, context.getRequest<Request>());
    if (status >= 500) this.logger.error({ err: error }, 'request failed');
    context.getResponse<Response>().status(status).json(problem);
  }

  private answer(error: unknown, request: Request): { status: number; problem: ApiProblem } {
    if (error instanceof ProblemException) return { status: error.getStatus(), problem: error.problem };
    if (error instanceof HttpException)
      return { status: error.getStatus(), problem: fromHttp(error, request) };
    const fault = databaseFault(error);
    if (fault === 'away') return { status: 503, problem: databaseAway };
    if (fault === 'unkeepable') return { status: 400, problem: { ...unkeepable, where: request.path } };
    return {
      status: 500,
      problem: {
        code: 'server.bug',
        message: 'Kobran failed at this; nothing was changed.',
        where: request.path,
        remedy: 'Try again. If it stays, the server’s log has the reason.',
      },
    };
  }
}

/** Classes of SQLSTATE (PostgreSQL, appendix A) and of the connection which say that the database is not to be had just now. */
const AWAY = /^(08|57P|53|ECONN|EPIPE|ETIMEDOUT|ENOTFOUND|EAI_AGAIN)/;
/** Data exceptions: a value which no column can hold. */
const UNKEEPABLE = /^22/;

/** What the database says of a failure; the wrapper of the query is looked through. */
function databaseFault(error: unknown): 'away' | 'unkeepable' | undefined {
  for (let one = error; one instanceof Error; one = one.cause) {
    const { code } = one as NodeJS.ErrnoException;
    if (typeof code === 'string' && AWAY.test(code)) return 'away';
    if (/Connection terminated|timeout exceeded when trying to connect/.test(one.message)) return 'away';
    if (typeof code === 'string' && UNKEEPABLE.test(code)) return 'unkeepable';
  }
  return undefined;
}

const databaseAway: ApiProblem = {
  code: 'database.away',
  message: 'The database does not answer.',
  where: 'database',
  remedy: 'Wait a moment: Kobran goes on by itself when it is back. What you entered waits on this device.',
};

const unkeepable: ApiProblem = {
  code: 'value.unkeepable',
  message: 'A value of the request is of a kind which the database cannot keep.',
  where: 'path',
  remedy: 'See /api/docs for what is accepted.',
};

/** What Nest and its body parser throw, by status. */
function fromHttp(error: HttpException, request: Request): ApiProblem {
  switch (error.getStatus()) {
    case 404:
      return {
        code: 'path.not-found',
        message: `There is nothing at ${request.path}.`,
        where: 'path',
        remedy: 'The API is described at /api/docs.',
      };
    case 413:
      return {
        code: 'body.too-large',
        message: 'The request is larger than Kobran accepts.',
        where: 'body',
        remedy:
          'A job file may have 16 MB, a run 1 MB, anything else 64 kB: leave out sweeps, or split the job.',
      };
    default:
      return badRequest(error.message, request.path);
  }
}

function badRequest(message: string, path: string): ApiProblem {
  if (message.includes('JSON')) {
    return {
      code: 'body.not-json',
      message: 'The request is not valid JSON.',
      where: /position \d+/.exec(message)?.[0] ?? 'body',
      remedy: 'Check brackets, quotes and commas there.',
    };
  }
  return {
    code: 'request.refused',
    message: `${message}.`,
    where: path,
    remedy: 'See /api/docs for what is accepted.',
  };
}

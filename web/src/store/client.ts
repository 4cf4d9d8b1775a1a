import { pathOf, type AnyRoute, type ApiProblem, type InputOf, type OutputOf } from '@kobran/contract';

/** The server answered with a problem. */
export class Refused extends Error {
  constructor(
    readonly status: number,
    readonly problem: ApiProblem,
  ) {
    super(problem.message);
  }
}

/** The server did not answer at all. */
export class Unreachable extends Error {
  constructor() {
    super('The server does not answer.');
  }
}

const WAIT_MS = 8_000;

type ArgumentsOf<R> = unknown extends InputOf<R> ? [] : [input: InputOf<R>];

/**
 * Asks the server one request of the contract’s table.
 *
 * @throws {Refused} with the server's problem, or {Unreachable} when there is no answer in time
 * @example await call(routes.readRun, { id })
 */
export async function call<R extends AnyRoute>(route: R, ...[input]: ArgumentsOf<R>): Promise<OutputOf<R>> {
  const given = (input ?? {}) as Record<string, unknown>;
  const { body } = given;
  let response: Response;
  try {
    response = await fetch(pathOf(route, given), {
      method: route.method,
      signal: AbortSignal.timeout(WAIT_MS),
      ...(body === undefined
        ? {}
        : {
            headers: { 'content-type': 'application/json' },
            body: typeof body === 'string' ? body : JSON.stringify(body),
          }),
    });
  } catch {
    throw new Unreachable(); // fetch fails only for the network, the time limit or a server that is gone.
  }
  if (response.status === 204) return undefined as OutputOf<R>;
  const answer = parsed(await response.text());
  if (response.ok) return answer as OutputOf<R>;
  throw new Refused(response.status, asProblem(answer, response.status));
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text) as unknown;
  } catch {
    return undefined; // Not from Kobran’s API: told as such by asProblem.
  }
}

function asProblem(answer: unknown, status: number): ApiProblem {
  if (typeof answer === 'object' && answer !== null && 'message' in answer) return answer as ApiProblem;
  return {
    code: 'server.unknown',
    message: `The server answered ${status} without a reason.`,
    where: 'server',
    remedy: 'Reload the page; if it stays, look at the server’s log.',
  };
}

/** A sentence for a failed request. */
export function messageOf(error: unknown): string {
  if (error instanceof Refused) return `${error.problem.message} ${error.problem.remedy}`;
  return error instanceof Error ? error.message : String(error);
}

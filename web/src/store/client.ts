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

/** The server wants somebody to sign in first: until then what is done here waits, as it does without a network. */
export class SignedOut extends Unreachable {
  override message = 'Nobody is signed in on this device.';
}

/** Told by the server’s gate, not to a person who mistyped. */
const OUT = new Set(['signed-out', 'session.ended']);

type OutListener = (hasEnded: boolean) => void;
const outListeners = new Set<OutListener>();

/**
 * Hears that nobody is signed in here any more.
 *
 * @param listener told whether somebody has signed this device out from elsewhere
 * @returns how to stop
 */
export function onSignedOut(listener: OutListener): () => void {
  outListeners.add(listener);
  return () => outListeners.delete(listener);
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
  let text: string;
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
    text = await response.text();
  } catch {
    throw new Unreachable(); // Both fail only for the network, the time limit or a server that is gone, on the way too.
  }
  return read(response.status, text) as OutputOf<R>;
}

/**
 * Sends a file, however large: it takes the time it takes.
 *
 * @param onSent how much of it has gone, 0 to 1; the server reads as fast as it checks
 * @throws {Refused} with the server's problem, or {Unreachable} when the connection was lost
 */
export const upload = <R extends AnyRoute>(
  route: R,
  input: Omit<InputOf<R>, 'body'>,
  file: Blob,
  onSent: (share: number) => void,
): Promise<OutputOf<R>> =>
  new Promise((resolve, reject) => {
    // fetch does not tell how much has been sent.
    const sending = new XMLHttpRequest();
    sending.open(route.method, pathOf(route, input));
    sending.setRequestHeader('content-type', 'application/json');
    sending.upload.onprogress = ({ loaded, total }) => onSent(loaded / total);
    sending.onerror = () => reject(new Unreachable());
    sending.onload = () => {
      try {
        resolve(read(sending.status, sending.responseText) as OutputOf<R>);
      } catch (error) {
        reject(error instanceof Error ? error : new Unreachable());
      }
    };
    sending.send(file);
  });

/** What was answered; a refusal is thrown. */
function read(status: number, text: string): unknown {
  if (status === 204) return undefined;
  const answer = parsed(text);
  if (status >= 200 && status < 300) return answer;
  const problem = asProblem(answer, status);
  if (status === 401 && OUT.has(problem.code)) {
    for (const listener of outListeners) listener(problem.code === 'session.ended');
    throw new SignedOut();
  }
  throw new Refused(status, problem);
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

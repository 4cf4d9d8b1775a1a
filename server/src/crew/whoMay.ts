import { leaveFor, type Leave } from '@kobran/contract';
import { mayAs } from '@kobran/core';
import cookieParser from 'cookie-parser';
import type { Request, RequestHandler, Response } from 'express';
import { doorOf, roleOf, setCaller, type Caller, type Door } from './caller.js';
import { IDLE_MS, type Opened } from './sessions.service.js';

/** The key of a device. `__Host-`: from this very server, encrypted, and for all of it (RFC 6265bis, 4.1.3.2). */
const COOKIES: Record<Door, string> = { crew: '__Host-kobran', machine: 'kobran-here' };

/** What the gate asks before it lets a request in. */
export interface GatePorts {
  open: (key: string) => Promise<Opened>;
  /** Is a person at this machine asked to sign in as well? */
  asksHere: () => Promise<boolean>;
  /** Of which job a run is. */
  jobOfRun: (runId: string) => Promise<string | undefined>;
  /** What the database was told outlives a power cut. */
  durable: () => Promise<void>;
}

/** Gives a device its key, or takes it away. */
export function setKey(request: Request, response: Response, key: string | undefined): void {
  const door = doorOf(request);
  const how = { httpOnly: true, sameSite: 'strict', secure: door === 'crew', path: '/' } as const;
  if (key === undefined) response.clearCookie(COOKIES[door], how);
  else response.cookie(COOKIES[door], key, { ...how, maxAge: IDLE_MS });
}

/**
 * Finds out who asks, and lets nobody ask what is not for them: before the body of the request is read. What a customer may ask, they may
 * ask of the one site of their link.
 */
export function whoMay({ open, asksHere, jobOfRun, durable }: GatePorts): RequestHandler[] {
  const callerFor = async (
    request: Request,
    response: Response,
  ): Promise<{ caller: Caller; hasEnded: boolean }> => {
    const door = doorOf(request);
    const key = (request.cookies as Record<string, unknown>)[COOKIES[door]];
    const opened: Opened = typeof key === 'string' ? await open(key) : { kind: 'none' };
    if (opened.kind === 'open') {
      if (opened.key !== undefined) {
        await durable();
        setKey(request, response, opened.key);
      }
      return { caller: opened.caller, hasEnded: false };
    }
    const hasEnded = opened.kind === 'ended';
    if (door === 'machine' && !(await asksHere())) return { caller: { kind: 'machine' }, hasEnded };
    return { caller: { kind: 'nobody' }, hasEnded };
  };
  const gate: RequestHandler = async (request, response, next) => {
    const { caller, hasEnded } = await callerFor(request, response);
    setCaller(request, caller);
    // What somebody sees here is for them: no cache between keeps it.
    response.setHeader('Cache-Control', 'private, no-cache');
    const path = `${request.baseUrl}${request.path}`.toLowerCase();
    const leave = leaveFor(request.method, path);
    const refusal = await refusalOf(leave, caller, { path, job: request.query.job });
    if (!refusal) return next();
    const [status, problem] = refusal === 'out' ? [401, hasEnded ? ended : signedOut] : [403, notForYou];
    response.status(status).json(problem);
  };
  async function refusalOf(
    leave: Leave,
    caller: Caller,
    asked: { path: string; job: unknown },
  ): Promise<'out' | 'role' | undefined> {
    if (leave === 'anybody') return undefined;
    const role = roleOf(caller);
    if (role === undefined) return 'out';
    if (!mayAs(role, leave)) return 'role';
    if (caller.kind !== 'viewer') return undefined;
    return (await jobOf(asked)) === caller.jobId ? undefined : 'role';
  }
  function jobOf({ path, job }: { path: string; job: unknown }): unknown {
    const [, , noun, id = ''] = path.split('/');
    if (noun === 'jobs') return id;
    return noun === 'runs' ? jobOfRun(id) : job;
  }
  return [cookieParser(), gate];
}

const signedOut = {
  code: 'signed-out',
  message: 'Nobody is signed in on this device.',
  where: 'session',
  remedy: 'Sign in. What you entered waits on this device.',
};
const ended = {
  code: 'session.ended',
  message: 'This device was signed out.',
  where: 'session',
  remedy: 'Sign in again. What you entered waits on this device.',
};
const notForYou = {
  code: 'role.refused',
  message: 'This is not for you to see or to do.',
  where: 'role',
  remedy: 'Ask an owner of this Kobran.',
};

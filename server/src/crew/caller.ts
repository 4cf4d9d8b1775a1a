import type { MemberRole, Role } from '@kobran/core';
import { createParamDecorator, type ExecutionContext } from '@nestjs/common';
import type { Request } from 'express';
import type { IncomingMessage } from 'node:http';
import { problem } from '../errors/problem.js';

/** By which door a request came: that of this machine, or that of the crew with its phones. */
export type Door = 'machine' | 'crew';

/** Who asks. */
export type Caller =
  /** Somebody at the machine itself, who need not sign in. */
  | { kind: 'machine' }
  | { kind: 'member'; sessionId: string; id: string; name: string; role: MemberRole }
  | { kind: 'viewer'; sessionId: string; whom: string; jobId: string; until: string }
  | { kind: 'nobody' };

/** What somebody may do; nothing for who has not signed in. */
export function roleOf(caller: Caller): Role | undefined {
  switch (caller.kind) {
    case 'machine':
      return 'owner';
    case 'member':
      return caller.role;
    case 'viewer':
      return 'viewer';
    case 'nobody':
      return undefined;
  }
}

/** What the logs call who asks. */
export function nameOf(caller: Caller): string {
  switch (caller.kind) {
    case 'member':
      return caller.name;
    case 'viewer':
      return caller.whom;
    case 'machine':
    case 'nobody':
      return 'this machine';
  }
}

const doors = new WeakMap<IncomingMessage, Door>();
const callers = new WeakMap<IncomingMessage, Caller>();

/** Only what listens on this machine says so; whatever is not marked came by the door at which one signs in. */
export const entersAtMachine = (request: IncomingMessage): void => void doors.set(request, 'machine');
export const doorOf = (request: IncomingMessage): Door => doors.get(request) ?? 'crew';

export const setCaller = (request: IncomingMessage, caller: Caller): void =>
  void callers.set(request, caller);
export const callerOf = (request: IncomingMessage): Caller => callers.get(request) ?? { kind: 'nobody' };

/** Who asks, as a parameter of a handler. */
export const ByCaller = createParamDecorator((_: unknown, context: ExecutionContext): Caller =>
  callerOf(context.switchToHttp().getRequest<Request>()),
);

interface Signed {
  by: string;
  member?: string;
}

/**
 * What somebody says, signed by their session. Where nobody signs in, the name stands as it was typed.
 *
 * @throws when it was signed by another: what one person wrote without a network is not sent as if by the next at the same phone
 */
export function signedBy<Said extends Signed>(caller: Caller, said: Said): Said & Signed {
  const { member: _, ...unsigned } = said;
  // Without a member it is what it was: `member` may be missing everywhere.
  if (caller.kind !== 'member') return unsigned as Said;
  if (said.by !== '' && said.by !== caller.name)
    throw problem(403, {
      code: 'signed.by-another',
      message: `This was done by ${said.by}, and ${caller.name} is signed in.`,
      where: 'by',
      remedy: `It is sent when ${said.by} signs in on this device.`,
    });
  return { ...(unsigned as Said), by: caller.name, member: caller.id };
}

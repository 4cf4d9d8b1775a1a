import type { Me, SignedInDevice } from '@kobran/contract';
import { Inject, Injectable } from '@nestjs/common';
import { and, eq, gt, isNull, or, type SQL } from 'drizzle-orm';
import { randomUUID } from 'node:crypto';
import type { Database } from '../database/database.js';
import { DATABASE } from '../database/database.module.js';
import { customerLinks, members, sessions } from '../database/schema.js';
import { iso } from '../store/moment.js';
import type { Caller } from './caller.js';
import { keyHash, newKey } from './codes.js';
import { CrewLogService } from './crewLog.service.js';

const S = 1000;
const HOUR = 3600 * S;
const DAY = 24 * HOUR;
/** A phone which lay in a drawer for longer signs in again, ms. */
export const IDLE_MS = 30 * DAY;
/** A key is used so long, then the device gets another, ms. */
const KEY_MS = 12 * HOUR;
/** Requests under way when the key changes still carry the one before, ms. */
const OVERLAP_MS = 60 * S;
/** When it was last seen is written down so often, ms. */
const SEEN_MS = 5 * 60 * S;
/** So long a session is believed without asking the database: it ends elsewhere at the latest after this, ms. */
const BELIEVED_MS = 2 * S;
const MOST_BELIEVED = 1000;

type Present = Extract<Caller, { kind: 'member' | 'viewer' }>;

/** What a key opens: a session, one that has ended, or nothing. With `key` the device gets a new one. */
export type Opened = { kind: 'open'; caller: Present; key?: string } | { kind: 'ended' } | { kind: 'none' };

/** Devices on which somebody is signed in. */
@Injectable()
export class SessionsService {
  private readonly believed = new Map<string, { at: number; opened: Opened }>();

  constructor(
    @Inject(DATABASE) private readonly db: Database,
    @Inject(CrewLogService) private readonly log: CrewLogService,
  ) {}

  /** Signs a device in. @returns its key, which is kept nowhere here */
  async begin(of: { memberId: string } | { linkId: string }, device: string): Promise<string> {
    const key = newKey();
    await this.db.insert(sessions).values({ id: randomUUID(), keyHash: keyHash(key), device, ...of });
    return key;
  }

  /** What a key opens just now. */
  async open(key: string): Promise<Opened> {
    const hash = keyHash(key);
    const known = this.believed.get(hash);
    if (known && Date.now() - known.at < BELIEVED_MS) return known.opened;
    const opened = await this.look(hash);
    if (this.believed.size >= MOST_BELIEVED) this.believed.clear();
    // A new key goes out once.
    if (opened.kind !== 'open' || opened.key === undefined)
      this.believed.set(hash, { at: Date.now(), opened });
    return opened;
  }

  /** Does it stand: neither ended nor that of somebody who was sent away? */
  async stands(id: string): Promise<boolean> {
    return (await this.rows(eq(sessions.id, id))).some((row) => callerOfRow(row) !== undefined);
  }

  private async look(hash: string): Promise<Opened> {
    const [row] = await this.rows(or(eq(sessions.keyHash, hash), eq(sessions.keyBefore, hash)));
    if (!row) return { kind: 'none' };
    const caller = callerOfRow(row);
    if (!caller) return { kind: 'ended' };
    const { session } = row;
    const now = new Date();
    if (session.keyBefore === hash && hasPassed(session.takenUpAt, OVERLAP_MS, now)) {
      await this.end(session.id);
      await this.log.add(
        'session presented twice',
        caller.kind === 'member' ? caller.name : caller.whom,
        session.device,
      );
      return { kind: 'ended' };
    }
    const key = await this.renewed(session, hash, now);
    return { kind: 'open', caller, ...(key === undefined ? {} : { key }) };
  }

  /** Gives the device a new key when the one it has is old, and notes when it was seen. @returns the new one */
  private async renewed(session: Row['session'], hash: string, now: Date): Promise<string | undefined> {
    const isOld = session.keyBefore === hash;
    const at = now.toISOString();
    // A device that still has the key before never got the answer with the new one.
    const isDue = isOld
      ? session.takenUpAt === null && hasPassed(session.keyAt, OVERLAP_MS, now)
      : hasPassed(session.keyAt, KEY_MS, now);
    if (isDue) {
      const key = newKey();
      const changed = await this.db
        .update(sessions)
        .set({ keyHash: keyHash(key), keyBefore: hash, keyAt: at, takenUpAt: null, seenAt: at })
        // Of several requests at once one changes it.
        .where(and(eq(sessions.id, session.id), eq(sessions.keyHash, session.keyHash)))
        .returning({ id: sessions.id });
      return changed.length > 0 ? key : undefined;
    }
    const isTakenUp = !isOld && session.keyBefore !== null && session.takenUpAt === null;
    if (isTakenUp || hasPassed(session.seenAt, SEEN_MS, now))
      await this.db
        .update(sessions)
        .set({ seenAt: at, ...(isTakenUp ? { takenUpAt: at } : {}) })
        .where(eq(sessions.id, session.id));
    return undefined;
  }

  async end(id: string): Promise<void> {
    await this.endAll(eq(sessions.id, id));
  }

  async endOfMember(memberId: string, but?: string): Promise<void> {
    const open = await this.db
      .select({ id: sessions.id })
      .from(sessions)
      .where(and(eq(sessions.memberId, memberId), isNull(sessions.endedAt)));
    for (const { id } of open) if (id !== but) await this.end(id);
  }

  async endOfLink(linkId: string): Promise<void> {
    await this.endAll(eq(sessions.linkId, linkId));
  }

  private async endAll(which: SQL): Promise<void> {
    await this.db
      .update(sessions)
      .set({ endedAt: new Date().toISOString() })
      .where(and(which, isNull(sessions.endedAt)));
    this.askAgain();
  }

  /** Believes nothing it has seen before: somebody’s role has changed. */
  askAgain(): void {
    this.believed.clear();
  }

  /** Where somebody is signed in; of one member, or of all with the viewers. */
  async devices(caller: Caller, memberId?: string): Promise<SignedInDevice[]> {
    const rows = await this.rows(memberId === undefined ? undefined : eq(sessions.memberId, memberId));
    return rows.flatMap((row): SignedInDevice[] => {
      const who = callerOfRow(row);
      if (!who) return [];
      const { id, device, createdAt, seenAt } = row.session;
      return [
        {
          id,
          name: who.kind === 'member' ? who.name : who.whom,
          device,
          since: iso(createdAt),
          seen: iso(seenAt),
          isThis: 'sessionId' in caller && caller.sessionId === id,
          isViewer: who.kind === 'viewer',
        },
      ];
    });
  }

  /** Sessions which have not ended and were used lately, with whose they are. */
  private async rows(which: SQL | undefined): Promise<Row[]> {
    return this.db
      .select({ session: sessions, member: members, link: customerLinks })
      .from(sessions)
      .leftJoin(members, eq(members.id, sessions.memberId))
      .leftJoin(customerLinks, eq(customerLinks.id, sessions.linkId))
      .where(and(which, gt(sessions.seenAt, new Date(Date.now() - 4 * IDLE_MS).toISOString())));
  }
}

interface Row {
  session: typeof sessions.$inferSelect;
  member: typeof members.$inferSelect | null;
  link: typeof customerLinks.$inferSelect | null;
}

const hasPassed = (moment: string | null, ms: number, now: Date): boolean =>
  moment !== null && now.getTime() - Date.parse(moment) > ms;

/** Whose session it is; nothing when it has ended, or they may not come in any more. */
function callerOfRow({ session, member, link }: Row): Present | undefined {
  const now = new Date();
  if (session.endedAt !== null || hasPassed(session.seenAt, IDLE_MS, now)) return undefined;
  if (member && member.removedAt === null) {
    const { id, name, role } = member;
    return { kind: 'member', sessionId: session.id, id, name, role };
  }
  if (link && link.endedAt === null && !hasPassed(link.expiresAt, 0, now)) {
    const { whom, jobId, expiresAt } = link;
    return { kind: 'viewer', sessionId: session.id, whom, jobId, until: iso(expiresAt) };
  }
  return undefined;
}

/** What somebody is told of themselves. */
export function meOf(caller: Caller, hasCrew: boolean): Me {
  switch (caller.kind) {
    case 'machine':
      return { kind: 'here', hasCrew };
    case 'nobody':
      return { kind: 'out', hasCrew };
    case 'member':
      return { kind: 'member', id: caller.id, name: caller.name, role: caller.role };
    case 'viewer':
      return { kind: 'viewer', whom: caller.whom, jobId: caller.jobId, until: caller.until };
  }
}

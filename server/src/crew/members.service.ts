import type { ChangePhrase, Invitation, InvitationFor, Invite, Join, Member, SignIn } from '@kobran/contract';
import { EMPTY_LOG, nameAsCompared, phraseProblem } from '@kobran/core';
import { Inject, Injectable } from '@nestjs/common';
import { and, asc, eq, gt, isNull, sql } from 'drizzle-orm';
import { randomUUID } from 'node:crypto';
import type { Database } from '../database/database.js';
import { DATABASE } from '../database/database.module.js';
import { crew, invitations, members } from '../database/schema.js';
import { invalid, notFound, problem } from '../errors/problem.js';
import { iso } from '../store/moment.js';
import { nameOf, type Caller } from './caller.js';
import { codeHash, newCode } from './codes.js';
import { CrewLogService } from './crewLog.service.js';
import { hashPhrase, isPhraseOf } from './phrases.js';
import { SessionsService } from './sessions.service.js';
import { TriesService } from './tries.service.js';

const DAY_MS = 24 * 3600 * 1000;
/** An invitation is taken up on the day, or the one after the weekend. */
const INVITATION_MS = 7 * DAY_MS;

type MemberRow = typeof members.$inferSelect;

/** Who is of the crew, and how one comes to it. */
@Injectable()
export class MembersService {
  constructor(
    @Inject(DATABASE) private readonly db: Database,
    @Inject(CrewLogService) private readonly log: CrewLogService,
    @Inject(SessionsService) private readonly sessions: SessionsService,
    @Inject(TriesService) private readonly tries: TriesService,
  ) {}

  private hasOwner = false;

  /** Is there a crew: has the first owner been made? Once there is, there always is. */
  async isSetUp(): Promise<boolean> {
    if (this.hasOwner) return true;
    this.hasOwner = (await this.owners(this.db)).length > 0;
    return this.hasOwner;
  }

  async list(): Promise<Member[]> {
    const rows = await this.db
      .select()
      .from(members)
      .where(isNull(members.removedAt))
      .orderBy(asc(members.createdAt));
    return rows.map(({ id, name, role, createdAt }) => ({ id, name, role, since: iso(createdAt) }));
  }

  /** The first of the crew. @throws when there is an owner already */
  async makeOwner({ name, phrase }: SignIn): Promise<MemberRow> {
    mustBeStrong(phrase, name);
    const phraseHash = await hashPhrase(phrase);
    const made = await this.db.transaction(async (tx) => {
      // Of two who do it at once the second waits here, and finds the first.
      await tx
        .insert(crew)
        .values({ id: 1, logHead: EMPTY_LOG })
        .onConflictDoUpdate({ target: crew.id, set: { logLength: sql`${crew.logLength}` } });
      if ((await this.owners(tx)).length > 0)
        throw problem(409, {
          code: 'crew.has-owner',
          message: 'There is an owner already.',
          where: 'crew',
          remedy: 'Sign in, or ask an owner for an invitation.',
        });
      return insertMember(tx, { name, role: 'owner', phraseHash });
    });
    await this.log.add('owner made', 'this machine', name);
    return made;
  }

  /** @throws when name and phrase do not belong together, whichever is wrong; or while one has to wait */
  async signIn({ name, phrase }: SignIn, place: string): Promise<MemberRow> {
    const attempt = { name, place };
    const { isFirstWait } = await this.tries.count(attempt);
    const member = await this.named(name);
    if (!(await isPhraseOf(phrase, member?.phraseHash)) || !member) {
      if (isFirstWait && member) await this.log.add('sign-in refused', member.name, place);
      throw problem(401, {
        code: 'sign-in.wrong',
        message: 'Name and pass phrase do not belong together.',
        where: 'phrase',
        remedy: 'Type both again. Whoever has forgotten a phrase asks an owner for a new invitation.',
      });
    }
    await this.tries.succeeded(attempt);
    return member;
  }

  async changePhrase(
    { id, name, sessionId }: Extract<Caller, { kind: 'member' }>,
    { old, phrase }: ChangePhrase,
    place: string,
  ): Promise<void> {
    await this.signIn({ name, phrase: old }, place);
    mustBeStrong(phrase, name);
    await this.db
      .update(members)
      .set({ phraseHash: await hashPhrase(phrase) })
      .where(eq(members.id, id));
    await this.sessions.endOfMember(id, sessionId);
    await this.log.add('phrase changed', name);
  }

  /** Makes an invitation; for a member of this name it is one to a new phrase. @returns its code, which is kept nowhere */
  async invite({ name, role }: Invite, by: Caller): Promise<{ id: string; code: string; until: string }> {
    const code = newCode();
    const id = randomUUID();
    const until = new Date(Date.now() + INVITATION_MS).toISOString();
    const member = await this.named(name);
    const known = member ? { name: member.name, role: member.role } : { name, role };
    await this.db
      .insert(invitations)
      .values({ id, codeHash: codeHash(code), ...known, by: nameOf(by), expiresAt: until });
    await this.log.add('invited', nameOf(by), `${known.name} as ${known.role}`);
    return { id, code, until };
  }

  async invitations(): Promise<Invitation[]> {
    const rows = await this.db.select().from(invitations).where(isOpen()).orderBy(asc(invitations.expiresAt));
    const names = new Set((await this.list()).map(({ name }) => nameAsCompared(name)));
    return rows.map(({ id, name, role, by, expiresAt }) => ({
      id,
      name,
      role,
      by,
      until: iso(expiresAt),
      isForMember: names.has(nameAsCompared(name)),
    }));
  }

  async removeInvitation(id: string, by: Caller): Promise<void> {
    const [row] = await this.db
      .update(invitations)
      .set({ endedAt: new Date().toISOString() })
      .where(and(eq(invitations.id, id), isOpen()))
      .returning();
    if (row) await this.log.add('invitation withdrawn', nameOf(by), row.name);
  }

  /** What an invitation is for. @throws when there is none with this code */
  async invitationFor(code: string, place: string): Promise<InvitationFor> {
    const attempt = { name: '', place };
    await this.tries.count(attempt);
    const [row] = await this.db
      .select()
      .from(invitations)
      .where(and(eq(invitations.codeHash, codeHash(code)), isOpen()));
    if (!row) throw noSuchCode();
    await this.tries.succeeded(attempt);
    return { name: row.name, role: row.role, isForMember: (await this.named(row.name)) !== undefined };
  }

  /** Takes up an invitation; it is worth nothing after that. */
  async join({ code, phrase }: Join, place: string): Promise<MemberRow> {
    const { name } = await this.invitationFor(code, place);
    mustBeStrong(phrase, name);
    const phraseHash = await hashPhrase(phrase);
    const member = await this.db.transaction(async (tx) => {
      const [row] = await tx
        .update(invitations)
        .set({ endedAt: new Date().toISOString() })
        .where(and(eq(invitations.codeHash, codeHash(code)), isOpen()))
        .returning();
      // Somebody else was quicker.
      if (!row) throw noSuchCode();
      const [known] = await tx
        .update(members)
        .set({ phraseHash })
        .where(and(eq(members.nameKey, nameAsCompared(row.name)), isNull(members.removedAt)))
        .returning();
      return known ?? insertMember(tx, { name: row.name, role: row.role, phraseHash });
    });
    await this.sessions.endOfMember(member.id);
    await this.log.add('joined', member.name, member.role);
    return member;
  }

  async changeRole(id: string, role: Member['role'], by: Caller): Promise<void> {
    const changed = await this.db.transaction(async (tx) => {
      if (role !== 'owner') await this.mustLeaveAnOwner(tx, id);
      return tx
        .update(members)
        .set({ role })
        .where(and(eq(members.id, id), isNull(members.removedAt)))
        .returning();
    });
    if (changed.length === 0) throw notFound('member', id);
    // Whoever was signed in goes on with the new role.
    this.sessions.askAgain();
    await this.log.add('role changed', nameOf(by), `${changed[0].name} ${role}`);
  }

  async remove(id: string, by: Caller): Promise<void> {
    const removed = await this.db.transaction(async (tx) => {
      await this.mustLeaveAnOwner(tx, id);
      return tx
        .update(members)
        .set({ removedAt: new Date().toISOString() })
        .where(and(eq(members.id, id), isNull(members.removedAt)))
        .returning();
    });
    if (removed.length === 0) throw notFound('member', id);
    await this.sessions.endOfMember(id);
    await this.log.add('member removed', nameOf(by), removed[0].name);
  }

  private async mustLeaveAnOwner(tx: Pick<Database, 'select'>, id: string): Promise<void> {
    const owners = await this.owners(tx);
    if (owners.some((one) => one.id === id) && owners.length === 1)
      throw problem(409, {
        code: 'crew.last-owner',
        message: `${owners[0].name} is the only owner.`,
        where: 'role',
        remedy: 'Make somebody else an owner first.',
      });
  }

  private owners(db: Pick<Database, 'select'>): Promise<MemberRow[]> {
    return db
      .select()
      .from(members)
      .where(and(eq(members.role, 'owner'), isNull(members.removedAt)))
      .for('update');
  }

  private async named(name: string): Promise<MemberRow | undefined> {
    const [row] = await this.db
      .select()
      .from(members)
      .where(and(eq(members.nameKey, nameAsCompared(name)), isNull(members.removedAt)));
    return row;
  }
}

const isOpen = (): ReturnType<typeof and> =>
  and(isNull(invitations.endedAt), gt(invitations.expiresAt, new Date().toISOString()));

async function insertMember(
  tx: Pick<Database, 'insert'>,
  { name, role, phraseHash }: Pick<MemberRow, 'name' | 'role' | 'phraseHash'>,
): Promise<MemberRow> {
  const [row] = await tx
    .insert(members)
    .values({ id: randomUUID(), name, nameKey: nameAsCompared(name), role, phraseHash })
    .returning();
  return row;
}

function mustBeStrong(phrase: string, name: string): void {
  const weak = phraseProblem(phrase, name);
  if (weak) throw invalid([weak]);
}

/** One answer for a code that never was, was used, withdrawn or is too old. */
export const noSuchCode = (): Error =>
  problem(404, {
    code: 'code.unknown',
    message: 'This code is not, or no longer, good for anything.',
    where: 'code',
    remedy: 'Look whether it is typed as it stands; or ask an owner for a new one.',
  });

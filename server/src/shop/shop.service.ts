import {
  type DeletedEntry,
  readDesign,
  readShopEntry,
  type PutShopEntry,
  type ShopDocument,
  type ShopFileEntry,
  type StoredShopEntry,
} from '@kobran/contract';
import {
  catalog,
  withShop,
  type Catalog,
  type Design,
  type Problem,
  type ShopEntry,
  type ShopKind,
} from '@kobran/core';
import { Inject, Injectable } from '@nestjs/common';
import { and, asc, desc, eq, isNull, sql } from 'drizzle-orm';
import type { Database } from '../database/database.js';
import { DATABASE } from '../database/database.module.js';
import { deletedEntries, jobs, runs, shopEntries } from '../database/schema.js';
import { ShopChanges } from '../database/shopChanges.js';
import { idTaken, invalid, inUse, notFound, stale } from '../errors/problem.js';
import { iso, now } from '../store/moment.js';
import { apart, damageOf, type Stored } from '../store/stored.js';

/** Does a design name an entry of the catalogue? */
export function names(design: Design, kind: ShopKind, id: string): boolean {
  return design.pieces.some((piece) => {
    switch (piece.kind) {
      case 'assembly':
        return (
          (kind === 'cable' && piece.cable === id) ||
          (kind === 'part' && (piece.a.part === id || piece.b.part === id))
        );
      case 'adapter':
        return kind === 'adapter' && piece.adapter === id;
      case 'arrester':
        return false;
    }
  });
}

/** Does an entry decide what is said of a design: as what it is made of, as its port, or as the adapter on the shelf? */
export function concerns(design: Design, { kind, data }: ShopEntry): boolean {
  if (kind === 'port')
    return [design.radio, design.antenna].some(({ name, face }) => name === data.name && face === data.face);
  return names(design, kind === 'stock' ? 'adapter' : kind, data.id);
}

/** Where an entry of this kind stands in the shipped catalogue. */
const shipped = (kind: ShopKind, id: string): boolean =>
  ({
    cable: catalog.cables,
    part: catalog.parts,
    adapter: catalog.adapters,
    port: undefined,
    stock: undefined,
    reel: undefined,
  })[kind]?.has(id) ?? false;

/** What the shop has added to the catalogue. */
@Injectable()
export class ShopService {
  private merged: Promise<Catalog> | undefined;

  constructor(
    @Inject(DATABASE) private readonly db: Database,
    @Inject(ShopChanges) private readonly changes: ShopChanges,
  ) {
    // By this server or by another on the same database.
    changes.onChange(() => this.changed());
  }

  async read(): Promise<ShopDocument> {
    const rows = await this.db.select().from(shopEntries).orderBy(asc(shopEntries.kind), asc(shopEntries.id));
    const { readable, damaged } = apart(rows.map(storedEntry));
    return { entries: readable, ...(damaged.length > 0 ? { damaged } : {}) };
  }

  /** The shipped catalogue with the shop’s entries; read once, and again after a change or a failure. */
  catalog(): Promise<Catalog> {
    if (this.merged) return this.merged;
    const reading = this.read().then(({ entries }) => withShop(catalog, entries));
    if (this.changes.isHeard) this.merged = reading;
    reading.catch(() => {
      if (this.merged === reading) this.merged = undefined;
    });
    return reading;
  }

  /** The entries were changed: they are read again when asked for. */
  changed(): void {
    this.merged = undefined;
  }

  /** Reads entries of a request, or refuses them all with every problem. */
  checked(entries: readonly ShopFileEntry[], where: string): ShopEntry[] {
    const problems: Problem[] = [];
    const read = entries.flatMap(({ kind, data }, k) => {
      const one = readShopEntry(kind, data, `${where}[${k}].data`);
      if (!one.ok) problems.push(...one.problems);
      return one.ok ? [plain(one.entry)] : [];
    });
    if (problems.length > 0) throw invalid(problems);
    return read;
  }

  /** Puts one entry in when `version` is the one that stands (0: none does); else 409 with what stands. */
  async put(kind: string, id: string, { version, data }: PutShopEntry): Promise<StoredShopEntry> {
    const read = readShopEntry(kind, { ...data, id });
    if (!read.ok) throw invalid(read.problems);
    const entry = plain(read.entry);
    const changed =
      version === 0
        ? await this.db
            .insert(shopEntries)
            .values({ kind: entry.kind, id, data: entry.data })
            .onConflictDoNothing()
            .returning()
        : await this.db
            .update(shopEntries)
            .set({ data: entry.data, version: version + 1 })
            .where(and(this.is(entry.kind, id), eq(shopEntries.version, version)))
            .returning();
    this.changed();
    if (changed.length > 0) return { ...entry, version: changed[0].version };
    const [current] = await this.db.select().from(shopEntries).where(this.is(entry.kind, id));
    if (!current) throw notFound('entry', id);
    throw stale('entry', version, { version: current.version, data: current.data });
  }

  /** Takes an entry away, unless a run still names it and nothing shipped stands behind it. */
  async remove(kind: ShopKind, id: string): Promise<void> {
    const [row] = await this.db.select().from(shopEntries).where(this.is(kind, id));
    if (!row) throw notFound('entry', id);
    const users = shipped(kind, id) ? [] : await this.usersOf(kind, id);
    if (users.length > 0) throw inUse(id, users);
    await this.db.transaction(async (tx) => {
      const [gone] = await tx.delete(shopEntries).where(this.is(kind, id)).returning();
      if (!gone) return;
      const deleted = { data: gone.data, deletedAt: now() };
      await tx
        .insert(deletedEntries)
        .values({ kind, id, ...deleted })
        .onConflictDoUpdate({ target: [deletedEntries.kind, deletedEntries.id], set: deleted });
    });
    this.changed();
  }

  /** Entries which were deleted and have not come back under their id, the newest first. */
  async deleted(): Promise<DeletedEntry[]> {
    const rows = await this.db
      .select()
      .from(deletedEntries)
      .orderBy(desc(deletedEntries.deletedAt), asc(deletedEntries.id));
    return rows.flatMap(({ kind, id, data, deletedAt }) => {
      const read = readShopEntry(kind, data);
      if (!read.ok) return [];
      const { data: entry } = read.entry;
      return [{ kind, id, name: 'name' in entry ? entry.name : id, deletedAt: iso(deletedAt) }];
    });
  }

  /** Brings a deleted entry back, unless another has its id by now. */
  async restore(kind: ShopKind, id: string): Promise<void> {
    await this.db.transaction(async (tx) => {
      const [row] = await tx
        .delete(deletedEntries)
        .where(and(eq(deletedEntries.kind, kind), eq(deletedEntries.id, id)))
        .returning();
      if (!row) throw notFound('entry', id);
      const back = await tx
        .insert(shopEntries)
        .values({ kind, id, data: row.data })
        .onConflictDoNothing()
        .returning({ id: shopEntries.id });
      if (back.length === 0) throw idTaken('entry', id);
    });
    this.changed();
  }

  /** Puts many entries in, all or none; what is there already is replaced. */
  async import(entries: readonly ShopFileEntry[]): Promise<ShopDocument> {
    const read = this.checked(entries, 'entries');
    await this.db.transaction(async (tx) => {
      for (const { kind, data } of read)
        await tx
          .insert(shopEntries)
          .values({ kind, id: data.id, data })
          .onConflictDoUpdate({
            target: [shopEntries.kind, shopEntries.id],
            set: { data, version: sql`${shopEntries.version} + 1` },
          });
    });
    this.changed();
    return this.read();
  }

  /** Puts in what is not there yet; what is, stays as it is. */
  async addMissing(entries: readonly ShopEntry[], within: Pick<Database, 'insert'> = this.db): Promise<void> {
    if (entries.length === 0) return;
    await within
      .insert(shopEntries)
      .values(entries.map(({ kind, data }) => ({ kind, id: data.id, data })))
      .onConflictDoNothing();
    this.changed();
  }

  private is(kind: ShopKind, id: string): ReturnType<typeof and> {
    return and(eq(shopEntries.kind, kind), eq(shopEntries.id, id));
  }

  /** Names of the runs, of jobs that are not deleted, whose design names an entry. */
  private async usersOf(kind: ShopKind, id: string): Promise<string[]> {
    const rows = await this.db
      .select({ design: runs.design })
      .from(runs)
      .innerJoin(jobs, eq(jobs.id, runs.jobId))
      .where(and(isNull(runs.deletedAt), isNull(jobs.deletedAt)));
    const all = await this.catalog();
    return rows.flatMap(({ design }) => {
      const read = readDesign(design, all);
      return read.ok && names(read.design, kind, id) ? [read.design.name] : [];
    });
  }
}

/** Checked instances of classes as the plain data the database keeps. */
const plain = (entry: ShopEntry): ShopEntry => JSON.parse(JSON.stringify(entry)) as ShopEntry;

/** A row as the entry it was checked as; one the rules refuse is set aside. */
function storedEntry({ kind, id, data, version }: typeof shopEntries.$inferSelect): Stored<StoredShopEntry> {
  const read = readShopEntry(kind, data);
  return read.ok
    ? { ok: true, value: { ...plain(read.entry), version } }
    : { ok: false, damaged: damageOf(`An entry of the shop (${kind})`, id, read.problems) };
}

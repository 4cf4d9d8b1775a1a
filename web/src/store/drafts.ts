import { isObject, type Merged, type Problem } from '@kobran/core';
import type { Draft } from './documentEditor.js';
import type { Keeper } from './kept/keeper.js';
import { asideKey, draftKey, draftsOf } from './kept/keys.js';
import type { Tabs } from './kept/tabs.js';

/** How a document is read from what lies in the store. */
export type ReadDocument<D> = (
  value: unknown,
) => { ok: true; document: D } | { ok: false; problems: readonly Problem[] };

/** A draft as it was read, or what is wrong with it. */
function readDraft<D>(value: unknown, read: ReadDocument<D>): Draft<D> | string {
  if (!isObject(value) || typeof value.version !== 'number') return 'It is no draft.';
  // Drafts of a design were once kept under that name.
  const found = read(value.document ?? value.design);
  if (!found.ok) return found.problems[0].message;
  const base = value.base === undefined ? undefined : read(value.base);
  return {
    version: value.version,
    document: found.document,
    // Without what it was made on, a draft still has what was edited.
    ...(base?.ok ? { base: base.document } : {}),
  };
}

/** Edits which the server has not acknowledged, one draft for each tab: two tabs on one run do not write over each other. */
export class Drafts {
  constructor(
    private readonly keeper: Keeper,
    private readonly tabs: Pick<Tabs, 'id' | 'open'>,
    private readonly warn: (message: string) => void,
  ) {}

  /** The draft of this tab; else one that a closed tab left behind, which is this tab’s from now on. A spoilt one is set aside. */
  async find<D>(id: string, read: ReadDocument<D>): Promise<Draft<D> | undefined> {
    const own = draftKey(id, this.tabs.id);
    const open = await this.tabs.open();
    const all = await this.keeper.entries(draftsOf(id));
    const mine = all.filter(([key]) => key === own);
    const left = all.filter(([key]) => key !== own && !open.has(key.slice(draftsOf(id).length)));
    for (const [key, value] of [...mine, ...left]) {
      const draft = readDraft(value, read);
      if (typeof draft !== 'string') {
        if (key !== own) {
          await this.keeper.put(own, draft);
          await this.keeper.remove(key);
        }
        return draft;
      }
      await this.keeper.put(asideKey(key), { value, why: draft });
      await this.keeper.remove(key);
      this.warn(`Unsaved edits cannot be read. They are set aside on this device. ${draft}`);
    }
    return undefined;
  }

  /** Keeps the draft of this tab, or drops it when the server has it. */
  keep(id: string, draft: Draft<unknown> | undefined): void {
    const key = draftKey(id, this.tabs.id);
    const done = draft ? this.keeper.put(key, draft) : this.keeper.remove(key);
    done.catch((error: unknown) => this.warn(error instanceof Error ? error.message : String(error)));
  }
}

/** What two made of one document, where both ways out of it are whole documents: parts may hang on what the other one took out. */
export const whole = <D>(merged: Merged<D>, read: ReadDocument<D>): Merged<D> | undefined =>
  [merged.mine, merged.theirs].every((one) => read(one).ok) ? merged : undefined;

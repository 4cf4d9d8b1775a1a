import { readDesign } from '@kobran/contract';
import { isObject, type Catalog } from '@kobran/core';
import type { Versioned } from './designEditor.js';
import type { Keeper } from './kept/keeper.js';
import { asideKey, draftKey, draftsOf } from './kept/keys.js';
import type { Tabs } from './kept/tabs.js';

/** A draft as it was read, or what is wrong with it. */
function readDraft(value: unknown, catalog: Catalog): Versioned | string {
  if (!isObject(value) || typeof value.version !== 'number') return 'It is no draft.';
  const read = readDesign(value.design, catalog);
  return read.ok ? { version: value.version, design: read.design } : read.problems[0].message;
}

/** Edits which the server has not acknowledged, one draft for each tab: two tabs on one run do not write over each other. */
export class Drafts {
  constructor(
    private readonly keeper: Keeper,
    private readonly tabs: Pick<Tabs, 'id' | 'open'>,
    private readonly warn: (message: string) => void,
  ) {}

  /** The draft of this tab; else one that a closed tab left behind, which is this tab’s from now on. A spoilt one is set aside. */
  async find(runId: string, catalog: Catalog): Promise<Versioned | undefined> {
    const own = draftKey(runId, this.tabs.id);
    const open = await this.tabs.open();
    const all = await this.keeper.entries(draftsOf(runId));
    const mine = all.filter(([key]) => key === own);
    const left = all.filter(([key]) => key !== own && !open.has(key.slice(draftsOf(runId).length)));
    for (const [key, value] of [...mine, ...left]) {
      const draft = readDraft(value, catalog);
      if (typeof draft !== 'string') {
        if (key !== own) {
          await this.keeper.put(own, draft);
          await this.keeper.remove(key);
        }
        return draft;
      }
      await this.keeper.put(asideKey(key), { value, why: draft });
      await this.keeper.remove(key);
      this.warn(`Unsaved edits of this run cannot be read. They are set aside on this device. ${draft}`);
    }
    return undefined;
  }

  /** Keeps the draft of this tab, or drops it when the server has it. */
  keep(runId: string, draft: Versioned | undefined): void {
    const key = draftKey(runId, this.tabs.id);
    const done = draft ? this.keeper.put(key, draft) : this.keeper.remove(key);
    done.catch((error: unknown) => this.warn(error instanceof Error ? error.message : String(error)));
  }
}

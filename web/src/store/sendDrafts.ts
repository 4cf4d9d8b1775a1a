import { routes } from '@kobran/contract';
import { catalog as shipped, withShop } from '@kobran/core';
import type { QueryClient } from '@tanstack/react-query';
import { call, Refused, Unreachable } from './client.js';
import { DocumentEditor, type Versioned } from './documentEditor.js';
import { Drafts, type ReadDocument } from './drafts.js';
import type { Keeper } from './kept/keeper.js';
import { DRAFTS, readDraftKey } from './kept/keys.js';
import type { Tabs } from './kept/tabs.js';
import { shopOf } from './queries.js';
import { readDesignDraft } from './readDesignDraft.js';
import { underEdit, type DocumentPorts } from './useDocumentEditor.js';
import { runPorts, versioned } from './useRunEditor.js';
import { readSiteDraft, sitePorts, versionedSite } from './useSiteEditor.js';

interface Device {
  keeper: Keeper;
  tabs: Pick<Tabs, 'id' | 'open' | 'alone'>;
  later: (ms: number, act: () => void) => () => void;
  warn: (message: string) => void;
}

/**
 * Sends edits which were made without the server and whose screen is closed by now, each put together with what others did meanwhile. Where a
 * person has to decide they stay as they are, and it is said where.
 */
export const sendDrafts = (queries: QueryClient, device: Device): Promise<void> =>
  device.tabs.alone('drafts', async () => {
    const open = await device.tabs.open();
    const waiting = (await device.keeper.entries(DRAFTS)).map(([key]) => readDraftKey(key));
    const mine = waiting.filter(
      ({ id, tab }) => !underEdit.has(id) && (tab === device.tabs.id || !open.has(tab)),
    );
    if (mine.length === 0) return;
    try {
      const { entries } = await queries.fetchQuery(shopOf);
      const catalog = withShop(shipped, entries);
      for (const { id, kind, documentId } of new Map(mine.map((one) => [one.id, one])).values())
        if (kind === 'site') {
          const { name, place } = await call(routes.readJob, { id: documentId });
          await sendOne(
            device,
            { id, name: `the site ${name}` },
            versionedSite(place),
            readSiteDraft,
            sitePorts(documentId, queries),
          );
        } else {
          const run = await call(routes.readRun, { id: documentId });
          const read: ReadDocument<typeof run.design> = (value) => readDesignDraft(value, catalog);
          await sendOne(
            device,
            { id, name: run.design.name },
            versioned(run),
            read,
            runPorts(documentId, queries, catalog),
          );
        }
    } catch (error) {
      // Away again, or what it was of is gone: the drafts stay.
      if (!(error instanceof Unreachable || error instanceof Refused)) throw error;
    }
  });

async function sendOne<D, C>(
  { keeper, tabs, later, warn }: Device,
  { id, name }: { id: string; name: string },
  known: Versioned<D>,
  read: ReadDocument<D>,
  ports: DocumentPorts<D, C>,
): Promise<void> {
  const drafts = new Drafts(keeper, tabs, warn);
  const draft = await drafts.find(id, read);
  if (!draft) return;
  await new Promise<void>((done) => {
    const editor = new DocumentEditor<D, C>(known, draft, {
      ...ports,
      tellMerged: () => undefined,
      keepDraft: (kept) => drafts.keep(id, kept),
      later,
    });
    const leave = editor.subscribe(() => {
      const { kind } = editor.snapshot().save;
      if (kind === 'saving') return;
      if (kind === 'conflict' || kind === 'refused')
        warn(`Edits of ${name} wait on this device for somebody to decide: open it.`);
      leave();
      editor.stop();
      done();
    });
    editor.start();
  });
}

import { isObject } from '@kobran/core';
import type { Keeper } from './keeper.js';
import { draftKey, outboxKey, progressKey } from './keys.js';

/** Where versions before this one kept things: the browser’s local storage, each list as a whole. */
const OUTBOX = 'kobran.outbox';
const DRAFT = /^kobran\.draft\.(.+)$/;
const WORK = /^kobran\.(card|batch)\.([^.]+)\.(.+)$/;

/** Fact kinds which an older outbox held as readings and log entries. */
type Upgrade = (kind: 'reading' | 'log', body: unknown) => unknown;

/**
 * Moves what an older version kept into the new store; what cannot be read stays where it was.
 *
 * @param old the browser’s local storage
 * @param upgrade an entry of the old outbox as a fact
 */
export async function moveOldStore(
  old: Storage,
  keeper: Keeper,
  upgrade: Upgrade,
  now: string,
): Promise<void> {
  for (const key of Object.keys(old)) {
    const value = parsed(old.getItem(key));
    if (value === undefined) continue;
    const [, runId] = DRAFT.exec(key) ?? [];
    const [, what, workRun, rest] = WORK.exec(key) ?? [];
    if (key === OUTBOX && Array.isArray(value)) await moveOutbox(value, keeper, upgrade);
    else if (runId !== undefined) await keeper.put(draftKey(runId, 'before'), value);
    else if (what !== undefined && isObject(value))
      await keeper.put(progressKey(workRun, workKey(what, rest)), { at: now, body: value });
    else continue;
    old.removeItem(key);
  }
}

async function moveOutbox(list: unknown[], keeper: Keeper, upgrade: Upgrade): Promise<void> {
  for (const item of list) {
    if (!isObject(item) || !isObject(item.body)) continue;
    const { runId, kind, body } = item;
    const parcel =
      kind === 'trace'
        ? { runId, kind, body }
        : { runId, kind: 'fact', body: upgrade(kind === 'reading' ? 'reading' : 'log', body) };
    await keeper.put(outboxKey(String(body.at), String(body.id)), parcel);
  }
}

/** `card.<run>.main.a.re-end` was the work “re-end” on the end `main.a`. */
function workKey(what: string, rest: string): string {
  const [piece, side, ...work] = rest.split('.');
  return `${what} ${piece}.${side}${work.length > 0 ? ` ${work.join('.')}` : ''}`;
}

function parsed(text: string | null): unknown {
  try {
    return text === null ? undefined : (JSON.parse(text) as unknown);
  } catch {
    return undefined; // Truncated write after power loss, or somebody else’s text.
  }
}

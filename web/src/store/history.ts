/** A document under edit, with what undo and redo lead to. */
export interface History<D> {
  present: D;
  past: readonly D[];
  future: readonly D[];
}

/** Steps kept; beyond it the oldest are forgotten. */
const MAX_STEPS = 200;

export const historyOf = <D>(present: D): History<D> => ({ present, past: [], future: [] });

/** A new present; the old one is one undo away. An edit which changes nothing is none. */
export function edited<D>(history: History<D>, present: D): History<D> {
  if (JSON.stringify(present) === JSON.stringify(history.present)) return history;
  return { present, past: [...history.past, history.present].slice(-MAX_STEPS), future: [] };
}

export function undone<D>({ present, past, future }: History<D>): History<D> {
  const before = past.at(-1);
  return before
    ? { present: before, past: past.slice(0, -1), future: [present, ...future] }
    : { present, past, future };
}

export function redone<D>({ present, past, future }: History<D>): History<D> {
  const [after, ...rest] = future;
  return after ? { present: after, past: [...past, present], future: rest } : { present, past, future };
}

import type { Design } from '@kobran/core';

/** A design under edit, with what undo and redo lead to. */
export interface History {
  present: Design;
  past: readonly Design[];
  future: readonly Design[];
}

/** Steps kept; beyond it the oldest are forgotten. */
const MAX_STEPS = 200;

export const historyOf = (present: Design): History => ({ present, past: [], future: [] });

/** A new present; the old one is one undo away. An edit which changes nothing is none. */
export function edited(history: History, present: Design): History {
  if (JSON.stringify(present) === JSON.stringify(history.present)) return history;
  return { present, past: [...history.past, history.present].slice(-MAX_STEPS), future: [] };
}

export function undone({ present, past, future }: History): History {
  const before = past.at(-1);
  return before
    ? { present: before, past: past.slice(0, -1), future: [present, ...future] }
    : { present, past, future };
}

export function redone({ present, past, future }: History): History {
  const [after, ...rest] = future;
  return after ? { present: after, past: [...past, present], future: rest } : { present, past, future };
}

import { looksOf, type Look, type Sheet } from '../run/index.js';

/** Something which is to be looked at again. */
export interface Inspection {
  /** Stable: the same look has the same id every time it is listed. */
  id: string;
  runId: string;
  run: string;
  what: string;
  /** ISO 8601. */
  due: string;
  /** Its day is over. */
  overdue: boolean;
}

/** Looks which are farther off nobody plans for yet, days. Common practice, no source. */
export const SOON_DAYS = 60;

/** The last day, ISO 8601, which is soon. */
export const soonUntil = (now: string): string =>
  new Date(Date.parse(now) + SOON_DAYS * 24 * 3600 * 1000).toISOString().slice(0, 10);

/** Is it overdue, due within {@link SOON_DAYS}, or later? By days, ISO 8601. */
export const whenDue = (due: string, now: string): 'overdue' | 'soon' | 'later' =>
  due.slice(0, 10) < now.slice(0, 10) ? 'overdue' : due.slice(0, 10) <= soonUntil(now) ? 'soon' : 'later';

/** A run with what of it is looked at again. */
export interface RunToLookAt {
  id: string;
  name: string;
  looks: readonly Look[];
}

/**
 * Everything which is looked at again, the first due first.
 *
 * @param now ISO 8601
 */
export const inspectionsOf = (
  runs: readonly { id: string; name: string; sheet: Pick<Sheet, 'wraps'> }[],
  now: string,
): Inspection[] =>
  looksInOrder(
    runs.map(({ id, name, sheet }) => ({ id, name, looks: looksOf(sheet) })),
    now,
  );

/** As {@link inspectionsOf}, where the looks of each run are known already. */
export function looksInOrder(runs: readonly RunToLookAt[], now: string): Inspection[] {
  return runs
    .flatMap(({ id: runId, name, looks }) =>
      looks.map(({ jointId, what, due }): Inspection => ({
        id: `${runId} ${jointId}`,
        runId,
        run: name,
        what,
        due,
        overdue: whenDue(due, now) === 'overdue',
      })),
    )
    .toSorted((x, y) => x.due.localeCompare(y.due) || x.id.localeCompare(y.id));
}

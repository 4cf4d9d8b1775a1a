import type { Sheet } from '../run/index.js';

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

/**
 * Everything which is looked at again, the first due first.
 *
 * @param now ISO 8601
 */
export function inspectionsOf(
  runs: readonly { id: string; name: string; sheet: Pick<Sheet, 'wraps'> }[],
  now: string,
): Inspection[] {
  return runs
    .flatMap(({ id: runId, name, sheet }) =>
      sheet.wraps.flatMap(({ jointId, name: joint, zone, inspectionDue }): Inspection[] =>
        inspectionDue
          ? [
              {
                id: `${runId} ${jointId}`,
                runId,
                run: name,
                what: `Seal of ${joint}, ${zone}`,
                due: inspectionDue,
                overdue: inspectionDue.slice(0, 10) < now.slice(0, 10),
              },
            ]
          : [],
      ),
    )
    .toSorted((x, y) => x.due.localeCompare(y.due) || x.id.localeCompare(y.id));
}

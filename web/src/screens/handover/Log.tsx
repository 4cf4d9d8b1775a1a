import {
  aboutOf,
  checkLog,
  checkSweeps,
  factsOf,
  factText,
  readBatchEndId,
  sweepHash,
  type SweepCheck,
} from '@kobran/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { messageOf } from '../../store/client.js';
import { logOf, tracesOfRun, wholeTrace } from '../../store/queries.js';
import { useOpenRun } from '../../store/RunContext.js';
import { useCatalog } from '../../store/Shop.js';
import { sayMoment } from '../../ui/dates.js';
import { useWords } from '../../ui/Preferences.js';

/** Whatever a fact is about by its name; a batch’s piece with its number. */
function placeName(about: string, names: ReadonlyMap<string, string>): string {
  const { end, piece } = readBatchEndId(about);
  return `${names.get(end) ?? end}${piece === undefined ? '' : `, piece ${piece}`}`;
}

/** What was done, the newest first, and whether it is still what was written. */
export function Log({ names }: { names: ReadonlyMap<string, string> }): ReactNode {
  const { facts } = useOpenRun();
  const catalog = useCatalog();
  const words = useWords();
  const log = facts.filter(({ kind }) => kind !== 'reading');
  return (
    <section className="mt-4" aria-labelledby="log">
      <h2 id="log" className="font-bold">
        Log
      </h2>
      <Chain />
      <SweepsCheck />
      {log.length === 0 && <p className="text-muted">Nothing is logged yet.</p>}
      <ul>
        {log
          .toSorted((x, y) => y.at.localeCompare(x.at))
          .map((fact) => {
            const about = aboutOf(fact);
            return (
              <li
                key={fact.id}
                className="grid gap-x-4 border-b border-rule py-1 sm:grid-cols-[10rem_6rem_1fr]"
              >
                <span className="figures text-sm text-muted">{sayMoment(fact.at)}</span>
                <span>
                  {fact.by || 'unsigned'}
                  {fact.member !== undefined && (
                    <span className="text-sm text-muted" title="Signed by a session, not by a typed name">
                      {' '}
                      signed in
                    </span>
                  )}
                </span>
                <span>
                  <strong>
                    {fact.kind}
                    {about && `, ${placeName(about, names)}`}:
                  </strong>{' '}
                  {fact.kind === 'grounded' ? words(factText(fact, catalog)) : factText(fact, catalog)}
                </span>
              </li>
            );
          })}
      </ul>
    </section>
  );
}

/** Sweeps lie beside the log, their hashes in it: whoever wants to know has them fetched and held against it. */
function SweepsCheck(): ReactNode {
  const { id, facts } = useOpenRun();
  const queries = useQueryClient();
  const { mutate, data, error, isPending } = useMutation({
    mutationFn: async () => {
      const listed = await queries.fetchQuery(tracesOfRun(id));
      const hashes: string[] = [];
      for (const one of listed) hashes.push(sweepHash(await queries.fetchQuery(wholeTrace(id, one.id))));
      return checkSweeps(facts, hashes);
    },
  });
  if (factsOf(facts, 'sweep').length === 0) return null;
  return (
    <div role="status" className="text-sm">
      {!data && (
        <button className="underline underline-offset-4" disabled={isPending} onClick={() => mutate()}>
          {isPending ? 'Checking the sweeps…' : 'Check the sweeps against the log'}
        </button>
      )}
      {error && <p className="text-caution">The sweeps were not checked: {messageOf(error)}</p>}
      {data && <SweepsResult check={data} />}
    </div>
  );
}

function SweepsResult({ check: { sound, missing, unlogged } }: { check: SweepCheck }): ReactNode {
  return (
    <>
      {missing.length > 0 ? (
        <p className="font-semibold text-stop">
          Not as they were taken, or not here: {missing.join(', ')}. Look for them in a backup.
        </p>
      ) : (
        <p className="text-muted">
          Checked: {sound.length === 1 ? 'its one sweep has' : `all ${sound.length} sweeps have`} the samples
          that were taken.
        </p>
      )}
      {unlogged > 0 && <p className="text-muted">{unlogged} kept by an earlier version, not in the log.</p>}
    </>
  );
}

/** Whether nothing was changed, taken out or moved in what the server keeps; checked here, not believed. */
function Chain(): ReactNode {
  const { id, facts } = useOpenRun();
  const { data, error } = useQuery(logOf(id));
  if (error) return <p className="text-sm text-muted">The log was not checked: {messageOf(error)}</p>;
  if (!data) return <p className="text-sm text-muted">Checking the log…</p>;
  const check = checkLog(data);
  const waiting = facts.filter((fact) => data.facts.every(({ id: kept }) => kept !== fact.id)).length;
  return (
    <div role="status" className="text-sm">
      {check.sound ? (
        <p className="text-muted">
          Checked:{' '}
          {check.entries === 1 ? 'its one entry is' : `all ${check.entries} entries, readings included, are`}{' '}
          as written, in the order in which they came. Head{' '}
          <code className="figures break-all">{check.head}</code>
        </p>
      ) : (
        <p className="font-semibold text-stop">
          {check.problem.message} {check.problem.remedy}
        </p>
      )}
      {waiting > 0 && <p className="text-muted">{waiting} not at the server yet.</p>}
    </div>
  );
}

import { routes } from '@kobran/contract';
import { checkLog, crewEntryText } from '@kobran/core';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { call, messageOf } from '../../store/client.js';
import { sayMoment } from '../../ui/dates.js';
import { CREW_LOG } from './useCrewChange.js';

/** Entries shown until somebody wants all. */
const FIRST = 20;

/** Who came in, and who did what only few may, the newest first; checked here, not believed. */
export function CrewLog(): ReactNode {
  const { data, error } = useQuery({ queryKey: CREW_LOG, queryFn: () => call(routes.readCrewLog) });
  const [all, setAll] = useState(false);
  if (error) return <p className="mt-6 text-stop">The log cannot be read: {messageOf(error)}</p>;
  if (!data) return null;
  const check = checkLog(data);
  const entries = data.facts.toReversed();
  return (
    <section className="mt-6" aria-labelledby="crew-log">
      <h2 id="crew-log" className="text-lg font-bold">
        What happened
      </h2>
      <p className={check.sound ? 'text-muted' : 'font-semibold text-stop'} role="status">
        {check.sound
          ? `Checked: all ${check.entries} entries are as written, in the order in which they came.`
          : `${check.problem.message} ${check.problem.remedy}`}
      </p>
      <ul className="mt-2">
        {(all ? entries : entries.slice(0, FIRST)).map((entry) => (
          <li
            key={entry.id}
            className="grid gap-x-4 border-b border-rule py-1 sm:grid-cols-[10rem_minmax(0,1fr)]"
          >
            <span className="figures text-sm text-muted">{sayMoment(entry.at)}</span>
            <span>
              <strong>{entry.by}</strong> {crewEntryText(entry)}
            </span>
          </li>
        ))}
      </ul>
      {!all && entries.length > FIRST && (
        <button className="button mt-3" onClick={() => setAll(true)}>
          Show all {entries.length}
        </button>
      )}
    </section>
  );
}

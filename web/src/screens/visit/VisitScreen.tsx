import { type ListedTrace } from '@kobran/contract';
import {
  counted,
  designChanges,
  factText,
  formatLength,
  inspectionsOf,
  lastVisit,
  placeNames,
  aboutOf,
  revisionsOf,
  type Fact,
} from '@kobran/core';
import { useQuery } from '@tanstack/react-query';
import { useMemo, useState, type ReactNode } from 'react';
import { Link, useSearchParams } from 'react-router';
import { SnagDetail } from '../../frame/SnagDetail.js';
import { messageOf } from '../../store/client.js';
import { InspectionList } from '../../frame/InspectionList.js';
import { revisionsOfRun } from '../../store/queries.js';
import { useOpenRun } from '../../store/RunContext.js';
import { useCatalog } from '../../store/Shop.js';
import { useTraces } from '../../store/useTraces.js';
import { now, sayDay } from '../../ui/dates.js';
import { usePreferences } from '../../ui/Preferences.js';
import { StagePage } from '../../ui/StagePage.js';
import { DriftTable } from './DriftTable.js';

/** Somebody comes back and has read a label: what it should be, what has changed since, what is due, and what to sweep again. */
export function VisitScreen(): ReactNode {
  const { sheet, facts, id, editor } = useOpenRun();
  const { units } = usePreferences();
  const [query] = useSearchParams();
  // One moment for the whole visit: a day which begins while somebody reads changes nothing.
  const [moment] = useState(now);
  const { all: sweeps } = useTraces();
  const last = lastVisit<Fact | ListedTrace>([...facts, ...sweeps], moment);
  const due = inspectionsOf([{ id, name: editor.design.name, sheet }], moment);
  const names = placeNames(sheet);
  const piece = query.get('at');
  const overdue = due.filter((one) => one.overdue).length;
  return (
    <StagePage
      headline={
        last
          ? `Last here ${sayDay(last.at)}${last.by.length > 0 ? `: ${last.by.join(', ')}` : ''}`
          : 'Nobody has logged a visit here before today'
      }
      reason={`${sheet.headline}; ${formatLength(sheet.totalM, { system: units })} from radio to antenna. ${counted(sheet.snags)}.`}
    >
      {piece && names.has(piece) && (
        <p className="text-lg">
          The label is of <strong>{names.get(piece)}</strong>.
        </p>
      )}
      <p className="mt-3 flex flex-wrap gap-3">
        <Link className="button button-primary" to={`/runs/${id}/prove`}>
          Sweep it again
        </Link>
        <Link className="button" to={`/runs/${id}/seal`}>
          Look at the seals
        </Link>
        <Link className="button" to={`/runs/${id}/handover`}>
          Log, photos and notes
        </Link>
      </p>
      <section className="mt-6" aria-labelledby="due">
        <h2 id="due" className="font-bold">
          {overdue > 0 ? `Due: ${overdue} overdue` : 'Due'}
        </h2>
        {due.length === 0 && <p className="text-muted">Nothing is sealed yet: nothing is due.</p>}
        <InspectionList due={due} ofRun />
      </section>
      <DriftTable />
      <SinceSigned />
      {last && <OnThatDay done={last.done} names={names} />}
      {sheet.snags.length > 0 && (
        <section className="mt-6" aria-label="Open problems">
          <h2 className="font-bold">Open problems</h2>
          {sheet.snags.map((snag) => (
            <SnagDetail key={snag.id} snag={snag} />
          ))}
        </section>
      )}
    </StagePage>
  );
}

/** What is not as it was signed. */
function SinceSigned(): ReactNode {
  const { id, facts, editor } = useOpenRun();
  const catalog = useCatalog();
  const { units } = usePreferences();
  const revision = revisionsOf(facts).at(-1);
  const { data, error } = useQuery({ ...revisionsOfRun(id), enabled: revision !== undefined });
  const signed = data?.find(({ hash }) => hash === revision?.design)?.design;
  const changes = useMemo(
    () => (signed ? designChanges(signed, editor.design, catalog, units) : []),
    [signed, editor.design, catalog, units],
  );
  if (!revision) return null;
  return (
    <section className="mt-6" aria-labelledby="since">
      <h2 id="since" className="font-bold">
        Since revision {revision.number}, signed {sayDay(revision.signed[0].at)}
      </h2>
      {error && <p className="text-caution">{messageOf(error)}</p>}
      {data && !signed && <p className="text-muted">It was signed before Kobran kept what was signed.</p>}
      {signed && changes.length === 0 && <p className="text-muted">Nothing of the design was changed.</p>}
      <ul className="list-disc pl-5">
        {changes.map(({ text }) => (
          <li key={text}>{text}</li>
        ))}
      </ul>
    </section>
  );
}

function OnThatDay({
  done,
  names,
}: {
  done: readonly (Fact | ListedTrace)[];
  names: ReadonlyMap<string, string>;
}): ReactNode {
  const catalog = useCatalog();
  return (
    <section className="mt-6" aria-labelledby="then">
      <h2 id="then" className="font-bold">
        Done on that day
      </h2>
      <ul>
        {done.map((one) => {
          const isFact = 'kind' in one;
          const about = isFact ? aboutOf(one) : one.pieceId;
          return (
            <li key={one.id} className="border-b border-rule py-1">
              <strong>
                {isFact ? one.kind : 'sweep'}
                {about && `, ${names.get(about) ?? about}`}:
              </strong>{' '}
              {isFact ? factText(one, catalog) : one.name}
            </li>
          );
        })}
      </ul>
    </section>
  );
}

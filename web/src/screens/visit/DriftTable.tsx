import type { StoredTrace } from '@kobran/contract';
import {
  driftByPlace,
  formatLength,
  predictSweep,
  referenceOhmOf,
  sweepsToCompare,
  type PlaceDrift,
  type Result,
} from '@kobran/core';
import { useMemo, type ReactNode } from 'react';
import { useOpenRun } from '../../store/RunContext.js';
import { useCatalog } from '../../store/Shop.js';
import { traceAgainst, useTraces, useWholeTraces } from '../../store/useTraces.js';
import { sayDay } from '../../ui/dates.js';
import { usePreferences } from '../../ui/Preferences.js';

/** Drift between two whole sweeps of the same thing; nothing where one is not at hand, or the run has it no more. */
function useDrift(
  first: StoredTrace | undefined,
  last: StoredTrace | undefined,
): Result<PlaceDrift[]> | undefined {
  const { editor } = useOpenRun();
  const catalog = useCatalog();
  const { design } = editor;
  return useMemo(() => {
    const known = first && (first.pieceId === '' || design.pieces.some(({ id }) => id === first.pieceId));
    if (!first || !last || !known) return undefined;
    const [{ lowHz, highHz }] = design.service.bands;
    const ohm = referenceOhmOf(design);
    const [then, now] = [traceAgainst(first, ohm), traceAgainst(last, ohm)];
    const swept = predictSweep(design, catalog, first.pieceId, first.far, now.frequencyHz);
    return driftByPlace(
      swept,
      { at: first.at, frequencyHz: then.frequencyHz, s11: then.s.s11 },
      { at: last.at, frequencyHz: now.frequencyHz, s11: now.s.s11 },
      (lowHz + highHz) / 2,
    );
  }, [first, last, design, catalog]);
}

/** What comes back from each joint now, against the birth record of the same thing, and how much that is in a year. */
export function DriftTable(): ReactNode {
  const { all } = useTraces();
  const { birth, last: later } = sweepsToCompare(all);
  const { wholes } = useWholeTraces([birth, later].flatMap((one) => one ?? []));
  const [first, last] = [birth && wholes.get(birth.id), later && wholes.get(later.id)];
  const drift = useDrift(first, last);
  return (
    <section className="mt-6" aria-labelledby="drift">
      <h2 id="drift" className="font-bold">
        Drift since birth
      </h2>
      {!birth && (
        <p className="text-muted">No sweep is its birth record yet: there is nothing to compare with.</p>
      )}
      {birth && !later && (
        <p className="text-muted">
          Its birth record is {birth.name} of {sayDay(birth.at)}. Sweep it again in the same way to see what
          has drifted.
        </p>
      )}
      {drift && !drift.ok && <p className="text-caution">{drift.problem.message}</p>}
      {birth && later && drift?.ok && (
        <>
          <p className="text-muted">
            {later.name} of {sayDay(later.at)} against {birth.name} of {sayDay(birth.at)}.
          </p>
          <Places places={drift.value} />
        </>
      )}
    </section>
  );
}

/** `+0.4 dB`; nothing where it is not known, and no sign where it rounds to nothing. */
function signed(value: number | undefined, unit: string): string {
  if (value === undefined) return '–';
  const text = Math.abs(value).toFixed(1);
  return `${text === '0.0' ? '' : value > 0 ? '+' : '−'}${text}${unit}`;
}

function Places({ places }: { places: readonly PlaceDrift[] }): ReactNode {
  const { units } = usePreferences();
  const hasRate = places.some(({ addedDbPerYear }) => addedDbPerYear !== undefined);
  return (
    <div className="relative mt-2 overflow-x-auto" tabIndex={0} role="group" aria-label="Drift by place">
      <table className="w-full">
        <thead>
          <tr className="text-left text-sm text-muted">
            <th className="py-1 pr-3 font-normal">Comes back from</th>
            <th className="pr-3 text-right font-normal">At</th>
            <th className="hidden pr-3 text-right font-normal sm:table-cell">Birth</th>
            <th className="hidden pr-3 text-right font-normal sm:table-cell">Now</th>
            <th className="pr-3 text-right font-normal">More by</th>
            {hasRate && <th className="pr-3 text-right font-normal">a year</th>}
            <th className="text-right font-normal">Later by</th>
            {hasRate && <th className="pl-3 text-right font-normal">a year</th>}
          </tr>
        </thead>
        <tbody>
          {places.map(({ name, atM, birthDb, nowDb, ...drift }) => (
            <tr key={`${name} ${atM}`} className="figures border-t border-rule whitespace-nowrap">
              <td className="py-1 pr-3 font-sans whitespace-normal">{name}</td>
              <td className="pr-3 text-right">{formatLength(atM, { system: units })}</td>
              <td className="hidden pr-3 text-right sm:table-cell">{birthDb.toFixed(1)} dB</td>
              <td className="hidden pr-3 text-right sm:table-cell">{nowDb.toFixed(1)} dB</td>
              <td className="pr-3 text-right font-bold">{signed(drift.addedDb, ' dB')}</td>
              {hasRate && <td className="pr-3 text-right">{signed(drift.addedDbPerYear, ' dB')}</td>}
              <td className="text-right font-bold">{signed(drift.laterDegrees, '°')}</td>
              {hasRate && <td className="pl-3 text-right">{signed(drift.laterDegreesPerYear, '°')}</td>}
            </tr>
          ))}
        </tbody>
      </table>
      {!hasRate && (
        <p className="mt-1 text-sm text-muted">
          Less than a month lies between them: nothing is said of a year.
        </p>
      )}
    </div>
  );
}

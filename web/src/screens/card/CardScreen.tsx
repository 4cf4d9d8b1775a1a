import {
  cardFor,
  findAssembly,
  makeSchools,
  partsFor,
  type EndSheet,
  type Part,
  type WorkId,
} from '@kobran/core';
import type { ReactNode } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { usePreferences } from '../../ui/Preferences.js';
import { useOpenRun } from '../../store/RunContext.js';
import { useCatalog } from '../../store/Shop.js';
import { Message } from '../../ui/Message.js';
import { useWorkProgress } from '../../store/useWorkProgress.js';
import { freshProgress, readCardProgress } from './cardProgress.js';
import { RunningCard } from './RunningCard.js';
import type { CardWork } from './useCard.js';

const worksByName: Record<string, WorkId> = { 're-end': 're-end', shrink: 'shrink' };

/** The card of one end: what lies on the bench beside the vice. */
export function CardScreen(): ReactNode {
  const { endId = '' } = useParams();
  const [query] = useSearchParams();
  const { sheet, id, practice } = useOpenRun();
  const { units } = usePreferences();
  const end = sheet.ends.find((one) => one.id === endId);
  const back = { label: 'Back to Make', to: `/runs/${id}/make` };
  if (!end) return <Message title="This end is not in the run any more" action={back} />;
  if (end.gauge.fit.verdict !== 'fits') return <DoesNotFit end={end} />;
  const work = worksByName[query.get('work') ?? ''] as WorkId | undefined;
  const card = cardFor(end.part, end.cable, units, {
    schools: makeSchools(practice),
    exposed: end.exposed,
    farEndMade: end.farEndMade,
    twoPersonCheck: practice.twoPersonCheck ?? false,
    ...(work ? { work } : {}),
  });
  if (!card)
    return (
      <Message
        title={`No card for ${end.part.name}`}
        detail="A corrugated tube is flared as its part’s own sheet says; the strip gauge in Make still holds."
        action={back}
      />
    );
  return <OpenCard key={`${end.id} ${work ?? ''}`} card={card} end={end} work={work ?? 'new end'} />;
}

/** Opens the card where this device, or another one, left it. */
function OpenCard({ card, end, work }: Pick<CardWork, 'card' | 'end' | 'work'>): ReactNode {
  const { id } = useOpenRun();
  const name = work === 'new end' ? `card ${end.id}` : `card ${end.id} ${work}`;
  const kept = useWorkProgress(id, name, readCardProgress);
  if (!kept) return <Message title="One moment…" />;
  const progress = kept.body ?? freshProgress;
  return <RunningCard card={card} end={end} work={work} progress={progress} keep={kept.keep} />;
}

const MAX_OFFERED = 6;

/** The part does not suit the cable: why, and what does, one press away. */
function DoesNotFit({ end }: { end: EndSheet }): ReactNode {
  const { id, editor } = useOpenRun();
  const catalog = useCatalog();
  const piece = findAssembly(editor.design, end.pieceId);
  const fitting = partsFor(
    end.cable,
    [...catalog.parts.values()].filter(({ face }) => face === end.part.face),
    end.exposed,
  ).slice(0, MAX_OFFERED);
  const take = ({ id: part }: Part): void => {
    if (piece) editor.change([{ op: 'set piece', piece: { ...piece, [end.end]: { part } } }]);
  };
  return (
    <main className="mx-auto max-w-3xl px-4 py-10">
      <h1 className="text-xl font-bold">This part does not suit the cable: {end.gauge.fit.verdict}</h1>
      <p className="mt-2 text-lg">
        {end.part.name}, on {end.cable.name}. {end.gauge.fit.reason}
      </p>
      {fitting.length > 0 ? (
        <>
          <h2 className="mt-6 font-bold">These fit, with the same connector</h2>
          <ul className="mt-2 grid gap-2">
            {fitting.map((part) => (
              <li key={part.id}>
                <button className="button min-h-12 w-full" onClick={() => take(part)}>
                  Take {part.name}
                  <span className="ml-auto font-normal text-muted">
                    {part.hexMm === null ? 'needs no die' : `${part.hexMm} mm die`}, {part.minutes} min
                  </span>
                </button>
              </li>
            ))}
          </ul>
        </>
      ) : (
        <p className="mt-4">
          No part with this connector fits {end.cable.name}: another cable, or an adapter.
        </p>
      )}
      <p className="mt-6 flex flex-wrap gap-3">
        <Link className="button" to={`/runs/${id}/plan?at=${end.pieceId}`}>
          Choose in Plan
        </Link>
        <Link className="button" to={`/catalog/part/${end.part.id}`}>
          Look at the part’s dimensions
        </Link>
        <Link className="button" to={`/runs/${id}/make`}>
          Back to Make
        </Link>
      </p>
    </main>
  );
}

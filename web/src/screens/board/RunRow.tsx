import type { BoardRun } from '@kobran/contract';
import { formatLength, type RunSummary } from '@kobran/core';
import { MoreHorizontal } from 'lucide-react';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { usePreferences, useWords } from '../../ui/Preferences.js';
import { MiniLine } from '../../drawing/ruler/MiniLine.js';
import { useOutbox } from '../../store/Device.js';
import { Menu } from '../../ui/Menu.js';
import { SnagMark, snagColour } from '../../ui/SnagMark.js';
import { StateMark, stateWords } from '../../ui/StateMark.js';
import { useDeletion } from './useDeletion.js';

/** A run as a thin line to scale, with its worst snag, its stages and what to do next. */
export function RunRow({ run: { id, summary, fault } }: { run: BoardRun }): ReactNode {
  if (summary) return <RunLine id={id} summary={summary} />;
  return (
    <li className="border-b border-rule py-2.5">
      <p className="text-caution">{fault ?? 'Nothing can be said of this run.'}</p>
      <p className="text-muted">It is kept as it is; backups and the job’s file have it.</p>
    </li>
  );
}

function RunLine({ id, summary }: { id: string; summary: RunSummary }): ReactNode {
  const { units } = usePreferences();
  const { name, line, passes, headline, worst, counted, stages, next } = summary;
  const remove = useDeletion();
  const words = useWords();
  return (
    <li className="grid gap-x-6 gap-y-1 border-b border-rule py-2.5 md:grid-cols-[minmax(0,1fr)_19rem]">
      <div className="min-w-0">
        <p className="flex flex-wrap items-baseline gap-x-3">
          <Link
            to={`/runs/${id}/plan`}
            className="font-bold underline decoration-rule underline-offset-4 hover:decoration-ink"
          >
            {name}
          </Link>
          <span className="figures text-sm text-muted">{formatLength(line.totalM, { system: units })}</span>
          <Waiting runId={id} />
        </p>
        <MiniLine sheet={line} />
        <p className={passes ? 'text-muted' : 'text-stop'}>{headline}</p>
      </div>
      <div>
        <ul className="flex gap-1.5" aria-label="Stages">
          {stages.map(({ id: stage, name: title, state, detail }) => (
            <li key={stage} title={`${title}: ${stateWords[state]}, ${detail}`}>
              <StateMark state={state} />
              <span className="sr-only">
                {title}: {stateWords[state]}
              </span>
            </li>
          ))}
        </ul>
        {worst && (
          <p className={`mt-1 flex items-start gap-1.5 text-sm ${snagColour[worst.level]}`}>
            <span className="mt-0.5">
              <SnagMark level={worst.level} size={14} />
            </span>
            <span>
              <span className="font-semibold">{worst.what}</span>{' '}
              <span className="whitespace-nowrap text-muted">({counted})</span>
            </span>
          </p>
        )}
        <p className="mt-1 flex items-baseline justify-between gap-2">
          <Link
            className="font-semibold underline underline-offset-4"
            to={`/runs/${id}/${next.stage}${next.at ? `?at=${next.at}` : ''}`}
          >
            {next.stage === 'ground' ? words(next.text) : next.text}
          </Link>
          <Menu
            label={`More for ${name}`}
            align="end"
            className="grid size-8 shrink-0 place-items-center rounded hover:bg-panel"
            trigger={<MoreHorizontal size={18} aria-hidden />}
            items={[
              {
                label: 'Delete',
                hint: 'it can be restored',
                act: () => remove('run', id, name),
              },
            ]}
          />
        </p>
      </div>
    </li>
  );
}

/** What the server does not know yet is not in what it says. */
function Waiting({ runId }: { runId: string }): ReactNode {
  const count = useOutbox().waiting.filter((one) => one.runId === runId).length;
  if (count === 0) return null;
  return (
    <span className="text-sm font-semibold text-caution">
      {count} {count === 1 ? 'entry' : 'entries'} not sent yet
    </span>
  );
}

import type { RunDocument } from '@kobran/contract';
import {
  checkReferences,
  counted,
  evaluate,
  formatLength,
  onSite,
  type Practice,
  type Site,
} from '@kobran/core';
import { MoreHorizontal } from 'lucide-react';
import { useMemo, type ReactNode } from 'react';
import { Link } from 'react-router';
import { usePreferences, useWords } from '../../ui/Preferences.js';
import { MiniLine } from '../../drawing/ruler/MiniLine.js';
import { useFacts } from '../../store/Device.js';
import { useCatalog } from '../../store/Shop.js';
import { Menu } from '../../ui/Menu.js';
import { SnagMark, snagColour } from '../../ui/SnagMark.js';
import { StateMark, stateWords } from '../../ui/StateMark.js';
import { useDeletion } from './useDeletion.js';

interface Props {
  run: RunDocument;
  practice: Practice;
  place: Site | undefined;
}

/** A run as a thin line to scale, with its worst snag, its stages and what to do next. */
export function RunRow(props: Props): ReactNode {
  const { run } = props;
  const catalog = useCatalog();
  const [unknown] = checkReferences(run.design, catalog);
  if (!unknown) return <RunLine {...props} />;
  return (
    <li className="border-b border-rule py-2.5">
      <span className="font-bold">{run.design.name}</span>
      <span className="block text-caution">
        {unknown.message} With the server running, load the page again.
      </span>
    </li>
  );
}

function RunLine({ run, practice, place }: Props): ReactNode {
  const { units } = usePreferences();
  const facts = useFacts(run.id, run.facts);
  const catalog = useCatalog();
  const sheet = useMemo(
    () => evaluate(onSite(run.design, place), catalog, { facts, practice, sweepPoints: 2 }),
    [run.design, place, catalog, facts, practice],
  );
  const worst = sheet.snags.at(0);
  const remove = useDeletion();
  const words = useWords();
  return (
    <li className="grid gap-x-6 gap-y-1 border-b border-rule py-2.5 md:grid-cols-[minmax(0,1fr)_19rem]">
      <div className="min-w-0">
        <p className="flex flex-wrap items-baseline gap-x-3">
          <Link
            to={`/runs/${run.id}/plan`}
            className="font-bold underline decoration-rule underline-offset-4 hover:decoration-ink"
          >
            {run.design.name}
          </Link>
          <span className="figures text-sm text-muted">{formatLength(sheet.totalM, { system: units })}</span>
        </p>
        <MiniLine sheet={sheet} />
        <p className={sheet.passes ? 'text-muted' : 'text-stop'}>{sheet.headline}</p>
      </div>
      <div>
        <ul className="flex gap-1.5" aria-label="Stages">
          {sheet.stages.map(({ id, name, state, detail }) => (
            <li key={id} title={`${name}: ${stateWords[state]}, ${detail}`}>
              <StateMark state={state} />
              <span className="sr-only">
                {name}: {stateWords[state]}
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
              <span className="whitespace-nowrap text-muted">({counted(sheet.snags)})</span>
            </span>
          </p>
        )}
        <p className="mt-1 flex items-baseline justify-between gap-2">
          <Link
            className="font-semibold underline underline-offset-4"
            to={`/runs/${run.id}/${sheet.next.stage}${sheet.next.at ? `?at=${sheet.next.at}` : ''}`}
          >
            {sheet.next.stage === 'ground' ? words(sheet.next.text) : sheet.next.text}
          </Link>
          <Menu
            label={`More for ${run.design.name}`}
            align="end"
            className="grid size-8 shrink-0 place-items-center rounded hover:bg-panel"
            trigger={<MoreHorizontal size={18} aria-hidden />}
            items={[
              {
                label: 'Delete',
                hint: 'it can be restored',
                act: () => remove('run', run.id, run.design.name),
              },
            ]}
          />
        </p>
      </div>
    </li>
  );
}

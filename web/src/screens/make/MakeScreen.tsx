import { formatLength, recipes, type EndSheet } from '@kobran/core';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { usePreferences } from '../../preferences/Preferences.js';
import { useWidth } from '../../ruler/useWidth.js';
import { useOpenRun } from '../../runs/RunContext.js';
import { StagePage } from '../../shell/StagePage.js';
import { StateMark } from '../../shell/StateMark.js';
import { StripGaugeDrawing } from '../../gauge/StripGaugeDrawing.js';
import { Dies } from './Dies.js';
import { sayDay } from '../../shell/dates.js';

/** Every end of the run with its strip gauge and the way to its card. */
export function MakeScreen(): ReactNode {
  const { sheet } = useOpenRun();
  const open = sheet.ends.filter(({ made }) => !made);
  const minutes = open.reduce((sum, { part }) => sum + part.minutes, 0);
  const headline =
    sheet.ends.length === 0
      ? 'No ends to make'
      : open.length === 0
        ? `All ${sheet.ends.length} ends are made`
        : `${open.length} of ${sheet.ends.length} ends to make, about ${minutes} minutes`;
  return (
    <StagePage
      headline={headline}
      reason="Each end has a card: one step at a time, checks before anything that cannot be undone. The part maker’s own sheet wins over these figures."
    >
      <ul className="divide-y divide-rule border-y border-rule">
        {sheet.ends.map((end) => (
          <End key={end.id} end={end} />
        ))}
      </ul>
      <Dies />
    </StagePage>
  );
}

function End({ end }: { end: EndSheet }): ReactNode {
  const { id, facts } = useOpenRun();
  const { units } = usePreferences();
  const [ref, width] = useWidth<HTMLDivElement>();
  const made = facts.log.findLast(({ kind, about }) => kind === 'end made' && about === end.id);
  const hasCard = recipes.some(({ makes }) => makes(end.part, end.cable));
  return (
    <li className="grid gap-x-6 gap-y-2 py-3 lg:grid-cols-[17rem_minmax(0,1fr)]">
      <div>
        <h2 className="flex items-center gap-2 font-bold">
          <StateMark state={end.made ? 'done' : 'not started'} /> {end.name}
        </h2>
        <p className="text-sm text-muted">
          {end.part.name}, on {end.cable.name}; at {formatLength(end.atM, { system: units })}
        </p>
        {made && (
          <p className="text-sm text-lake">
            Made{made.by ? ` by ${made.by}` : ''}, {sayDay(made.at)}
          </p>
        )}
        {end.failures > 0 && (
          <p className="text-sm text-caution">
            {end.failures === 1 ? 'Failed once before' : `Failed ${end.failures} times before`}
          </p>
        )}
        {end.gauge.fit.verdict !== 'fits' && (
          <p className="text-sm font-semibold text-stop">
            {end.gauge.fit.verdict}: {end.gauge.fit.reason}
          </p>
        )}
        {hasCard ? (
          <Link
            className={`button mt-2 ${end.made ? '' : 'button-copper'}`}
            to={`/runs/${id}/make/${end.id}`}
          >
            {end.made ? 'Make it again' : 'Open the card'}
          </Link>
        ) : (
          <p className="mt-2 text-sm text-muted">No card for this kind of part yet: go by its own sheet.</p>
        )}
      </div>
      <div ref={ref} className="min-w-0 rounded border border-rule bg-paper">
        {width > 0 && (
          <StripGaugeDrawing
            gauge={end.gauge}
            active={undefined}
            width={Math.min(width - 2, 620)}
            tall={60}
          />
        )}
      </div>
    </li>
  );
}

import { pathOf, routes } from '@kobran/contract';
import {
  cardFor,
  factText,
  factsOf,
  formatLength,
  makeSchools,
  newest,
  owns,
  stageHeadline,
  formatTool,
  type Card,
  type EndSheet,
} from '@kobran/core';
import { MoreHorizontal } from 'lucide-react';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { usePreferences } from '../../ui/Preferences.js';
import { useWidth } from '../../ui/useWidth.js';
import { useCatalog } from '../../store/Shop.js';
import { useOpenRun } from '../../store/RunContext.js';
import { RunPhotos } from '../../frame/RunPhotos.js';
import { Menu } from '../../ui/Menu.js';
import { StagePage } from '../../ui/StagePage.js';
import { StateMark } from '../../ui/StateMark.js';
import { StripGaugeDrawing } from '../../drawing/gauge/StripGaugeDrawing.js';
import { sayDay } from '../../ui/dates.js';

/** Every end of the run with its strip gauge and the way to its card. */
export function MakeScreen(): ReactNode {
  const { sheet, id, jobId, editor } = useOpenRun();
  const { units } = usePreferences();
  return (
    <StagePage
      headline={stageHeadline('make', sheet, editor.design, units)}
      reason={`Each end has a card: one step at a time, checks before anything that cannot be undone.${slackText(sheet.slack)} The part maker’s own sheet wins over these figures.`}
    >
      <p className="mb-3 flex flex-wrap gap-x-5 gap-y-1">
        <a
          className="underline underline-offset-4 hover:decoration-2"
          href={pathOf(routes.printGauges, { id, query: { units } })}
          target="_blank"
          rel="noreferrer"
        >
          Print all strip gauges 1:1
        </a>
        <a
          className="underline underline-offset-4 hover:decoration-2"
          href={pathOf(routes.printGauges, { id, query: { units, form: 'tactile' } })}
          target="_blank"
          rel="noreferrer"
        >
          Print gauges to feel
        </a>
        <a
          className="underline underline-offset-4 hover:decoration-2"
          href={pathOf(routes.printLabels, { id, query: {} })}
          target="_blank"
          rel="noreferrer"
        >
          Print the labels
        </a>
        <Link className="underline underline-offset-4 hover:decoration-2" to={`/jobs/${jobId}/practice`}>
          Our practice: methods, tools, dies, crew
        </Link>
        <Link className="underline underline-offset-4 hover:decoration-2" to="/ends">
          Ends made and failed, by part and person
        </Link>
      </p>
      <ul className="divide-y divide-rule border-y border-rule">
        {sheet.ends.map((end) => (
          <End key={end.id} end={end} />
        ))}
      </ul>
    </StagePage>
  );
}

const slackText = (slack: { remakes: number; spareM: number } | undefined): string => {
  if (!slack || slack.spareM < 0) return '';
  return slack.remakes === 0
    ? ' No spare for re-terminating: measure twice.'
    : ` The spare is enough to re-terminate ${slack.remakes === 1 ? 'once' : `${slack.remakes} times`}.`;
};

function End({ end }: { end: EndSheet }): ReactNode {
  const { practice } = useOpenRun();
  const { units } = usePreferences();
  const [ref, width] = useWidth<HTMLDivElement>();
  const card = cardFor(end.part, end.cable, units, { schools: makeSchools(practice) });
  return (
    <li className="grid gap-x-6 gap-y-2 py-3 lg:grid-cols-[22rem_minmax(0,1fr)]">
      <div>
        <h2 className="flex items-center gap-2 font-bold">
          <StateMark state={end.made ? 'done' : 'not started'} /> {end.name}
        </h2>
        <p className="text-sm text-muted">
          {end.part.name}, on {end.cable.name}; at{' '}
          <span className="whitespace-nowrap">{formatLength(end.atM, { system: units })}</span>
        </p>
        {end.copies > 1 && (
          <p className="text-sm">
            {end.copiesMade} of {end.copies} of the same are made
          </p>
        )}
        <History end={end} />
        {!end.made && end.afterPull && !end.afterPull.pulled && (
          <p className="text-sm text-caution">
            Made after the pull: the connector does not go through {end.afterPull.leg.name}
          </p>
        )}
        <Obstacles end={end} card={card} />
        {!end.made && (
          <div className="mt-2 flex gap-2">
            <ToTheCard end={end} card={card} />
          </div>
        )}
      </div>
      {end.made && (
        <div className="flex flex-wrap items-start justify-between gap-3">
          <div className="flex items-start gap-2">
            <ToTheCard end={end} card={card} />
          </div>
          <RunPhotos about={end.id} of={end.name} />
        </div>
      )}
      <div ref={ref} className={end.made ? 'hidden' : 'min-w-0 rounded border border-rule bg-paper'}>
        {width > 0 && !end.made && (
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

/** Who made it, what it cost, what was done differently. */
function History({ end }: { end: EndSheet }): ReactNode {
  const { facts } = useOpenRun();
  const catalog = useCatalog();
  const { units } = usePreferences();
  const lastDeviation = end.deviations.at(-1);
  const made = newest(factsOf(facts, 'end made').filter(({ endId }) => endId === end.id));
  const lost =
    end.lostM > 0 ? `, ${formatLength(end.lostM, { system: units, small: true })} of cable lost` : '';
  return (
    <>
      {end.made && made && (
        <p className="text-sm text-lake">
          Made{made.by ? ` by ${made.by}` : ''}, {sayDay(made.at)}
          {made.end?.checkedBy ? `; checked by ${made.end.checkedBy}` : ''}
        </p>
      )}
      {end.failures > 0 && (
        <p className="text-sm text-caution">
          {end.failures === 1 ? 'Failed once before' : `Failed ${end.failures} times before`}
          {lost}
        </p>
      )}
      {end.deviations.length > 0 && (
        <p className="text-sm text-muted">Noted: {lastDeviation && factText(lastDeviation, catalog)}</p>
      )}
    </>
  );
}

/** What stands in the way: a part that does not fit, a tool the shop has not. */
function Obstacles({ end, card }: { end: EndSheet; card: Card | undefined }): ReactNode {
  const { practice } = useOpenRun();
  const lacking = card?.tools.filter((need) => !owns(practice, need)) ?? [];
  const { verdict, reason } = end.gauge.fit;
  return (
    <>
      {verdict !== 'fits' && (
        <p className="text-sm font-semibold text-stop">
          {verdict}: {reason}
        </p>
      )}
      {!end.made && lacking.length > 0 && (
        <p className="text-sm text-caution">Not in the shop: {lacking.map(formatTool).join(', ')}</p>
      )}
    </>
  );
}

function ToTheCard({ end, card }: { end: EndSheet; card: Card | undefined }): ReactNode {
  const { id } = useOpenRun();
  const to = `/runs/${id}/make/${end.id}`;
  if (end.gauge.fit.verdict !== 'fits')
    return (
      <Link className="button button-primary" to={to}>
        What fits instead?
      </Link>
    );
  if (!card) return <p className="text-sm text-muted">No card for this kind of part: go by its own sheet.</p>;
  return (
    <>
      <Link className={`button ${end.made ? '' : 'button-primary'}`} to={to}>
        {end.made ? 'Make this end again' : 'Open the card'}
      </Link>
      <More end={end} />
    </>
  );
}

/** What else can be done with an end. */
function More({ end }: { end: EndSheet }): ReactNode {
  const { id } = useOpenRun();
  const { units } = usePreferences();
  const to = `/runs/${id}/make/${end.id}`;
  return (
    <Menu
      align="start"
      className="button"
      label={`More for ${end.name}`}
      trigger={
        <>
          <MoreHorizontal size={18} aria-hidden />
          More
        </>
      }
      items={[
        { to: `${to}/repair`, label: 'This end is damaged', hint: 'how much to cut back, what it does' },
        { to: `${to}?work=shrink`, label: 'Adhesive shrink and strain relief', hint: 'on a made end' },
        { to: `${to}/batch`, label: 'Make several of the same', hint: 'one set-up, a tick for each piece' },
        {
          to: pathOf(routes.printGauges, { id, query: { end: end.id, units } }),
          label: 'Print its gauge 1:1',
          hint: 'PDF, with a 100 mm check bar',
          file: true,
        },
        {
          to: pathOf(routes.printGauges, { id, query: { end: end.id, units, form: 'tactile' } }),
          label: 'Print its gauge to feel',
          hint: 'PDF, notches to cut from card',
          file: true,
        },
      ]}
    />
  );
}

import type { JobDocument } from '@kobran/contract';
import {
  factAbout,
  emptySite,
  formatFigure,
  formatLength,
  pullCard,
  type PullCard,
  type Site,
  type Way,
  type WaySheet,
} from '@kobran/core';
import { Check } from 'lucide-react';
import { useEffect, type ReactNode } from 'react';
import { useParams } from 'react-router';
import { TopBar } from '../../../frame/TopBar.js';
import { messageOf } from '../../../store/client.js';
import { useFacts, useFactWriter } from '../../../store/Device.js';
import { useJob } from '../../../store/queries.js';
import { useSiteDraft } from '../../../store/useSiteEditor.js';
import { FigureText } from '../../../ui/FigureText.js';
import { Message } from '../../../ui/Message.js';
import { usePreferences } from '../../../ui/Preferences.js';
import { SignedBy } from '../../../ui/SignedBy.js';
import { Caution } from '../../../ui/StagePage.js';
import { sayDay } from '../../../ui/dates.js';
import { useSiteSheet } from '../useSiteSheet.js';

/** For the phone at the duct: who stands where, how hard, what to check, and done. */
export function PullScreen(): ReactNode {
  const { jobId = '', wayId = '' } = useParams();
  const { data: job, error } = useJob(jobId);
  // What was drawn here and is not on the server yet counts.
  const kept = useSiteDraft(jobId);
  if (job && kept) return <PullOf job={job} wayId={wayId} drawn={kept.draft?.document} />;
  return error ? (
    <Message title={messageOf(error)} action={{ label: 'Go to the board', to: '/' }} />
  ) : (
    <Message title="Opening the site…" />
  );
}

function PullOf({
  job,
  wayId,
  drawn,
}: {
  job: JobDocument;
  wayId: string;
  drawn: Site | undefined;
}): ReactNode {
  const site = drawn ?? job.place?.site ?? emptySite;
  const sheet = useSiteSheet(job, site).ways.find(({ way }) => way.id === wayId);
  useEffect(() => {
    document.title = 'Pull – Kobran';
  }, []);
  if (!sheet)
    return (
      <Message
        title="This site has no such way."
        action={{ label: 'Open the site', to: `/jobs/${job.id}/site` }}
      />
    );
  const card = pullCard(site, sheet);
  return (
    <div className="flex min-h-screen flex-col">
      <TopBar
        crumbs={[
          { label: job.name, to: `/?job=${job.id}` },
          { label: 'Site', to: `/jobs/${job.id}/site` },
          { label: 'Pull' },
        ]}
      />
      <main className="relative mx-auto w-full max-w-2xl flex-1 px-4 py-4 text-[1.0625rem]">
        {card ? (
          <Card card={card} sheet={sheet} />
        ) : (
          <h1 className="text-2xl font-bold">Nothing waits to be pulled into {sheet.way.name}</h1>
        )}
        <Installed job={job} sheet={sheet} />
      </main>
    </div>
  );
}

function Card({ card, sheet: { way, length } }: { card: PullCard; sheet: WaySheet }): ReactNode {
  const { units } = usePreferences();
  const { cables, feedAt, pullAt, dry, lubricated, limit, bends, verdict } = card;
  const metres = (value: number): string => formatLength(value, { system: units, digits: 1 });
  const tooWide = cables.filter(({ madeTooWide }) => madeTooWide);
  return (
    <>
      <h1 className="text-2xl leading-tight font-bold">
        Pull {cables.length} {cables.length === 1 ? 'cable' : 'cables'} from {feedAt.name} to {pullAt.name}
      </h1>
      <p className="mt-1">
        <span className="text-muted">{way.name}, </span>
        <FigureText figure={length} />
      </p>
      {tooWide.map(({ plan }) => (
        <p key={plan.cable.runId} className="mt-3 border-l-4 border-stop pl-3 text-stop">
          <strong>Stop.</strong> The end of {plan.cable.label} is made already and does not go through. Cut it
          off, or take another way.
        </p>
      ))}
      <Step title="Who stands where">
        <li>
          One at <strong>{feedAt.name}</strong> with the reel: feeds by hand, keeps the cables side by side,
          calls out.
        </li>
        <li>
          One at <strong>{pullAt.name}</strong> at the cord, with a spring balance in it.
        </li>
        {bends.map(({ atM, degrees }) => (
          <li key={atM}>
            Bend of {Math.round(degrees)}° after {metres(atM)}: somebody there if it can be reached.
          </li>
        ))}
      </Step>
      <Step title="Before">
        {cables.map(({ plan: { cable }, leadingPasses }) => (
          <li key={cable.runId}>
            <strong>{cable.label}</strong>, {cable.run}:{' '}
            {leadingPasses
              ? 'the connector at its leading end may be on, under tape.'
              : 'no connector on its leading end; make it afterwards.'}
          </li>
        ))}
        <li>Label both ends of every cable. Close bare ends against water.</li>
        <li>
          {way.duct?.cord === false
            ? 'There is no cord in it: rod or blow one through first.'
            : 'Tie the cables to the cord at their braid, stepped, not at their centres; tape it to a point.'}
        </li>
        <li>Tie a new cord on too: it stays in for the next cable.</li>
      </Step>
      <Step title="Pull">
        <li>
          Dry <FigureText figure={dry} /> at the end, with lubricant <FigureText figure={lubricated} />. Stop
          at <FigureText figure={limit} />.
        </li>
        {verdict !== 'dry' && (
          <li className="text-stop">
            <strong>{verdict === 'too much' ? 'Too much even with lubricant' : 'Not dry'}:</strong>{' '}
            {verdict === 'too much'
              ? 'one cable after another, or a wider bend, or a box between.'
              : 'use lubricant which the jackets stand.'}
          </li>
        )}
        <li>Steadily, never with a jerk. More than half of it comes after {metres(card.hardFromM)}.</li>
        {card.sidewallNPerM !== undefined && (
          <li>Most pressed in its tightest bend: {Math.round(card.sidewallNPerM)} N/m.</li>
        )}
        <li>If it stops: ease, turn, look. Do not pull harder.</li>
      </Step>
      <Step title="Afterwards">
        <li>Leave the loops which the route asks for at both ends.</li>
        <li>Meter each cable: centre to shield open, both conductors through.</li>
        {way.duct && (
          <li>
            {way.duct.drained ? 'See that the drain is open.' : 'It has no drain: it will fill with water.'}
          </li>
        )}
        <li>Close the duct at both ends against water and animals.</li>
      </Step>
      <div className="mt-4">
        <Caution>
          Gloves; fingers out of the loop of a cord under load; nobody in line with it. In pits: gas and water
          first.
        </Caution>
      </div>
      <p className="mt-3 text-sm text-muted">
        Limit of each cable:{' '}
        {cables.map(({ plan }) => `${plan.cable.label} ${formatFigure(plan.limit, units)}`).join(', ')}.
        Friction: handbook of the trade, from memory.
      </p>
    </>
  );
}

function Step({ title, children }: { title: string; children: ReactNode }): ReactNode {
  return (
    <section aria-label={title} className="mt-5">
      <h2 className="border-b-2 border-ink font-bold">{title}</h2>
      <ul className="mt-1 space-y-2 [&>li]:border-b [&>li]:border-rule [&>li]:pb-2">{children}</ul>
    </section>
  );
}

/** What lies in the way, and what was pulled in: marked here, run by run. */
function Installed({ job, sheet: { way, cables } }: { job: JobDocument; sheet: WaySheet }): ReactNode {
  return (
    <section aria-label="Installed" className="mt-6">
      <h2 className="border-b-2 border-ink font-bold">In it</h2>
      <div className="my-3">
        <SignedBy crew={job.practice.crew} />
      </div>
      <ul className="space-y-3">
        {cables.map(({ runId, label, run }) => (
          <li key={`${runId}-${label}`}>
            <RunInWay runId={runId} name={`${label}, ${run}`} way={way} job={job} />
          </li>
        ))}
      </ul>
    </section>
  );
}

function RunInWay({
  runId,
  name,
  way: { id, name: wayName },
  job,
}: {
  runId: string;
  name: string;
  way: Way;
  job: JobDocument;
}): ReactNode {
  const kept = job.runs.find((run) => run.id === runId)?.facts ?? [];
  const facts = useFacts(runId, kept);
  const writer = useFactWriter(runId);
  const known = factAbout(facts, 'installed') ?? factAbout(facts, 'installed', id);
  return known ? (
    <p className="flex items-center gap-2 font-semibold text-lake">
      <Check size={18} aria-hidden /> {name}
      <span className="font-normal text-muted">
        {known.by ? `${known.by}, ` : ''}
        {sayDay(known.at)}
      </span>
    </p>
  ) : (
    <div className="flex flex-wrap items-center justify-between gap-2">
      <span>{name}</span>
      <button
        className="button button-primary min-h-12"
        aria-label={`Mark ${name} as pulled in`}
        onClick={() => writer.add({ kind: 'installed', way: { id, name: wayName } })}
      >
        Mark as pulled in
      </button>
    </div>
  );
}

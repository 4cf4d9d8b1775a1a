import {
  findRoutes,
  formatFigure,
  formatLength,
  slackCauses,
  usualSlackM,
  wayLength,
  type Design,
  type FoundRoute,
  type RouteStep,
  type Site,
  type SlackCause,
} from '@kobran/core';
import { Plus, X } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { Link, useSearchParams } from 'react-router';
import { useOpenRun } from '../../store/RunContext.js';
import { Choice } from '../../ui/Choice.js';
import { usePreferences } from '../../ui/Preferences.js';
import { Menu } from '../../ui/Menu.js';
import { routeEnds } from './routeEnds.js';
import { RunLengthField } from '../../ui/LengthField.js';

/** The ways of the site a run lies in, with what it keeps in each of them. */
export function RouteOnSite({
  site,
  pointed,
  onPoint,
}: {
  site: Site;
  pointed: number | undefined;
  onPoint: (atM: number | undefined) => void;
}): ReactNode {
  const { editor, jobId, sheet } = useOpenRun();
  const { design } = editor;
  const spanOf = (way: string) => sheet.route.spans.find(({ leg }) => design.legs[leg].id === way);
  const isPointed = (way: string): boolean => {
    const span = spanOf(way);
    return span !== undefined && pointed !== undefined && pointed >= span.fromM && pointed < span.toM;
  };
  const pointAt = (way: string): void => {
    const span = spanOf(way);
    onPoint(span && (span.fromM + span.toM) / 2);
  };
  const set = (route: RouteStep[]): void => editor.change([{ op: 'set route', route }]);
  return (
    <>
      <ol className="mt-4 divide-y divide-rule border-y border-rule">
        {(design.route ?? []).map((step, k) => (
          <StepRow
            key={`${step.way}-${k}`}
            step={step}
            site={site}
            pointed={isPointed(step.way)}
            onPoint={(on) => (on ? pointAt(step.way) : onPoint(undefined))}
            onChange={(next) => set((design.route ?? []).map((old, n) => (n === k ? next : old)))}
          />
        ))}
      </ol>
      <p className="mt-2 text-sm text-muted">
        Lengths, bends and places are the site’s, shared by every run in a way.{' '}
        <Link className="underline underline-offset-4" to={`/jobs/${jobId}/site`}>
          Open the site
        </Link>
      </p>
      <ChooseRoute site={site} onChoose={set} />
      {design.route && (
        <button className="button mt-4" onClick={() => editor.change(ownLegs(design))}>
          Use legs of its own instead
        </button>
      )}
    </>
  );
}

/** The run keeps the legs it has from its ways, as its own. */
const ownLegs = ({ legs }: Design) => [
  { op: 'set legs' as const, legs },
  { op: 'set route' as const, route: [] },
];

const slackHints: Record<SlackCause, string> = {
  'drip loop': 'before it goes in: water falls off',
  'service coil': 'at the plate or in the rack, to work on its end',
  'rotator loop': 'lets the antenna turn',
  'mast-top tail': 'from the mast to the antenna',
  other: 'anything else',
};

function StepRow({
  step,
  site,
  pointed,
  onPoint,
  onChange,
}: {
  step: RouteStep;
  site: Site;
  pointed: boolean;
  onPoint: (on: boolean) => void;
  onChange: (step: RouteStep) => void;
}): ReactNode {
  const { units } = usePreferences();
  const way = site.ways.find(({ id }) => id === step.way);
  const free = slackCauses.filter((cause) => !step.slack.some((one) => one.cause === cause));
  const put = (cause: SlackCause, lengthM: number): void =>
    onChange({ ...step, slack: step.slack.map((one) => (one.cause === cause ? { cause, lengthM } : one)) });
  return (
    <li
      aria-label={way?.name ?? step.way}
      className={`flex flex-wrap items-end gap-x-4 gap-y-2 py-3 ${pointed ? 'bg-panel' : ''}`}
      onPointerEnter={() => onPoint(true)}
      onPointerLeave={() => onPoint(false)}
      onFocus={() => onPoint(true)}
      onBlur={() => onPoint(false)}
    >
      <div className="min-w-48 flex-1">
        <span className="font-semibold">{way?.name ?? `“${step.way}”, which the site does not have`}</span>
        {way && (
          <span className="block text-sm text-muted">
            {way.kind}, {way.conditions.join(', ')},{' '}
            <span className="figures">{formatFigure(wayLength(site, way), units)}</span>
          </span>
        )}
      </div>
      {step.slack.map(({ cause, lengthM }) => (
        <div key={cause} className="flex w-36 items-end gap-1">
          <RunLengthField
            label={cause}
            valueM={lengthM}
            allowZero
            onChange={(metres) => put(cause, metres)}
          />
          <button
            className="button px-2"
            aria-label={`Take the ${cause} out of ${way?.name ?? step.way}`}
            onClick={() => onChange({ ...step, slack: step.slack.filter((one) => one.cause !== cause) })}
          >
            <X size={16} aria-hidden />
          </button>
        </div>
      ))}
      {free.length > 0 && (
        <Menu
          label={`Add slack in ${way?.name ?? step.way}`}
          align="end"
          className="button"
          trigger={
            <>
              <Plus size={16} aria-hidden /> Slack
            </>
          }
          items={free.map((cause) => ({
            label: cause,
            hint: slackHints[cause],
            act: () => onChange({ ...step, slack: [...step.slack, { cause, lengthM: usualSlackM[cause] }] }),
          }))}
        />
      )}
    </li>
  );
}

/** The ways from one point to another, the shortest first. */
function ChooseRoute({ site, onChoose }: { site: Site; onChoose: (route: RouteStep[]) => void }): ReactNode {
  const { editor } = useOpenRun();
  const { units } = usePreferences();
  const { design } = editor;
  const [asked] = useSearchParams();
  const guess = routeEnds(site, design);
  // The site’s plan leads here with the points which were chosen there.
  const askedFor = (name: 'from' | 'to'): string =>
    site.points.find(({ id }) => id === asked.get(name))?.id ?? guess[name];
  const [from, setFrom] = useState(() => askedFor('from'));
  const [to, setTo] = useState(() => askedFor('to'));
  const found = findRoutes(site, from, to);
  const points = site.points.map(({ id, name }) => ({ value: id, label: name }));
  const now = (design.route ?? []).map(({ way }) => way).join();
  const choose = ({ ways }: FoundRoute): void =>
    onChoose(
      ways.map((way) => ({ way, slack: design.route?.find((step) => step.way === way)?.slack ?? [] })),
    );
  return (
    <section className="mt-5" aria-label="Choose the route">
      <h2 className="font-bold">{design.route ? 'Another route' : 'Choose the route'}</h2>
      <div className="mt-2 grid max-w-xl gap-3 sm:grid-cols-2">
        <Choice label="From" value={from} options={points} onChange={setFrom} />
        <Choice label="To" value={to} options={points} onChange={setTo} />
      </div>
      {found.length === 0 && (
        <p className="mt-2 text-muted">
          {from === to ? 'Choose two points.' : 'No ways of the site lead there.'}
        </p>
      )}
      <ol className="mt-2 space-y-2">
        {found.map((one) => (
          <li key={one.ways.join()} className="flex flex-wrap items-center gap-3">
            <button className="button" disabled={one.ways.join() === now} onClick={() => choose(one)}>
              {one.ways.join() === now ? 'Taken' : 'Take'}{' '}
              <span className="figures">{formatLength(one.lengthM, { system: units })}</span>
            </button>
            <span>
              {one.ways.map((id) => site.ways.find((way) => way.id === id)?.name).join(', ')}
              <span className="text-sm text-muted">
                {' '}
                · {one.bends} {one.bends === 1 ? 'bend' : 'bends'}
              </span>
            </span>
          </li>
        ))}
      </ol>
    </section>
  );
}

import { pathOf, routes } from '@kobran/contract';
import {
  cardExpectation,
  cutsFromEnd,
  formatTool,
  owns,
  stripText,
  formatCaliper,
  stripToolSettings,
  type Card,
  type EndSheet,
  type Step,
} from '@kobran/core';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { StripGaugeDrawing } from '../../drawing/gauge/StripGaugeDrawing.js';
import { TrainDrawing } from '../../drawing/gauge/TrainDrawing.js';
import { useScreenScale } from '../../drawing/gauge/useScreenScale.js';
import { usePreferences } from '../../ui/Preferences.js';
import { useWidth } from '../../ui/useWidth.js';
import { useOpenRun } from '../../store/RunContext.js';
import { SignedBy } from '../../ui/SignedBy.js';
import { TextField } from '../../ui/TextField.js';
import { HeatTimer } from './HeatTimer.js';
import { ReadingEntry } from './ReadingEntry.js';
import type { CardInWork } from './useCard.js';

/** Steps at which the loose parts matter more than the strip lengths. */
export const showsParts = (step: Step): boolean => step.id === 'parts' || step.confirm === true;

/** A drawing helps while parts go on and lengths are cut; not at the meter, nor where names are given, nor on work without a strip. */
const showsDrawing = (card: Card, step: Step): boolean =>
  !step.reading &&
  step.id !== 'sign' &&
  !step.secondPerson &&
  (showsParts(step) || card.steps.some(({ gauge }) => gauge !== undefined));

/** What the eyes are on: the parts, the strip gauge, or the meter. */
export function Bench({
  card,
  end,
  inWork,
  onRead,
  timerStarts,
}: {
  card: Card;
  end: EndSheet;
  inWork: CardInWork;
  onRead: (ohm: number) => void;
  timerStarts: number;
}): ReactNode {
  const { step, progress, last } = inWork;
  const { practice } = useOpenRun();
  const [ref, width] = useWidth<HTMLDivElement>();
  return (
    <div className="min-w-0">
      {step.reading && (
        <ReadingEntry
          key={step.id}
          expectation={cardExpectation(step.reading, card.cable, end.lengthM, practice.ohmMeter)}
          value={progress.readings[step.id]}
          onRead={onRead}
        />
      )}
      {showsDrawing(card, step) && (
        <div ref={ref} className="overflow-hidden rounded border border-rule bg-paper">
          {width > 0 &&
            (showsParts(step) ? (
              <PartsInOrder card={card} confirmed={progress.confirmed} width={width - 2} />
            ) : (
              <Gauge card={card} end={end} step={step} width={width - 2} />
            ))}
        </div>
      )}
      {step.id === 'parts' && <Tools card={card} />}
      {step.timerS !== undefined && <HeatTimer key={step.id} seconds={step.timerS} starts={timerStarts} />}
      {(last || step.secondPerson) && (
        <div className="mt-4 grid max-w-md gap-3 sm:grid-cols-2">
          <SignedBy crew={practice.crew ?? []} />
          {step.secondPerson && (
            <TextField
              label="Checked by"
              value={progress.checkedBy}
              maxLength={60}
              allowEmpty
              suggestions={practice.crew ?? []}
              onChange={inWork.checkedBy}
            />
          )}
        </div>
      )}
    </div>
  );
}

/** The bench’s tools; one the shop does not own is said at once. */
function Tools({ card }: { card: Card }): ReactNode {
  const { practice } = useOpenRun();
  return (
    <section className="mt-4 text-lg">
      <h2 className="text-base font-bold">Tools, about {card.minutes} minutes</h2>
      <ul className="gap-x-6 sm:columns-2">
        {card.tools.map((need) => (
          <li key={need.tool}>
            {formatTool(need)}
            {!owns(practice, need) && <strong className="text-caution"> – not in the shop</strong>}
          </li>
        ))}
      </ul>
    </section>
  );
}

function Gauge({
  card,
  end,
  step,
  width,
}: {
  card: Card;
  end: EndSheet;
  step: Step;
  width: number;
}): ReactNode {
  const { id } = useOpenRun();
  const { card: how, units, set } = usePreferences();
  const scale = useScreenScale();
  const lifeSize = how.lifeSize && scale !== undefined;
  return (
    <>
      <p className="flex flex-wrap justify-between gap-x-4 px-4 pt-2 text-sm text-muted">
        <span>Strip gauge, {lifeSize ? 'life-size: hold the cable against it' : 'to scale'}</span>
        <span>
          {card.gauge.nominal
            ? `About ± ${card.gauge.toleranceMm} mm for parts of this kind; check against yours`
            : `± ${card.gauge.toleranceMm} mm, by the part’s sheet`}
        </span>
      </p>
      <p className="flex flex-wrap gap-x-5 px-4 pt-0.5">
        {scale === undefined ? (
          <Link className="min-h-9 py-1.5 underline underline-offset-4 hover:decoration-2" to="/calibrate">
            Make it life-size: calibrate this screen once
          </Link>
        ) : (
          <button
            className="min-h-9 underline underline-offset-4 hover:decoration-2"
            onClick={() => set({ card: { ...how, lifeSize: !how.lifeSize } })}
          >
            {lifeSize ? 'Large instead of life-size' : 'Life-size'}
          </button>
        )}
        <a
          className="min-h-9 py-1.5 underline underline-offset-4 hover:decoration-2"
          href={pathOf(routes.printGauges, { id, query: { end: end.id, units } })}
          target="_blank"
          rel="noreferrer"
        >
          Print it 1:1
        </a>
      </p>
      <StripGaugeDrawing
        gauge={card.gauge}
        active={step.gauge}
        width={width}
        tall={128}
        pxPerMm={lifeSize ? scale : undefined}
      />
      <WaysToMark card={card} open={step.id === 'mark'} />
    </>
  );
}

/** Ruler, part, strip tool: the same lengths three ways. */
function WaysToMark({ card, open }: { card: Card; open: boolean }): ReactNode {
  const { units } = usePreferences();
  const small = (mm: number): string => stripText(mm, units);
  const cuts = cutsFromEnd(card.gauge).map(({ layer, atMm }) => `${layer} at ${small(atMm)}`);
  const blades = stripToolSettings(card.gauge, card.cable).map(
    ({ atMm, leavesMm }) => `blade at ${small(atMm)} leaving ${formatCaliper(leavesMm, units)} across`,
  );
  if (!open || cuts.length === 0)
    return (
      <p className="border-t border-rule px-4 py-2">
        <span className="text-muted">Without a ruler: </span>
        {card.gauge.partAsGauge}
      </p>
    );
  return (
    <dl className="grid gap-x-4 gap-y-1 border-t border-rule px-4 py-2 sm:grid-cols-[7rem_minmax(0,1fr)]">
      <dt className="text-muted">Ruler</dt>
      <dd>From the cut end: {cuts.join(', ')}.</dd>
      <dt className="text-muted">The part itself</dt>
      <dd>{card.gauge.partAsGauge}</dd>
      <dt className="text-muted">Strip tool</dt>
      <dd>{blades.join('; ')}. Try it on scrap.</dd>
    </dl>
  );
}

function PartsInOrder({
  card,
  confirmed,
  width,
}: {
  card: Card;
  confirmed: readonly string[];
  width: number;
}): ReactNode {
  return (
    <>
      <p className="px-4 pt-2 text-sm text-muted">
        Parts to scale, in sliding order; the cable’s end is to the right
      </p>
      <TrainDrawing
        items={card.train}
        confirmed={confirmed}
        jacketMm={card.cable.jacketMm}
        width={width}
        tall={96}
      />
      <ol aria-live="polite" className="grid gap-x-6 border-t border-rule px-4 py-2 sm:grid-cols-2">
        {card.train.map(({ id, name, direction }, k) => (
          <li key={id} className="flex gap-2">
            <span className="figures w-5 shrink-0 font-bold">{k + 1}</span>
            <span>
              <span className="font-semibold">{name}</span>
              {direction && <span className="text-muted">, {direction}</span>}
              {confirmed.includes(id) && <span className="font-semibold text-lake"> · on the cable</span>}
            </span>
          </li>
        ))}
      </ol>
    </>
  );
}

import { cardExpectation, cardFor, type Card, type EndSheet, type Step } from '@kobran/core';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { useNavigate, useParams } from 'react-router';
import { usePreferences } from '../../preferences/Preferences.js';
import { useWidth } from '../../ruler/useWidth.js';
import { useOpenRun } from '../../runs/RunContext.js';
import { Message } from '../../shell/Message.js';
import { SignedBy } from '../../shell/SignedBy.js';
import { SnagMark } from '../../shell/SnagMark.js';
import { HeatTimer } from './HeatTimer.js';
import { ReadingEntry } from './ReadingEntry.js';
import { say } from './speech.js';
import { StepsRow } from './StepsRow.js';
import { StripGaugeDrawing } from '../../gauge/StripGaugeDrawing.js';
import { TrainDrawing } from '../../gauge/TrainDrawing.js';
import { useCard, type CardInWork } from './useCard.js';
import { WentWrong } from './WentWrong.js';

/** The card of one end: what lies on the bench beside the vice. */
export function CardScreen(): ReactNode {
  const { endId = '' } = useParams();
  const { sheet, id } = useOpenRun();
  const { units } = usePreferences();
  const end = sheet.ends.find((one) => one.id === endId);
  const back = { label: 'Back to Make', to: `/runs/${id}/make` };
  if (!end) return <Message title="This end is not in the run any more" action={back} />;
  if (end.gauge.fit.verdict !== 'fits') {
    return (
      <Message
        title={`This part does not suit the cable: ${end.gauge.fit.verdict}`}
        detail={`${end.gauge.fit.reason} Choose another in Plan; the snag there offers what fits.`}
        action={{ label: 'Go to Plan', to: `/runs/${id}/plan?at=${end.pieceId}` }}
      />
    );
  }
  const card = cardFor(end.part, end.cable, units);
  if (!card)
    return (
      <Message
        title={`No card yet for ${end.part.name}`}
        detail="Use the part’s own sheet; the strip gauge in Make still holds."
        action={back}
      />
    );
  return <RunningCard key={end.id} card={card} end={end} />;
}

function RunningCard({ card, end }: { card: Card; end: EndSheet }): ReactNode {
  const { id: runId } = useOpenRun();
  const navigate = useNavigate();
  const leave = (): void => void navigate(`/runs/${runId}/make`);
  const work = useCard(card, end, leave);
  const { step, index } = work;
  const [wrong, setWrong] = useState(false);
  const heading = useRef<HTMLHeadingElement>(null);
  // A step which asks for a reading begins in its field; the others, and a reading once taken, at the title, where Space goes on.
  useEffect(() => {
    if (!step.reading) heading.current?.focus();
  }, [index, step.reading]);
  const read = (ohm: number): void => {
    work.read(ohm);
    heading.current?.focus();
  };
  const repeat = (): void => say(spoken(step));
  useHotkeys('space', work.goOn, { preventDefault: true, enabled: !wrong });
  useHotkeys('b, backspace', work.goBack, { preventDefault: true, enabled: !wrong });
  useHotkeys('w', () => setWrong(true), { preventDefault: true, enabled: !wrong });
  useHotkeys('r', repeat, { enabled: !wrong });
  useHotkeys('esc', leave, { enabled: !wrong });
  return (
    <main className="flex min-h-screen flex-col px-4 py-3 md:px-10 md:py-5">
      <div className="flex flex-wrap items-baseline justify-between gap-x-4">
        <p className="text-lg">
          <strong>{end.name}</strong>{' '}
          <span className="text-muted">
            {card.part.name}, on {card.cable.name}
          </span>
        </p>
        <button className="min-h-9 text-muted underline underline-offset-4 hover:text-copper" onClick={leave}>
          Esc leaves, nothing is lost
        </button>
      </div>
      <StepsRow card={card} at={index} />
      <h1
        ref={heading}
        tabIndex={-1}
        className="mt-3 text-xl leading-tight font-bold outline-none md:text-2xl"
      >
        <span className="sr-only">
          Step {index + 1} of {card.steps.length}:{' '}
        </span>
        {step.title}
      </h1>
      <p className="mt-1 text-lg md:text-[22px]">{step.how}</p>
      <div className="mt-4 grid flex-1 content-start gap-6 md:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
        <Bench card={card} work={work} onRead={read} />
        <Advice card={card} work={work} />
      </div>
      <p role="status" className="mt-2 min-h-7 text-lg font-bold text-stop">
        {work.hint}
      </p>
      <div className="sticky bottom-0 grid grid-cols-2 gap-3 bg-sheet pb-2 md:grid-cols-[minmax(0,3fr)_minmax(0,1fr)_minmax(0,1fr)]">
        <button
          className="col-span-2 flex min-h-20 items-center justify-between gap-3 rounded bg-copper px-6 text-left text-xl font-bold text-on-copper md:col-span-1"
          onClick={work.goOn}
        >
          {work.label}
          <span className="figures hidden text-lg font-normal md:inline">Space</span>
        </button>
        <button
          className="min-h-16 rounded border-2 border-ink bg-paper text-lg font-bold"
          onClick={() => setWrong(true)}
        >
          It went wrong
          <span className="figures block text-sm font-normal text-muted">W</span>
        </button>
        <button className="min-h-16 rounded border-2 border-ink bg-paper text-lg font-bold" onClick={repeat}>
          Say it again
          <span className="figures block text-sm font-normal text-muted">R</span>
        </button>
      </div>
      <WentWrong
        open={wrong}
        causes={step.goesWrong}
        onClose={() => setWrong(false)}
        onFailed={(cause) => {
          work.fail(cause);
          setWrong(false);
        }}
      />
    </main>
  );
}

/** What the eyes are on: the parts, the strip gauge, or the meter. */
function Bench({
  card,
  work,
  onRead,
}: {
  card: Card;
  work: CardInWork;
  onRead: (ohm: number) => void;
}): ReactNode {
  const { step, progress, lengthM, last } = work;
  const [ref, width] = useWidth<HTMLDivElement>();
  return (
    <div className="min-w-0">
      {step.reading ? (
        <ReadingEntry
          key={step.id}
          expectation={cardExpectation(step.reading, card.cable, lengthM)}
          value={progress.readings[step.id]}
          onRead={onRead}
        />
      ) : (
        <div ref={ref} className="rounded border border-rule bg-paper">
          {width > 0 &&
            (showsParts(step) ? (
              <PartsInOrder card={card} confirmed={progress.confirmed} width={width - 2} />
            ) : (
              <Gauge card={card} step={step} width={width - 2} />
            ))}
        </div>
      )}
      {step.timerS !== undefined && <HeatTimer key={step.id} seconds={step.timerS} />}
      {last && (
        <div className="mt-4 max-w-xs">
          <SignedBy />
        </div>
      )}
    </div>
  );
}

/** What to mind: the caution, what is right, what is wrong, what is on the cable. */
function Advice({ card, work }: { card: Card; work: CardInWork }): ReactNode {
  const { step, progress } = work;
  return (
    <div className="space-y-4 text-lg">
      {step.caution && (
        <p className="flex gap-2 font-bold text-caution">
          <span className="mt-1">
            <SnagMark level="caution" size={20} />
          </span>
          {step.caution}
        </p>
      )}
      {step.irreversible && <p className="font-bold text-stop">No way back from here.</p>}
      <Words title="Looks right" lines={step.looksRight} />
      {step.goesWrong.length > 0 && <Words title="Goes wrong" lines={step.goesWrong} tone="text-stop" />}
      {step.id === 'parts' && <Words title="Tools" lines={card.tools} />}
      {!showsParts(step) && (
        <OnCable
          items={card.train.filter(({ id }) => progress.confirmed.includes(id))}
          jacketMm={card.cable.jacketMm}
        />
      )}
    </div>
  );
}

/** Steps at which the loose parts matter more than the strip lengths. */
const showsParts = (step: Step): boolean => step.id === 'parts' || step.confirm !== undefined;

function Gauge({ card, step, width }: { card: Card; step: Step; width: number }): ReactNode {
  return (
    <>
      <p className="flex flex-wrap justify-between gap-x-4 px-4 pt-2 text-sm text-muted">
        <span>Strip gauge, to scale</span>
        <span>± {card.gauge.toleranceMm} mm; the part’s own sheet wins</span>
      </p>
      <StripGaugeDrawing gauge={card.gauge} active={step.gauge} width={width} tall={128} />
      <p className="border-t border-rule px-4 py-2">
        <span className="text-muted">Without a ruler: </span>
        {card.gauge.partAsGauge}
      </p>
    </>
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
      <ol className="grid gap-x-6 border-t border-rule px-4 py-2 sm:grid-cols-2">
        {card.train.map(({ id, name, direction }, k) => (
          <li key={id} className="flex gap-2">
            <span className="figures w-5 shrink-0 font-bold">{k + 1}</span>
            <span>
              <span className="font-semibold">{name}</span>
              {direction && <span className="text-muted">, {direction}</span>}
              {confirmed.includes(id) && <span className="font-semibold text-copper"> · on the cable</span>}
            </span>
          </li>
        ))}
      </ol>
    </>
  );
}

const spoken = (step: Step): string =>
  [step.title, step.how, step.caution, `Looks right: ${step.looksRight.join('; ')}`]
    .filter(Boolean)
    .join('. ');

function Words({
  title,
  lines,
  tone = '',
}: {
  title: string;
  lines: readonly string[];
  tone?: string;
}): ReactNode {
  return (
    <section>
      <h2 className={`text-base font-bold ${tone}`}>{title}</h2>
      <ul>
        {lines.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
    </section>
  );
}

function OnCable({ items, jacketMm }: { items: Card['train']; jacketMm: number }): ReactNode {
  const [ref, width] = useWidth<HTMLDivElement>();
  if (items.length === 0) return null;
  return (
    <section>
      <h2 className="text-base font-bold">On the cable already</h2>
      <div ref={ref} className="rounded border border-rule bg-paper">
        {width > 0 && (
          <TrainDrawing
            items={items}
            confirmed={items.map(({ id }) => id)}
            jacketMm={jacketMm}
            width={width - 2}
          />
        )}
        <p className="px-2 pb-1 text-sm text-muted">
          {items
            .map(({ name, direction }, k) => `${k + 1} ${name}${direction ? ` (${direction})` : ''}`)
            .join(', ')}
        </p>
      </div>
    </section>
  );
}

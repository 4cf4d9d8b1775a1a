import { pathOf, routes } from '@kobran/contract';
import { cardFor, makeSchools, readBatch, type Card, type EndSheet, type Layer } from '@kobran/core';
import type { ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import { StripGaugeDrawing } from '../../drawing/gauge/StripGaugeDrawing.js';
import { usePreferences } from '../../ui/Preferences.js';
import { useWidth } from '../../ui/useWidth.js';
import { useOpenRun } from '../../store/RunContext.js';
import { useWorkProgress } from '../../store/useWorkProgress.js';
import { Message } from '../../ui/Message.js';
import { SignedBy } from '../../ui/SignedBy.js';
import { StagePage } from '../../ui/StagePage.js';
import { BatchStart } from './BatchStart.js';
import { PieceGrid } from './PieceGrid.js';
import { useBatch, type BatchInWork, type BatchWork } from './useBatch.js';

/** Several of the same end, side by side: one set-up, each step ticked piece by piece. */
export function BatchScreen(): ReactNode {
  const { endId = '' } = useParams();
  const { sheet, id, practice } = useOpenRun();
  const { units } = usePreferences();
  const end = sheet.ends.find((one) => one.id === endId);
  const back = { label: 'Back to Make', to: `/runs/${id}/make` };
  const card =
    end &&
    cardFor(end.part, end.cable, units, {
      schools: makeSchools(practice),
      exposed: end.exposed,
      farEndMade: end.farEndMade,
    });
  if (!end || !card) return <Message title="There is no card for this end" action={back} />;
  if (end.gauge.fit.verdict !== 'fits')
    return (
      <Message
        title={`This part does not suit the cable: ${end.gauge.fit.verdict}`}
        detail={end.gauge.fit.reason}
        action={{ label: 'What fits instead?', to: `/runs/${id}/make/${end.id}` }}
      />
    );
  return <OpenBatch key={end.id} card={card} end={end} />;
}

function OpenBatch({ card, end }: { card: Card; end: EndSheet }): ReactNode {
  const { id } = useOpenRun();
  const kept = useWorkProgress(id, `batch ${end.id}`, readBatch);
  if (!kept) return <Message title="One moment…" />;
  return <KeptBatch card={card} end={end} batch={kept.body} keep={kept.keep} />;
}

function KeptBatch(given: BatchWork): ReactNode {
  const work = useBatch(given);
  const { card, end } = given;
  if (!work.batch) return <BatchStart card={card} end={end} onStart={work.start} />;
  return <Working card={card} end={end} work={work} />;
}

function Working({ card, end, work }: { card: Card; end: EndSheet; work: BatchInWork }): ReactNode {
  const { id, practice } = useOpenRun();
  const { batch, step, finished } = work;
  if (!batch) return null;
  const good = batch.count - Object.keys(batch.failed).length;
  const labels = pathOf(routes.printLabels, { id, query: { piece: end.pieceId, count: batch.count } });
  if (finished)
    return (
      <StagePage
        headline={`${good} of ${batch.count} made`}
        reason={`${end.part.name}, on ${end.cable.name}. Each is in the log with its readings.`}
      >
        <p className="flex flex-wrap gap-3">
          <a className="button" href={labels} target="_blank" rel="noreferrer">
            Print the labels
          </a>
          <button className="button" onClick={work.drop}>
            Another batch
          </button>
          <Link className="button button-primary" to={`/runs/${id}/make`}>
            Back to Make
          </Link>
        </p>
      </StagePage>
    );
  return (
    <StagePage
      headline={step.title}
      reason={`Step ${batch.step + 1} of ${card.steps.length}, on every piece before the next. ${step.how}`}
    >
      {step.caution && <p className="mb-3 text-lg font-bold text-caution">{step.caution}</p>}
      {step.irreversible && <p className="mb-3 text-lg font-bold text-stop">No way back from here.</p>}
      <PieceGrid work={work} />
      <p role="status" className="mt-3 min-h-7 text-lg font-bold text-stop">
        {work.hint}
      </p>
      <div className="mt-2 grid max-w-4xl gap-6 md:grid-cols-2">
        <Lines title="Looks right" lines={step.looksRight} />
        <Lines title="Goes wrong" lines={step.goesWrong} />
      </div>
      {step.gauge && <GaugeBelow card={card} active={step.gauge} />}
      <div className="mt-4 flex flex-wrap items-end gap-3">
        {step.id === 'sign' && (
          <div className="w-56">
            <SignedBy crew={practice.crew ?? []} />
          </div>
        )}
        <button className="button min-h-11" onClick={work.back} disabled={batch.step === 0}>
          Back one step
        </button>
        <a className="button min-h-11" href={labels} target="_blank" rel="noreferrer">
          Print the labels
        </a>
        <button className="button min-h-11" onClick={work.drop}>
          Abandon this batch
        </button>
      </div>
    </StagePage>
  );
}

function GaugeBelow({ card, active }: { card: Card; active: Layer }): ReactNode {
  const [ref, width] = useWidth<HTMLDivElement>();
  return (
    <div ref={ref} className="mt-3 max-w-2xl rounded border border-rule bg-paper">
      {width > 0 && <StripGaugeDrawing gauge={card.gauge} active={active} width={width - 2} tall={70} />}
    </div>
  );
}

function Lines({ title, lines }: { title: string; lines: readonly string[] }): ReactNode {
  if (lines.length === 0) return null;
  return (
    <section>
      <h2 className="font-bold">{title}</h2>
      <ul>
        {lines.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
    </section>
  );
}

import {
  arrestersOf,
  entry,
  gasTubeVolts,
  tubeHistory,
  tubeReasons,
  tubeSteps,
  zoneAt,
  isOutdoors,
  type ArresterPiece,
  type TubeReason,
} from '@kobran/core';
import { Check } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import { useOpenRun } from '../../store/RunContext.js';
import { useCatalog } from '../../store/Shop.js';
import { Choice } from '../../ui/Choice.js';
import { Message } from '../../ui/Message.js';
import { SignedBy } from '../../ui/SignedBy.js';
import { Caution, StagePage } from '../../ui/StagePage.js';
import { Tick } from '../../ui/Tick.js';
import { sayDay } from '../../ui/dates.js';

/** For the phone at the arrester: tube out, look, tube in, and into the log. */
export function TubeScreen(): ReactNode {
  const { pieceId } = useParams();
  const { editor, id } = useOpenRun();
  const catalog = useCatalog();
  const piece = arrestersOf(editor.design).find((one) => one.id === pieceId);
  if (!piece || !entry(catalog.arresters, piece.arrester).tubeChangeable)
    return (
      <Message
        title="This run has no such tube."
        action={{ label: 'Open its Ground stage', to: `/runs/${id}/ground` }}
      />
    );
  return <TubeCard piece={piece} />;
}

function TubeCard({ piece }: { piece: ArresterPiece }): ReactNode {
  const { editor, facts, sheet, id, practice } = useOpenRun();
  const catalog = useCatalog();
  const { last } = tubeHistory(facts, piece.id);
  const placed = sheet.pieces.find((one) => one.id === piece.id);
  const legAt = sheet.route.spans.find(({ toM }) => (placed?.fromM ?? 0) < toM);
  const steps = tubeSteps({
    fed: editor.design.service.dcFeed,
    aloft:
      legAt !== undefined &&
      editor.design.legs[legAt.leg].kind === 'tower leg' &&
      isOutdoors(zoneAt(sheet.route.spans, placed?.fromM ?? 0)),
  });
  const [done, setDone] = useState<ReadonlySet<string>>(new Set());
  const next = steps.find(({ title }) => !done.has(title));
  return (
    <StagePage
      headline={`${piece.tubeV} V tube of ${entry(catalog.arresters, piece.arrester).name}`}
      reason={
        last
          ? `Looked at ${sayDay(last.at)}${last.by ? ` by ${last.by}` : ''}, ${last.reason}: ${last.found}.`
          : 'Not looked at since it was fitted.'
      }
    >
      <ol className="max-w-2xl">
        {steps.map(({ title, text, caution }) => (
          <li
            key={title}
            className={`border-b border-rule py-3 ${next?.title === title ? 'border-l-4 border-l-copper pl-3' : ''}`}
          >
            <Tick
              label={title}
              checked={done.has(title)}
              onChange={(on) =>
                setDone(new Set(on ? [...done, title] : [...done].filter((one) => one !== title)))
              }
            />
            <p className="text-muted">{text}</p>
            {caution && <Caution>{caution}</Caution>}
          </li>
        ))}
      </ol>
      <Outcome piece={piece} crew={practice.crew ?? []} open={steps.length - done.size} />
      <p className="mt-5">
        <Link className="underline underline-offset-4" to={`/runs/${id}/ground`}>
          Back to Ground
        </Link>
      </p>
    </StagePage>
  );
}

/** What was found goes into the log; another tube’s voltage into the run. */
function Outcome({
  piece,
  crew,
  open,
}: {
  piece: ArresterPiece;
  crew: readonly string[];
  /** Steps which nobody ticked. */
  open: number;
}): ReactNode {
  const { editor, sheet, writer } = useOpenRun();
  const [reason, setReason] = useState<TubeReason>('by plan');
  const [found, setFound] = useState<'sound' | 'damaged'>('sound');
  const [isNew, setIsNew] = useState(false);
  const [newV, setNewV] = useState(sheet.tube?.tubeV ?? piece.tubeV);
  const [logged, setLogged] = useState(false);
  function log(): void {
    writer.add({
      kind: 'tube checked',
      pieceId: piece.id,
      reason,
      found,
      ...(isNew ? { newV } : {}),
    });
    if (isNew && newV !== piece.tubeV) editor.change([{ op: 'set piece', piece: { ...piece, tubeV: newV } }]);
    setLogged(true);
  }
  if (logged)
    return (
      <p role="status" className="mt-4 flex items-center gap-2 font-semibold text-lake">
        <Check size={18} aria-hidden /> In the log
      </p>
    );
  return (
    <section aria-label="Outcome" className="mt-4 grid max-w-md gap-3">
      <Choice
        label="Why it was looked at"
        value={reason}
        options={tubeReasons.map((one) => ({ value: one, label: one }))}
        onChange={(one) => setReason(one as TubeReason)}
      />
      <Choice
        label="What was found"
        value={found}
        options={[
          { value: 'sound', label: 'sound' },
          { value: 'damaged', label: 'damaged' },
        ]}
        onChange={(one) => setFound(one === 'damaged' ? 'damaged' : 'sound')}
      />
      <Tick label="A new tube and gasket went in" checked={isNew} onChange={setIsNew} />
      {isNew && (
        <Choice
          label="New tube"
          value={String(newV)}
          options={gasTubeVolts.map((volts) => ({
            value: String(volts),
            label: `${volts} V${volts === sheet.tube?.tubeV ? ', suits this run' : ''}`,
          }))}
          onChange={(volts) => setNewV(Number(volts))}
        />
      )}
      <SignedBy crew={crew} />
      <button className="button button-primary justify-self-start" onClick={log}>
        Log it
      </button>
      {open > 0 && (
        <p className="text-sm text-muted">
          {open} {open === 1 ? 'step is' : 'steps are'} not ticked.
        </p>
      )}
    </section>
  );
}

import { counted, stageNames } from '@kobran/core';
import { Download } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { useOpenRun } from '../../store/RunContext.js';
import { useWaitingCount } from '../../store/FactsOutbox.js';
import { SignedBy } from '../../ui/SignedBy.js';
import { StagePage } from '../../ui/StagePage.js';
import { StateMark } from '../../ui/StateMark.js';
import { DoneButton } from '../../frame/DoneButton.js';
import { sayMoment } from '../../ui/dates.js';

/** What is done and what is not, the log, and the job as a file to take away. */
export function HandoverScreen(): ReactNode {
  const { sheet, id, jobId, facts, editor } = useOpenRun();
  const waiting = useWaitingCount();
  const open = sheet.stages.filter(({ id: stage, state }) => stage !== 'handover' && state !== 'done');
  const names = new Map<string, string>([
    ...sheet.ends.map((end) => [end.id, end.name] as const),
    ...sheet.pieces.map((piece) => [piece.id, piece.name] as const),
    ...sheet.joints.map((joint) => [joint.id, `J${joint.number}`] as const),
  ]);
  const unsaved = editor.save.kind !== 'saved' || waiting > 0;
  const headline =
    open.length === 0
      ? 'Ready to hand over'
      : `${open.length} ${open.length === 1 ? 'stage is' : 'stages are'} still open: ${open.map(({ name }) => name.toLowerCase()).join(', ')}`;
  return (
    <StagePage headline={headline} reason={sheet.headline}>
      <div className="flex flex-wrap items-center gap-3">
        {unsaved ? (
          <p role="status" className="button border-dashed text-muted">
            Waiting for the server before the file can be taken
          </p>
        ) : (
          <a className="button button-copper" href={`/api/jobs/${jobId}/file`} download>
            <Download size={18} aria-hidden /> Take the job along as a file
          </a>
        )}
        <p className="text-sm text-muted">
          Open JSON with every run, reading and log entry of the job; any Kobran brings it in again.
        </p>
      </div>
      <ul className="mt-5 grid gap-x-8 sm:grid-cols-2">
        {sheet.stages.slice(0, -1).map(({ id: stage, state, detail, next }) => (
          <li key={stage} className="flex items-baseline gap-2.5 border-b border-rule py-1.5">
            <span className="translate-y-0.5">
              <StateMark state={state} />
            </span>
            <Link
              className="font-semibold underline decoration-rule underline-offset-4"
              to={`/runs/${id}/${stage}`}
            >
              {stageNames[stage]}
            </Link>
            <span className="text-muted">{next || detail}</span>
          </li>
        ))}
      </ul>
      <p className="mt-3">{counted(sheet.snags)} stand in the record.</p>
      <div className="mt-4 flex flex-wrap items-end gap-3">
        <div className="w-48">
          <SignedBy />
        </div>
        <DoneButton
          kind="handed over"
          label="Hand the run over"
          done="Handed over"
          text={`handed over with ${counted(sheet.snags)}`}
        />
      </div>
      <Note />
      <Log log={facts.log} names={names} />
    </StagePage>
  );
}

function Note(): ReactNode {
  const { writer } = useOpenRun();
  const [text, setText] = useState('');
  return (
    <form
      className="mt-6 flex max-w-xl gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (text.trim() === '') return;
        writer.addLog({ kind: 'note', about: '', text: text.trim() });
        setText('');
      }}
    >
      <input
        className="field"
        aria-label="Note for the log"
        placeholder="Note for the log"
        maxLength={500}
        value={text}
        onChange={({ target }) => setText(target.value)}
      />
      <button className="button">Log it</button>
    </form>
  );
}

/** Whatever an entry is about by its name; a batch’s piece with its number. */
function aboutSaid(about: string, names: ReadonlyMap<string, string>): string {
  const [base, piece] = about.split('#');
  return `${names.get(base) ?? base}${piece ? `, piece ${piece}` : ''}`;
}

function Log({
  log,
  names,
}: {
  log: readonly { id: string; at: string; by: string; kind: string; about: string; text: string }[];
  names: ReadonlyMap<string, string>;
}): ReactNode {
  return (
    <section className="mt-4">
      <h2 className="font-bold">Log</h2>
      {log.length === 0 && <p className="text-muted">Nothing is logged yet.</p>}
      <ul>
        {log
          .toSorted((x, y) => y.at.localeCompare(x.at))
          .map((entry) => (
            <li
              key={entry.id}
              className="grid gap-x-4 border-b border-rule py-1 sm:grid-cols-[10rem_6rem_1fr]"
            >
              <span className="figures text-sm text-muted">{sayMoment(entry.at)}</span>
              <span>{entry.by || 'unsigned'}</span>
              <span>
                <strong>
                  {entry.kind}
                  {entry.about && `, ${aboutSaid(entry.about, names)}`}:
                </strong>{' '}
                {entry.text}
              </span>
            </li>
          ))}
      </ul>
    </section>
  );
}

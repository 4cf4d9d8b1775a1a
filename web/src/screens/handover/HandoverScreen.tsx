import { pathOf, routes } from '@kobran/contract';
import { aboutOf, counted, factText, readBatchEndId, signOffProblem, type Facts } from '@kobran/core';
import { Download } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { useOpenRun } from '../../store/RunContext.js';
import { useCatalog } from '../../store/Shop.js';
import { useWaitingCount } from '../../store/Device.js';
import { usePreferences, useWords } from '../../ui/Preferences.js';
import { SignedBy } from '../../ui/SignedBy.js';
import { StagePage } from '../../ui/StagePage.js';
import { StateMark, stateWords } from '../../ui/StateMark.js';
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
            Waiting for the server before the file can be exported
          </p>
        ) : (
          <a className="button button-primary" href={pathOf(routes.exportJob, { id: jobId })} download>
            <Download size={18} aria-hidden /> Export the job as a file
          </a>
        )}
        <p className="text-sm text-muted">
          Open JSON with every run, reading and log entry of the job; any Kobran imports it again.
        </p>
      </div>
      <ul className="mt-5 grid gap-x-8 sm:grid-cols-2">
        {sheet.stages.slice(0, -1).map(({ id: stage, name, state, detail, next }) => (
          <li key={stage} className="flex items-baseline gap-2.5 border-b border-rule py-1.5">
            <span className="translate-y-0.5" title={stateWords[state]}>
              <StateMark state={state} />
            </span>
            <Link
              className="font-semibold underline decoration-rule underline-offset-4"
              to={`/runs/${id}/${stage}`}
            >
              {name}
            </Link>
            <span className="text-muted">{next || detail}</span>
          </li>
        ))}
      </ul>
      <p className="mt-3">{counted(sheet.snags)} stand in the record.</p>
      <SignOff open={open.length} />
      <Note />
      <Log facts={facts} names={names} />
    </StagePage>
  );
}

/** Signing off: a stop refuses it, open stages ask for a reason, and somebody has to sign. */
function SignOff({ open }: { open: number }): ReactNode {
  const { sheet } = useOpenRun();
  const { name } = usePreferences();
  const [reason, setReason] = useState('');
  const problem = signOffProblem(sheet, { by: name, reason });
  const stopped = problem?.code === 'handover.stop';
  return (
    <section aria-label="Sign off" className="mt-4">
      <div className="flex flex-wrap items-end gap-3">
        <div className="w-48">
          <SignedBy />
        </div>
        {open > 0 && !stopped && (
          <div className="min-w-64 flex-1">
            <label htmlFor="reason" className="mb-1 block text-sm text-muted">
              Why it is handed over with {open} {open === 1 ? 'stage' : 'stages'} open
            </label>
            <input
              id="reason"
              className="field"
              maxLength={500}
              value={reason}
              onChange={({ target }) => setReason(target.value)}
            />
          </div>
        )}
        <DoneButton
          fact={{
            kind: 'handed over',
            problems: counted(sheet.snags),
            ...(reason.trim() === '' ? {} : { reason: reason.trim() }),
          }}
          label="Sign off and hand over"
          done="Handed over"
          disabled={problem !== undefined}
        />
      </div>
      {problem && (
        <p className={`mt-2 ${stopped ? 'font-semibold text-stop' : 'text-muted'}`}>
          {problem.message} {problem.remedy}
        </p>
      )}
    </section>
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
        writer.add({ kind: 'note', about: '', text: text.trim() });
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

/** Whatever a fact is about by its name; a batch’s piece with its number. */
function placeName(about: string, names: ReadonlyMap<string, string>): string {
  const { end, piece } = readBatchEndId(about);
  return `${names.get(end) ?? end}${piece === undefined ? '' : `, piece ${piece}`}`;
}

function Log({ facts, names }: { facts: Facts; names: ReadonlyMap<string, string> }): ReactNode {
  const catalog = useCatalog();
  const words = useWords();
  const log = facts.filter(({ kind }) => kind !== 'reading');
  return (
    <section className="mt-4">
      <h2 className="font-bold">Log</h2>
      {log.length === 0 && <p className="text-muted">Nothing is logged yet.</p>}
      <ul>
        {log
          .toSorted((x, y) => y.at.localeCompare(x.at))
          .map((fact) => {
            const about = aboutOf(fact);
            return (
              <li
                key={fact.id}
                className="grid gap-x-4 border-b border-rule py-1 sm:grid-cols-[10rem_6rem_1fr]"
              >
                <span className="figures text-sm text-muted">{sayMoment(fact.at)}</span>
                <span>{fact.by || 'unsigned'}</span>
                <span>
                  <strong>
                    {fact.kind}
                    {about && `, ${placeName(about, names)}`}:
                  </strong>{' '}
                  {fact.kind === 'grounded' ? words(factText(fact, catalog)) : factText(fact, catalog)}
                </span>
              </li>
            );
          })}
      </ul>
    </section>
  );
}

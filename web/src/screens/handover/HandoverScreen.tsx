import { pathOf, routes } from '@kobran/contract';
import { counted, placeNames } from '@kobran/core';
import { Download, FileText } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { LabelLinks } from '../../frame/LabelLinks.js';
import { useOpenRun } from '../../store/RunContext.js';
import { useWaitingCount } from '../../store/Device.js';
import { usePreferences } from '../../ui/Preferences.js';
import { StagePage } from '../../ui/StagePage.js';
import { StateMark, stateWords } from '../../ui/StateMark.js';
import { Log } from './Log.js';
import { Photos } from './Photos.js';
import { Revisions } from './Revisions.js';
import { SignOff } from './SignOff.js';

/** What is done and what is not, the log, and the job as a file to take away. */
export function HandoverScreen(): ReactNode {
  const { sheet, id, jobId, editor } = useOpenRun();
  const waiting = useWaitingCount();
  const { units } = usePreferences();
  const open = sheet.stages.filter(({ id: stage, state }) => stage !== 'handover' && state !== 'done');
  const names = placeNames(sheet);
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
        <a className="button" href={pathOf(routes.printAsBuilt, { id, query: { units } })} download>
          <FileText size={18} aria-hidden /> As-built
        </a>
        <a
          className="button"
          href={pathOf(routes.printAsBuilt, { id, query: { units, copy: 'customer' } })}
          download
        >
          <FileText size={18} aria-hidden /> Customer’s copy
        </a>
        <LabelLinks hrefOf={(query) => pathOf(routes.printLabels, { id, query })} />
        <p className="basis-full text-sm text-muted">
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
      <Photos />
      <Revisions />
      <Note />
      <Log names={names} />
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

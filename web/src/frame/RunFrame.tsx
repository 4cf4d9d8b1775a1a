import type { JobDocument, RunDocument } from '@kobran/contract';
import { checkReferences, defaultPractice, evaluate, rememberingCascade, type Design } from '@kobran/core';
import { useEffect, useMemo, useState, type ReactNode } from 'react';
import { Outlet, useLocation, useParams } from 'react-router';
import { messageOf, Unreachable } from '../store/client.js';
import { useJob, useRun } from '../store/queries.js';
import { usePreferences } from '../ui/Preferences.js';
import { useCatalog } from '../store/Shop.js';
import { Message } from '../ui/Message.js';
import { SaveNotice } from './SaveNotice.js';
import { StageRail } from './StageRail.js';
import { TopBar } from './TopBar.js';
import { useFacts, useFactWriter } from '../store/Device.js';
import { RunContext } from '../store/RunContext.js';
import type { Versioned } from '../store/documentEditor.js';
import { useDraft, useRunEditor } from '../store/useRunEditor.js';
import { useKeys } from '../ui/useKeys.js';

/** Everything of one run: reads it, evaluates it on every change, and shows the stage asked for. */
export function RunFrame(): ReactNode {
  const { runId = '' } = useParams();
  const { data, error, refetch } = useRun(runId);
  const job = useJob(data?.jobId ?? '');
  const draft = useDraft(runId);
  const catalog = useCatalog();
  if (data) {
    const [unknown] = checkReferences(data.design, catalog);
    if (unknown)
      return (
        <Message
          title="This run names something the catalogue does not have"
          detail={`${unknown.message} It may be a part the shop added elsewhere: with the server running, load this page again.`}
          action={{ label: 'Load again', run: () => location.reload() }}
        />
      );
    if (!draft || (!job.data && !job.error)) return <Message title="Opening the run…" />;
    return <OpenRunFrame key={data.id} document={data} job={job.data} draft={draft.draft} />;
  }
  if (!error) return <Message title="Opening the run…" />;
  const offline = error instanceof Unreachable;
  return (
    <Message
      title={offline ? 'The server does not answer' : 'This run cannot be opened'}
      detail={
        offline
          ? 'This run was not opened or kept on this device before, so it waits for the server: start Kobran, or come back into its network. What you had not saved is kept on this device.'
          : messageOf(error)
      }
      action={
        offline ? { label: 'Try again', run: () => void refetch() } : { label: 'Go to the board', to: '/' }
      }
    />
  );
}

function OpenRunFrame({
  document,
  job,
  draft,
}: {
  document: RunDocument;
  job: JobDocument | undefined;
  draft: Versioned<Design> | undefined;
}): ReactNode {
  const facts = useFacts(document.id, document.facts);
  const writer = useFactWriter(document.id);
  const { units, set } = usePreferences();
  const practice = job?.practice ?? defaultPractice;
  const place = job?.place?.site;
  const editor = useRunEditor(document, draft, place);
  const { design } = editor;
  const catalog = useCatalog();
  const [cascade] = useState(rememberingCascade);
  const sheet = useMemo(
    () => evaluate(design, catalog, { facts, practice, cascade }),
    [design, catalog, facts, practice, cascade],
  );
  const run = useMemo(
    () => ({
      id: document.id,
      jobId: document.jobId,
      document,
      editor,
      facts,
      writer,
      practice,
      sheet,
      place,
    }),
    [document, editor, facts, writer, practice, sheet, place],
  );
  const isCard = /\/(make|seal)\/[^/]+$|\/seal\/[^/]+\/open$/.test(useLocation().pathname);

  useKeys('mod+z', () => editor.undo?.(), { preventDefault: true });
  useKeys('mod+shift+z, mod+y', () => editor.redo?.(), { preventDefault: true });
  useKeys('u', () => set({ units: units === 'metric' ? 'imperial' : 'metric' }));
  useEffect(() => {
    window.document.title = `${design.name} – Kobran`;
  }, [design.name]);

  if (isCard) {
    return (
      <RunContext value={run}>
        <Outlet />
      </RunContext>
    );
  }
  return (
    <RunContext value={run}>
      <div className="flex min-h-screen flex-col lg:h-screen">
        <TopBar
          crumbs={[{ label: job?.name ?? '…', to: `/?job=${document.jobId}` }, { label: design.name }]}
          editor={editor}
        />
        <SaveNotice what="run" editor={editor} />
        <div className="flex min-h-0 flex-1 flex-col md:flex-row">
          <StageRail sheet={sheet} runId={document.id} />
          <Outlet />
        </div>
      </div>
    </RunContext>
  );
}

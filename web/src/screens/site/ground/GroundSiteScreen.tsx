import type { JobDocument } from '@kobran/contract';
import type { Site } from '@kobran/core';
import { Plus } from 'lucide-react';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { useParams } from 'react-router';
import { SaveNotice } from '../../../frame/SaveNotice.js';
import { TopBar } from '../../../frame/TopBar.js';
import { messageOf } from '../../../store/client.js';
import type { Versioned } from '../../../store/documentEditor.js';
import { useJob } from '../../../store/queries.js';
import { useSiteDraft, useSiteEditor } from '../../../store/useSiteEditor.js';
import { FigureText } from '../../../ui/FigureText.js';
import { Message } from '../../../ui/Message.js';
import { useWords } from '../../../ui/Preferences.js';
import { Caution } from '../../../ui/StagePage.js';
import { useKeys } from '../../../ui/useKeys.js';
import { SiteProblems } from '../SiteProblems.js';
import { SiteTabs } from '../SiteTabs.js';
import { useSiteSheet } from '../useSiteSheet.js';
import { BondInspector } from './BondInspector.js';
import { BondList } from './BondList.js';
import { DisconnectPlan } from './DisconnectPlan.js';
import { GroundSettings } from './GroundSettings.js';
import { isAfloat, newBond, newNode, usualStart } from './newGround.js';
import { NodeInspector } from './NodeInspector.js';
import { OneLineDrawing } from './OneLineDrawing.js';

/** The ground of a whole site: what is tied to what, with which volts, and what is missing. */
export function GroundSiteScreen(): ReactNode {
  const { jobId = '' } = useParams();
  const { data: job, error } = useJob(jobId);
  const draft = useSiteDraft(jobId);
  const words = useWords();
  useEffect(() => {
    document.title = `${words('Ground')} – Kobran`;
  }, [words]);
  if (job && draft) return <GroundOf key={job.id} job={job} draft={draft.draft} />;
  return error ? (
    <Message title={messageOf(error)} action={{ label: 'Go to the board', to: '/' }} />
  ) : (
    <Message title="Opening the site…" />
  );
}

function GroundOf({ job, draft }: { job: JobDocument; draft: Versioned<Site> | undefined }): ReactNode {
  const words = useWords();
  const editor = useSiteEditor(job, draft);
  const { document: site, change } = editor;
  const sheet = useSiteSheet(job, site);
  const { ground } = sheet;
  const snags = sheet.snags.filter(({ part }) => part === 'ground');
  const [selected, select] = useState<string>();
  useKeys('mod+z', () => editor.undo?.(), { preventDefault: true });
  useKeys('mod+shift+z, mod+y', () => editor.redo?.(), { preventDefault: true });
  useKeys('escape', () => select(undefined));
  const inspector = useRef<HTMLElement>(null);
  useEffect(() => {
    if (selected !== undefined && matchMedia('(width < 64rem)').matches)
      inspector.current?.scrollIntoView({ block: 'start' });
  }, [selected]);
  const node = ground.nodes.find(({ id }) => id === selected);
  const bond = ground.bonds.find((one) => one.bond.id === selected);
  const link = newBond(site, ground, node);
  const runs = job.runs.map(({ id, design: { name } }) => ({ id, name }));
  const parts = { ground, site, snags, change, onSelect: select };
  return (
    <div className="flex min-h-screen flex-col lg:h-screen">
      <TopBar
        crumbs={[{ label: job.name, to: `/?job=${job.id}` }, { label: words('Ground of the site') }]}
        editor={editor}
      />
      <SaveNotice what="site" editor={editor} />
      <div className="flex min-h-0 flex-1 flex-col lg:flex-row">
        <main className="relative min-w-0 flex-1 overflow-y-auto px-4 py-4 md:px-6">
          <SiteTabs jobId={job.id} />
          <div className="flex flex-wrap items-center gap-2">
            <h1 className="basis-full text-xl leading-tight font-bold sm:flex-1 sm:basis-0">
              {words(sheet.groundHeadline)}
            </h1>
            <button
              className="button"
              onClick={() => {
                const made = newNode(site);
                change([{ op: 'put node', node: made }]);
                select(made.id);
              }}
            >
              <Plus size={16} aria-hidden /> Add a part
            </button>
            <button
              className="button"
              disabled={!link}
              onClick={() => {
                if (!link) return;
                change([{ op: 'put bond', bond: link }]);
                select(link.id);
              }}
            >
              <Plus size={16} aria-hidden /> Add a conductor
            </button>
          </div>
          <div className="mt-2">
            <Caution>
              {words(
                'Local electrical code and a licensed electrician decide. Nothing survives a direct strike for certain; keep off the antenna and its ground conductors when storms are about.',
              )}
            </Caution>
          </div>
          {ground.drawn ? (
            <>
              <Figures sheet={sheet} />
              <OneLineDrawing ground={ground} snags={snags} selected={selected} onSelect={select} />
              <SiteProblems snags={snags} change={change} onSelect={select} />
              <BondList ground={ground} selected={selected} onSelect={select} />
              <DisconnectPlan ground={ground} />
            </>
          ) : (
            <div className="mt-4 max-w-2xl space-y-3">
              <p className="text-muted">
                {words(
                  'Parts are what a surge reaches: the bar where the cables come in, rods and other electrodes in the soil, the building’s electrode, the mast, ground kits. Conductors tie them together. The arresters of the runs are here already.',
                )}
              </p>
              <button className="button button-primary" onClick={() => change(usualStart(site, ground))}>
                {isAfloat(site)
                  ? 'Start with mast, rig and what lies in the sea'
                  : words('Start with an entry bar, a rod and the building’s electrode')}
              </button>
            </div>
          )}
          <GroundSettings
            jobId={job.id}
            ground={site.ground}
            profile={sheet.ground.profile}
            own={job.practice.codeProfiles ?? []}
            change={change}
          />
        </main>
        {(node ?? bond) && (
          <aside
            ref={inspector}
            aria-label={node?.name ?? 'Conductor'}
            className="relative border-t border-rule px-4 py-4 lg:w-96 lg:overflow-y-auto lg:border-t-0 lg:border-l"
          >
            {node && <NodeInspector key={node.id} node={node} runs={runs} {...parts} />}
            {bond && <BondInspector key={bond.bond.id} sheet={bond} {...parts} />}
          </aside>
        )}
      </div>
    </div>
  );
}

/** The few figures of the whole. */
function Figures({ sheet: { ground } }: { sheet: ReturnType<typeof useSiteSheet> }): ReactNode {
  const words = useWords();
  const { earth, highest, voltsUnknown, tubes, next } = ground;
  return (
    <p className="mt-3 flex flex-wrap gap-x-8 gap-y-1">
      {earth.resistance && (
        <span>
          {words('To earth')} <FigureText figure={earth.resistance} />,{' '}
          {earth.reading ? 'measured' : 'computed'}
          {!earth.reading && earth.unknown.length > 0 && `, without ${earth.unknown[0].name}`}
        </span>
      )}
      {(highest || voltsUnknown.length > 0) && (
        <span>
          Highest at an arrester, first stroke{' '}
          {highest ? (
            <FigureText figure={highest} />
          ) : (
            <strong>
              not known
              {voltsUnknown.some(({ unmeasured }) => unmeasured.length > 0)
                ? ': enter the lengths'
                : ': one is tied to nothing'}
            </strong>
          )}
        </span>
      )}
      {tubes.length > 0 && (
        <span>Tubes fitted: {tubes.map(({ tubeV, count }) => `${count} of ${tubeV} V`).join(', ')}</span>
      )}
      {next !== '' && (
        <span>
          Next: <strong>{next}</strong>
        </span>
      )}
    </p>
  );
}

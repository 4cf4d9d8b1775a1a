import type { JobDocument } from '@kobran/contract';
import type { Site } from '@kobran/core';
import { Plus } from 'lucide-react';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { useParams } from 'react-router';
import { SaveNotice } from '../../frame/SaveNotice.js';
import { TopBar } from '../../frame/TopBar.js';
import { messageOf } from '../../store/client.js';
import type { Versioned } from '../../store/documentEditor.js';
import { useJob } from '../../store/queries.js';
import { useSiteDraft, useSiteEditor } from '../../store/useSiteEditor.js';
import { Message } from '../../ui/Message.js';
import { useKeys } from '../../ui/useKeys.js';
import { SiteFiles } from './exchange/SiteFiles.js';
import { newPoint, newWay } from './newParts.js';
import { PointInspector } from './PointInspector.js';
import { RouteBetween } from './RouteBetween.js';
import { SiteDrawings } from './SiteDrawings.js';
import { SiteProblems } from './SiteProblems.js';
import { SiteTabs } from './SiteTabs.js';
import { StartSite } from './StartSite.js';
import type { Pointed } from './pointing.js';
import { useSheetOf, useSurveyedRuns } from './useSiteSheet.js';
import { WayInspector } from './WayInspector.js';
import { WayList } from './WayList.js';

/** The place of a job: where its runs go, and what is against it. */
export function SiteScreen(): ReactNode {
  const { jobId = '' } = useParams();
  const { data: job, error } = useJob(jobId);
  const draft = useSiteDraft(jobId);
  useEffect(() => {
    document.title = 'Site – Kobran';
  }, []);
  if (job && draft) return <SiteOf key={job.id} job={job} draft={draft.draft} />;
  return error ? (
    <Message title={messageOf(error)} action={{ label: 'Go to the board', to: '/' }} />
  ) : (
    <Message title="Opening the site…" />
  );
}

function SiteOf({ job, draft }: { job: JobDocument; draft: Versioned<Site> | undefined }): ReactNode {
  const editor = useSiteEditor(job, draft);
  const { document: site, change } = editor;
  const runs = useSurveyedRuns(job, site);
  const sheet = useSheetOf(job, site, runs);
  const snags = sheet.snags.filter(({ part }) => part === 'ways');
  const [selected, select] = useState<string>();
  const [routeFrom, beginRoute] = useState<string>();
  const [pointed, pointTo] = useState<Pointed>();
  useKeys('mod+z', () => editor.undo?.(), { preventDefault: true });
  useKeys('mod+shift+z, mod+y', () => editor.redo?.(), { preventDefault: true });
  useKeys('escape', () => select(undefined));
  // Where it stands below the drawings, it would be out of sight.
  const inspector = useRef<HTMLElement>(null);
  const drawings = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (selected !== undefined && matchMedia('(width < 64rem)').matches)
      inspector.current?.scrollIntoView({ block: 'start' });
  }, [selected]);
  const way = sheet.ways.find((one) => one.way.id === selected);
  const point = site.points.find(({ id }) => id === selected);
  const add = (kind: 'point' | 'way'): void => {
    const made = kind === 'point' ? newPoint(site, point) : undefined;
    if (made) change([{ op: 'put point', point: made }]);
    const link = kind === 'way' ? newWay(site, point) : undefined;
    if (link) change([{ op: 'put way', way: link }]);
    select(made?.id ?? link?.id);
  };
  return (
    <div className="flex min-h-screen flex-col lg:h-screen">
      <TopBar crumbs={[{ label: job.name, to: `/?job=${job.id}` }, { label: 'Site' }]} editor={editor} />
      <SaveNotice what="site" editor={editor} />
      <div className="flex min-h-0 flex-1 flex-col lg:flex-row">
        <main className="relative min-w-0 flex-1 overflow-y-auto px-4 py-4 md:px-6">
          <SiteTabs jobId={job.id} />
          <div className="flex flex-wrap items-center gap-2">
            <h1 className="basis-full text-xl leading-tight font-bold sm:flex-1 sm:basis-0">
              {sheet.headline}
            </h1>
            <SiteFiles job={job} site={site} sheet={sheet} drawings={drawings} change={change} />
            <button className="button" onClick={() => add('point')}>
              <Plus size={16} aria-hidden /> Add a point
            </button>
            <button className="button" disabled={site.points.length < 2} onClick={() => add('way')}>
              <Plus size={16} aria-hidden /> Add a way
            </button>
          </div>
          {site.points.length === 0 ? (
            <StartSite job={job} />
          ) : (
            <>
              <div ref={drawings}>
                <SiteDrawings
                  jobId={job.id}
                  site={site}
                  sheet={sheet}
                  runs={runs}
                  selected={selected}
                  pointed={pointed}
                  onSelect={select}
                  onPoint={pointTo}
                  onMove={(moved) => change([{ op: 'put point', point: moved }])}
                />
              </div>
              <WayList
                sheet={sheet}
                site={site}
                selected={selected}
                pointed={pointed?.way}
                onSelect={select}
                onPoint={(way) => pointTo(way === undefined ? undefined : { way, share: 0.5 })}
              />
              <SiteProblems snags={snags} change={change} onSelect={select} />
            </>
          )}
        </main>
        {/* Beside the drawings it keeps its place: nothing moves under the pointer when something is chosen. */}
        {site.points.length > 0 && (
          <aside
            ref={inspector}
            aria-label={way?.way.name ?? point?.name ?? 'Nothing chosen'}
            className={`relative border-t border-rule px-4 py-4 lg:block lg:w-96 lg:shrink-0 lg:overflow-y-auto lg:border-t-0 lg:border-l ${(way ?? point) ? '' : 'hidden'}`}
          >
            {!way && !point && <p className="text-muted">Choose a point or a way to see and change it.</p>}
            {way ? (
              <WayInspector
                key={way.way.id}
                sheet={way}
                site={site}
                jobId={job.id}
                snags={snags}
                change={change}
                onSelect={select}
              />
            ) : (
              point && (
                <PointInspector key={point.id} point={point} site={site} change={change} onSelect={select}>
                  <RouteBetween
                    site={site}
                    sheet={sheet}
                    runs={runs}
                    from={routeFrom}
                    to={point.id}
                    onBegin={beginRoute}
                  />
                </PointInspector>
              )
            )}
          </aside>
        )}
      </div>
    </div>
  );
}

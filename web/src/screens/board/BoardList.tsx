import type { BoardRow } from '@kobran/contract';
import { useWindowVirtualizer } from '@tanstack/react-virtual';
import { MoreHorizontal } from 'lucide-react';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { Menu } from '../../ui/Menu.js';
import { RunRow } from './RunRow.js';
import { useDeletion } from './useDeletion.js';
import type { BoardJob } from './useBoard.js';

/** Heights before they are measured, px. */
const JOB_PX = 60;
const RUN_PX = 100;

/** Jobs with their runs; only those near the window stand in the page, however many there are. */
export function BoardList({
  jobs,
  isFiltered,
  onMore,
}: {
  jobs: readonly BoardJob[];
  /** Something is looked for: a job without runs says nothing then. */
  isFiltered: boolean;
  /** Reads on, where there is more. */
  onMore: (() => void) | undefined;
}): ReactNode {
  const list = useRef<HTMLDivElement>(null);
  const [top, setTop] = useState(0);
  // What stands above comes and goes.
  useEffect(() => {
    const measure = (): void => setTop(list.current?.offsetTop ?? 0);
    measure();
    const observer = new ResizeObserver(measure);
    observer.observe(document.body);
    return () => observer.disconnect();
  }, []);
  const virtual = useWindowVirtualizer({
    count: jobs.length,
    estimateSize: (k) => JOB_PX + RUN_PX * jobs[k].runs.length,
    getItemKey: (k) => jobs[k].job.id,
    overscan: 2,
    scrollMargin: top,
  });
  return (
    <>
      <div ref={list} className="relative" style={{ height: virtual.getTotalSize() }}>
        {virtual.getVirtualItems().map(({ key, index, start }) => (
          <div
            key={key}
            data-index={index}
            ref={virtual.measureElement}
            className="absolute inset-x-0 top-0"
            style={{ transform: `translateY(${start - top}px)` }}
          >
            <Job {...jobs[index]} isFiltered={isFiltered} />
          </div>
        ))}
      </div>
      {onMore && <More onMore={onMore} />}
    </>
  );
}

/** Reads on as soon as the end of the list comes near. */
function More({ onMore }: { onMore: () => void }): ReactNode {
  const button = useRef<HTMLButtonElement>(null);
  useEffect(() => {
    const observer = new IntersectionObserver(([entry]) => entry.isIntersecting && onMore(), {
      rootMargin: '600px',
    });
    if (button.current) observer.observe(button.current);
    return () => observer.disconnect();
  }, [onMore]);
  return (
    <button ref={button} className="button mt-4" onClick={onMore}>
      Show more
    </button>
  );
}

function Job({ job, runs, isFiltered }: BoardJob & { isFiltered: boolean }): ReactNode {
  return (
    <section className="pt-5" aria-label={job.name}>
      <JobHeader job={job} />
      <ul>
        {runs.map((run) => (
          <RunRow key={run.id} run={run} />
        ))}
      </ul>
      {runs.length === 0 && !isFiltered && (
        <p className="py-3 text-muted">No run yet: begin with its two ports.</p>
      )}
    </section>
  );
}

function JobHeader({ job }: { job: BoardRow['job'] }): ReactNode {
  const remove = useDeletion();
  return (
    <div className="flex flex-wrap items-baseline gap-x-3 gap-y-2 border-b-2 border-ink pb-1">
      <h2 className="min-w-0 flex-1 text-lg font-bold sm:flex-none">{job.name}</h2>
      <Menu
        label={`More for ${job.name}`}
        align="end"
        className="grid size-9 place-items-center self-center rounded hover:bg-panel sm:order-last"
        trigger={<MoreHorizontal size={18} aria-hidden />}
        items={[
          {
            label: 'Delete the job',
            hint: 'with its runs; it can be restored',
            act: () => remove('job', job.id, job.name),
          },
        ]}
      />
      <p className="basis-full text-muted sm:flex-1 sm:basis-0">{job.site}</p>
      <Link className="button" to={`/jobs/${job.id}/site`}>
        Site<span className="sr-only"> of {job.name}</span>
      </Link>
      <Link className="button" to={`/jobs/${job.id}/reels`}>
        Reels<span className="sr-only"> and cutting plan of {job.name}</span>
      </Link>
      <Link className="button" to={`/jobs/${job.id}/practice`}>
        Practice<span className="sr-only"> of {job.name}</span>
      </Link>
      <Link className="button" to={`/jobs/${job.id}/new`}>
        New run
      </Link>
    </div>
  );
}

import { type Practice } from '@kobran/core';
import { useEffect, type ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import { useJob } from '../../store/queries.js';
import { useJobPractice, useShopPractice } from '../../store/usePractice.js';
import { Message } from '../../ui/Message.js';
import { TopBar } from '../../frame/TopBar.js';
import { Sections } from './PracticeSections.js';

/** How one job is worked: the shop’s practice, or what differs from it here. */
export function PracticeScreen(): ReactNode {
  const { jobId = '' } = useParams();
  const { data: job, error } = useJob(jobId);
  const [practice, change] = useJobPractice(jobId);
  const [shop] = useShopPractice();
  useTitle();
  if (!job)
    return (
      <Message
        title={error ? 'This job cannot be read' : 'Opening the practice…'}
        {...(error ? { action: { label: 'Go to the board', to: '/' } } : {})}
      />
    );
  const differs = shop !== undefined && differing(practice, shop);
  return (
    <div className="min-h-screen">
      <TopBar
        crumbs={[
          { label: 'Board', to: '/' },
          { label: job.name, to: `/?job=${jobId}` },
          { label: 'Practice' },
        ]}
      />
      <main className="mx-auto max-w-5xl px-4 py-4">
        <h1 className="text-xl font-bold">Our practice at {job.name}</h1>
        <p className="mt-1 max-w-3xl text-muted">
          Good people differ on these. Choose your method; every card, cut and seal of this job goes by it and
          says why. A new job starts from the shop’s practice; this one may differ.
        </p>
        <p className="mt-3 flex flex-wrap items-center gap-3">
          <Link className="button" to="/practice">
            Change the shop’s practice
          </Link>
          {differs && (
            <button className="button" onClick={() => change(shop)}>
              Use the shop’s practice here
            </button>
          )}
          {shop && !differs && <span className="text-muted">As the shop does.</span>}
        </p>
        <Sections practice={practice} onChange={change} />
      </main>
    </div>
  );
}

/** How the whole shop works: what a new job starts from. */
export function ShopPracticeScreen(): ReactNode {
  const [practice, change] = useShopPractice();
  useTitle();
  if (!practice) return <Message title="Opening the practice…" />;
  return (
    <div className="min-h-screen">
      <TopBar crumbs={[{ label: 'Board', to: '/' }, { label: 'Shop’s practice' }]} />
      <main className="mx-auto max-w-5xl px-4 py-4">
        <h1 className="text-xl font-bold">How our shop works</h1>
        <p className="mt-1 max-w-3xl text-muted">
          A new job starts from this. Jobs which are there keep their own; each can take this over on its own
          practice page.
        </p>
        <Sections practice={practice} onChange={change} />
      </main>
    </div>
  );
}

const useTitle = (): void =>
  useEffect(() => {
    document.title = 'Practice – Kobran';
  }, []);

/** Does the job do anything differently? The order in which things were chosen is none. */
const differing = (own: Practice, shop: Practice): boolean =>
  [...new Set([...Object.keys(own), ...Object.keys(shop)])].some((key) => {
    const [mine, theirs] = [own, shop].map((practice) => JSON.stringify(practice[key as keyof Practice]));
    return mine !== theirs;
  });

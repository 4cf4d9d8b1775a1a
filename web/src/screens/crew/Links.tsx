import { routes, type CustomerLink, type MadeCode } from '@kobran/contract';
import { Link2 } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { call, messageOf } from '../../store/client.js';
import { useJobs } from '../../store/queries.js';
import { Choice } from '../../ui/Choice.js';
import { sayDay } from '../../ui/dates.js';
import { NameField } from '../../ui/NameField.js';
import { SentForm } from '../../ui/SentForm.js';
import { Window } from '../../ui/Window.js';
import { ShownOnce } from './ShownOnce.js';
import { useCrewAgain, useCrewChange } from './useCrewChange.js';

/** Links by which customers look at one site. */
export function Links({ links }: { links: readonly CustomerLink[] }): ReactNode {
  const { data: jobs = [] } = useJobs();
  const [making, setMaking] = useState(false);
  const { busy, change } = useCrewChange();
  return (
    <section className="mt-6" aria-labelledby="links">
      <h2 id="links" className="text-lg font-bold">
        Customers
      </h2>
      <p className="text-muted">
        A link shows one site: how far its runs are, its as-built, and when it is looked at again. Nothing can
        be changed by it, and names of the crew are not in it.
      </p>
      {links.length > 0 && (
        <ul className="mt-2 divide-y divide-rule border-y border-rule">
          {links.map(({ id, jobId, whom, by, until }) => (
            <li key={id} className="flex items-center gap-x-4 py-2">
              <span className="min-w-0 flex-1">
                <span className="font-semibold">{whom}</span>{' '}
                <span className="block text-sm text-muted">
                  {jobs.find((job) => job.id === jobId)?.name ?? 'a deleted job'}, until {sayDay(until)}, by{' '}
                  {by}
                </span>
              </span>
              <button
                className="button"
                disabled={busy}
                onClick={() => change(() => call(routes.removeLink, { id }))}
              >
                Withdraw<span className="sr-only"> the link for {whom}</span>
              </button>
            </li>
          ))}
        </ul>
      )}
      <button className="button mt-3" disabled={jobs.length === 0} onClick={() => setMaking(true)}>
        <Link2 size={18} aria-hidden /> Make a link
      </button>
      {making && <LinkWindow jobs={jobs} onClose={() => setMaking(false)} />}
    </section>
  );
}

const lasting = [
  { value: '14', label: 'Two weeks' },
  { value: '90', label: 'Three months' },
  { value: '365', label: 'A year' },
  { value: '730', label: 'Two years' },
];

function LinkWindow({
  jobs,
  onClose,
}: {
  jobs: readonly { id: string; name: string }[];
  onClose: () => void;
}): ReactNode {
  const [whom, setWhom] = useState('');
  const [jobId, setJobId] = useState(jobs[0].id);
  const [days, setDays] = useState('90');
  const [made, setMade] = useState<MadeCode>();
  const readAgain = useCrewAgain();
  async function send(): Promise<void> {
    setMade(await call(routes.makeLink, { body: { jobId, whom: whom.trim(), days: Number(days) } }));
    await readAgain();
  }
  return (
    <Window title="A link for a customer" open onOpenChange={onClose}>
      {made ? (
        <ShownOnce made={made} what={`Send this to ${whom.trim()}.`} />
      ) : (
        <SentForm label="Make the link" say={messageOf} send={send}>
          <NameField label="For whom" value={whom} onChange={setWhom} />
          <Choice
            label="Site"
            value={jobId}
            options={jobs.map(({ id, name }) => ({ value: id, label: name }))}
            onChange={setJobId}
          />
          <Choice label="Good for" value={days} options={lasting} onChange={setDays} />
        </SentForm>
      )}
    </Window>
  );
}

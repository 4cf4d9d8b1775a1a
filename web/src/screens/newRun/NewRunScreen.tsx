import { routes } from '@kobran/contract';
import {
  counted,
  defaultPractice,
  evaluate,
  formatDecibels,
  formatLength,
  insteadOfCable,
  longestAssembly,
  noFacts,
  DESIGN_SCHEMA,
  proposalKinds,
  proposeRuns,
  type Design,
  type Proposal,
  type ProposalKind,
  type RunWish,
} from '@kobran/core';
import { useDeferredValue, useMemo, useRef, useState, type ReactNode } from 'react';
import { useNavigate, useParams } from 'react-router';
import { toast } from 'sonner';
import { call, messageOf } from '../../store/client.js';
import { useChange, useJob } from '../../store/queries.js';
import { usePreferences } from '../../ui/Preferences.js';
import { useCatalog } from '../../store/Shop.js';
import { TextField } from '../../ui/TextField.js';
import { TopBar } from '../../frame/TopBar.js';
import { WishForm } from './WishForm.js';

const start: RunWish = {
  name: 'New run',
  service: {
    bands: [{ name: 'band', lowHz: 145e6, highHz: 145e6 }],
    powerW: 25,
    duty: 0.5,
    lossBudgetDb: 3,
    dcFeed: false,
    ambientC: 30,
  },
  radio: { name: 'Radio', face: 'uhf-jack', handheld: false },
  antenna: { name: 'Antenna', face: 'n-jack', swr: 1.5, dcShort: false },
  legs: [
    { id: 'inside', name: 'inside', kind: 'indoor tray', zone: 'dry', lengthM: 3, slackM: 0.3 },
    { id: 'outside', name: 'outside', kind: 'surface clipped', zone: 'outdoor', lengthM: 12, slackM: 0.5 },
  ],
};

/** From two ports, a service and a distance to a complete run. */
export function NewRunScreen(): ReactNode {
  const { jobId = '' } = useParams();
  const job = useJob(jobId);
  const navigate = useNavigate();
  const { units } = usePreferences();
  const [wish, setWish] = useState(start);
  const form = useRef<HTMLElement>(null);
  const [id] = useState(() => crypto.randomUUID());
  const practice = job.data?.practice ?? defaultPractice;
  const catalog = useCatalog();
  // Every cable is tried for a proposal: typing does not wait for it.
  const settled = withoutEmptyLegs(useDeferredValue(wish));
  const proposals = useMemo(() => proposeRuns(settled, catalog, practice), [settled, catalog, practice]);
  const [kind, setKind] = useState<ProposalKind>('best value');
  const design = designOf(settled, proposals, kind);
  const sheet = useMemo(
    () => evaluate(design, catalog, { facts: noFacts, practice, sweepPoints: 2 }),
    [design, catalog, practice],
  );
  const create = useChange((body: { id: string; design: typeof design }) =>
    call(routes.createRun, { id: jobId, body }),
  );

  function make(): void {
    // A field that was refused holds what somebody meant: it is mended first.
    const refused = form.current?.querySelector<HTMLElement>('[aria-invalid="true"]');
    if (refused) {
      refused.focus();
      toast.error('A field could not be read. Mend it, then create the run.');
      return;
    }
    // What stands in the fields counts, whether the proposal has caught up with it or not.
    const asked = withoutEmptyLegs(wish);
    const made = asked === settled ? design : designOf(asked, proposeRuns(asked, catalog, practice), kind);
    create.mutate(
      { id, design: made },
      {
        onSuccess: (run) => void navigate(`/runs/${run.id}/plan`),
        onError: (error) => toast.error(`${messageOf(error)} What you entered stays here.`),
      },
    );
  }

  return (
    <div className="flex min-h-screen flex-col">
      <TopBar crumbs={[{ label: job.data?.name ?? '…', to: '/' }, { label: 'New run' }]} />
      <main ref={form} className="mx-auto flex w-full max-w-6xl flex-1 flex-col px-4 pt-4">
        <div className="flex flex-wrap items-end justify-between gap-x-6 gap-y-2">
          <h1 className="text-xl font-bold">New run</h1>
          <div className="w-full sm:w-96">
            <TextField
              label="Name of the run"
              value={wish.name}
              maxLength={120}
              onChange={(name) => setWish({ ...wish, name })}
            />
          </div>
        </div>
        <WishForm wish={wish} onChange={setWish} />
        <section className="mt-4 border-t-2 border-ink pt-3" aria-label="Proposal" aria-live="polite">
          <Proposals proposals={proposals} kind={kind} onChoose={setKind} />
          <div className="min-w-0">
            <p className="text-lg font-bold">
              {design.pieces.length === 0 ? 'No parts of the catalogue join these two' : sheet.headline}
            </p>
            <p className="text-muted">
              {sheet.pieces
                .map(({ name, what, fromM, toM, kind }) =>
                  kind === 'assembly' ? `${what}, ${formatLength(toM - fromM, { system: units })}` : name,
                )
                .join(' – ')}
              {sheet.pieces.length > 0 && ` · ${counted(sheet.snags)}`}
            </p>
          </div>
        </section>
        {/* It keeps its place whatever comes and goes above: a press finds it where it was seen. */}
        <div className="sticky bottom-0 mt-auto flex justify-end bg-sheet py-3">
          <button
            className="button button-primary min-h-11 text-lg"
            disabled={create.isPending}
            onClick={make}
          >
            {design.pieces.length === 0 ? 'Create run with nothing between' : 'Create run'}
          </button>
        </div>
      </main>
    </div>
  );
}

/** The proposal of a kind, or the first; a run of nothing where no parts join the ports. */
function designOf(wish: RunWish, proposals: readonly Proposal[], kind: ProposalKind): Design {
  const chosen = proposals.find(({ kinds }) => kinds.includes(kind)) ?? proposals.at(0);
  return chosen?.design ?? { schema: DESIGN_SCHEMA, ...wish, pieces: [] };
}

const lean = new WeakMap<RunWish, RunWish>();

/** The wish without the stretches of no length; the same for the same wish. */
function withoutEmptyLegs(wish: RunWish): RunWish {
  const known = lean.get(wish);
  if (known) return known;
  const legs = wish.legs.filter(({ lengthM }) => lengthM > 0);
  const made = legs.length === 0 || legs.length === wish.legs.length ? wish : { ...wish, legs };
  lean.set(wish, made);
  return made;
}

/** Lowest cost, best value and lowest loss side by side, each with what it gives up. */
function Proposals({
  proposals,
  kind,
  onChoose,
}: {
  proposals: readonly Proposal[];
  kind: ProposalKind;
  onChoose: (kind: ProposalKind) => void;
}): ReactNode {
  const { cables } = useCatalog();
  if (proposals.length === 0) return null;
  const chosen = proposals.find(({ kinds }) => kinds.includes(kind)) ?? proposals[0];
  const over = proposals.find(({ keepsBudget }) => !keepsBudget);
  if (over) {
    const main = longestAssembly(over.design);
    return (
      <div className="mb-3 border-l-4 border-caution pl-3">
        <p className="font-bold">
          No cable keeps the budget of {formatDecibels(over.design.service.lossBudgetDb)}: the least lossy,{' '}
          {main && cables.get(main.cable)?.name}, loses {formatDecibels(over.lineDb)}.
        </p>
        <ul className="list-disc pl-5">
          {insteadOfCable(over).map((text) => (
            <li key={text}>{text}.</li>
          ))}
        </ul>
      </div>
    );
  }
  return (
    <fieldset className="mb-3">
      <legend className="sr-only">Proposals</legend>
      <div className="grid gap-3 sm:grid-cols-3">
        {proposals.map((one) => {
          const main = longestAssembly(one.design);
          return (
            <label
              key={one.kinds[0]}
              className="flex cursor-pointer gap-3 rounded border border-rule p-3 has-checked:border-ink has-checked:bg-paper"
            >
              <input
                type="radio"
                name="proposal"
                className="mt-1"
                checked={one === chosen}
                onChange={() => onChoose(proposalKinds.find((it) => one.kinds.includes(it)) ?? 'best value')}
              />
              <span>
                <strong className="block first-letter:uppercase">{one.kinds.join(', ')}</strong>
                {main && cables.get(main.cable)?.name}, {formatDecibels(one.lineDb)} in the line
                {one.givesUp && <span className="block text-sm text-muted">{one.givesUp}</span>}
              </span>
            </label>
          );
        })}
      </div>
    </fieldset>
  );
}

import { routes } from '@kobran/contract';
import {
  counted,
  defaultPractice,
  evaluate,
  faceOf,
  legKindIn,
  formatDecibels,
  formatLength,
  longestAssembly,
  noFacts,
  parseDecibels,
  parseLength,
  DESIGN_SCHEMA,
  proposalKinds,
  proposeRuns,
  type Design,
  type Proposal,
  type ProposalKind,
  type Leg,
  type RunWish,
  type Zone,
  zones,
} from '@kobran/core';
import { useDeferredValue, useMemo, useState, type ReactNode } from 'react';
import { useNavigate, useParams } from 'react-router';
import { toast } from 'sonner';
import { call, messageOf } from '../../store/client.js';
import { useChange, useJob } from '../../store/queries.js';
import { DutyField } from '../../frame/DutyField.js';
import { FaceDrawing } from '../../drawing/faces/FaceDrawing.js';
import { usePreferences } from '../../ui/Preferences.js';
import { KnownPorts } from '../../frame/KnownPorts.js';
import { useCatalog } from '../../store/Shop.js';
import { Choice } from '../../ui/Choice.js';
import { QuantityField } from '../../ui/QuantityField.js';
import { TextField } from '../../ui/TextField.js';
import { Tick } from '../../ui/Tick.js';
import { TopBar } from '../../frame/TopBar.js';
import { faceOptions } from '../../ui/faceOptions.js';
import { SwrField } from '../../ui/SwrField.js';
import { FrequencyField, PowerField } from '../../ui/unitFields.js';

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
  const [id] = useState(() => crypto.randomUUID());
  const practice = job.data?.practice ?? defaultPractice;
  const catalog = useCatalog();
  // Every cable is tried for a proposal: typing does not wait for it.
  const settled = useDeferredValue(wish);
  const proposals = useMemo(() => proposeRuns(settled, catalog, practice), [settled, catalog, practice]);
  const [kind, setKind] = useState<ProposalKind>('best value');
  const design =
    (proposals.find(({ kinds }) => kinds.includes(kind)) ?? proposals.at(0))?.design ??
    ({ schema: DESIGN_SCHEMA, ...settled, pieces: [] } satisfies Design);
  const sheet = useMemo(
    () => evaluate(design, catalog, { facts: noFacts, practice, sweepPoints: 2 }),
    [design, catalog, practice],
  );
  const create = useChange((body: { id: string; design: typeof design }) =>
    call(routes.createRun, { id: jobId, body }),
  );

  const set = (change: Partial<RunWish>): void => setWish((now) => ({ ...now, ...change }));
  const service = (change: Partial<RunWish['service']>): void =>
    set({ service: { ...wish.service, ...change } });
  const leg = (k: number, change: Partial<Leg>): void =>
    set({ legs: wish.legs.map((old, at) => (at === k ? { ...old, ...change } : old)) });
  const length = {
    format: (metres: number) => formatLength(metres, { system: units }),
    parse: (text: string) => parseLength(text, { unit: units === 'metric' ? 'm' : 'ft' }),
  };
  const [{ lowHz, highHz }] = wish.service.bands;

  function make(): void {
    create.mutate(
      { id, design },
      {
        onSuccess: (run) => void navigate(`/runs/${run.id}/plan`),
        onError: (error) => toast.error(`${messageOf(error)} What you entered stays here.`),
      },
    );
  }

  return (
    <div className="min-h-screen">
      <TopBar crumbs={[{ label: job.data?.name ?? '…', to: '/' }, { label: 'New run from two ports' }]} />
      <main className="mx-auto max-w-6xl px-4 py-4">
        <h1 className="text-xl font-bold">What shall be joined?</h1>
        <div className="mt-3 max-w-md">
          <TextField
            label="Name of the run"
            value={wish.name}
            maxLength={120}
            onChange={(name) => set({ name })}
          />
        </div>
        <div className="mt-4 grid gap-8 md:grid-cols-3">
          <section className="space-y-3" aria-labelledby="port-radio">
            <h2 id="port-radio" className="border-b-2 border-ink font-bold">
              Radio’s port
            </h2>
            <div className="rounded border border-rule bg-paper">
              <FaceDrawing face={faceOf(wish.radio.face)} width={300} height={96} />
            </div>
            <KnownPorts
              side="radio"
              onTake={({ name, face, handheld, lowHz: low, highHz: high, powerW }) =>
                set({
                  radio: { name, face, handheld },
                  service: {
                    ...wish.service,
                    bands: [{ name: 'band', lowHz: low, highHz: high }],
                    powerW,
                  },
                })
              }
            />
            <TextField
              label="Name"
              value={wish.radio.name}
              maxLength={80}
              onChange={(name) => set({ radio: { ...wish.radio, name } })}
            />
            <Choice
              label="Connector"
              value={wish.radio.face}
              options={faceOptions}
              onChange={(face) => set({ radio: { ...wish.radio, face } })}
            />
            <Tick
              label="A handheld"
              checked={wish.radio.handheld}
              onChange={(handheld) => set({ radio: { ...wish.radio, handheld } })}
            />
          </section>
          <section className="space-y-3" aria-labelledby="port-between">
            <h2 id="port-between" className="border-b-2 border-ink font-bold">
              Between them
            </h2>
            <div className="grid grid-cols-2 gap-3">
              <FrequencyField
                label="Frequency"
                value={lowHz}
                onChange={(hz) => service({ bands: [{ name: 'band', lowHz: hz, highHz: hz }] })}
              />
              <FrequencyField
                label="Up to"
                value={highHz}
                onChange={(hz) =>
                  service({ bands: [{ name: 'band', lowHz: Math.min(lowHz, hz), highHz: hz }] })
                }
              />
              {wish.service.powerW > 0 && (
                <PowerField
                  label="Forward power"
                  value={wish.service.powerW}
                  onChange={(powerW) => service({ powerW })}
                />
              )}
            </div>
            {wish.service.powerW > 0 && (
              <DutyField duty={wish.service.duty} onChange={(duty) => service({ duty })} />
            )}
            <Tick
              label="Receive only"
              checked={wish.service.powerW === 0}
              onChange={(receive) => service({ powerW: receive ? 0 : 25 })}
            />
            <QuantityField
              label="Loss budget"
              value={wish.service.lossBudgetDb}
              format={formatDecibels}
              parse={parseDecibels}
              onChange={(db) => service({ lossBudgetDb: Math.abs(db) })}
            />
            <div className="grid grid-cols-2 gap-3">
              <QuantityField
                label="Inside"
                value={wish.legs[0].lengthM}
                {...length}
                onChange={(lengthM) => leg(0, { lengthM })}
              />
              <QuantityField
                label="Outside"
                value={wish.legs[1].lengthM}
                {...length}
                onChange={(lengthM) => leg(1, { lengthM })}
              />
            </div>
            <Choice
              label="Outside is"
              value={wish.legs[1].zone}
              options={zones.map((zone) => ({
                value: zone,
                label: zone === 'dry' ? 'dry (all indoors)' : zone,
              }))}
              onChange={(zone) =>
                leg(1, { zone: zone as Zone, kind: legKindIn(zone as Zone, wish.legs[1].kind) })
              }
            />
            <Tick
              label="Direct current is fed over the cable"
              checked={wish.service.dcFeed}
              onChange={(dcFeed) => service({ dcFeed })}
            />
          </section>
          <section className="space-y-3" aria-labelledby="port-antenna">
            <h2 id="port-antenna" className="border-b-2 border-ink font-bold">
              Antenna’s port
            </h2>
            <div className="rounded border border-rule bg-paper">
              <FaceDrawing face={faceOf(wish.antenna.face)} turned width={300} height={96} />
            </div>
            <KnownPorts
              side="antenna"
              onTake={({ name, face, swr, dcShort }) => set({ antenna: { name, face, swr, dcShort } })}
            />
            <TextField
              label="Name"
              value={wish.antenna.name}
              maxLength={80}
              onChange={(name) => set({ antenna: { ...wish.antenna, name } })}
            />
            <Choice
              label="Connector"
              value={wish.antenna.face}
              options={faceOptions}
              onChange={(face) => set({ antenna: { ...wish.antenna, face } })}
            />
            <SwrField
              value={wish.antenna.swr}
              onChange={(swr) => set({ antenna: { ...wish.antenna, swr } })}
            />
          </section>
        </div>
        <section className="mt-6 border-t-2 border-ink pt-3" aria-label="Proposal" aria-live="polite">
          <Proposals proposals={proposals} kind={kind} onChoose={setKind} />
          <p className="text-lg font-bold">
            {design.pieces.length === 0 ? 'No parts of the catalogue join these two' : sheet.headline}
          </p>
          <p className="text-muted">
            {sheet.pieces
              .map(({ name, what, fromM, toM, kind }) =>
                kind === 'assembly' ? `${what}, ${length.format(toM - fromM)}` : name,
              )
              .join(' – ')}
            {sheet.pieces.length > 0 && ` · ${counted(sheet.snags)}`}
          </p>
          <button
            className="button button-copper mt-3 min-h-11 text-lg"
            disabled={create.isPending}
            onClick={make}
          >
            {design.pieces.length === 0 ? 'Make it with nothing between' : 'Make this run'}
          </button>
        </section>
      </main>
    </div>
  );
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

import {
  faceOf,
  formatDecibels,
  isSmallPort,
  legKindIn,
  parseDecibels,
  zones,
  type Leg,
  type RunWish,
  type Zone,
} from '@kobran/core';
import { useState, type ReactNode } from 'react';
import { FaceDrawing } from '../../drawing/faces/FaceDrawing.js';
import { DutyField } from '../../frame/DutyField.js';
import { KnownPorts } from '../../frame/KnownPorts.js';
import { Choice } from '../../ui/Choice.js';
import { faceOptions } from '../../ui/faceOptions.js';
import { QuantityField } from '../../ui/QuantityField.js';
import { SwrField } from '../../ui/SwrField.js';
import { TextField } from '../../ui/TextField.js';
import { Tick } from '../../ui/Tick.js';
import { FrequencyField, PowerField } from '../../ui/unitFields.js';
import { RunLengthField } from '../../ui/LengthField.js';

interface Part {
  wish: RunWish;
  set: (change: Partial<RunWish>) => void;
}

/** What is to be joined: the radio’s port, what lies between, the antenna’s port. */
export function WishForm({
  wish,
  onChange,
}: {
  wish: RunWish;
  onChange: (wish: RunWish) => void;
}): ReactNode {
  const set = (change: Partial<RunWish>): void => onChange({ ...wish, ...change });
  return (
    <div className="mt-3 grid gap-x-8 gap-y-6 md:grid-cols-3">
      <RadioPort wish={wish} set={set} />
      <Between wish={wish} set={set} />
      <AntennaPort wish={wish} set={set} />
    </div>
  );
}

function Section({ id, title, children }: { id: string; title: string; children: ReactNode }): ReactNode {
  return (
    <section className="space-y-2.5" aria-labelledby={id}>
      <h2 id={id} className="border-b-2 border-ink font-bold">
        {title}
      </h2>
      {children}
    </section>
  );
}

function RadioPort({ wish: { radio, service }, set }: Part): ReactNode {
  return (
    <Section id="port-radio" title="Radio’s port">
      <div className="rounded border border-rule bg-paper">
        <FaceDrawing face={faceOf(radio.face)} width={300} height={84} />
      </div>
      <div className="grid grid-cols-2 gap-3">
        <KnownPorts
          side="radio"
          onTake={({ name, face, handheld, insulatorDepthMm, lowHz, highHz, powerW }) =>
            set({
              radio: {
                name,
                face,
                handheld,
                ...(insulatorDepthMm === undefined ? {} : { insulatorDepthMm }),
              },
              service: { ...service, bands: [{ name: 'band', lowHz, highHz }], powerW },
            })
          }
        />
        <TextField
          label="Name"
          value={radio.name}
          maxLength={80}
          onChange={(name) => set({ radio: { ...radio, name } })}
        />
      </div>
      <Choice
        label="Connector"
        value={radio.face}
        options={faceOptions}
        onChange={(face) => set({ radio: { ...radio, face } })}
      />
      <Tick
        label="A handheld"
        checked={radio.handheld}
        onChange={(handheld) => set(handheld ? aHandheld(radio, service) : { radio: { ...radio, handheld } })}
      />
    </Section>
  );
}

/** What a set carried in the hand has, until somebody says otherwise: 5 W, and an SMA port. Common practice, no source. */
const HANDHELD_W = 5;
const aHandheld = (radio: RunWish['radio'], service: RunWish['service']): Partial<RunWish> => ({
  radio: { ...radio, handheld: true, ...(isSmallPort(radio.face) ? {} : { face: 'sma-jack' }) },
  service: { ...service, powerW: Math.min(service.powerW, HANDHELD_W) },
});

/** What a transmitter is taken for until somebody types it, W. */
const USUAL_W = 25;

const inZone = (zone: Zone, { kind }: Leg): Pick<Leg, 'zone' | 'kind'> => ({
  zone,
  kind: legKindIn(zone, kind),
});

/** What a stretch keeps until somebody types it, m: all indoors it is a jumper, which has no loops. */
const USUAL_SLACK_M = [0.3, 0.5];

function Between({ wish, set }: Part): ReactNode {
  const [{ lowHz, highHz }] = wish.service.bands;
  const [inside, outside] = wish.legs;
  const service = (change: Partial<RunWish['service']>): void =>
    set({ service: { ...wish.service, ...change } });
  const leg = (k: number, change: Partial<Leg>): void =>
    set({ legs: wish.legs.map((old, at) => (at === k ? { ...old, ...change } : old)) });
  const receives = wish.service.powerW === 0;
  const [typed, setTyped] = useState<ReadonlySet<number>>(new Set());
  const slack = (k: number, slackM: number): void => {
    setTyped(new Set([...typed, k]));
    leg(k, { slackM });
  };
  /** Slack which nobody typed follows the place. */
  const placed = (zone: Zone): Leg[] =>
    wish.legs.map((old, k) => ({
      ...old,
      ...(k === 1 ? inZone(zone, old) : {}),
      slackM: typed.has(k) ? old.slackM : zone === 'dry' ? 0 : USUAL_SLACK_M[k],
    }));
  return (
    <Section id="port-between" title="Between them">
      <div className="grid grid-cols-2 gap-x-3 gap-y-2.5">
        <FrequencyField
          label="Frequency"
          value={lowHz}
          onChange={(hz) => service({ bands: [{ name: 'band', lowHz: hz, highHz: hz }] })}
        />
        <FrequencyField
          label="Up to"
          value={highHz}
          onChange={(hz) => service({ bands: [{ name: 'band', lowHz: Math.min(lowHz, hz), highHz: hz }] })}
        />
        {!receives && (
          <PowerField
            label="Forward power"
            value={wish.service.powerW}
            onChange={(powerW) => service({ powerW })}
          />
        )}
        <div className="self-end">
          <Tick
            label="Receive only"
            checked={receives}
            onChange={(receive) => service({ powerW: receive ? 0 : USUAL_W })}
          />
        </div>
      </div>
      {!receives && <DutyField duty={wish.service.duty} onChange={(duty) => service({ duty })} />}
      <div className="grid grid-cols-2 gap-x-3 gap-y-2.5">
        <RunLengthField
          label="Inside"
          valueM={inside.lengthM}
          allowZero
          onChange={(lengthM) => leg(0, { lengthM })}
        />
        <RunLengthField
          label="Slack inside"
          valueM={inside.slackM}
          allowZero
          onChange={(slackM) => slack(0, slackM)}
        />
        <RunLengthField
          label="Outside"
          valueM={outside.lengthM}
          allowZero
          onChange={(lengthM) => leg(1, { lengthM })}
        />
        <RunLengthField
          label="Slack outside"
          valueM={outside.slackM}
          allowZero
          onChange={(slackM) => slack(1, slackM)}
        />
        <Choice
          label="Outside is"
          value={outside.zone}
          options={zones.map((zone) => ({
            value: zone,
            label: zone === 'dry' ? 'dry (all indoors)' : zone,
          }))}
          onChange={(zone) => set({ legs: placed(zone as Zone) })}
        />
        <QuantityField
          label="Loss budget"
          value={wish.service.lossBudgetDb}
          format={formatDecibels}
          parse={parseDecibels}
          onChange={(db) => service({ lossBudgetDb: Math.abs(db) })}
        />
      </div>
    </Section>
  );
}

function AntennaPort({ wish: { antenna, service }, set }: Part): ReactNode {
  return (
    <Section id="port-antenna" title="Antenna’s port">
      <div className="rounded border border-rule bg-paper">
        <FaceDrawing face={faceOf(antenna.face)} turned width={300} height={84} />
      </div>
      <div className="grid grid-cols-2 gap-3">
        <KnownPorts
          side="antenna"
          onTake={({ name, face, swr, dcShort }) => set({ antenna: { name, face, swr, dcShort } })}
        />
        <TextField
          label="Name"
          value={antenna.name}
          maxLength={80}
          onChange={(name) => set({ antenna: { ...antenna, name } })}
        />
      </div>
      <Choice
        label="Connector"
        value={antenna.face}
        options={faceOptions}
        onChange={(face) => set({ antenna: { ...antenna, face } })}
      />
      <SwrField value={antenna.swr} onChange={(swr) => set({ antenna: { ...antenna, swr } })} />
      <Tick
        label="Direct current is fed over the cable"
        checked={service.dcFeed}
        onChange={(dcFeed) => set({ service: { ...service, dcFeed } })}
      />
    </Section>
  );
}

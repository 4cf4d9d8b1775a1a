import {
  entry,
  formatDecibels,
  formatFrequency,
  formatLength,
  lossReadOf,
  powerDetective,
  type Cable,
  type ExcessKind,
  type LossRead,
  type PowerDetective,
} from '@kobran/core';
import { useState, type ReactNode } from 'react';
import { useCatalog } from '../../store/Shop.js';
import { Choice } from '../../ui/Choice.js';
import { usePreferences } from '../../ui/Preferences.js';
import { Caution } from '../../ui/StagePage.js';
import { FrequencyField, PowerField } from '../../ui/unitFields.js';
import { RunLengthField } from '../../ui/LengthField.js';

interface Reading {
  frequencyHz?: number;
  forwardW?: number;
  loadW?: number;
}

const kindWords: Record<ExcessKind['kind'], { name: string; look: string }> = {
  copper: {
    name: 'Conductor loss, growing with √f',
    look: 'Corroded or broken braid, a thinner cable than named, a long stretch of it. Look at the braid under the jacket near both ends.',
  },
  'wet dielectric': {
    name: 'Wet dielectric, growing with f',
    look: 'Water in the foam or under the jacket. Cut back to dry cable, or replace it; find where it came in.',
  },
  'fixed joint': {
    name: 'One joint, alike at both frequencies',
    look: 'A bad contact in a connector or adapter. Stop transmitting, then touch each connector: the warm one is the place.',
  },
};

/** Two power readings at two frequencies split excess loss into copper, wet dielectric and a fixed joint. */
export function ExcessLoss(): ReactNode {
  const { cables } = useCatalog();
  const { units } = usePreferences();
  const [cableId, setCable] = useState('rg213');
  const [lengthM, setLength] = useState<number>();
  const [readings, setReadings] = useState<[Reading, Reading]>([{}, {}]);
  const cable = entry(cables, cableId);
  const set = (k: 0 | 1, change: Reading): void =>
    setReadings(([a, b]) => (k === 0 ? [{ ...a, ...change }, b] : [a, { ...b, ...change }]));
  return (
    <div className="mt-3 grid gap-x-10 gap-y-6 lg:grid-cols-2">
      <div className="space-y-3">
        <Caution>
          Into a dummy load, nobody near the antenna. Stop transmitting before anything is touched.
        </Caution>
        <div className="grid gap-3 sm:grid-cols-2">
          <Choice
            label="Cable"
            value={cableId}
            options={[...cables.values()].map(({ id, name }) => ({ value: id, label: name }))}
            onChange={setCable}
          />
          <RunLengthField
            label="Its length"
            valueM={lengthM}
            placeholder={units === 'metric' ? '30 m' : '100 ft'}
            onChange={setLength}
          />
        </div>
        {([0, 1] as const).map((k) => (
          <fieldset key={k}>
            <legend className="font-bold">
              {k === 0 ? 'One frequency' : 'Another, five times as high or more'}
            </legend>
            <div className="mt-1 grid gap-3 sm:grid-cols-3">
              <FrequencyField
                label="Frequency"
                value={readings[k].frequencyHz}
                placeholder={k === 0 ? '14 MHz' : '145 MHz'}
                onChange={(frequencyHz) => set(k, { frequencyHz })}
              />
              <PowerField
                label="In at the radio"
                value={readings[k].forwardW}
                placeholder="50 W"
                onChange={(forwardW) => set(k, { forwardW })}
              />
              <PowerField
                label="Out at the load"
                value={readings[k].loadW}
                placeholder="38 W"
                onChange={(loadW) => set(k, { loadW })}
              />
            </div>
          </fieldset>
        ))}
      </div>
      <Answer cable={cable} lengthM={lengthM} readings={readings} />
    </div>
  );
}

function lossOf({ frequencyHz, forwardW, loadW }: Reading): LossRead | undefined {
  if (frequencyHz === undefined || forwardW === undefined || loadW === undefined) return undefined;
  return lossReadOf({ frequencyHz, forwardW, reflectedW: 0, loadW });
}

function Answer({
  cable,
  lengthM,
  readings,
}: {
  cable: Cable;
  lengthM: number | undefined;
  readings: [Reading, Reading];
}): ReactNode {
  const { units } = usePreferences();
  const [a, b] = readings.map(lossOf);
  if (lengthM === undefined || !a || !b)
    return (
      <p className="text-lg text-muted">
        With the length and four readings the answer stands here: copper, water or a joint.
      </p>
    );
  const found = powerDetective(cable, lengthM, [a, b]);
  return (
    <section aria-live="polite" aria-label="Where the loss is">
      <Verdict found={found} />
      <table className="figures mt-4 w-full text-right">
        <caption className="sr-only">Loss read and computed at both frequencies</caption>
        <thead>
          <tr className="border-b border-rule text-sm text-muted">
            <th className="py-1 text-left font-normal">At</th>
            <th className="font-normal">read</th>
            <th className="font-normal">computed</th>
            <th className="font-normal">too much</th>
          </tr>
        </thead>
        <tbody>
          {found.readings.map(({ frequencyHz, lossDb, computedDb, excessDb, sigmaDb }) => (
            <tr key={frequencyHz} className="border-b border-rule">
              <td className="py-1 text-left">{formatFrequency(frequencyHz)}</td>
              <td>{formatDecibels(lossDb)}</td>
              <td>{formatDecibels(computedDb)}</td>
              <td>
                {formatDecibels(excessDb)} ± {(2 * sigmaDb).toFixed(1)}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-2 text-sm text-muted">
        {formatLength(lengthM, { system: units })} of {cable.name}, matched. Two meters of 5 % each; read both
        in series without the cable first, and swap them once.
      </p>
    </section>
  );
}

const noKind: Record<Exclude<PowerDetective['verdict'], 'explained'>, { title: string; more: string }> = {
  'no excess': {
    title: 'No more is lost than computed',
    more: 'As far as two meters can tell: less than what they may err.',
  },
  'too near': {
    title: 'The two frequencies are too near to each other',
    more: 'Take one at least twice, better ten times as high.',
  },
  unexplained: {
    title: 'None of the three alone',
    more: 'Two faults at once, or a reading is off: read again, and at a third frequency.',
  },
};

function Verdict({ found: { verdict, kinds } }: { found: PowerDetective }): ReactNode {
  if (verdict !== 'explained')
    return (
      <>
        <p className={`text-2xl font-bold ${verdict === 'no excess' ? 'text-lake' : 'text-caution'}`}>
          {noKind[verdict].title}
        </p>
        <p className="mt-1 text-muted">{noKind[verdict].more}</p>
      </>
    );
  const [first, ...others] = kinds.map(({ kind }) => kindWords[kind]);
  return (
    <>
      <p className="text-2xl font-bold">{first.name}</p>
      <p className="mt-1">{first.look}</p>
      {others.map(({ name }) => (
        <p key={name} className="mt-2 text-muted">
          It could also be: {name[0].toLowerCase() + name.slice(1)}. A reading at a frequency further away
          tells them apart.
        </p>
      ))}
    </>
  );
}

import {
  makeSchools,
  schoolsOfCentre,
  schoolsOfMarking,
  schoolsOfUhfShield,
  schoolsOfUnbraiding,
  toolIds,
  toolNames,
  type Practice,
} from '@kobran/core';
import { useState, type ReactNode } from 'react';
import { usePreferences } from '../../ui/Preferences.js';
import { Choice, Methods } from '../../ui/Choice.js';
import { schoolsOfCutting, schoolsOfLap, schoolsOfTape } from '../../ui/schools.js';
import { SignedBy } from '../../ui/SignedBy.js';
import { Tick } from '../../ui/Tick.js';
import { OwnProfiles } from './OwnProfiles.js';
import { Dies } from './Dies.js';

type Section = { practice: Practice; onChange: (change: Partial<Practice>) => void };

/** Everything in which shops differ: methods at the bench, checks, people, tools. */
export function Sections(section: Section): ReactNode {
  return (
    <div className="mt-5 grid gap-x-10 gap-y-6 lg:grid-cols-2">
      <AtTheBench {...section} />
      <div className="grid content-start gap-6">
        <Checks {...section} />
        <Crew {...section} />
        <ShopTools {...section} />
        <OwnProfiles {...section} />
        <Units />
      </div>
    </div>
  );
}

function AtTheBench({ practice, onChange }: Section): ReactNode {
  const { centreSchool, marking, unbraiding } = makeSchools(practice);
  return (
    <section className="grid content-start gap-5" aria-label="Methods">
      <Methods
        stacked
        label="How the centre contact is fastened"
        value={centreSchool}
        options={schoolsOfCentre}
        onChange={(to) => onChange({ centreSchool: to })}
      />
      <Methods
        stacked
        label="How a strip is marked"
        value={marking}
        options={schoolsOfMarking}
        onChange={(to) => onChange({ marking: to })}
      />
      <Methods
        stacked
        label="What opens the braid"
        value={unbraiding}
        options={schoolsOfUnbraiding}
        onChange={(to) => onChange({ unbraiding: to })}
      />
      <Methods
        stacked
        label="Which UHF plug is proposed first, by how the shield is joined"
        value={practice.uhfShield ?? 'crimp'}
        options={schoolsOfUhfShield}
        onChange={(to) => onChange({ uhfShield: to })}
      />
      <Methods
        stacked
        label="Which constant we cut by"
        value={practice.cutSchool}
        options={schoolsOfCutting}
        onChange={(to) => onChange({ cutSchool: to })}
      />
      <Methods
        stacked
        label="How hard the rubber tape is stretched"
        value={practice.tapeStretch}
        options={schoolsOfTape}
        onChange={(to) => onChange({ tapeStretch: to })}
      />
      <Methods
        stacked
        label="How far each turn of rubber overlaps the last"
        value={practice.tapeLap ?? 'half'}
        options={schoolsOfLap}
        onChange={(to) => onChange({ tapeLap: to })}
      />
    </section>
  );
}

const MAX_REMAKES = 5;

function Checks({ practice, onChange }: Section): ReactNode {
  return (
    <section aria-labelledby="checks">
      <h2 id="checks" className="font-bold">
        Checks and spare cable
      </h2>
      <Tick
        label="Two people check each end before it is signed off"
        checked={practice.twoPersonCheck ?? false}
        onChange={(twoPersonCheck) => onChange({ twoPersonCheck })}
      />
      <p className="mb-3 text-sm text-muted">What one hand has just made, its eyes see as right.</p>
      <Tick
        label="Two people sign what is handed over"
        checked={practice.signatures === 2}
        onChange={(two) => onChange({ signatures: two ? 2 : undefined })}
      />
      <Choice
        label="Spare for re-terminating each end, times"
        value={String(practice.remakesPerEnd)}
        options={Array.from({ length: MAX_REMAKES + 1 }, (_, n) => ({
          value: String(n),
          label: n === 0 ? 'none: cable is cut exactly' : `${n}`,
        }))}
        onChange={(n) => onChange({ remakesPerEnd: Number(n) })}
        hint="About 60 mm of cable each; the route asks for it and the slack says how many are left."
      />
    </section>
  );
}

function Crew({ practice, onChange }: Section): ReactNode {
  const [name, setName] = useState('');
  const crew = practice.crew ?? [];
  const typed = name.trim();
  const known = crew.some((one) => one.toLocaleLowerCase() === typed.toLocaleLowerCase());
  return (
    <section aria-labelledby="crew">
      <h2 id="crew" className="font-bold">
        Crew
      </h2>
      <ul className="mt-1 flex flex-wrap gap-2">
        {crew.map((one) => (
          <li key={one} className="flex items-center gap-1 rounded border border-rule pl-3">
            {one}
            <button
              className="min-h-9 px-2 text-muted hover:text-stop"
              aria-label={`Take ${one} off the crew`}
              onClick={() => onChange({ crew: crew.filter((other) => other !== one) })}
            >
              ×
            </button>
          </li>
        ))}
      </ul>
      <form
        className="mt-2 flex gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          if (typed !== '' && !known) onChange({ crew: [...crew, typed] });
          setName('');
        }}
      >
        <input
          className="field"
          aria-label="First name"
          placeholder="First name"
          maxLength={60}
          value={name}
          onChange={({ target }) => setName(target.value)}
        />
        <button className="button">Add</button>
      </form>
      <div className="mt-3">
        <SignedBy crew={crew} />
        <p className="mt-1 text-sm text-muted">Who works at this device; signs readings, ends and the log.</p>
      </div>
    </section>
  );
}

function ShopTools({ practice, onChange }: Section): ReactNode {
  const tools = practice.tools ?? toolIds;
  return (
    <section className="grid gap-3" aria-labelledby="owned">
      <h2 id="owned" className="font-bold">
        What the shop owns
      </h2>
      <fieldset>
        <legend className="mb-1 text-sm text-muted">
          Tools{practice.tools ? '' : ' (not said yet: all are taken as owned)'}
        </legend>
        <div className="grid sm:grid-cols-2">
          {toolIds.map((tool) => (
            <Tick
              key={tool}
              label={toolNames[tool]}
              checked={tools.includes(tool)}
              onChange={(on) =>
                onChange({ tools: toolIds.filter((one) => (one === tool ? on : tools.includes(one))) })
              }
            />
          ))}
        </div>
      </fieldset>
      <Choice
        label="Our ohm-meter"
        value={practice.ohmMeter ?? 'two-wire'}
        options={[
          { value: 'two-wire', label: 'Hand-held, two leads: nothing tighter than 0.5 Ω is asked' },
          { value: 'four-wire', label: 'Four-wire: tighter limits' },
        ]}
        onChange={(to) => onChange({ ohmMeter: to === 'four-wire' ? 'four-wire' : 'two-wire' })}
      />
      <Tick
        label="A tuner at the radio"
        checked={practice.tuner ?? false}
        onChange={(tuner) => onChange({ tuner })}
      />
      <p className="text-sm text-muted">
        It gets the power into a line which does not match; what the line then loses stays.
      </p>
      <Dies practice={practice} onChange={onChange} />
    </section>
  );
}

function Units(): ReactNode {
  const { units, numbers, set } = usePreferences();
  return (
    <section className="grid gap-3" aria-label="At this device">
      <Choice
        label="Units at this device"
        value={units}
        options={[
          { value: 'metric', label: 'Metres and millimetres' },
          { value: 'imperial', label: 'Feet and inches' },
        ]}
        onChange={(to) => set({ units: to === 'imperial' ? 'imperial' : 'metric' })}
      />
      <Choice
        label="Numbers at this device"
        value={numbers ?? 'ask'}
        options={[
          { value: 'ask', label: 'Ask whether 1,500 is 1500 or 1.5' },
          { value: '.', label: '1,500.5: the point before the decimals' },
          { value: ',', label: '1.500,5: the comma before the decimals' },
        ]}
        onChange={(to) => set({ numbers: to === '.' || to === ',' ? to : undefined })}
      />
    </section>
  );
}

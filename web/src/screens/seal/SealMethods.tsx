import { sealMethod, sealSystems, tapesFor, type Practice } from '@kobran/core';
import type { ReactNode } from 'react';
import { Choice, Methods } from '../../ui/Choice.js';
import { schoolsOfLap, schoolsOfTape } from '../../ui/schools.js';
import { OwnSleeves } from './OwnSleeves.js';
import { OwnTapes } from './OwnTapes.js';
import { Tick } from '../../ui/Tick.js';

const tapeChoices = [
  { role: 'fusing', key: 'fusingTape', label: 'Fusing tape on the shelf' },
  { role: 'vinyl', key: 'vinylTape', label: 'UV vinyl on the shelf' },
  { role: 'mastic', key: 'masticTape', label: 'Mastic on the shelf' },
] as const;

/** How the shop seals; a joint may differ. */
export function SealMethods({
  practice,
  onChange,
}: {
  practice: Practice;
  onChange: (change: Partial<Practice>) => void;
}): ReactNode {
  return (
    <details>
      <summary className="cursor-pointer font-semibold underline underline-offset-4">
        How the shop seals
      </summary>
      <div className="mt-3 grid max-w-4xl items-start gap-x-8 gap-y-4 md:grid-cols-2">
        <Choice
          label="System"
          value={practice.sealSystem ?? 'rubber and vinyl'}
          options={sealSystems.map(({ id, name }) => ({ value: id, label: name }))}
          onChange={(to) => onChange({ sealSystem: sealSystems.find(({ id }) => id === to)?.id })}
        />
        {tapeChoices.map(({ role, key, label }) => (
          <Choice
            key={role}
            label={label}
            value={sealMethod(practice).tapes[role].id}
            options={tapesFor(role, practice.ownTapes).map(({ id, name }) => ({ value: id, label: name }))}
            onChange={(id) => onChange({ [key]: id })}
          />
        ))}
        <Methods
          label="How hard the rubber is stretched"
          value={practice.tapeStretch}
          options={schoolsOfTape}
          onChange={(tapeStretch) => onChange({ tapeStretch })}
        />
        <Methods
          label="How far each turn overlaps the last"
          value={practice.tapeLap ?? 'half'}
          options={schoolsOfLap}
          onChange={(tapeLap) => onChange({ tapeLap })}
        />
        <Choice
          label="Passes of rubber"
          value={String(practice.tapePasses ?? '')}
          options={[
            { value: '', label: 'by the place: 1 sheltered, 2 outdoors, 3 in ice and salt' },
            ...[1, 2, 3, 4].map((n) => ({ value: String(n), label: `${n} everywhere` })),
          ]}
          onChange={(to) => onChange({ tapePasses: to === '' ? undefined : Number(to) })}
        />
        <Choice
          label="The lap is measured"
          value={practice.tapeAdvance ?? 'along the axis'}
          options={[
            { value: 'along the axis', label: 'along the joint’s axis' },
            { value: 'across the tape', label: 'across the tape: 4 to 12 % less of it' },
          ]}
          onChange={(to) =>
            onChange({ tapeAdvance: to === 'across the tape' ? 'across the tape' : 'along the axis' })
          }
        />
        <Tick
          label="A courtesy layer first: vinyl, sticky side out, so that it comes off again"
          checked={practice.courtesyLayer ?? false}
          onChange={(courtesyLayer) => onChange({ courtesyLayer })}
        />
      </div>
      <OwnSleeves sleeves={practice.ownSleeves ?? []} onChange={(ownSleeves) => onChange({ ownSleeves })} />
      <OwnTapes tapes={practice.ownTapes ?? []} onChange={(ownTapes) => onChange({ ownTapes })} />
    </details>
  );
}

import {
  formatClock,
  parseClock,
  sharedTools,
  skills,
  usualBreak,
  usualHours,
  type DaySetup,
  type DaySpan,
  type Worker,
} from '@kobran/core';
import { Plus, Trash2 } from 'lucide-react';
import type { ReactNode } from 'react';
import { Choice } from '../../../ui/Choice.js';
import { QuantityField } from '../../../ui/QuantityField.js';
import { TextField } from '../../../ui/TextField.js';
import { Tick } from '../../../ui/Tick.js';

/** Who is there, with what, and what the weather allows: everything a *what if* asks for. */
export function DayCrew({
  setup,
  onChange,
}: {
  setup: DaySetup;
  onChange: (to: DaySetup) => void;
}): ReactNode {
  const put = (k: number, to: Partial<Worker>): void =>
    onChange({ ...setup, people: setup.people.map((one, n) => (n === k ? { ...one, ...to } : one)) });
  return (
    <details className="mt-5">
      <summary className="cursor-pointer font-semibold underline underline-offset-4">
        Crew, tools and weather: what if?
      </summary>
      <ul className="mt-3 divide-y divide-rule border-y border-rule">
        {setup.people.map((person, k) => (
          <li key={k} className="flex flex-wrap items-end gap-x-5 gap-y-2 py-3">
            <div className="w-36">
              <TextField
                label="Name"
                value={person.name}
                maxLength={60}
                onChange={(name) => put(k, { name })}
              />
            </div>
            <SpanFields label="Here" span={person.hours} onChange={(hours) => put(k, { hours })} />
            <SpanFields
              label="Away"
              span={person.away[0]}
              onChange={(away) => put(k, { away: [away] })}
              onClear={() => put(k, { away: [] })}
            />
            <fieldset className="flex flex-wrap gap-x-4">
              <legend className="text-sm text-muted">May</legend>
              {skills.map((skill) => (
                <Tick
                  key={skill}
                  label={skill}
                  checked={person.skills.includes(skill)}
                  onChange={(on) =>
                    put(k, {
                      skills: skills.filter((one) => (one === skill ? on : person.skills.includes(one))),
                    })
                  }
                />
              ))}
            </fieldset>
            <button
              className="button"
              aria-label={`${person.name} is not there`}
              onClick={() => onChange({ ...setup, people: setup.people.filter((_, n) => n !== k) })}
            >
              <Trash2 size={16} aria-hidden /> Not there
            </button>
          </li>
        ))}
      </ul>
      <button
        className="button mt-3"
        onClick={() =>
          onChange({
            ...setup,
            people: [
              ...setup.people,
              {
                name: freshName(setup.people),
                hours: [...usualHours],
                skills: [...skills],
                away: [[...usualBreak]],
              },
            ],
          })
        }
      >
        <Plus size={16} aria-hidden /> Another pair of hands
      </button>
      <div className="mt-4 flex flex-wrap gap-4">
        {sharedTools.map((tool) => (
          <div key={tool} className="w-40">
            <Choice
              label={`${tool.charAt(0).toUpperCase()}${tool.slice(1)}s`}
              value={String(setup.tools[tool] ?? 1)}
              options={[0, 1, 2, 3, 4].map((n) => ({
                value: String(n),
                label: n === 0 ? 'missing' : String(n),
              }))}
              onChange={(n) => onChange({ ...setup, tools: { ...setup.tools, [tool]: Number(n) } })}
            />
          </div>
        ))}
      </div>
      <div className="mt-4 flex flex-wrap gap-6">
        <SpanFields
          label="Rain"
          span={setup.wet[0]}
          onChange={(wet) => onChange({ ...setup, wet: [wet] })}
          onClear={() => onChange({ ...setup, wet: [] })}
        />
        <SpanFields
          label="Too much wind aloft"
          span={setup.windy[0]}
          onChange={(windy) => onChange({ ...setup, windy: [windy] })}
          onClear={() => onChange({ ...setup, windy: [] })}
        />
      </div>
    </details>
  );
}

const freshName = (people: readonly Worker[]): string => {
  let n = people.length + 1;
  while (people.some(({ name }) => name === `Helper ${n}`)) n++;
  return `Helper ${n}`;
};

/** From and up to; the other end follows where only one is known. */
function SpanFields({
  label,
  span,
  onChange,
  onClear,
}: {
  label: string;
  span: DaySpan | undefined;
  onChange: (to: DaySpan) => void;
  onClear?: () => void;
}): ReactNode {
  const end = 24 * 60;
  const set = (from: number, to: number): void =>
    onChange(from < to ? [from, to] : [to, Math.min(end, from)]);
  const clear = onClear ? { onClear } : {};
  return (
    <fieldset className="flex items-end gap-2">
      <legend className="text-sm text-muted">{label}</legend>
      <div className="w-24">
        <QuantityField
          label={`${label}, from`}
          hideLabel
          value={span?.[0]}
          format={formatClock}
          parse={parseClock}
          placeholder="from"
          onChange={(from) => set(from, span?.[1] ?? end - 60)}
          {...clear}
        />
      </div>
      <div className="w-24">
        <QuantityField
          label={`${label}, up to`}
          hideLabel
          value={span?.[1]}
          format={formatClock}
          parse={parseClock}
          placeholder="up to"
          onChange={(to) => set(span?.[0] ?? 0, to)}
          {...clear}
        />
      </div>
    </fieldset>
  );
}

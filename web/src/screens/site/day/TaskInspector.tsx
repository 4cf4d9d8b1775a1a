import {
  cautionsOf,
  formatClock,
  parseClock,
  minutesWith,
  placeName,
  type DaySetup,
  type FixedTask,
  type PlacedTask,
  type Schedule,
  type Task,
} from '@kobran/core';
import { X } from 'lucide-react';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { Choice } from '../../../ui/Choice.js';
import { QuantityField } from '../../../ui/QuantityField.js';
import { Rows } from '../../../ui/Rows.js';
import { Caution } from '../../../ui/StagePage.js';
import { usePreferences } from '../../../ui/Preferences.js';
import { partsText } from './partsText.js';

/** What the sky has to be like. */
const weatherOf = ({ dry, place, lowestC }: Task): string =>
  [
    dry ? 'dry' : '',
    place === 'aloft' ? 'no wind, no storm' : '',
    lowestC === undefined ? '' : `${lowestC} °C or warmer`,
  ]
    .filter(Boolean)
    .join('; ') || 'any';

/** How long it takes these hands, and the shop’s own time where theirs differs. */
function takesText(task: Task, people: readonly string[]): string {
  const theirs = minutesWith(task, people);
  const usual = `${task.minutes} min, give or take ${Math.round(task.spread)}`;
  return theirs === task.minutes ? usual : `${theirs} min by ${people.join(' and ')}; as a rule ${usual}`;
}

/** One task: what it needs, what it waits for, and where it is put. */
export function TaskInspector({
  one: { task, startMin, endMin, people },
  plan,
  setup,
  jobId,
  onFix,
  onClose,
}: {
  one: PlacedTask;
  plan: Schedule;
  setup: DaySetup;
  jobId: string;
  onFix: (task: string, to: Omit<FixedTask, 'task'> | undefined) => void;
  onClose: () => void;
}): ReactNode {
  const fixed = setup.fixed.find((other) => other.task === task.id);
  const { units } = usePreferences();
  const before = plan.placed
    .filter((other) => task.after.includes(other.task.id))
    .map((other) => other.task.title);
  return (
    <section aria-label={task.title} className="mt-4 border-y border-rule py-3">
      <div className="flex items-start justify-between gap-3">
        <h2 className="font-bold">
          {task.title} <span className="font-normal text-muted">{task.whose}</span>
        </h2>
        <button className="button" onClick={onClose} aria-label="Close">
          <X size={16} aria-hidden />
        </button>
      </div>
      <div className="mt-2 grid gap-x-8 gap-y-3 md:grid-cols-2">
        <Rows
          rows={[
            ['When', `${formatClock(startMin)} to ${formatClock(endMin)}`],
            ['Takes', takesText(task, people)],
            ['Who', people.join(', ')],
            ['Where', placeName[task.place]],
            ['With', task.gear.join('; ') || 'what everybody carries'],
            ...(task.parts.length > 0
              ? [['Parts', partsText(task.parts, units)] as [string, ReactNode]]
              : []),
            ['Weather', weatherOf(task)],
            ['Waits for', before.join('; ') || 'nothing'],
          ]}
        />
        <div className="grid content-start gap-3">
          <QuantityField
            label="Not before"
            value={fixed?.startMin}
            format={formatClock}
            parse={parseClock}
            onChange={(at) => onFix(task.id, { ...fixed, startMin: at })}
            onClear={() => onFix(task.id, fixed?.people ? { people: fixed.people } : undefined)}
          />
          <Choice
            label="Done by"
            value={fixed?.people?.[0] ?? ''}
            options={[
              { value: '', label: 'whoever is free and may' },
              ...setup.people.map(({ name }) => ({ value: name, label: name })),
            ]}
            onChange={(name) => {
              const { people: _, ...time } = fixed ?? {};
              const to =
                name === ''
                  ? time
                  : {
                      ...time,
                      people: [name, ...people.filter((other) => other !== name)].slice(0, task.people),
                    };
              onFix(task.id, Object.keys(to).length === 0 ? undefined : to);
            }}
          />
          {fixed && (
            <button className="button justify-self-start" onClick={() => onFix(task.id, undefined)}>
              Let the plan decide
            </button>
          )}
          {task.opens && (
            <Link
              className="underline underline-offset-4"
              to={task.runId ? `/runs/${task.runId}/${task.opens}` : `/jobs/${jobId}/${task.opens}`}
            >
              Open where it is done
            </Link>
          )}
        </div>
      </div>
      {cautionsOf(task, plan.open).map((text) => (
        <div key={text} className="mt-2">
          <Caution>{text}</Caution>
        </div>
      ))}
    </section>
  );
}

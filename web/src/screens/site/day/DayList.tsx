import { formatClock, placeName, sayOpen, type Schedule } from '@kobran/core';
import type { ReactNode } from 'react';

/** The plan as a table, and what does not go into the day. */
export function DayList({
  plan: { placed, left, open, chain },
  selected,
  onSelect,
}: {
  plan: Schedule;
  selected: string | undefined;
  onSelect: (id: string) => void;
}): ReactNode {
  return (
    <>
      {open.length > 0 && (
        <section className="mt-5" aria-labelledby="open">
          <h2 id="open" className="font-bold">
            Stays open over rain or night
          </h2>
          <ul className="grid gap-x-8 md:grid-cols-2">
            {open.map((one) => (
              <li key={one.task} className="border-b border-rule py-1">
                {one.title}{' '}
                <span className="text-muted">
                  {placed.find(({ task }) => task.id === one.task)?.task.whose}:
                </span>{' '}
                <span className="text-caution">{sayOpen(one)}</span>
              </li>
            ))}
          </ul>
        </section>
      )}
      {left.length > 0 && (
        <section className="mt-5" aria-labelledby="left">
          <h2 id="left" className="font-bold">
            Left for another day
          </h2>
          <ul className="grid gap-x-8 md:grid-cols-2">
            {left.map(({ task, why }) => (
              <li key={task.id} className="border-b border-rule py-1">
                {task.title} <span className="text-muted">{task.whose}:</span>{' '}
                <span className="text-caution">{why}</span>
              </li>
            ))}
          </ul>
        </section>
      )}
      {placed.length > 0 && (
        <div className="mt-5">
          <h2 id="plan" className="font-bold">
            The plan in order
          </h2>
          <div className="overflow-x-auto" tabIndex={0} role="region" aria-labelledby="plan">
            <table className="w-full">
              <thead>
                <tr className="text-left text-sm text-muted">
                  <th className="py-1 pr-4 font-normal">When</th>
                  <th className="pr-4 font-normal">Who</th>
                  <th className="pr-4 font-normal">What</th>
                  <th className="pr-4 font-normal">Of</th>
                  <th className="pr-4 font-normal">Where</th>
                  <th className="font-normal">With</th>
                </tr>
              </thead>
              <tbody>
                {placed.map(({ task, startMin, endMin, people }) => (
                  <tr
                    key={task.id}
                    className={`border-t border-rule align-baseline ${selected === task.id ? 'bg-panel' : ''}`}
                  >
                    <td className="figures py-1 pr-4 whitespace-nowrap">
                      {formatClock(startMin)}–{formatClock(endMin)}
                    </td>
                    <td className="pr-4">{people.join(', ')}</td>
                    <td className="pr-4">
                      <button
                        className={`min-h-7 text-left underline decoration-rule underline-offset-4 ${chain.includes(task.id) ? 'font-bold' : ''}`}
                        onClick={() => onSelect(task.id)}
                      >
                        {task.title}
                      </button>
                    </td>
                    <td className="pr-4 text-muted">{task.whose}</td>
                    <td className="pr-4">{placeName[task.place]}</td>
                    <td>{task.tools.join(', ')}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        </div>
      )}
    </>
  );
}

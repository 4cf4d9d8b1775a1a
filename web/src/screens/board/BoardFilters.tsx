import { stages } from '@kobran/core';
import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { peopleQuery } from '../../store/queries.js';
import { Choice } from '../../ui/Choice.js';
import { useWords } from '../../ui/Preferences.js';
import { Window } from '../../ui/Window.js';
import { useWanted } from './useBoard.js';

const any = { value: '', label: 'any' };

/** Which runs are shown: by what comes next, by what is wrong, by what is due and by who was there. */
export function BoardFilters({ onOpenChange }: { onOpenChange: (open: boolean) => void }): ReactNode {
  const [{ stage = '', problem = '', due = '', person = '' }, want] = useWanted();
  const { data: people = [] } = useQuery(peopleQuery);
  const words = useWords();
  return (
    <Window title="Which runs" open onOpenChange={onOpenChange}>
      <div className="mt-3 grid gap-3 sm:grid-cols-2">
        <Choice
          label="Next step in"
          value={stage}
          options={[any, ...stages.map(({ id, name }) => ({ value: id, label: words(name) }))]}
          onChange={(value) => want({ stage: value })}
        />
        <Choice
          label="Worst problem"
          value={problem}
          options={[
            any,
            { value: 'stop', label: 'a stop' },
            { value: 'caution', label: 'a caution' },
            { value: 'note', label: 'a note' },
            { value: 'none', label: 'none' },
          ]}
          onChange={(value) => want({ problem: value })}
        />
        <Choice
          label="To be looked at"
          value={due}
          options={[
            any,
            { value: 'overdue', label: 'overdue' },
            { value: 'soon', label: 'within two months' },
          ]}
          onChange={(value) => want({ due: value })}
        />
        <Choice
          label="Worked on by"
          value={person}
          options={[any, ...people.map((name) => ({ value: name, label: name }))]}
          onChange={(value) => want({ person: value })}
        />
      </div>
      <button className="button button-primary mt-4" onClick={() => onOpenChange(false)}>
        Show them
      </button>
    </Window>
  );
}

import { aboutOf, factText, type Fact } from '@kobran/core';
import { useState, type FormEvent, type ReactNode } from 'react';
import { useCatalog } from '../../store/Shop.js';
import { useOpenRun } from '../../store/RunContext.js';
import { Labelled } from '../../ui/Labelled.js';

/** Takes back what was typed wrongly, with the reason; the entry stays in the log. */
export function Withdraw({ fact, name }: { fact: Fact; name: string }): ReactNode {
  const { writer } = useOpenRun();
  const catalog = useCatalog();
  const [why, setWhy] = useState<string>();
  if (why === undefined)
    return (
      <button
        type="button"
        className="min-h-9 text-left text-sm underline underline-offset-4 hover:decoration-2"
        aria-label={`Withdraw the entry of ${name}`}
        onClick={() => setWhy('')}
      >
        Withdraw…
      </button>
    );
  const withdraw = (event: FormEvent): void => {
    event.preventDefault();
    if (why.trim() === '') return;
    writer.add({
      kind: 'withdrawn',
      of: fact.id,
      about: aboutOf(fact),
      text: factText(fact, catalog),
      why: why.trim(),
    });
  };
  return (
    <form onSubmit={withdraw} className="mt-1">
      <Labelled label={`Why is the entry of ${name} withdrawn?`} hint="It stays in the log, with this.">
        {(control) => (
          <input
            {...control}
            className="field"
            autoFocus
            value={why}
            maxLength={500}
            placeholder="typed wrongly"
            onChange={({ target }) => setWhy(target.value)}
            onKeyDown={({ key }) => {
              if (key === 'Escape') setWhy(undefined);
            }}
          />
        )}
      </Labelled>
      <p className="mt-1 flex gap-2">
        <button className="button" disabled={why.trim() === ''}>
          Withdraw it
        </button>
        <button type="button" className="button" onClick={() => setWhy(undefined)}>
          Keep it
        </button>
      </p>
    </form>
  );
}

import { aboutOf, factAbout, type FactBody } from '@kobran/core';
import { Check } from 'lucide-react';
import type { ReactNode } from 'react';
import { useOpenRun } from '../store/RunContext.js';
import { sayDay } from '../ui/dates.js';

/** Writes the fact that a work is done; once it is, says who did it and when. */
export function DoneButton({
  fact,
  label,
  done,
  disabled = false,
}: {
  fact: FactBody;
  label: string;
  done: string;
  disabled?: boolean;
}): ReactNode {
  const { facts, writer } = useOpenRun();
  const known = factAbout(facts, fact.kind, aboutOf(fact));
  if (!known) {
    return (
      <button className="button button-primary" disabled={disabled} onClick={() => writer.add(fact)}>
        {label}
      </button>
    );
  }
  return (
    <p className="flex min-h-9 items-center gap-2 font-semibold text-lake">
      <Check size={18} aria-hidden /> {done}
      <span className="font-normal text-muted">
        {known.by ? `${known.by}, ` : ''}
        {sayDay(known.at)}
      </span>
    </p>
  );
}

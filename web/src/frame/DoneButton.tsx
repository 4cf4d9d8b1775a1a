import { logged, type LogKind } from '@kobran/core';
import { Check } from 'lucide-react';
import type { ReactNode } from 'react';
import { useOpenRun } from '../store/RunContext.js';
import { sayDay } from '../ui/dates.js';

/** Logs that a work is done; once it is, says who did it and when. */
export function DoneButton({
  kind,
  about = '',
  label,
  done,
  text,
}: {
  kind: LogKind;
  about?: string;
  label: string;
  done: string;
  text: string;
}): ReactNode {
  const { facts, writer } = useOpenRun();
  if (!logged(facts, kind, about)) {
    return (
      <button className="button button-copper" onClick={() => writer.addLog({ kind, about, text })}>
        {label}
      </button>
    );
  }
  const entry = facts.log.findLast((one) => one.kind === kind && one.about === about);
  return (
    <p className="flex min-h-9 items-center gap-2 font-semibold text-lake">
      <Check size={18} aria-hidden /> {done}
      {entry && (
        <span className="font-normal text-muted">
          {entry.by ? `${entry.by}, ` : ''}
          {sayDay(entry.at)}
        </span>
      )}
    </p>
  );
}

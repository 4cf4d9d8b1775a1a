import { asSentence, type Remedy, type Snag } from '@kobran/core';
import type { ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { useOpenRun } from '../store/RunContext.js';
import { SnagMark, snagColour } from '../ui/SnagMark.js';

/** Applies a remedy: its changes in one undoable step, or the stage where the work is done. */
export function useRemedy(): (remedy: Remedy) => void {
  const { editor, id } = useOpenRun();
  const navigate = useNavigate();
  return (remedy) => {
    if (remedy.changes.length > 0) {
      editor.change(remedy.changes);
      toast(remedy.title, { description: 'Done. Ctrl Z takes it back.' });
    }
    if (remedy.open) void navigate(`/runs/${id}/${remedy.open}`);
  };
}

/** The remedies of one snag as numbered buttons. */
export function Remedies({ snag }: { snag: Snag }): ReactNode {
  const apply = useRemedy();
  return (
    <ol className="space-y-2">
      {snag.remedies.map((remedy, k) => (
        <li key={remedy.title}>
          <button
            className={`flex w-full gap-3 rounded border-2 bg-paper px-3 py-2 text-left hover:border-ink ${k === 0 ? 'border-copper' : 'border-rule'}`}
            onClick={() => apply(remedy)}
          >
            <span aria-hidden="true" className="figures font-bold text-muted">
              {k + 1}
            </span>
            <span>
              <span className="block font-semibold">{remedy.title}</span>
              <span className="block text-sm text-muted">{remedy.detail}</span>
            </span>
          </button>
        </li>
      ))}
    </ol>
  );
}

/** Snags in words, worst first; pressing one leads to its place. */
export function SnagList({
  snags,
  onPick,
}: {
  snags: readonly Snag[];
  onPick: (snag: Snag) => void;
}): ReactNode {
  return (
    <ul aria-label="Problems">
      {snags.map((snag) => (
        <li key={snag.id}>
          <button
            className="flex w-full gap-2 rounded py-0.5 text-left hover:bg-panel"
            onClick={() => onPick(snag)}
          >
            <span className="mt-1">
              <SnagMark level={snag.level} size={14} />
            </span>
            <span>
              <span className={`font-semibold ${snagColour[snag.level]}`}>
                <span className="sr-only">{snag.level}: </span>
                {asSentence(snag.what)}
              </span>{' '}
              <span className="text-muted">{snag.why}</span>
            </span>
          </button>
        </li>
      ))}
    </ul>
  );
}

import type { SiteChange, SiteSnag } from '@kobran/core';
import type { ReactNode } from 'react';
import { toast } from 'sonner';
import { useWords } from '../../ui/Preferences.js';
import { SnagMark, snagColour } from '../../ui/SnagMark.js';

type Change = (changes: readonly SiteChange[]) => void;

/** What is against the site, worst first, with what mends it. */
export function SiteProblems({
  snags,
  change,
  onSelect,
}: {
  snags: readonly SiteSnag[];
  change: Change;
  onSelect?: (id: string) => void;
}): ReactNode {
  const words = useWords();
  if (snags.length === 0) return null;
  return (
    <ul aria-label="Problems" className="mt-4 max-w-3xl space-y-3">
      {snags.map((snag) => (
        <li key={snag.id}>
          <p className={`flex items-start gap-2 font-bold ${snagColour[snag.level]}`}>
            <span className="mt-1">
              <SnagMark level={snag.level} />
            </span>
            <span>
              <span className="sr-only">{snag.level}: </span>
              {onSelect ? (
                <button
                  className="text-left font-bold underline decoration-transparent underline-offset-4 hover:decoration-current"
                  onClick={() => onSelect(snag.at)}
                >
                  {words(snag.what)}
                </button>
              ) : (
                words(snag.what)
              )}
            </span>
          </p>
          <p className="ml-6">
            {words(snag.why)} <span className="text-sm text-muted">Source: {snag.source}.</span>
          </p>
          {snag.remedies.map((remedy) => (
            <button
              key={remedy.title}
              className="button mt-1 ml-6"
              title={remedy.detail}
              onClick={() => {
                change(remedy.changes);
                toast(remedy.title, { description: 'Done. Ctrl Z takes it back.' });
              }}
            >
              {words(remedy.title)}
            </button>
          ))}
        </li>
      ))}
    </ul>
  );
}

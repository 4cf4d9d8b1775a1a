import type { Snag } from '@kobran/core';
import type { ReactNode } from 'react';
import { Remedies } from './SnagList.js';
import { useWords } from '../ui/Preferences.js';
import { SnagMark, snagColour } from '../ui/SnagMark.js';

/** One snag in full: what, why, the ways to mend it and where it comes from. */
export function SnagDetail({ snag }: { snag: Snag }): ReactNode {
  const words = useWords();
  return (
    <section className="mt-4 max-w-2xl">
      <h2 className={`flex items-start gap-2 font-bold ${snagColour[snag.level]}`}>
        <span className="mt-1">
          <SnagMark level={snag.level} />
        </span>
        <span>
          <span className="sr-only">{snag.level}: </span>
          {snag.what}
        </span>
      </h2>
      <p className="mt-1">{words(snag.why)}</p>
      {snag.remedies.length > 0 && <p className="mt-2 mb-1 text-sm text-muted">Ways to mend it</p>}
      <Remedies snag={snag} />
      <p className="mt-1 text-sm text-muted">Source: {snag.source}</p>
    </section>
  );
}

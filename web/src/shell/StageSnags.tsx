import type { Snag } from '@kobran/core';
import type { ReactNode } from 'react';
import { Remedies } from './SnagList.js';
import { SnagMark, snagColour } from './SnagMark.js';

/** What stands against this stage, with its remedies. */
export function StageSnags({ snags }: { snags: readonly Snag[] }): ReactNode {
  return snags.map((snag) => (
    <section key={snag.id} className="mt-4 max-w-2xl">
      <h2 className={`flex items-start gap-2 font-bold ${snagColour[snag.level]}`}>
        <span className="mt-1">
          <SnagMark level={snag.level} />
        </span>
        <span>
          <span className="sr-only">{snag.level}: </span>
          {snag.what}
        </span>
      </h2>
      <p className="mb-2">{snag.why}</p>
      <Remedies snag={snag} />
    </section>
  ));
}

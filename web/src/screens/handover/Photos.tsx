import { photosOf, placeNames } from '@kobran/core';
import type { ReactNode } from 'react';
import { RunPhotos } from '../../frame/RunPhotos.js';
import { useOpenRun } from '../../store/RunContext.js';

/** All photos of the run by what is on them, and room for one of the run itself. */
export function Photos(): ReactNode {
  const { facts, sheet, editor } = useOpenRun();
  const names = placeNames(sheet);
  const places = [...new Set(photosOf(facts).map(({ about }) => about))].filter((about) => about !== '');
  return (
    <section className="mt-6" aria-labelledby="photos">
      <h2 id="photos" className="font-bold">
        Photos
      </h2>
      <ul className="mt-2 grid gap-x-8 gap-y-4 sm:grid-cols-2">
        <li>
          <p className="mb-1 text-sm text-muted">The run</p>
          <RunPhotos about="" of={editor.design.name} />
        </li>
        {places.map((about) => (
          <li key={about}>
            <p className="mb-1 text-sm text-muted">{names.get(about) ?? about}</p>
            <RunPhotos about={about} of={names.get(about) ?? about} />
          </li>
        ))}
      </ul>
    </section>
  );
}

import { photosOf, placeNames, type Sheet, type RunToPlan } from '@kobran/core';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { LoggedPhotos } from '../../../frame/RunPhotos.js';

/** Photos of every run by what is on them; those of the ground stand where it is drawn. */
export function SitePhotos({
  jobId,
  runs,
  ofGround,
}: {
  jobId: string;
  runs: readonly (RunToPlan & { sheet: Sheet })[];
  /** How many there are of bars, rods and conductors. */
  ofGround: number;
}): ReactNode {
  const all = runs.flatMap(({ id, design, sheet, facts }) => {
    const names = placeNames(sheet);
    return [...new Set(photosOf(facts).map(({ about }) => about))].map((about) => ({
      id,
      facts,
      about,
      of: about === '' ? design.name : `${names.get(about) ?? about}, ${design.name}`,
    }));
  });
  return (
    <section className="mt-6" aria-labelledby="photos">
      <h2 id="photos" className="font-bold">
        Photos
      </h2>
      {all.length + ofGround === 0 && (
        <p className="text-muted">None yet. They are taken at an end, a joint, a task or a bar.</p>
      )}
      <ul className="mt-2 grid gap-x-8 gap-y-4 sm:grid-cols-2">
        {all.map(({ id, facts, about, of }) => (
          <li key={`${id} ${about}`}>
            <p className="mb-1 text-sm text-muted">{of}</p>
            <LoggedPhotos runId={id} jobId={jobId} facts={facts} about={about} of={of} />
          </li>
        ))}
      </ul>
      {ofGround > 0 && (
        <p className="mt-2">
          <Link className="underline underline-offset-4" to={`/jobs/${jobId}/ground`}>
            {ofGround} of bars, rods and conductors
          </Link>
        </p>
      )}
    </section>
  );
}

import { photosOf, type Facts } from '@kobran/core';
import type { ReactNode } from 'react';
import { useFactWriter } from '../store/Device.js';
import { useOpenRun } from '../store/RunContext.js';
import { PhotoStrip } from './PhotoStrip.js';

/** Photos of an end, a joint, a piece or a task of the open run; each is an entry of its log. */
export function RunPhotos({ about, of }: { about: string; of: string }): ReactNode {
  const { id, jobId, facts } = useOpenRun();
  return <LoggedPhotos runId={id} jobId={jobId} facts={facts} about={about} of={of} />;
}

/** The same of a run which is not open. */
export function LoggedPhotos({
  runId,
  jobId,
  facts,
  about,
  of,
}: {
  runId: string;
  jobId: string;
  facts: Facts;
  about: string;
  of: string;
}): ReactNode {
  const writer = useFactWriter(runId);
  return (
    <PhotoStrip
      jobId={jobId}
      of={of}
      photos={photosOf(facts, about)}
      onTake={(photo) => writer.add({ kind: 'photo', about, ...photo })}
      onWithdraw={({ pictureId }) => writer.add({ kind: 'photo withdrawn', about, pictureId })}
    />
  );
}

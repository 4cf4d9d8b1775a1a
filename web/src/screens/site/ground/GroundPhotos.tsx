import { MAX_SITE_PHOTOS, type Site, type SiteChange } from '@kobran/core';
import type { ReactNode } from 'react';
import { useParams } from 'react-router';
import { toast } from 'sonner';
import { PhotoStrip } from '../../../frame/PhotoStrip.js';
import { usePreferences } from '../../../ui/Preferences.js';

/** Photos of a bar, a rod or a conductor; they stand in the document of the site. */
export function GroundPhotos({
  about,
  of,
  site,
  change,
}: {
  about: string;
  of: string;
  site: Site;
  change: (changes: readonly SiteChange[]) => void;
}): ReactNode {
  const { jobId = '' } = useParams();
  const { name } = usePreferences();
  const all = site.photos ?? [];
  const own = all
    .filter((one) => one.about === about)
    .map(({ id, ...photo }) => ({ ...photo, pictureId: id }));
  return (
    <section className="mt-5">
      <h3 className="mb-2 font-bold">Photos</h3>
      <PhotoStrip
        jobId={jobId}
        of={of}
        photos={own}
        onTake={({ pictureId, ...photo }) => {
          const known = all.find(({ id }) => id === pictureId);
          if (known) return change([{ op: 'put photo', photo: { ...known, ...photo } }]);
          if (all.length >= MAX_SITE_PHOTOS)
            return void toast.error(
              `A site keeps ${MAX_SITE_PHOTOS} photos of its ground. Withdraw one first.`,
            );
          const by = name.trim();
          change([
            { op: 'put photo', photo: { ...photo, id: pictureId, about, by, at: new Date().toISOString() } },
          ]);
        }}
        onWithdraw={({ pictureId }) => change([{ op: 'remove photo', id: pictureId }])}
      />
    </section>
  );
}

import { routes, type JobDocument } from '@kobran/contract';
import { onSite, siteOfRuns } from '@kobran/core';
import { useQueryClient } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { toast } from 'sonner';
import { call, messageOf } from '../../store/client.js';
import { siteArrived } from '../../store/useSiteEditor.js';

/** An empty site: from what the runs say of their legs, or from its first point. */
export function StartSite({ job }: { job: JobDocument }): ReactNode {
  const queries = useQueryClient();
  const [busy, setBusy] = useState(false);
  const made = siteOfRuns(job.runs);
  const { routes: routesOf, shared, site } = made;
  async function make(): Promise<void> {
    setBusy(true);
    try {
      const { place } = job;
      const saved = await call(routes.putOnSite, {
        id: job.id,
        body: {
          version: place?.version ?? 0,
          site,
          runs: job.runs.flatMap(({ id, version, design }) => {
            const route = routesOf.get(id);
            return route ? [{ id, version, design: onSite({ ...design, route }, site) }] : [];
          }),
        },
      });
      siteArrived(queries, job.id, saved);
      await queries.invalidateQueries();
    } catch (error) {
      toast.error(messageOf(error));
    } finally {
      setBusy(false);
    }
  }
  return (
    <div className="mt-4 max-w-2xl space-y-4">
      <p className="text-muted">
        Points are where something is: a rack, the entry, the foot of a mast, an antenna. Ways are what cables
        lie in between them: trays, holes in walls, ducts, the mast. Runs share ways: a duct made longer makes
        every run in it longer.
      </p>
      {routesOf.size > 0 && (
        <div>
          <button className="button button-primary" disabled={busy} onClick={() => void make()}>
            Make the site from the runs’ legs
          </button>
          <p className="mt-2 text-sm text-muted">
            {site.ways.length} {site.ways.length === 1 ? 'way' : 'ways'} from {routesOf.size}{' '}
            {routesOf.size === 1 ? 'run' : 'runs'}
            {shared.length > 0 &&
              `, ${shared.length === site.ways.length ? 'all' : shared.length} shared since their legs are equal`}
            . No length changes.
          </p>
        </div>
      )}
    </div>
  );
}

import type { JobDocument } from '@kobran/contract';
import {
  checkReferences,
  evaluate,
  onSite,
  survey,
  surveyedFacts,
  type RunToPlan,
  type Sheet,
  type Site,
  type SiteSheet,
  type SurveyedRun,
} from '@kobran/core';
import { useMemo } from 'react';
import { useRunsWithFacts } from '../../store/Device.js';
import { useCatalog } from '../../store/Shop.js';

/** The runs of a job as its site sees them; those which name what the catalogue has not are left out. */
export function useSurveyedRuns(
  { runs: kept, practice }: JobDocument,
  site: Site,
): (SurveyedRun & RunToPlan & { sheet: Sheet })[] {
  const catalog = useCatalog();
  // What was done here and is not at the server yet is done.
  const runs = useRunsWithFacts(kept);
  return useMemo(
    () =>
      runs
        .filter(({ design }) => checkReferences(design, catalog).length === 0)
        .map(({ id, design: own, facts }) => {
          const design = onSite(own, site);
          return {
            id,
            design,
            facts,
            sheet: evaluate(design, catalog, { facts, practice, sweepPoints: 2 }),
            ...surveyedFacts(facts),
          };
        }),
    [runs, practice, site, catalog],
  );
}

/** What the site of a job says, of runs which are at hand. */
export function useSheetOf(
  { practice }: Pick<JobDocument, 'practice'>,
  site: Site,
  runs: readonly SurveyedRun[],
): SiteSheet {
  const catalog = useCatalog();
  return useMemo(
    () => survey(site, runs, catalog, practice.codeProfiles),
    [site, runs, catalog, practice.codeProfiles],
  );
}

export const useSiteSheet = (job: JobDocument, site: Site): SiteSheet =>
  useSheetOf(job, site, useSurveyedRuns(job, site));

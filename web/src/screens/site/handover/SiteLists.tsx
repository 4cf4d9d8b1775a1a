import {
  cableScheduleCsv,
  cutListCsv,
  materialsUsedCsv,
  partsListCsv,
  supportListCsv,
  type JobDocument,
} from '@kobran/contract';
import {
  emptyShopLog,
  partName,
  partsList,
  usesOfJob,
  type RunToPlan,
  type Site,
  type SiteSheet,
} from '@kobran/core';
import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { shopLogOf } from '../../../store/queries.js';
import { useCatalog } from '../../../store/Shop.js';
import { usePreferences } from '../../../ui/Preferences.js';
import { saveFile } from '../../../ui/saveFile.js';

/** What of a site is given away as a table, for any program that reads one. */
export function SiteLists({
  job,
  site,
  sheet,
  runs,
}: {
  job: JobDocument;
  site: Site;
  sheet: SiteSheet;
  runs: readonly RunToPlan[];
}): ReactNode {
  const catalog = useCatalog();
  const { units } = usePreferences();
  const { data: log } = useQuery(shopLogOf);
  const lists: [name: string, csv: () => string][] = [
    ['Cable schedule', () => cableScheduleCsv(sheet, units)],
    [
      'Cut list',
      () =>
        cutListCsv(
          runs.map(({ design, sheet: { cuts } }) => ({ name: design.name, cuts })),
          units,
        ),
    ],
    ['Clips and hangers', () => supportListCsv(sheet, units)],
    ['Shopping list', () => partsListCsv(partsList(runs, sheet, catalog, log ?? emptyShopLog), units)],
    [
      'Materials used',
      () =>
        materialsUsedCsv(
          usesOfJob(
            runs.map(({ design, facts }) => ({ name: design.name, facts })),
            site,
            catalog,
          ),
          (part) => partName(part, catalog, job.practice),
        ),
    ],
  ];
  return (
    <p className="flex flex-wrap items-center gap-x-4 gap-y-1 text-sm">
      CSV:
      {lists.map(([name, csv]) => (
        <button
          key={name}
          className="min-h-8 underline underline-offset-4"
          onClick={() => saveFile(csv(), `${job.name}, ${name.toLowerCase()}.csv`, 'text/csv')}
        >
          {name}
        </button>
      ))}
    </p>
  );
}

import { factAbout, factsOf, type Facts } from '../run/index.js';
import type { SurveyedRun } from './waySheet.js';

/** What the log of a run says to its site: what lies where it goes, and who mounted its arrester. */
export function surveyedFacts(facts: Facts): Pick<SurveyedRun, 'installed' | 'pulledInto' | 'grounded'> {
  const grounded = factAbout(facts, 'grounded');
  return {
    installed: factAbout(facts, 'installed') !== undefined,
    pulledInto: new Set(factsOf(facts, 'installed').flatMap(({ way }) => way?.id ?? [])),
    ...(grounded ? { grounded: { by: grounded.by, on: grounded.at.slice(0, 10), at: grounded.at } } : {}),
  };
}

import { checkSite, isObject, type Problem, type Site } from '@kobran/core';
import { readAs } from './readAs.js';
import { Site as SiteRules } from './site.js';

/** Reads an unknown value as a site: shape, limits, and every point its ways lead to. */
export function readSite(value: unknown): { ok: true; site: Site } | { ok: false; problems: Problem[] } {
  const shape = readAs(SiteRules, isObject(value) ? value : {});
  if (!shape.ok) return shape;
  const site = JSON.parse(JSON.stringify(shape.value)) as Site;
  const problems = checkSite(site);
  return problems.length > 0 ? { ok: false, problems } : { ok: true, site };
}

import type { Role } from '@kobran/core';
import type { AnyRoute } from './route.js';
import { routes } from './routes.js';

/** Who may ask: anybody at all, or somebody with this role or one above it. */
export type Leave = 'anybody' | Role;

type RouteName = keyof typeof routes;

/** Before somebody has signed in. */
const forAnybody: RouteName[] = [
  'readHealth',
  'readMe',
  'signIn',
  'signOut',
  'readInvitation',
  'join',
  'openLink',
  'readCertificate',
];

/** What a customer sees of the one site of the link. */
const forViewers: RouteName[] = ['readBoard', 'printAsBuilt', 'printSite', 'readCalendar'];

/** Who may come in, and what undoes the work of others. */
const forOwners: RouteName[] = [
  'invite',
  'removeInvitation',
  'changeMember',
  'removeMember',
  'makeLink',
  'removeLink',
  'readCrewLog',
  'readBackup',
  'restoreBackup',
  'restoreSentBackup',
  'openDemo',
];

/** As a server matches them: in whichever case, with or without a slash at the end. */
const partsOf = (path: string): string[] => path.toLowerCase().replace(/\/$/, '').split('/').slice(1);

const all = (Object.entries(routes) as [RouteName, AnyRoute][])
  .map(([name, { method, path }]) => ({ name, method, parts: partsOf(path) }))
  // `/api/backups/restore` before `/api/backups/:name`: the one with fewer gaps is meant.
  .toSorted((a, b) => gaps(a.parts) - gaps(b.parts));

function gaps(parts: readonly string[]): number {
  return parts.filter((part) => part.startsWith(':')).length;
}

const fits = (parts: readonly string[], asked: readonly string[]): boolean =>
  parts.length === asked.length && parts.every((part, k) => part.startsWith(':') || part === asked[k]);

/**
 * Who may ask this of the server. What is in none of the lists is for the crew; what is not even in the table of requests, for owners.
 *
 * @param path without its query
 */
export function leaveFor(method: string, path: string): Leave {
  const asked = partsOf(path);
  const wanted = method === 'HEAD' ? 'GET' : method;
  const found = all.find((one) => one.method === wanted && fits(one.parts, asked));
  if (!found) return 'owner';
  if (forAnybody.includes(found.name)) return 'anybody';
  if (forViewers.includes(found.name)) return 'viewer';
  return forOwners.includes(found.name) ? 'owner' : 'installer';
}

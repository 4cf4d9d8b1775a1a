import { describe, expect, it } from 'vitest';
import { leaveFor, pathOf, routes, type AnyRoute } from './index.js';

const id = '7a0e1d00-0000-4000-8000-00000000a001';
const all = Object.entries(routes as Record<string, AnyRoute>).map(([name, route]) => ({
  name,
  leave: leaveFor(
    route.method,
    pathOf(route, { id, name: 'x', kind: 'cable', key: 'x', traceId: id, pictureId: id }),
  ),
}));
const those = (leave: string): string[] => all.filter((one) => one.leave === leave).map(({ name }) => name);

describe('who may ask what', () => {
  it('before signing in: only what leads in', () =>
    expect(those('anybody').toSorted()).toEqual([
      'join',
      'openLink',
      'readCertificate',
      'readHealth',
      'readInvitation',
      'readMe',
      'signIn',
      'signOut',
    ]));

  it('a customer reads, and changes nothing', () => {
    expect(those('viewer').toSorted()).toEqual(['printAsBuilt', 'printSite', 'readBoard', 'readCalendar']);
    for (const name of those('viewer')) expect((routes as Record<string, AnyRoute>)[name].method).toBe('GET');
  });

  it('who may come in, and what undoes the work of all, is for owners; the work is for the crew', () => {
    expect(those('owner')).toEqual(
      expect.arrayContaining([
        'invite',
        'removeMember',
        'makeLink',
        'readCrewLog',
        'restoreBackup',
        'readBackup',
      ]),
    );
    expect(those('installer')).toEqual(
      expect.arrayContaining(['addFact', 'replaceRun', 'readJob', 'makeBackup']),
    );
    expect(those('installer')).not.toContain('restoreSentBackup');
  });

  // Express 5 matches paths in any case and with a slash at the end (`case sensitive routing`, `strict routing`).
  it.each(['/API/Backups/x/Restore', '/api/backups/x/restore/', '/api/BACKUPS/restore'])(
    'the same however the path is written: %s',
    (path) => expect(leaveFor('POST', path)).toBe('owner'),
  );

  it('what nobody knows is for owners', () => {
    expect(leaveFor('GET', '/api/docs')).toBe('owner');
    expect(leaveFor('PATCH', `/api/runs/${id}`)).toBe('owner');
    expect(leaveFor('HEAD', '/api/board')).toBe('viewer');
  });
});

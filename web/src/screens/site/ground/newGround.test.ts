import { applySiteChange, catalog, emptySite, survey, type LegKind, type Site } from '@kobran/core';
import { describe, expect, it } from 'vitest';
import { usualStart } from './newGround.js';

const siteWith = (kind: LegKind): Site => ({
  ...emptySite,
  points: ['p', 'q'].map((id, k) => ({ id, name: id, kind: 'free', xM: k, yM: 0, zM: 0 })),
  ways: [
    { id: 'w', name: 'w', kind, from: 'p', to: 'q', via: [], conditions: ['outside'], bends: [], beside: [] },
  ],
});

/** What the ground of such a site begins with, and what is against it. */
function begun(kind: LegKind) {
  const site = siteWith(kind);
  const after = usualStart(site, survey(site, [], catalog).ground).reduce(applySiteChange, site);
  const { ground } = survey(after, [], catalog);
  return { kinds: ground.nodes.map((node) => node.kind), islands: ground.islands };
}

// Common practice, no source: on land rod and building electrode, on a boat mast, rig and what lies in the sea.
describe('the beginning of a ground', () => {
  it('on land drives a rod, tied with the building', () => {
    const { kinds, islands } = begun('tower leg');
    expect(kinds).toEqual(expect.arrayContaining(['rod', 'building electrode', 'entry bar']));
    expect(islands).toEqual([]);
  });
  it('on a boat drives none: mast and rig are tied to the sea', () => {
    const { kinds, islands } = begun('boat deck or mast');
    expect(kinds).toEqual(expect.arrayContaining(['plate', 'mast', 'metalwork']));
    expect(kinds).not.toContain('rod');
    expect(kinds).not.toContain('building electrode');
    expect(islands).toEqual([]);
  });
});

import { arrestersOf } from '../../run/index.js';
import { arresterNode, HEIGHT_M, type BondSheet, type SiteSheet } from '../../site/index.js';
import { joinNeeds } from '../needs.js';
import { digCautions, handsFor, LOOK_MIN, usualMinutes } from './defaults.js';
import type { Draft, RunToPlan } from './draft.js';

/** Cables which go into a duct go in together. */
export function pullTasks({ ways }: SiteSheet, runs: readonly RunToPlan[]): Draft[] {
  return ways
    .filter(({ pulls }) => pulls.length > 0)
    .map(({ way, length, pulls }): Draft => {
      const ids = [...new Set(pulls.map(({ cable }) => cable.runId))];
      const early = runs
        .filter(({ id }) => ids.includes(id))
        .flatMap(({ id, sheet }) => [
          ...sheet.cuts.map(({ pieceId }) => `${id} cut ${pieceId}`),
          ...sheet.ends.filter(({ afterPull }) => !afterPull).map((end) => `${id} make ${end.id}`),
          ...sheet.proofs.map(({ pieceId }) => `${id} test ${pieceId}`),
        ]);
      return {
        key: `pull ${way.id}`,
        kind: 'pull',
        title: `Pull ${pulls.length} ${pulls.length === 1 ? 'cable' : 'cables'} into ${way.name}`,
        minutes: usualMinutes.pull.each + (usualMinutes.pull.perM ?? 0) * length.value,
        place: 'ground',
        people: handsFor('pull', {
          lengthM: length.value,
          massKg:
            length.value * pulls.reduce((sum, { cable: { cable } }) => sum + cable.massKgPerKm / 1000, 0),
          aloft: false,
        }),
        after: early,
        whose: way.name,
        opens: `pull/${way.id}`,
      };
    });
}

/** Is a part of the ground where somebody has to climb? */
const isAloft = ({ place }: BondSheet['from']): boolean => place !== undefined && place.zM > HEIGHT_M;

/** Electrodes that are there before anybody comes: looked at, not put in. */
const isThere = (kind: BondSheet['from']['kind']): boolean => kind === 'building electrode';

/**
 * Electrodes to put in or to look at, and conductors to join; each is logged by name and day where it is drawn. What is screwed on without a
 * conductor is joined by mounting it: of an arrester that is a task of its run.
 */
export function groundTasks(site: SiteSheet, runs: readonly RunToPlan[]): Draft[] {
  const { nodes, bonds } = site.ground;
  const isOpen = (id: string): boolean =>
    !bonds.some(({ bond, reading }) => (bond.made ?? reading) && (bond.from === id || bond.to === id));
  const electrodes = nodes
    .filter(({ id, isElectrode }) => isElectrode && isOpen(id))
    .map(({ id, name, kind }): Draft => ({
      key: `rod ${id}`,
      kind: 'rod',
      place: 'ground',
      after: [],
      opens: 'ground',
      ...(isThere(kind)
        ? { title: `Look at ${name}: sound, and where to join it`, minutes: LOOK_MIN, learnedBy: 'look' }
        : { title: `Put in ${name}`, minutes: usualMinutes.rod.each, cautions: digCautions }),
    }));
  const mounts = new Map(
    runs.flatMap(({ id, design }) =>
      arrestersOf(design).map((piece) => [arresterNode(id, piece.id), `${id} arrester`] as const),
    ),
  );
  const joints = bonds
    .filter(
      ({ bond: { made, joint, from, to } }) =>
        !made && !(joint === 'mounted' && (mounts.has(from) || mounts.has(to))),
    )
    .map((sheet): Draft => {
      const { bond, from, to } = sheet;
      return {
        key: `bond ${bond.id}`,
        kind: 'bond',
        title: `Join ${from.name} to ${to.name}`,
        minutes: usualMinutes.bond.each,
        ...(isAloft(from) || isAloft(to) ? { place: 'aloft', skills: ['climb'] } : { place: 'ground' }),
        // A ground kit opens the jacket.
        dry: from.kind === 'ground kit' || to.kind === 'ground kit',
        after: [bond.from, bond.to].flatMap((id) => [`rod ${id}`, mounts.get(id) ?? []].flat()),
        parts: joinNeeds(sheet, site),
        opens: 'ground',
      };
    });
  return [...electrodes, ...joints];
}

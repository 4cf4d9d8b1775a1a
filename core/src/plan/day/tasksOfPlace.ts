import { HEIGHT_M, type BondSheet, type SiteSheet } from '../../site/index.js';
import { joinNeeds } from '../needs.js';
import { digCautions, LONG_PULL_M, usualMinutes } from './defaults.js';
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
        people: length.value > LONG_PULL_M ? 3 : 2,
        after: early,
        whose: way.name,
        opens: `pull/${way.id}`,
      };
    });
}

/** Is a part of the ground where somebody has to climb? */
const isAloft = ({ place }: BondSheet['from']): boolean => place !== undefined && place.zM > HEIGHT_M;

/** Rods to drive and conductors to join; each is logged by name and day where it is drawn. */
export function groundTasks(site: SiteSheet): Draft[] {
  const { nodes, bonds } = site.ground;
  const rods = nodes
    .filter(({ isElectrode, joined }) => isElectrode && !joined)
    .map(({ id, name }): Draft => ({
      key: `rod ${id}`,
      kind: 'rod',
      title: `Put in ${name}`,
      minutes: usualMinutes.rod.each,
      place: 'ground',
      after: [],
      cautions: digCautions,
      opens: 'ground',
    }));
  const joints = bonds
    .filter(({ bond }) => !bond.made)
    .map((sheet): Draft => {
      const { bond, from, to } = sheet;
      return {
        key: `bond ${bond.id}`,
        kind: 'bond',
        title: `Join ${from.name} to ${to.name}`,
        minutes: usualMinutes.bond.each,
        ...(isAloft(from) || isAloft(to) ? { place: 'aloft', skills: ['climb'] } : { place: 'ground' }),
        after: [`rod ${bond.from}`, `rod ${bond.to}`],
        parts: joinNeeds(sheet, site),
        opens: 'ground',
      };
    });
  return [...rods, ...joints];
}

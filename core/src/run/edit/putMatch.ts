import type { Catalog } from '../../catalog/index.js';
import type { MatchDevice } from '../../cut/index.js';
import { applyChange, type Change } from '../design/change.js';
import type { Assembly, Design } from '../design/design.js';
import { insertPiece } from './insert.js';

/**
 * Puts the pieces of a matching device that lie in the line into the run before its antenna, each with its electrical target,
 * so that they are trimmed and proved like any other.
 */
export function putMatch(design: Design, device: MatchDevice, catalog: Catalog): Change[] {
  let now = design;
  return device.pieces
    .filter(({ far }) => far === undefined)
    .map(({ name, cable, degrees, lengthM }) => {
      const change = insertPiece(now, now.pieces.length, { kind: 'assembly', cable: cable.id }, catalog);
      if (change.op !== 'splice pieces') return change;
      const insert = change.insert.map((made) =>
        made.kind === 'assembly'
          ? ({
              ...made,
              label: `${name[0].toUpperCase()}${name.slice(1)}`,
              lengthM: Math.max(0.02, lengthM),
              target: { frequencyHz: device.frequencyHz, degrees: Math.max(0.1, degrees) },
            } satisfies Assembly)
          : made,
      );
      const put: Change = { ...change, insert };
      now = applyChange(now, put);
      return put;
    });
}

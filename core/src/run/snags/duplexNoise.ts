import { entry } from '../../catalog/index.js';
import type { MildRule } from './snag.js';

/** A transmitter which is always on beside its own receiver hears every contact that moves. Common practice, no source. */
export const ALWAYS_ON = 0.99;

/** Foil under a braid, and loose contacts, make noise under duplex: repeaters and beacons. Common practice, no source. */
export const duplexNoise: MildRule = ({ design, catalog, layout }) => {
  const { powerW, duty } = design.service;
  if (powerW === 0 || duty < ALWAYS_ON) return [];
  const noisy = layout.pieces.flatMap(({ piece, fromM }) => {
    if (piece.kind !== 'assembly') return [];
    const cable = entry(catalog.cables, piece.cable);
    return cable.shieldKind === 'foil and braid' ? [{ id: piece.id, name: cable.name, fromM }] : [];
  });
  if (noisy.length === 0) return [];
  // Said once of the run, however many of its cables are so.
  const [{ id, fromM }] = noisy;
  const names = [...new Set(noisy.map(({ name }) => name))];
  return [
    {
      rule: 'duplex-noise',
      of: id,
      level: 'note',
      stage: 'plan',
      at: id,
      distanceM: fromM,
      what: `${names.join(' and ')} may make noise under duplex`,
      why: `${powerW} W on the air all the time: foil rubbing on braid, and any loose contact, is heard in the receiver. Corrugated line or two braids are quiet.`,
      remedies: [],
      source: 'common practice, no source',
    },
  ];
};

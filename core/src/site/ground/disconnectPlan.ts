import type { GroundSheet } from './groundSheet.js';

/**
 * What is unplugged before a storm, in order, and where it is parked. Handbook of the trade: mains and other lines first, so that nothing
 * leads out by them when the antennas are taken off; each antenna on a grounded jack outside the living space.
 */
export const disconnectPlan = ({ nodes }: Pick<GroundSheet, 'nodes'>): string[] => [
  'Stop transmitting. Do this before the season or as soon as a storm is forecast, never while it is about.',
  ...nodes.filter(({ kind }) => kind === 'other line').map(({ name }) => `Unplug ${name} at its protector.`),
  ...nodes.flatMap(({ arrester }) =>
    arrester
      ? [
          `${arrester.runName}: take the lead off the radio’s side of its arrester, and park it on a grounded jack outside.`,
        ]
      : [],
  ),
];

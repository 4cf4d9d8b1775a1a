import { arresterNode, emptyGround, type Bond, type Ground, type GroundNode } from '@kobran/core';

const run = (k: number): string => `7a0e1d00-0000-4000-8000-00000000a00${k}`;
const [vhf, uhf, hf, data] = [1, 2, 3, 4].map(run);

const node = (
  id: string,
  name: string,
  kind: GroundNode['kind'],
  over: Partial<GroundNode> = {},
): GroundNode => ({ id, name, kind, metal: 'copper', ...over });

const rod = { lengthM: 1.5, diameterMm: 14.2, depthM: 0.2 };

const kit = (id: string, name: string, of: string, point: string, fromMm: number, toMm: number): GroundNode =>
  node(id, name, 'ground kit', { metal: 'tinned copper', point, kit: { run: of, fromMm, toMm } });

const made = { by: 'Petrok', on: '2026-11-04' };

const bond = (
  from: string,
  to: string,
  lengthM: number,
  areaMm2: number,
  over: Partial<Bond> = {},
): Bond => ({
  id: `${from.slice(-20).replace('.', '-')}-to-${to}`,
  from,
  to,
  lengthM,
  section: { areaMm2 },
  metal: 'copper',
  parallel: 1,
  sharpBends: 0,
  joint: 'clamp',
  bimetal: false,
  ...over,
});

const mounted = (of: string, id: string): Bond =>
  bond(arresterNode(of, 'arrester'), 'entry-plate', 0, 16, { id, joint: 'mounted', made });

/**
 * What the base is tied to. The conductor between the entry and the mast’s rod is missing, so the mast is a ground of its own; the
 * cabinet’s arrester has a rod and nothing more; the rotator’s lead has no protector, the weather run no arrester on the plate, and two
 * kits are missing.
 */
export const brackwaterGround: Ground = {
  ...emptyGround,
  soilOhmM: 60,
  nodes: [
    node('entry-plate', 'Entry plate', 'entry bar', { point: 'entry-box' }),
    node('entry-rod', 'Entry rod', 'rod', { point: 'entry-rod', electrode: rod }),
    node('building', 'Hut’s main bar and electrode', 'building electrode'),
    node('mast', 'Mast', 'mast', { metal: 'zinc', point: 'mast-foot' }),
    node('mast-rod', 'Mast rod', 'rod', { point: 'mast-foot', electrode: rod }),
    node('rack', 'Equipment rack', 'rack', { metal: 'zinc', point: 'vhf-set' }),
    node('mains', 'Hut mains', 'other line', { protector: 'mains protector' }),
    node('rotator', 'Rotator lead', 'other line', { protector: '' }),
    node('cabinet-rod', 'Cabinet rod', 'rod', { electrode: { ...rod, lengthM: 1.2 } }),
    kit('vhf-kit-top', 'VHF kit, mast top', vhf, 'dipole', 9, 12),
    kit('vhf-kit-foot', 'VHF kit, mast foot', vhf, 'mast-foot', 9, 12),
    kit('uhf-kit-top', 'UHF kit, mast top', uhf, 'yagi', 9, 12),
    kit('uhf-kit-foot', 'UHF kit, mast foot', uhf, 'mast-foot', 4, 6),
  ],
  bonds: [
    bond('entry-plate', 'entry-rod', 0.9, 16, { joint: 'compression', made }),
    bond('entry-plate', 'building', 6, 16, { joint: 'bolt', sharpBends: 3, made }),
    bond('mast', 'mast-rod', 0.6, 16, { made }),
    bond('rack', 'entry-plate', 3.2, 4, { metal: 'tinned copper', joint: 'bolt' }),
    bond('mains', 'entry-plate', 0.4, 6, { joint: 'bolt', made }),
    ...['vhf-kit-top', 'vhf-kit-foot', 'uhf-kit-top', 'uhf-kit-foot'].map((id, k) =>
      bond(id, 'mast', k === 2 ? 1.4 : 0.5, 16, { metal: 'tinned copper' }),
    ),
    mounted(vhf, 'vhf-arrester'),
    mounted(uhf, 'uhf-arrester'),
    mounted(hf, 'hf-arrester'),
    bond(arresterNode(data, 'arrester'), 'cabinet-rod', 1.8, 6, { id: 'cabinet-lead', made }),
  ],
  readings: [
    {
      id: 'entry-rod-earth',
      kind: 'earth',
      about: 'entry-rod',
      ohm: 38,
      method: 'fall of potential',
      spacingM: 20,
      weather: 'wet clay after rain, 9 °C',
      by: 'Hedra',
      on: '2026-11-04',
    },
    {
      id: 'building-earth',
      kind: 'earth',
      about: 'building',
      ohm: 7.2,
      method: 'clamp-on',
      by: 'Hedra',
      on: '2026-11-04',
    },
    {
      id: 'plate-to-rod',
      kind: 'bond',
      about: 'entry-plate-to-entry-rod',
      ohm: 0.02,
      method: 'four-wire',
      by: 'Petrok',
      on: '2026-11-04',
    },
  ],
};

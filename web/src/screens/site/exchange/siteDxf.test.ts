import { emptySite, pathOf, type Site } from '@kobran/core';
import DxfParser from 'dxf-parser';
import { expect, it } from 'vitest';
import { siteDxf } from './siteDxf.js';

const point = (id: string, xM: number, yM: number, zM: number) => ({
  id,
  name: `Point ${id}`,
  kind: 'free' as const,
  xM,
  yM,
  zM,
});
const site: Site = {
  ...emptySite,
  points: [point('a', 0, 0, 1), point('b', 12.5, -3.25, 0)],
  ways: [
    {
      id: 'duct',
      name: 'the duct',
      kind: 'duct',
      from: 'a',
      to: 'b',
      via: [{ xM: 4, yM: 0, zM: 0 }],
      conditions: [],
      bends: [],
      beside: [],
    },
  ],
};

it('another reader finds every corner and every name where it was, in metres', () => {
  const read = new DxfParser().parseSync(siteDxf(site));
  const of = (type: string) => read?.entities.filter((one) => one.type === type) ?? [];
  const [line] = of('POLYLINE') as unknown as {
    layer: string;
    vertices: { x: number; y: number; z: number }[];
  }[];
  expect(line.layer).toBe('WAYS');
  expect(line.vertices.map(({ x, y, z }) => [x, y, z])).toEqual(
    pathOf(site, site.ways[0]).map(({ xM, yM, zM }) => [xM, yM, zM]),
  );
  expect((of('TEXT') as unknown as { text: string }[]).map(({ text }) => text)).toEqual([
    'Point a',
    'Point b',
  ]);
  // AutoCAD DXF reference: $INSUNITS 6 is metres.
  expect(read?.header.$INSUNITS).toBe(6);
});

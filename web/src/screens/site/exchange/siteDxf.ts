import { pathOf, type Site } from '@kobran/core';
import { Colors, DxfWriter, point3d, Units } from '@tarikjabiri/dxf';

/** Names beside their points, m. */
const TEXT_M = 0.2;

/** The site for a drawing program: ways as lines in space on a layer of their own, points with their names; metres. */
export function siteDxf(site: Site): string {
  const drawing = new DxfWriter();
  drawing.setUnits(Units.Meters);
  drawing.addLayer('WAYS', Colors.Red, 'Continuous');
  drawing.addLayer('POINTS', Colors.White, 'Continuous');
  for (const way of site.ways)
    drawing.addPolyline3D(
      pathOf(site, way).map(({ xM, yM, zM }) => ({ point: point3d(xM, yM, zM) })),
      { layerName: 'WAYS' },
    );
  for (const { name, xM, yM, zM } of site.points) {
    drawing.addPoint(xM, yM, zM, { layerName: 'POINTS' });
    drawing.addText(point3d(xM + TEXT_M / 2, yM, zM), TEXT_M, name, { layerName: 'POINTS' });
  }
  return drawing.stringify();
}

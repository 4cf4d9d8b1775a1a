import type { Catalog } from '../../catalog/index.js';
import { routeLength } from '../../route/index.js';
import type { Design } from '../design/design.js';
import { layOut } from '../wave/layout.js';
import { waysToJoin, type WayToJoin } from './waysToJoin.js';

/**
 * Every way to make one joint of a run fit, ranked: turn, exchange, re-end, adapters.
 *
 * @param jointId as on the sheet, `main>antenna`
 * @returns none when the joint is gone or nothing of the catalogue helps
 */
export function fitJoint(design: Design, jointId: string, catalog: Catalog, most = 12): WayToJoin[] {
  const { spans } = routeLength(design.legs, 0);
  const joint = layOut(design, catalog, spans).joints.find(({ id }) => id === jointId);
  return joint ? waysToJoin(design, joint, catalog, most) : [];
}

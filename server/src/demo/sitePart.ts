import type { PointKind, SitePoint, Way } from '@kobran/core';

/** Parts of a drawn site, as the demo writes them. */

export const point = (
  id: string,
  name: string,
  kind: PointKind,
  xM: number,
  yM: number,
  zM: number,
): SitePoint => ({ id, name, kind, xM, yM, zM });

export const way = (
  given: Pick<Way, 'id' | 'name' | 'kind' | 'from' | 'to' | 'conditions'> & Partial<Way>,
): Way => ({ via: [], bends: [], beside: [], ...given });

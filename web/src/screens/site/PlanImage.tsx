import { pathOf, routes } from '@kobran/contract';
import { pictureToPlan, type PlanPicture } from '@kobran/core';
import type { ReactNode } from 'react';
import type { Projection } from './projection.js';

/** The picture under the plan, where it belongs and dimmed: the lines count. */
export function PlanImage({
  jobId,
  picture,
  projection,
}: {
  jobId: string;
  picture: PlanPicture;
  projection: Projection;
}): ReactNode {
  const { a, b, c, d, e, f } = pictureToPlan(picture);
  const at = (u: number, v: number): [number, number] => {
    const place = { xM: a * u + c * v + e, yM: b * u + d * v + f, zM: 0 };
    return [projection.x(place), projection.y(place)];
  };
  const [x0, y0] = at(0, 0);
  const [x1, y1] = at(1, 0);
  const [x2, y2] = at(0, 1);
  return (
    <image
      href={pathOf(routes.readPicture, { id: jobId, pictureId: picture.id })}
      width={picture.widthPx}
      height={picture.heightPx}
      opacity={0.45}
      transform={`matrix(${x1 - x0} ${y1 - y0} ${x2 - x0} ${y2 - y0} ${x0} ${y0})`}
      className="pointer-events-none"
    />
  );
}

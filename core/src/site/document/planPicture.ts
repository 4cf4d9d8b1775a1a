import type { Problem } from '../../quantity/index.js';

/** A place which is known on the picture and on the ground. */
export interface KnownPlace {
  /** From the picture’s upper left corner, px. */
  xPx: number;
  yPx: number;
  xM: number;
  yM: number;
}

/** A picture that lies under the plan, scaled and turned by two known places. */
export interface PlanPicture {
  /** Id of the picture among those of the job. */
  id: string;
  widthPx: number;
  heightPx: number;
  places: [KnownPlace, KnownPlace];
}

/** From px of a picture to metres: x = a·u + c·v + e, y = b·u + d·v + f, where v goes down. */
export interface PictureToPlan {
  a: number;
  b: number;
  c: number;
  d: number;
  e: number;
  f: number;
}

/**
 * The similarity which puts both known places where they are: the picture is scaled, turned and moved, never stretched or mirrored.
 *
 * @param picture which has passed `checkPicture`
 */
export function pictureToPlan({ places: [one, two] }: PlanPicture): PictureToPlan {
  // As complex numbers, y upwards: z = s·w + t.
  const [du, dv] = [two.xPx - one.xPx, -(two.yPx - one.yPx)];
  const [dx, dy] = [two.xM - one.xM, two.yM - one.yM];
  const square = du * du + dv * dv;
  const [re, im] = [(dx * du + dy * dv) / square, (dy * du - dx * dv) / square];
  return {
    a: re,
    b: im,
    c: im,
    d: -re,
    e: one.xM - re * one.xPx - im * one.yPx,
    f: one.yM - im * one.xPx + re * one.yPx,
  };
}

/** Nearer to each other two places scale nothing. */
const APART_PX = 10;
const APART_M = 0.1;

/** What is wrong with how a picture is scaled. */
export function checkPicture({ places: [one, two] }: PlanPicture): Problem[] {
  const px = Math.hypot(two.xPx - one.xPx, two.yPx - one.yPx);
  const metres = Math.hypot(two.xM - one.xM, two.yM - one.yM);
  if (px >= APART_PX && metres >= APART_M) return [];
  return [
    {
      code: 'site.picture-scale',
      message: 'The two known places of the plan’s picture lie on each other.',
      where: 'picture.places',
      remedy: 'Choose two places which lie far apart.',
    },
  ];
}

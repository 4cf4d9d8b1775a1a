import type { Request, RequestHandler } from 'express';
import { doorOf } from '../crew/caller.js';
import type { DoorConfig } from '../door/doorConfig.js';

const READS = new Set(['GET', 'HEAD', 'OPTIONS']);

/**
 * A write comes from a page of this server, or from a program which is no browser. A browser names the page it writes for
 * (Fetch standard, `Origin`; `Sec-Fetch-Site` where it has no origin to name): another site's page is refused, body or not.
 */
export const sameOrigin =
  (door?: DoorConfig): RequestHandler =>
  (request, response, next) => {
    if (READS.has(request.method) || isOwn(request, door)) return next();
    response.status(403).json({
      code: 'origin.refused',
      message: 'A page of another site asked for this; nothing was changed.',
      where: 'Origin',
      remedy: 'Do it in Kobran’s own page.',
    });
  };

function isOwn(request: Request, door: DoorConfig | undefined): boolean {
  const { origin, host } = request.headers;
  const own =
    doorOf(request) === 'machine' ? `http://${host}` : (door?.proxy ?? `https://${host?.toLowerCase()}`);
  if (origin !== undefined) return origin === own;
  const site = request.headers['sec-fetch-site'];
  return site === undefined || site === 'same-origin' || site === 'none';
}

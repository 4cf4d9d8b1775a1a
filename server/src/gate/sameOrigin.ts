import type { NextFunction, Request, Response } from 'express';

const READS = new Set(['GET', 'HEAD', 'OPTIONS']);

/**
 * A write comes from a page of this server, or from a program which is no browser. A browser names the page it writes for
 * (Fetch standard, `Origin`; `Sec-Fetch-Site` where it has no origin to name): another site's page is refused, body or not.
 */
export function sameOrigin(request: Request, response: Response, next: NextFunction): void {
  if (READS.has(request.method) || isOwn(request)) return next();
  response.status(403).json({
    code: 'origin.refused',
    message: 'A page of another site asked for this; nothing was changed.',
    where: 'Origin',
    remedy: 'Do it in Kobran’s own page.',
  });
}

function isOwn({ headers }: Request): boolean {
  const { origin, host } = headers;
  if (origin !== undefined) return origin === `http://${host}`;
  const site = headers['sec-fetch-site'];
  return site === undefined || site === 'same-origin' || site === 'none';
}

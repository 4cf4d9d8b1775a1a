import express, { type NextFunction, type Request, type RequestHandler, type Response } from 'express';
import { faultOf } from '../store/keepable.js';

/** What a request may carry: so much for each kind of document, and no text or nesting which nothing else takes. */

const SMALL = '64kb';
/** Read as they come, by who is asked. */
const STREAMED = /^\/api\/(jobs\/import|backups\/restore)$/;
/** By the beginning of the path, the first that fits; files of jobs and sweeps are large, designs carry a measured antenna. */
const limits: [path: RegExp, limit: string][] = [
  [/^\/api\/runs\/[^/]+\/traces$/, '16mb'],
  [/^\/api\/shop\/import$/, '4mb'],
  [/^\/api\/(jobs|runs)\/[^/]+(\/(runs|site))?$/, '1mb'],
  [/^\/api\/jobs\/[^/]+\/site\/runs$/, '4mb'],
  [/^\/api\/cuttings$/, '1mb'],
  [/^\/api\/jobs\/[^/]+\/pictures\/[^/]+$/, '3mb'],
];

/** Reads the JSON of a request within its limit, and refuses what could not be kept. */
export function jsonBodies(): RequestHandler[] {
  const readers = new Map(
    [...new Set([SMALL, ...limits.map(([, limit]) => limit)])].map((limit) => [
      limit,
      express.json({ limit }),
    ]),
  );
  return [
    (request, response, next) => {
      if (STREAMED.test(request.path)) return next();
      const limit = limits.find(([path]) => path.test(request.path))?.[1] ?? SMALL;
      readers.get(limit)?.(request, response, next);
    },
    keepable,
  ];
}

function keepable(request: Request, response: Response, next: NextFunction): void {
  const fault = faultOf(request.body);
  if (!fault) return next();
  response.status(400).json({ ...fault, where: fault.where === '' ? 'body' : fault.where });
}

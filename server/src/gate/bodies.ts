import express, { type NextFunction, type Request, type RequestHandler, type Response } from 'express';

/** What a request may carry: so much for each kind of document, and no text or nesting which nothing else takes. */

const SMALL = '64kb';
/** By the beginning of the path, the first that fits; files of jobs and sweeps are large, designs carry a measured antenna. */
const limits: [path: RegExp, limit: string][] = [
  [/^\/api\/jobs\/import$/, '16mb'],
  [/^\/api\/runs\/[^/]+\/traces$/, '16mb'],
  [/^\/api\/shop\/import$/, '4mb'],
  [/^\/api\/(jobs|runs)\/[^/]+(\/runs)?$/, '1mb'],
  [/^\/api\/cuttings$/, '1mb'],
];

/** Deeper than any document of Kobran: a job file comes to ten. */
const MAX_DEPTH = 24;

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

interface Fault {
  code: string;
  message: string;
  where: string;
  remedy: string;
}

/** NUL cannot be kept in a text of the database, nor half a pair of UTF-16 in UTF-8. */
const UNKEEPABLE = /\u0000|[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/;

/** The first thing in a body which cannot be kept; each value is looked at once. */
export function faultOf(body: unknown): Fault | undefined {
  const open: [value: unknown, where: string, depth: number][] = [[body, '', 0]];
  for (let next = open.pop(); next; next = open.pop()) {
    const [value, where, depth] = next;
    if (typeof value === 'string' && UNKEEPABLE.test(value)) return unkeepable(where);
    if (typeof value !== 'object' || value === null) continue;
    if (depth === MAX_DEPTH)
      return {
        code: 'body.too-deep',
        message: `The request is nested more than ${MAX_DEPTH} deep.`,
        where: where.slice(0, MAX_WHERE),
        remedy: 'No document of Kobran is: see /api/docs.',
      };
    for (const [key, inner] of Object.entries(value)) {
      if (UNKEEPABLE.test(key)) return unkeepable(where);
      open.push([
        inner,
        Array.isArray(value) ? `${where}[${key}]` : where === '' ? key : `${where}.${key}`,
        depth + 1,
      ]);
    }
  }
  return undefined;
}

const MAX_WHERE = 200;

const unkeepable = (where: string): Fault => ({
  code: 'text.unkeepable',
  message: 'A text holds a character which cannot be kept: NUL, or half of a pair.',
  where,
  remedy: 'Take the character out; it came from a broken copy.',
});

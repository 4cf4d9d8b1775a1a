import type { Request, RequestHandler, Response } from 'express';
import { rateLimit } from 'express-rate-limit';

/** Within this time, ms, one caller may ask so often: ten times what a crew with all its phones does. */
const WINDOW_MS = 10_000;
const MOST = 20_000;

/**
 * Who asks too often waits, and the others do not. On one machine all come from one address: what a caller calls itself parts a script
 * that has lost its mind from the browsers beside it.
 */
export const notTooMany = (most = MOST): RequestHandler =>
  rateLimit({
    windowMs: WINDOW_MS,
    limit: most,
    standardHeaders: 'draft-7',
    legacyHeaders: false,
    keyGenerator: ({ socket, headers }: Request) =>
      `${socket.remoteAddress ?? ''} ${(headers['user-agent'] ?? '').slice(0, 200)}`,
    handler: (_: Request, response: Response) => {
      response.status(429).json({
        code: 'caller.too-often',
        message: 'This program asks more often than Kobran answers anybody.',
        where: 'caller',
        remedy: `Wait ${WINDOW_MS / 1000} s, and ask less often.`,
      });
    },
  });

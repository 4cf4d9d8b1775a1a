import type { NextFunction, Request, RequestHandler, Response } from 'express';
import { statfs } from 'node:fs/promises';

/**
 * The engine cannot be stopped once its log finds no room: it has to be asked before. Below this a write is refused; its log grows by
 * files of 16 MB, and a checkpoint and the vacuum after it want some of their own. Bytes.
 */
export const LEAST_ROOM = 96 * 1024 * 1024;
/** How long an answer of the disk is believed, ms: nothing here writes this much in it. */
const BELIEVED_MS = 1000;

const READS = new Set(['GET', 'HEAD', 'OPTIONS']);

/** Free room where a folder lies, bytes. */
export async function freeBytes(folder: string): Promise<number> {
  const { bavail, bsize } = await statfs(folder);
  return bavail * bsize;
}

/**
 * Lets a write through while there is room on the disk; reading goes on, and writing too as soon as there is room again.
 *
 * @param free bytes that are free where the data lies
 */
export function onlyWithRoom(free: () => Promise<number>): RequestHandler {
  let looked = { at: -Infinity, bytes: Infinity };
  const room = async (): Promise<number> => {
    if (performance.now() - looked.at > BELIEVED_MS) looked = { at: performance.now(), bytes: await free() };
    return looked.bytes;
  };
  return (request: Request, response: Response, next: NextFunction) => {
    if (READS.has(request.method)) return next();
    room().then((bytes) => {
      if (bytes >= LEAST_ROOM) return next();
      response.status(507).json({
        code: 'disk.full',
        message: `The disk with Kobran’s data has ${Math.floor(bytes / 1024 / 1024)} MB left; nothing was changed.`,
        where: 'disk',
        remedy: `Make room: ${LEAST_ROOM / 1024 / 1024} MB have to be free. What you entered waits on this device.`,
      });
    }, next);
  };
}

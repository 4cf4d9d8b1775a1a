import type { Request } from 'express';
import type { Config } from '../config.js';
import { doorOf } from './caller.js';

/**
 * From where a request comes. Behind a proxy it is what that says last of all (`X-Forwarded-For`): what stands before was sent by who knows.
 */
export function placeOf(request: Request, { door }: Pick<Config, 'door'>): string {
  const direct = request.socket.remoteAddress ?? 'nowhere';
  if (doorOf(request) === 'machine' || door?.proxy === undefined) return direct;
  const said = request.headers['x-forwarded-for'];
  const last = (Array.isArray(said) ? said.join(',') : (said ?? '')).split(',').at(-1)?.trim() ?? '';
  return last === '' ? direct : last.slice(0, 60);
}

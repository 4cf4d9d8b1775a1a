import type { RequestHandler } from 'express';
import { doorOf } from '../crew/caller.js';
import { isNameOf, type DoorConfig } from '../door/doorConfig.js';

/** Names by which a browser on this machine reaches us; any other Host is another site's trick (DNS rebinding). */
const loopbackHosts = new Set(['localhost', '127.0.0.1', '[::1]']);

/** Answers only under the names which this server has, at this machine or at the crew’s door. */
export const knownHost =
  (door: DoorConfig | undefined): RequestHandler =>
  (request, response, next) => {
    const { host = '' } = request.headers;
    const isCrews = doorOf(request) === 'crew';
    if (isCrews ? door && isNameOf(door, host) : loopbackHosts.has(host.replace(/:\d+$/, ''))) return next();
    response.status(421).json(
      isCrews
        ? {
            code: 'host.refused',
            message: 'Kobran is not called so.',
            where: 'Host',
            remedy: 'Open it by the address in the invitation; further names stand in KOBRAN_NAMES.',
          }
        : {
            code: 'host.refused',
            message: 'Kobran answers on this machine only.',
            where: 'Host',
            remedy: 'Open it as http://localhost with its port.',
          },
    );
  };

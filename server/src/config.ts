import { resolve } from 'node:path';
import type { DatabasePlace } from './database/database.js';
import { serverFolder } from './folder.js';

export interface Config {
  port: number;
  database: DatabasePlace;
  /** Fill an empty database with the demo jobs. */
  demo: boolean;
  /** The built web application, served beside the API. */
  webFolder: string;
  logLevel: string;
  /** Where backups are kept. */
  backupFolder: string;
  /** Where the simulated bench keeps what lies on it. */
  benchFolder: string;
  /** Hosts beside this machine on which instruments may be connected. */
  instrumentHosts: string[];
}

const project = resolve(serverFolder, '..');

/**
 * Configuration from the environment: PORT, KOBRAN_DATA, DATABASE_URL, KOBRAN_DEMO, KOBRAN_LOG,
 * KOBRAN_INSTRUMENT_HOSTS (names or addresses, parted by commas).
 *
 * @throws with the variable's name when a value cannot be used
 */
export function readConfig(env: NodeJS.ProcessEnv): Config {
  const port = Number(env.PORT ?? 4780);
  if (!Number.isInteger(port) || port < 0 || port > 65535)
    throw new Error(`PORT is “${env.PORT}”; give a number from 0 to 65535.`);
  const folder = resolve(env.KOBRAN_DATA ?? `${project}/.kobran/data`);
  return {
    port,
    database: env.DATABASE_URL ? { url: env.DATABASE_URL } : { folder },
    demo: env.KOBRAN_DEMO === '1',
    webFolder: `${project}/web/dist`,
    logLevel: env.KOBRAN_LOG ?? 'info',
    backupFolder: `${folder}/backups`,
    benchFolder: `${folder}-bench`,
    instrumentHosts: (env.KOBRAN_INSTRUMENT_HOSTS ?? '')
      .split(',')
      .map((host) => host.trim())
      .filter((host) => host !== ''),
  };
}

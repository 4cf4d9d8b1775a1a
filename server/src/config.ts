import { resolve } from 'node:path';
import type { DatabasePlace } from './database/database.js';
import { readDoor, type DoorConfig } from './door/doorConfig.js';
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
  /** Where the crew comes in with phones and laptops; nothing where Kobran is for this machine only. */
  door?: DoorConfig | undefined;
  /** Who is asked to sign in once there is a crew: those who come from elsewhere, or those at this machine too. */
  signIn: 'elsewhere' | 'everywhere';
}

const project = resolve(serverFolder, '..');

/**
 * Configuration from the environment: PORT, KOBRAN_DATA, DATABASE_URL, KOBRAN_DEMO, KOBRAN_LOG,
 * KOBRAN_INSTRUMENT_HOSTS (names or addresses, parted by commas), KOBRAN_SIGN_IN, and those of the crew’s door ({@link readDoor}).
 *
 * @throws with the variable's name when a value cannot be used
 */
export function readConfig(env: NodeJS.ProcessEnv): Config {
  const port = Number(env.PORT ?? 4780);
  if (!Number.isInteger(port) || port < 0 || port > 65535)
    throw new Error(`PORT is “${env.PORT}”; give a number from 0 to 65535.`);
  const { KOBRAN_SIGN_IN: signIn = 'elsewhere' } = env;
  if (signIn !== 'elsewhere' && signIn !== 'everywhere')
    throw new Error(`KOBRAN_SIGN_IN is “${signIn}”; give elsewhere or everywhere.`);
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
    door: readDoor(env, `${folder}-certificate`),
    signIn,
  };
}

import type { DoorConfig } from './door/doorConfig.js';

/** Where things lie, where the crew comes in, and where instruments may be besides this machine. */
export interface Places {
  /** Where backups are kept. */
  backupFolder: string;
  /** Where the simulated bench keeps its file. */
  benchFolder: string;
  instrumentHosts: string[];
  /** Of this machine. */
  port: number;
  /** Nothing where Kobran is for this machine only. */
  door?: DoorConfig | undefined;
}

/** Token of the places, since an interface leaves no trace at run time. */
export const PLACES = Symbol('places');

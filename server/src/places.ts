/** Where things lie, and where instruments may be besides this machine. */
export interface Places {
  /** Where backups are kept. */
  backupFolder: string;
  /** Where the simulated bench keeps its file. */
  benchFolder: string;
  instrumentHosts: string[];
}

/** Token of the places, since an interface leaves no trace at run time. */
export const PLACES = Symbol('places');

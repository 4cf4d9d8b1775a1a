/** Where instruments may be, besides this machine, and where the simulated bench keeps its file. */
export interface InstrumentPlaces {
  benchFolder: string;
  instrumentHosts: string[];
}

/** Token of the places, since an interface leaves no trace at run time. */
export const PLACES = Symbol('instrument places');

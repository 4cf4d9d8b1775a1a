import script from './background.worker.ts?worker&url';

/** A thread of its own for one piece of work; ending it cancels what it does. */
export const openBackground = (): Worker => new Worker(script, { type: 'module' });

/** Brings the script of the thread, so that there can be one while the server is away. */
export const fetchBackground = (): Promise<Response> => fetch(script);

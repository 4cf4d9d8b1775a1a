import { unpacked } from '../store/samples.js';

/** A sweep as its text in a job file: a megabyte of figures, written in a thread. */
export default async ({ about, samples }: { about: object; samples: Uint8Array }): Promise<string> =>
  JSON.stringify({ ...about, ...(await unpacked(samples)) });

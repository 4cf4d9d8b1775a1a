import { unzip } from 'fflate';

/**
 * The job in a hand-over archive, as the file it was exported as.
 *
 * @throws when the archive is broken, or has no job in it
 */
export async function jobInArchive(archive: File): Promise<File> {
  const bytes = new Uint8Array(await archive.arrayBuffer());
  const files = await new Promise<Record<string, Uint8Array>>((resolve, reject) => {
    unzip(bytes, { filter: ({ name }) => name === 'job.json' }, (error, found) =>
      error ? reject(new Error('The archive cannot be read: it was cut off or changed.')) : resolve(found),
    );
  });
  const job = files['job.json'] as Uint8Array<ArrayBuffer> | undefined;
  if (!job) throw new Error('The archive has no job.json in it: take the ZIP as Kobran made it.');
  return new File([job], archive.name, { type: 'application/json', lastModified: archive.lastModified });
}

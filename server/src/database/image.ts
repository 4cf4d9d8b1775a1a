import { PGlite } from '@electric-sql/pglite';
import { existsSync } from 'node:fs';
import { readFile, rename, writeFile } from 'node:fs/promises';
import { serverFolder } from '../folder.js';

/** An empty database, made once at build time: creating one takes ten times as long as unpacking it. From source and from the build it is the same file. */
const imageFile = `${serverFolder}dist/database/image.tar.gz`;

/** The prepared image, or nothing when it was not built; the first start is slower then, and the same. */
export async function preparedImage(): Promise<Blob | undefined> {
  return existsSync(imageFile)
    ? new Blob([await readFile(imageFile)], { type: 'application/x-gzip' })
    : undefined;
}

/** Builds the image unless it stands already. */
export async function prepareImage(): Promise<void> {
  if (existsSync(imageFile)) return;
  const empty = await PGlite.create();
  const dump = await empty.dumpDataDir('gzip');
  await empty.close();
  await writeFile(`${imageFile}.part`, Buffer.from(await dump.arrayBuffer()));
  await rename(`${imageFile}.part`, imageFile);
}

import { readdir, readFile, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { brotliCompress, constants, gzip } from 'node:zlib';
import type { Plugin } from 'vite';

const brotli = promisify(brotliCompress);
const zipped = promisify(gzip);

/** Files which a browser gains nothing by: fonts are compressed already. */
const PLAIN = /\.(woff2|png|br|gz)$/;

/** The best quality takes ten times as long: not for the solver of the cutting plan. Bytes. */
const LARGE = 1e6;

/** Lays a brotli and a gzip copy beside every built file, so that the server sends them as they are. */
export const compressed = (): Plugin => {
  let folder = '';
  return {
    name: 'compressed',
    apply: 'build',
    configResolved: ({ root, build }) => {
      folder = join(root, build.outDir);
    },
    closeBundle: async () => {
      const files = await readdir(folder, { recursive: true, withFileTypes: true });
      await Promise.all(
        files
          .filter((file) => file.isFile() && !PLAIN.test(file.name))
          .map(async (file) => {
            const path = join(file.parentPath, file.name);
            const bytes = await readFile(path);
            const quality = { params: { [constants.BROTLI_PARAM_QUALITY]: bytes.length > LARGE ? 9 : 11 } };
            await writeFile(`${path}.br`, await brotli(bytes, quality));
            await writeFile(`${path}.gz`, await zipped(bytes, { level: 9 }));
          }),
      );
    },
  };
};

import { fileURLToPath } from 'node:url';

/** The folder of this package: `src`, `dist` and what is bundled lie one below it. */
export const serverFolder = fileURLToPath(new URL('..', import.meta.url));

import { readFileSync } from 'node:fs';

/** The scripts the page itself asks for, and those they cannot do without: what stands before the first page. */
const html = readFileSync(new URL('web/dist/index.html', import.meta.url), 'utf8');
const first = [...html.matchAll(/(?:src|href)="\/(assets\/[^"]+\.js)"/g)].map(
  ([, file]) => `web/dist/${file}`,
);

export default [
  { name: 'scripts of the first page', path: first, limit: '250 kB', gzip: true },
  {
    name: 'scripts of all screens, fetched once the first page stands',
    path: 'web/dist/assets/*.js',
    limit: '500 kB',
    gzip: true,
  },
];

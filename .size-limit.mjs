import { readFileSync, readdirSync } from 'node:fs';

/** The scripts the page itself asks for, and those they cannot do without: what stands before the first page. */
const html = readFileSync(new URL('web/dist/index.html', import.meta.url), 'utf8');
const first = [...html.matchAll(/(?:src|href)="\/(assets\/[^"]+\.js)"/g)].map(
  ([, file]) => `web/dist/${file}`,
);
/** Each screen comes with a script of its own. */
const screens = readdirSync(new URL('web/dist/assets/', import.meta.url))
  .filter((file) => /(Screen|Frame)-[^.]+\.js$/.test(file))
  .map((file) => `web/dist/assets/${file}`);

export default [
  { name: 'scripts of the first page', path: first, limit: '250 kB', gzip: true },
  ...screens.map((path) => ({
    name: `own script of ${/assets\/(\w+)-/.exec(path)[1]}`,
    path,
    limit: '80 kB',
    gzip: true,
  })),
];

import { existsSync } from 'node:fs';
import { createServer } from 'vite';
import { build, install, root, run } from './steps.mjs';

/**
 * The loop of a person at work: server and web from their sources, on one port.
 *
 * The page takes a change without a reload; the server is started again, and the simulated instruments are those of the last build.
 */
const PORT = Number(process.env.PORT ?? 4780);
const QUIET_MS = 150;

install();
// The prepared database and the instruments' processes come from a build; one is enough.
if (!existsSync(`${root}instruments/dist/main.js`) || !existsSync(`${root}server/dist/database/image.tar.gz`))
  build();
else run('npm', ['run', '--silent', 'compile']);

process.env.KOBRAN_DATA ??= `${root}.kobran/dev`;
process.env.KOBRAN_DEMO ??= '1';
process.env.KOBRAN_LOG ??= 'warn';

/** Loads the server's sources, with the decorators' metadata which Nest reads. */
const sources = await createServer({
  configFile: false,
  root,
  appType: 'custom',
  logLevel: 'warn',
  server: { middlewareMode: true, hmr: false, ws: false },
  optimizeDeps: { noDiscovery: true },
});

let running;
let port = 0;
async function start() {
  await running?.stop();
  running = undefined;
  try {
    const { createApp } = await sources.ssrLoadModule('/server/src/app.ts');
    const { readConfig } = await sources.ssrLoadModule('/server/src/config.ts');
    running = await createApp({ ...readConfig(process.env), webFolder: '/nowhere' });
    await running.app.listen(port, '127.0.0.1');
    port = running.app.getHttpServer().address().port;
  } catch (error) {
    sources.ssrFixStacktrace(error);
    console.error('The server does not start; it is tried again after the next change.\n', error);
  }
}
await start();

const page = await createServer({
  configFile: `${root}web/vite.config.ts`,
  root: `${root}web`,
  server: {
    port: PORT,
    strictPort: true,
    host: '127.0.0.1',
    proxy: { '/api': { target: `http://127.0.0.1:${port}`, changeOrigin: false } },
  },
});
await page.listen();
console.log(
  `Kobran is at http://localhost:${PORT}, from source; a change of server, contract or core starts the server again.`,
);

let timer;
sources.watcher.on('change', (file) => {
  if (!/\/(server|contract|core)\/src\/.*\.ts$/.test(file) || /\.(test|fixture)\.ts$/.test(file)) return;
  clearTimeout(timer);
  timer = setTimeout(async () => {
    console.log(`${file.slice(root.length)} changed: starting the server again…`);
    await start();
  }, QUIET_MS);
});

for (const signal of ['SIGINT', 'SIGTERM'])
  process.on(signal, async () => {
    await page.close();
    await running?.stop();
    await sources.close();
    process.exit(0);
  });

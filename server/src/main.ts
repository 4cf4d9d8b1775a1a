import 'reflect-metadata';
import { readConfig, type Config } from './config.js';
import { openDatabase } from './database/database.js';
import { startFault } from './startFault.js';
import { watch } from './watch/watchdog.js';

const LOOPBACK = '127.0.0.1';

async function start(config: Config): Promise<void> {
  // The engine is compiled in threads of its own: the rest of the program is read meanwhile.
  const opening = openDatabase(config.database);
  opening.catch(() => undefined); // Told by who waits for it.
  const { createApp } = await import('./app.js');
  const { app, logger, openDoor, stop } = await createApp(config, opening);
  await app.listen(config.port, LOOPBACK);
  watch();
  process.stdout.write(`Kobran is at ${(await app.getUrl()).replace(LOOPBACK, 'localhost')}\n`);
  await openDoor((line) => process.stdout.write(`${line}\n`));
  let stopping = false;
  const end = (signal: string): void => {
    if (stopping) return;
    stopping = true;
    logger.info({ signal }, 'stopping');
    stop().then(
      () => process.exit(0),
      (error: unknown) => {
        logger.error({ err: error }, 'did not stop cleanly');
        process.exit(1);
      },
    );
  };
  process.on('SIGTERM', () => end('SIGTERM'));
  process.on('SIGINT', () => end('SIGINT'));
}

async function run(): Promise<void> {
  // What is kept is for its owner alone: files 0600, folders 0700.
  process.umask(0o077);
  // Whoever started it may have closed the window since: what is told them then is lost, and nothing else.
  process.stdout.on('error', () => undefined);
  const config = readConfig(process.env);
  try {
    await start(config);
  } catch (error) {
    throw new Error(await startFault(error, config), { cause: error });
  }
}

run().catch((error: unknown) => {
  process.stderr.write(`Kobran cannot start: ${error instanceof Error ? error.message : String(error)}\n`);
  process.exit(1);
});

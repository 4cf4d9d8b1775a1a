import 'reflect-metadata';
import { createApp } from './app.js';
import { readConfig } from './config.js';

const LOOPBACK = '127.0.0.1';

async function start(): Promise<void> {
  // What is kept is for its owner alone: files 0600, folders 0700.
  process.umask(0o077);
  const config = readConfig(process.env);
  const { app, logger, stop } = await createApp(config);
  await app.listen(config.port, LOOPBACK);
  process.stdout.write(`Kobran is at ${(await app.getUrl()).replace(LOOPBACK, 'localhost')}\n`);
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

start().catch((error: unknown) => {
  process.stderr.write(`Kobran cannot start: ${error instanceof Error ? error.message : String(error)}\n`);
  process.exit(1);
});

import { spawn, spawnSync } from 'node:child_process';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { createHash } from 'node:crypto';
import { fileURLToPath } from 'node:url';

/** Small steps shared by the demo and the tests; Node.js only, since nothing may be installed yet. */

export const root = fileURLToPath(new URL('..', import.meta.url));

/** Runs a command in the project with its output shown; gives its exit code. */
export function run(command, args, options = {}) {
  const { status, error } = spawnSync(command, args, { cwd: root, stdio: 'inherit', ...options });
  if (error) {
    console.error(`${command} cannot be started: ${error.message}`);
    return 127;
  }
  return status ?? 1;
}

/** Installs the packages of the lock file when they are missing or not those of the lock file. */
export function install() {
  const lock = createHash('sha256')
    .update(readFileSync(`${root}package-lock.json`))
    .digest('hex');
  const stamp = `${root}node_modules/.kobran-lock`;
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lock) return;
  console.log('Installing packages…');
  const code = run('npm', ['ci', '--no-audit', '--no-fund']);
  if (code !== 0) process.exit(code);
  writeFileSync(stamp, lock);
}

/** Builds everything; ends the process when it fails. */
export function build() {
  const code = run('npm', ['run', '--silent', 'build']);
  if (code !== 0) process.exit(code);
}

/** Starts the built server and passes signals on to it, so that it stops cleanly. */
export function serve(environment) {
  const server = spawn(process.execPath, ['server/dist/kobran.js'], {
    cwd: root,
    stdio: 'inherit',
    env: { ...process.env, ...environment },
  });
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
  server.on('exit', (code) => process.exit(code ?? 1));
}

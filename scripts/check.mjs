import { spawnSync } from 'node:child_process';
import { install, root, run } from './steps.mjs';

/**
 * Before a commit, in seconds: types of everything, and format, lint and unit tests of what changed since the last commit.
 *
 * The whole test stays `npm test`.
 */
install();
const git = (...args) =>
  spawnSync('git', args, { cwd: root, encoding: 'utf8' }).stdout.split('\n').filter(Boolean);
const changed = [
  ...git('diff', '--name-only', '--diff-filter=d', 'HEAD'),
  ...git('ls-files', '-o', '--exclude-standard'),
];
const code = changed.filter((file) => /\.(ts|tsx|mjs)$/.test(file));
const rooms = ['core', 'contract', 'instruments', 'server', 'cli', 'web'];

const steps = [['types', 'npm', ['run', '--silent', 'compile']]];
if (changed.some((file) => file.startsWith('web/')))
  steps.push(['types of the web', 'npx', ['tsc', '-p', 'web', '--noEmit']]);
if (changed.length > 0)
  steps.push(['format', 'npx', ['prettier', '--check', '--ignore-unknown', ...changed]]);
if (code.length > 0) {
  steps.push(['lint', 'npx', ['eslint', '--no-warn-ignored', ...code]]);
  steps.push([
    'arrows',
    'npx',
    ['depcruise', '--config', '.dependency-cruiser.mjs', ...rooms.map((room) => `${room}/src`)],
  ]);
  // Tests which import what changed, in the rooms where something changed; what it does to the others, the whole test says.
  const elsewhere = rooms.filter((room) => !code.some((file) => file.startsWith(`${room}/`)));
  steps.push([
    'unit tests of what changed',
    'npx',
    [
      'vitest',
      'related',
      '--run',
      '--passWithNoTests',
      ...elsewhere.flatMap((room) => ['--exclude', `${room}/**`]),
      ...code,
    ],
  ]);
}

const started = Date.now();
const failed = steps.filter(([name, command, args]) => {
  console.log(`== ${name}`);
  return run(command, args) !== 0;
});
const seconds = ((Date.now() - started) / 1000).toFixed(0);
console.log(
  failed.length === 0
    ? `\nAll of ${steps.length} checks pass, ${seconds} s.`
    : `\nFailed: ${failed.map(([name]) => name).join(', ')} (${seconds} s).`,
);
process.exitCode = failed.length > 0 ? 1 : 0;

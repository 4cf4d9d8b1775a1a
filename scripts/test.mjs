import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { install, root, run } from './steps.mjs';

/**
 * The whole test: installs what is missing, then types and build, lint, unit, size, end to end.
 * Ends with the count of the real results, and with an exit code which is not 0 when anything failed.
 */

const CHROMIUM = '/usr/bin/chromium';
const reports = `${root}.reports`;

/** Installs a package of Debian; gives whether it is there afterwards. */
function installed(name, isThere) {
  if (isThere()) return true;
  console.log(`${name} is missing; installing it with apt…`);
  const sudo = process.getuid?.() === 0 ? [] : ['sudo', '-n'];
  const apt = (...args) => {
    const [command, ...rest] = [...sudo, 'apt-get', ...args];
    return run(command, rest, { env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' } });
  };
  apt('update', '-q');
  apt('install', '-y', '-q', '--no-install-recommends', name);
  return isThere();
}

/** End-to-end tests need Chromium. */
function chromiumReady() {
  if (installed('chromium', () => existsSync(CHROMIUM))) return true;
  console.error(
    `End-to-end tests cannot run: there is no ${CHROMIUM}, and apt could not install it. On Debian: sudo apt-get install chromium.`,
  );
  return false;
}

const readReport = (name) => JSON.parse(readFileSync(`${reports}/${name}.json`, 'utf8'));

/** Passed and failed of a report; a runner that died before it wrote one counts as a failure. */
function counted(name, read) {
  try {
    return read(readReport(name));
  } catch (error) {
    console.error(`The ${name} tests left no report: ${error.message}`);
    return { passed: 0, failed: 1 };
  }
}

install();
rmSync(reports, { recursive: true, force: true });
mkdirSync(reports);

const results = [];
/** A step which passes or fails as one: lint, build, size. */
const step = (name, args) => {
  console.log(`\n== ${name}`);
  const failed = run('npm', ['run', '--silent', ...args]) === 0 ? 0 : 1;
  results.push({ name, passed: 1 - failed, failed });
  return failed === 0;
};

// Lint knows types, and the types of one room are in the built files of another: the build comes first.
if (step('types and build', ['build'])) {
  step('lint', ['lint']);
  // Tests on a PostgreSQL server say that they are skipped where there is none.
  installed('postgresql', () => existsSync('/usr/lib/postgresql'));
  console.log('\n== unit');
  run('npx', [
    'vitest',
    'run',
    '--reporter=default',
    '--reporter=json',
    `--outputFile.json=${reports}/unit.json`,
  ]);
  results.push({
    name: 'unit',
    ...counted('unit', ({ numPassedTests, numFailedTests, numFailedTestSuites, success, testResults }) => ({
      passed: numPassedTests,
      failed: numFailedTests || (success ? 0 : Math.max(1, numFailedTestSuites)),
      names: testResults.flatMap(({ name, status, message, assertionResults }) => [
        ...(status === 'failed' && message ? [`${name}: ${message}`] : []),
        ...assertionResults
          .filter((one) => one.status === 'failed')
          .map(({ fullName, failureMessages }) => `${name}: ${fullName}\n${failureMessages.join('\n')}`),
      ]),
    })),
  });
  step('size of the scripts', ['size']);
  console.log('\n== end to end');
  if (chromiumReady()) {
    run('npx', ['playwright', 'test']);
    results.push({
      name: 'end to end',
      ...counted('e2e', ({ stats }) => ({ passed: stats.expected, failed: stats.unexpected + stats.flaky })),
    });
  } else results.push({ name: 'end to end', passed: 0, failed: 1 });
}

const sum = (key) => results.reduce((total, result) => total + result[key], 0);
console.log();
for (const name of results.flatMap(({ names = [] }) => names)) console.log(`FAILED ${name}`);
for (const { name, passed, failed } of results)
  console.log(`${name}: ${passed} ok${failed > 0 ? `, ${failed} FAILED` : ''}`);
console.log(`${sum('passed')} passed, ${sum('failed')} failed`);
process.exitCode = sum('failed') > 0 ? 1 : 0;

import { defineConfig } from '@playwright/test';

const quiet = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];

export default defineConfig({
  testDir: 'e2e',
  globalSetup: './e2e/seeded.ts',
  outputDir: '.reports/e2e',
  workers: 2,
  fullyParallel: true,
  // Limits guard against what hangs; a machine shared with others takes its time to start a killed server again.
  timeout: 300_000,
  expect: { timeout: 45_000 },
  forbidOnly: true,
  reporter: [['list'], ['json', { outputFile: '.reports/e2e.json' }]],
  use: {
    // Only the tests of what works without a server have the program kept on the device: it is fetched once for each of them.
    serviceWorkers: 'block',
    viewport: { width: 1280, height: 800 },
    launchOptions: { executablePath: '/usr/bin/chromium', args: quiet },
    // A recording costs a third of the time: `npm run e2e -- --trace on NAME` makes one of what failed.
    screenshot: 'only-on-failure',
  },
});

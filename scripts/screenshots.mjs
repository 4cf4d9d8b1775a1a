import { chromium } from '@playwright/test';
import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { root } from './steps.mjs';

/** Takes one current picture of each main view from the built application with its demo data. */

const run = (n) => `/runs/7a0e1d00-0000-4000-8000-00000000a00${n}`;
const card = ['Space', 'Space', 'Space', 'Space', 'Space', 'Space'];
const views = [
  { name: 'board', path: '/' },
  { name: 'line', path: `${run(2)}/plan?at=main%3Eantenna` },
  { name: 'catalog', path: '/catalog/part/n-plug-gland-10mm' },
  { name: 'identify', path: '/identify', press: '13.6 to 15.2 mm' },
  { name: 'quick', path: '/quick/length' },
  { name: 'kit', path: '/kit', press: 'Find the smallest kit', until: 'no set is smaller' },
  { name: 'make', path: `${run(1)}/make` },
  { name: 'card', path: `${run(3)}/make/main.b`, keys: card },
  { name: 'cut', path: `${run(5)}/cut` },
  { name: 'match', path: `${run(3)}/match` },
  {
    name: 'reels',
    path: '/jobs/7a0e1d00-0000-4000-8000-00000000b001/reels',
    press: 'Plan the cuts',
    until: 'Cut list, Brackwater Sluice',
  },
  {
    name: 'instruments',
    path: `/instruments?run=${run(1).slice('/runs/'.length)}&piece=main`,
    press: 'Put it on the bench',
    until: 'Power at both ends',
  },
  { name: 'prove', path: `${run(1)}/prove`, scroll: '#sweeps' },
  {
    name: 'site',
    path: '/jobs/7a0e1d00-0000-4000-8000-00000000b001/site',
    press: 'The duct to the mast is too full',
    until: 'Pulling',
    scroll: 'main nav',
  },
  { name: 'route', path: `${run(1)}/route` },
  { name: 'ground', path: '/jobs/7a0e1d00-0000-4000-8000-00000000b001/ground' },
  { name: 'seal', path: `${run(1)}/seal` },
  { name: 'day', path: '/jobs/7a0e1d00-0000-4000-8000-00000000b001/day', wait: 3000 },
  { name: 'handover', path: `${run(6)}/handover` },
];

const folder = mkdtempSync(join(tmpdir(), 'kobran-pictures-'));
const server = spawn(process.execPath, ['server/dist/kobran.js'], {
  cwd: root,
  env: { ...process.env, PORT: '0', KOBRAN_DATA: folder, KOBRAN_DEMO: '1', KOBRAN_LOG: 'warn' },
  stdio: ['ignore', 'pipe', 'inherit'],
});
let address = '';
for await (const chunk of server.stdout) {
  address = /http:\S+/.exec(String(chunk))?.[0] ?? '';
  if (address) break;
}
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
});
try {
  for (const { name, path, theme = 'light', keys = [], press, until, scroll, wait = 400 } of views) {
    const page = await browser.newPage({
      viewport: { width: 1280, height: 800 },
    });
    await page.addInitScript(
      (to) => localStorage.setItem('kobran.preferences', JSON.stringify({ theme: to, name: 'Wenna' })),
      theme,
    );
    await page.goto(`${address}${path}`);
    await page.getByRole('heading', { level: 1 }).filter({ hasNotText: 'One moment' }).waitFor();
    // The server’s news keep a connection open: nothing else is to come when the main part stands still.
    await page.waitForTimeout(1500);
    for (const key of keys) await page.keyboard.press(key);
    if (press) await page.getByRole('button', { name: press }).click();
    if (until) await page.getByText(until).waitFor({ timeout: 120_000 });
    if (scroll) await page.locator(scroll).evaluate((heading) => heading.scrollIntoView());
    await page.waitForTimeout(wait);
    await page.screenshot({ path: `${root}docs/screenshots/${name}.png` });
    await page.close();
  }
} finally {
  await browser.close();
  server.kill('SIGTERM');
  rmSync(folder, { recursive: true, force: true });
}

import type { Page } from '@playwright/test';
import { expectClean, expectNoSidewaysScroll } from './accessible.js';
import { demo, expect, test } from './server.js';

/** Every screen, with what opens on it. WCAG 2.2 AA by axe’s rules. */
const screens: [name: string, path: string][] = [
  ['board', '/'],
  ['new run', '/jobs/7a0e1d00-0000-4000-8000-00000000b001/new'],
  ['line', `${demo.vhf}/plan`],
  ['line, joint with a trap', `${demo.data}/plan?at=radio%3Epigtail`],
  ['line, cable', `${demo.uhf}/plan?at=main`],
  ['line, arrester', `${demo.hf}/plan?at=arrester`],
  ['line, radio', `${demo.hf}/plan?at=radio`],
  ['line, antenna', `${demo.hf}/plan?at=antenna`],
  ['line, service', `${demo.uhf}/plan?at=service`],
  ['cables', `${demo.uhf}/cables`],
  ['catalogue, face', '/catalog/face/bnc75-jack'],
  ['catalogue, part', '/catalog/part/n-plug-gland-10mm'],
  ['catalogue, new part', '/catalog/part/new'],
  ['identify', '/identify'],
  ['quick length', '/quick/length'],
  ['what cable is this', '/quick/cable'],
  ['where is the loss', '/quick/loss'],
  ['catalogue, new cable', '/catalog/cable/new'],
  ['kit', '/kit'],
  ['trainer', '/train'],
  ['what ends teach', '/ends'],
  ['backups', '/backups'],
  ['this device', '/device'],
  ['life-size', '/calibrate'],
  ['practice', '/jobs/7a0e1d00-0000-4000-8000-00000000b001/practice'],
  ['shop’s practice', '/practice'],
  ['make', `${demo.vhf}/make`],
  ['repair', `${demo.vhf}/make/main.b/repair`],
  ['batch', `${demo.vhf}/make/jumper.a/batch`],
  ['card, re-ending', `${demo.hf}/make/main.b?work=re-end`],
  ['card, shrink', `${demo.hf}/make/main.a?work=shrink`],
  ['card', `${demo.hf}/make/main.b`],
  ['cut', `${demo.phasing}/cut`],
  ['match', `${demo.hf}/match`],
  ['choke', `${demo.hf}/match?kind=choke`],
  ['site', '/jobs/7a0e1d00-0000-4000-8000-00000000b001/site'],
  ['ground of the site', '/jobs/7a0e1d00-0000-4000-8000-00000000b001/ground'],
  ['parts and tools', '/jobs/7a0e1d00-0000-4000-8000-00000000b001/parts'],
  ['pull card', '/jobs/7a0e1d00-0000-4000-8000-00000000b001/pull/duct'],
  ['reels', '/jobs/7a0e1d00-0000-4000-8000-00000000b001/reels'],
  ['instruments', '/instruments'],
  ['prove', `${demo.vhf}/prove`],
  ['rehearse', `${demo.vhf}/rehearse`],
  ['route', `${demo.vhf}/route`],
  ['ground', `${demo.hf}/ground`],
  ['tube card', `${demo.uhf}/ground/tube/arrester`],
  ['seal', `${demo.vhf}/seal`],
  ['visit', `${demo.vhf}/visit?at=main`],
  ['day', '/jobs/7a0e1d00-0000-4000-8000-00000000b001/day'],
  ['hand over of a site', '/jobs/7a0e1d00-0000-4000-8000-00000000b001/handover'],
  ['crew', '/crew'],
  ['day sheet', '/jobs/7a0e1d00-0000-4000-8000-00000000b001/day/Petrok'],
  ['seal card', `${demo.vhf}/seal/main%3Eantenna`],
  ['opening a seal', `${demo.tide}/seal/main%3Eantenna/open`],
  ['hand over, with revisions', '/runs/7a0e1d00-0000-4000-8000-00000000a006/handover'],
  ['hand over', `${demo.vhf}/handover`],
];

/** Each screen is opened once and looked at in light, in dark and on a phone; in parts, so that workers share them. */
const PARTS = 4;
const setTheme = (page: Page, theme: 'light' | 'dark'): Promise<void> =>
  page.evaluate((to) => {
    document.documentElement.dataset.theme = to;
  }, theme);

for (let part = 0; part < PARTS; part++) {
  test(`axe finds nothing on any screen: light, dark and on a phone, part ${part + 1} of ${PARTS}`, async ({
    page,
    baseURL,
  }) => {
    test.setTimeout(240_000);
    for (const [name, path] of screens.filter((_, k) => k % PARTS === part)) {
      await page.setViewportSize({ width: 1280, height: 800 });
      await page.goto(`${baseURL}${path}`);
      await expect(page.getByRole('heading', { level: 1 })).not.toHaveText(/Opening|One moment/);
      await expectNoSidewaysScroll(page, name);
      await expectClean(page, name);
      await setTheme(page, 'dark');
      await expectClean(page, `${name}, dark`, ['color-contrast']);
      await setTheme(page, 'light');
      await page.setViewportSize({ width: 390, height: 844 });
      await expectNoSidewaysScroll(page, `${name}, phone`);
      // Colours are those of above.
      await expectClean(page, `${name}, phone`, ['target-size', 'scrollable-region-focusable']);
    }
  });
}

test('axe finds nothing at any step of a card, nor in its dialogs', async ({ page, baseURL, site }) => {
  test.setTimeout(300_000);
  await page.goto(`${baseURL}${(await site('hf')).path}/make/main.b`);
  const progress = page.getByRole('list', { name: 'Steps' }).locator('[aria-current=step]');
  const names: string[] = [];
  for (let guard = 0; guard < 40; guard++) {
    const name = (await progress.textContent()) ?? '';
    if (names.at(-1) !== name) {
      names.push(name);
      await expectClean(page, name);
    }
    const open = page.getByRole('button', { name: 'It stays silent, or shows OL' });
    if (name === 'Through') await page.getByLabel('It shows').fill('0.2');
    else if (await open.isVisible()) await open.click();
    if (name === 'Sign off') break;
    await page.getByRole('button', { name: /^Next|^On the cable/ }).click();
  }
  expect(names).toHaveLength(19);
  await page.keyboard.press('w');
  await expectClean(page, 'what went wrong');
  await page.keyboard.press('Escape');
  await page.keyboard.press('o');
  await expectClean(page, 'how this card is worked');
});

test('twice as large (a 640 px wide window): the answer and the way on are there', async ({
  page,
  baseURL,
}) => {
  await page.setViewportSize({ width: 640, height: 400 });
  await page.goto(`${baseURL}${demo.data}/plan`);
  await expect(page.getByRole('heading', { level: 1 })).toBeInViewport();
  await expectNoSidewaysScroll(page, 'line at 200 %');
  await page.goto(`${baseURL}${demo.hf}/make/main.b`);
  await expect(page.getByRole('button', { name: /^Next/ })).toBeInViewport();
});

test('keys are listed on ?', async ({ page, baseURL }) => {
  await page.goto(`${baseURL}${demo.vhf}/plan`);
  await expect(page.getByRole('heading', { level: 1 })).toContainText('reaches');
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Help and keys' })).toBeVisible();
  await expectClean(page, 'keys');
});

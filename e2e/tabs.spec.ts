import type { RunDocument, RunSheet } from '@kobran/contract';
import type { Page } from '@playwright/test';
import { alone, demo, expect, saved, test } from './server.js';

/** Every screen is fetched in the background once the first page stands: then the server may go away. */
const screensFetched = (page: Page): Promise<void> =>
  expect
    .poll(() =>
      page.evaluate(() =>
        ['SealScreen', 'HandoverScreen', 'readParcel'].every((script) =>
          performance.getEntriesByType('resource').some(({ name }) => name.includes(script)),
        ),
      ),
    )
    .toBe(true);

test('two tabs on one run: nothing is lost, one is chosen, undo brings the other back', async ({
  context,
  baseURL,
  site,
  shared,
}) => {
  const { path } = await site('vhf');
  // Nobody is told in time: both change the same at the same moment.
  await context.route('**/api/changes', (asked) => asked.abort());
  const [one, two] = [await context.newPage(), await context.newPage()];
  for (const tab of [one, two]) await tab.goto(`${baseURL}${path}/plan?at=service`);
  const nameIn = (tab: typeof one) => tab.getByLabel('Name of the run');
  await nameIn(one).fill('Renamed in one');
  await nameIn(one).press('Enter');
  await saved(one);
  await nameIn(two).fill('Renamed in two');
  await nameIn(two).press('Enter');
  const notice = two.getByRole('alert').filter({ hasText: 'This run was changed elsewhere' });
  await expect(notice).toBeVisible();
  await expect(notice.getByRole('row', { name: 'name Renamed in two Renamed in one' })).toBeVisible();
  await expect(nameIn(two)).toHaveValue('Renamed in two');

  await notice.getByRole('button', { name: 'Use theirs' }).click();
  await expect(nameIn(two)).toHaveValue('Renamed in one');
  await two.getByRole('button', { name: 'Undo' }).click();
  await expect(nameIn(two)).toHaveValue('Renamed in two');
  await saved(two);
  // What is apart goes together by itself: the first still stands on what it wrote.
  await one.getByLabel('Highest ambient').fill('45');
  await one.getByLabel('Highest ambient').press('Enter');
  await expect(one.getByText('Somebody else changed this meanwhile')).toBeVisible();
  await saved(one);
  await expect(nameIn(one)).toHaveValue('Renamed in two');
  const { design } = await shared.ask<RunDocument>('GET', `/api${path}`);
  expect(design).toMatchObject({ name: 'Renamed in two', service: { ambientC: 45 } });
});

alone(
  'edits made while the server is gone survive a reload of the page',
  async ({ page, baseURL, kobran }) => {
    await page.goto(`${baseURL}${demo.vhf}/plan?at=service`);
    await expect(page.getByLabel('Name of the run')).toBeVisible();
    await screensFetched(page);
    await kobran.kill();
    await page.getByRole('link', { name: /^Seal/ }).click();
    await expect(page.getByRole('heading', { level: 1 })).toContainText('joints to seal');
    await page.goBack();
    await page.getByLabel('Name of the run').fill('Typed in the dark');
    await page.getByLabel('Name of the run').press('Enter');
    await expect(page.getByRole('status').filter({ hasText: 'Kept here' })).toBeVisible();
    await page.evaluate(() => {
      window.stop();
    });
    await kobran.start();
    await page.reload();
    await expect(page.getByLabel('Name of the run')).toHaveValue('Typed in the dark');
    await saved(page);
  },
);

alone(
  'two tabs without a server both log, both are reloaded: everything arrives once',
  async ({ context, baseURL, kobran }) => {
    const [one, two] = [await context.newPage(), await context.newPage()];
    for (const tab of [one, two]) {
      await tab.goto(`${baseURL}${demo.vhf}/handover`);
      await screensFetched(tab);
      await expect(tab.getByLabel('Note for the log')).toBeVisible();
    }
    await kobran.kill();
    const log = async (tab: typeof one, text: string): Promise<void> => {
      await tab.getByLabel('Note for the log').fill(text);
      await tab.getByLabel('Note for the log').press('Enter');
      await expect(tab.getByText(text)).toBeVisible();
    };
    await log(one, 'first, from one');
    await log(two, 'second, from two');
    await log(one, 'third, from one');
    // What one tab has written the other shows too.
    await expect(two.getByText('third, from one')).toBeVisible();
    await kobran.start();
    for (const tab of [one, two]) await tab.reload();
    for (const tab of [one, two]) {
      await saved(tab);
      for (const text of ['first, from one', 'second, from two', 'third, from one'])
        await expect(tab.getByText(text)).toHaveCount(1);
    }
    const { facts } = await kobran.ask<RunDocument>('GET', `/api${demo.vhf}`);
    expect(facts.filter(({ kind }) => kind === 'note')).toHaveLength(3);
  },
);

// Two browsers which share nothing but the server: what one does, the other shows within two seconds.
test('what somebody else does is shown without asking', async ({ browser, baseURL, site, shared }) => {
  const { path } = await site('vhf');
  const person = async (screen: string) => {
    const page = await (await browser.newContext()).newPage();
    await page.addInitScript(() => localStorage.setItem('kobran.preferences', '{"name":"Wenna"}'));
    const listens = page.waitForRequest((request) => request.url().endsWith('/api/changes'));
    await page.goto(`${baseURL}${path}/${screen}`);
    await listens;
    return page;
  };
  const [one, two] = [await person('plan?at=service'), await person('handover')];
  await one.getByLabel('Name of the run').fill('Renamed by somebody else');
  await one.getByLabel('Name of the run').press('Enter');
  await saved(one);
  await expect(one.getByText('Also here: Wenna')).toBeVisible();
  await expect(two.getByText('Renamed by somebody else').first()).toBeVisible({ timeout: 2_000 });
  await shared.ask('POST', `/api${path}/facts`, {
    id: crypto.randomUUID(),
    kind: 'note',
    about: '',
    text: 'the gate code has changed',
    by: 'Hedra',
    at: new Date().toISOString(),
  });
  await expect(two.getByText('the gate code has changed')).toBeVisible({ timeout: 2_000 });
});

alone('a card goes on where another phone left it', async ({ browser, baseURL, kobran }) => {
  const phone = async () => (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage();
  const title = (page: Page) => page.getByRole('heading', { level: 1 });
  const first = await phone();
  await first.goto(`${baseURL}${demo.hf}/make/main.b`);
  await expect(title(first)).toContainText('Lay out the 4 parts');
  for (let k = 0; k < 4; k++) await first.getByRole('button', { name: /^Next|^On the cable/ }).click();
  const reached = (await title(first).textContent()) ?? '';
  await expect
    .poll(async () => (await kobran.ask<unknown[]>('GET', `/api${demo.hf}/progress`)).length)
    .toBe(1);
  const second = await phone();
  await second.goto(`${baseURL}${demo.hf}/make/main.b`);
  await expect(title(second)).toHaveText(reached);
});

// The bundle the browser runs against what the server computes: one line, one answer.
test('the page and the server say the same of every run', async ({ page, shared }) => {
  const same = async (): Promise<void> => {
    for (const path of Object.values(demo)) {
      const { headline, stages } = await shared.ask<RunSheet>('GET', `/api${path}/sheet`);
      await page.goto(`${shared.url}${path}/plan`);
      await expect(page.getByRole('heading', { level: 1 })).toHaveText(headline);
      const rail = page.getByRole('navigation', { name: 'Stages' }).getByRole('listitem');
      for (const [k, { name, state, detail }] of stages.entries()) {
        await expect(rail.nth(k)).toContainText(`${name}${state === 'snags' ? 'problem' : state}: `);
        // Before it, the page says the length of the route in the shop's units.
        await expect(rail.nth(k)).toContainText(detail);
      }
    }
  };
  await same();
});

import { alone, demo, expect, saved, test } from './server.js';

test('two tabs on one run: nothing is lost, one is chosen, undo brings the other back', async ({
  context,
  baseURL,
  site,
}) => {
  const [one, two] = [await context.newPage(), await context.newPage()];
  for (const tab of [one, two]) await tab.goto(`${baseURL}${(await site('vhf')).path}/plan?at=service`);
  const nameIn = (tab: typeof one) => tab.getByLabel('Name of the run');
  await nameIn(one).fill('Renamed in one');
  await nameIn(one).press('Enter');
  await saved(one);
  await nameIn(two).fill('Renamed in two');
  await nameIn(two).press('Enter');
  const notice = two.getByRole('alert').filter({ hasText: 'This run was changed elsewhere' });
  await expect(notice).toBeVisible();
  await expect(nameIn(two)).toHaveValue('Renamed in two');

  await notice.getByRole('button', { name: 'Take theirs' }).click();
  await expect(nameIn(two)).toHaveValue('Renamed in one');
  await two.getByRole('button', { name: 'Undo' }).click();
  await expect(nameIn(two)).toHaveValue('Renamed in two');
  await saved(two);
  await one.reload();
  await expect(nameIn(one)).toHaveValue('Renamed in two');
});

alone(
  'edits made while the server is gone survive a reload of the page',
  async ({ page, baseURL, kobran }) => {
    await page.goto(`${baseURL}${demo.vhf}/plan?at=service`);
    await expect(page.getByLabel('Name of the run')).toBeVisible();
    await page.waitForLoadState('networkidle');
    await page.waitForTimeout(1_500); /* every screen is fetched in the background by then */
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

import type { Page } from '@playwright/test';
import { alone, expect, saved, test } from './server.js';

const title = (page: Page) => page.getByRole('heading', { level: 1 });

test.beforeEach(({ page }) =>
  page.addInitScript(() => {
    if (!localStorage.getItem('kobran.preferences'))
      localStorage.setItem('kobran.preferences', JSON.stringify({ name: 'Wenna' }));
  }),
);

test('the shop’s practice changes the card: schools, tools, dies, crew and the second person', async ({
  page,
  baseURL,
  site,
}) => {
  const { job, path } = await site('hf');
  await page.goto(`${baseURL}/jobs/${job.id}/practice`);
  await expect(title(page)).toContainText('Our practice at Brackwater Sluice');
  // Pressed one after the other without waiting: none is lost.
  await page.getByRole('radio', { name: /^Ruler/ }).click();
  await page.getByRole('radio', { name: /^Solder Needs/ }).click();
  await page.getByLabel('Two people check each end').click();
  await page.getByLabel('hot-air gun').click();
  await page.getByLabel('8.1 mm').click();
  await page.getByLabel('First name').fill('Tamsin');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'Tamsin' })).toBeVisible();
  await page.reload();
  await expect(page.getByRole('radio', { name: /^Ruler/ })).toBeChecked();
  await expect(page.getByLabel('hot-air gun')).not.toBeChecked();
  await expect(page.getByLabel('8.1 mm')).toBeChecked();

  await page.goto(`${baseURL}${path}/make`);
  await expect(page.getByText('Not in the shop: hot-air gun').first()).toBeVisible();
  await page.getByRole('link', { name: 'Open the card' }).last().click();
  await expect(page.getByText('hot-air gun – not in the shop')).toBeVisible();
  for (let k = 0; k < 6; k++) await page.keyboard.press('Space');
  await expect(title(page)).toContainText('Mark the jacket about 43.5 mm from the cut end');
  await expect(page.getByText('Our practice: ruler. Gives a figure')).toBeVisible();
  await expect(page.getByRole('listitem').filter({ hasText: 'Second' })).toBeVisible();
});

alone('a second person other than the maker has to look', async ({ page, baseURL }) => {
  const spare = '/runs/7a0e1d00-0000-4000-8000-00000000a009';
  await page.addInitScript(
    (key) => {
      if (!localStorage.getItem(key))
        localStorage.setItem(key, JSON.stringify({ step: 18, confirmed: [], readings: {} }));
    },
    `kobran.card.${spare.replace('/runs/', '')}.jumper.a`,
  );
  await page.goto(`${baseURL}${spare}/make/jumper.a`);
  await expect(title(page)).toContainText('Let somebody else look');
  await page.getByLabel('Checked by').fill('wenna');
  await page.getByRole('button', { name: /^Next/ }).click();
  await expect(page.getByText('name another person')).toBeVisible();
  await page.getByLabel('Checked by').fill('Petrok');
  await page.getByRole('button', { name: /^Next/ }).click();
  await page.getByRole('button', { name: 'Sign this end off' }).click();
  await expect(page.getByText(/Made by Wenna.*checked by Petrok/)).toBeVisible();
});

test('a damaged end: cut back, the run told, the card of the new end begun', async ({
  page,
  baseURL,
  site,
}) => {
  await page.goto(`${baseURL}${(await site('vhf')).path}/make`);
  await page.getByRole('button', { name: 'More for Hut jumper, antenna end' }).click();
  await page.getByRole('menuitem', { name: /This end is damaged/ }).click();
  await expect(title(page)).toContainText('Cut 150 mm off');
  await page.getByLabel('Water: braid dark or green').check();
  await expect(title(page)).toContainText('Cut 250 mm off');
  await page.getByLabel('Damaged, from the plug’s front').fill('a lot');
  await page.getByLabel('Damaged, from the plug’s front').press('Enter');
  await expect(page.getByText(/no number|not a length|a number/i).first()).toBeVisible();
  await page.getByLabel('Damaged, from the plug’s front').fill('3 m');
  await page.getByLabel('Damaged, from the plug’s front').press('Enter');
  await expect(page.getByText('Nothing would be left of this cable')).toBeVisible();
  await expect(page.getByRole('button', { name: /Log the damage, shorten/ })).toBeDisabled();
  await page.getByLabel('Damaged, from the plug’s front').fill('80 mm');
  await page.getByLabel('Damaged, from the plug’s front').press('Enter');
  await page.getByRole('button', { name: /Log the damage, shorten/ }).click();
  await expect(title(page)).toContainText('Radio off, cable unplugged at both ends');
  await page.keyboard.press('Escape');
  await saved(page);
  await page.reload();
  await expect(title(page)).toContainText('3 of 4 ends to make');
  await page.getByRole('link', { name: /^Plan/ }).click();
  await expect(page.getByText(/2\.18 m/).first()).toBeVisible();
});

test('ten of the same: one set-up, ticks piece by piece, a failure drops out, all through a reload', async ({
  page,
  baseURL,
  site,
}) => {
  test.setTimeout(120_000);
  await page.goto(`${baseURL}${(await site('hf')).path}/make/patch.a/batch`);
  await page.getByLabel('How many').fill('2000');
  await expect(page.getByText('Type a whole number from 1 to 50')).toBeVisible();
  await page.getByLabel('How many').fill('3');
  await page.getByRole('button', { name: 'Start the batch' }).click();
  const tick = (piece: number) => page.getByRole('checkbox', { name: `Piece ${piece}` });
  await expect(title(page)).toContainText('Lay out the 4 parts');
  await tick(2).check();
  await page.keyboard.press('Escape');
  await title(page).click();
  await page.keyboard.press('Space');
  await expect(tick(1)).toBeChecked();
  await page.reload();
  await expect(tick(2)).toBeChecked();
  await tick(3).click();
  await expect(title(page)).toContainText('Slide on');
  await page.getByRole('button', { name: /It failed.*piece 3/ }).click();
  await page.getByRole('button', { name: /forgotten or back to front/ }).click();
  await expect(page.getByText('3 failed')).toBeVisible();
  for (let guard = 0; guard < 60; guard++) {
    if (await page.getByText('2 of 3 made').isVisible()) break;
    for (const piece of [1, 2]) {
      const open = page.getByRole('button', { name: new RegExp(`open.*piece ${piece}`) });
      const field = page.getByLabel(`Piece ${piece} shows`);
      if (await open.isVisible()) await open.click();
      else if (await field.isVisible()) {
        await field.fill('0.1');
        await field.press('Enter');
      }
      if (await tick(piece).isVisible()) await tick(piece).click();
    }
  }
  await expect(title(page)).toContainText('2 of 3 made');
  await page.getByRole('link', { name: 'Back to Make' }).click();
  await expect(title(page)).toContainText('3 of 4 ends to make');
  await page.goto(`${baseURL}/ends`);
  await expect(page.getByRole('heading', { name: 'BNC plug, crimp, for 5 mm cable' })).toBeVisible();
  await expect(page.getByText('16 tries, 2 failed')).toBeVisible();
});

alone('what ends teach: the part that fails more than the others stands first', async ({ page, baseURL }) => {
  await page.goto(`${baseURL}/ends`);
  await expect(title(page)).toContainText(
    'UHF plug, solder, for 10 mm cable fails more than the others: 4 of 10',
  );
  await page.getByRole('radio', { name: 'Person' }).check();
  await expect(page.getByRole('heading', { name: 'Petrok' })).toBeVisible();
});

test('strip gauges open as PDF', async ({ page, baseURL, site }) => {
  await page.goto(`${baseURL}${(await site('vhf')).path}/make`);
  const href = await page.getByRole('link', { name: 'Print all strip gauges 1:1' }).getAttribute('href');
  const answer = await page.request.get(`${baseURL}${href ?? ''}`);
  expect(answer.headers()['content-type']).toBe('application/pdf');
  expect((await answer.body()).subarray(0, 5).toString()).toBe('%PDF-');
});

test('trainer: order the parts, and the reason comes after each', async ({ page, baseURL }) => {
  await page.goto(`${baseURL}/train`);
  await page.getByLabel('Parts in order').check();
  const parts = page.getByRole('main').getByRole('list').first().getByRole('button');
  const count = await parts.count();
  for (let k = 0; k < count; k++) await parts.nth(k).click();
  await expect(page.getByText(/^(Right\.|No: )/)).toBeVisible();
  await page.getByLabel('Spot the fault').check();
  await expect(page.getByRole('img', { name: /^From the cut: / })).toBeVisible();
  await page.getByRole('button', { name: 'Nothing is wrong' }).click();
  await expect(page.getByText(/^(Right\.|No: )/)).toBeVisible();
  await page.keyboard.press('Space');
  await expect(page.getByText(/^(Right\.|No: )/)).toHaveCount(0);
});

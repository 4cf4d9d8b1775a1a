import type { Page } from '@playwright/test';
import { demo, expect, saved, test } from './server.js';

const title = (page: Page) => page.getByRole('heading', { level: 1 });
const space = (page: Page) => page.keyboard.press('Space');

/** Types a reading: its field has the focus when the step begins, the title when it is taken. */
async function reads(page: Page, text: string): Promise<void> {
  await page.keyboard.type(text);
  await page.keyboard.press('Enter');
}

test('an end is made by the card with the keyboard alone, through a reload and a killed server', async ({
  page,
  baseURL,
  kobran,
}) => {
  await page.goto(`${baseURL}${demo.hf}/make`);
  await page.getByRole('link', { name: 'Open the card' }).first().focus();
  await page.keyboard.press('Enter');
  await expect(title(page)).toContainText('Lay out the 4 parts in a row');
  await space(page);

  await expect(title(page)).toContainText('Slide on shrink tube and ferrule');
  await space(page);
  await expect(page.getByText('· on the cable')).toHaveCount(1);
  await space(page);
  await space(page);
  await expect(title(page)).toContainText('Cut the cable’s end square');
  await space(page);
  await expect(title(page)).toContainText('Take the jacket off, 16.0 mm back from the cut');
  await expect(
    page.getByRole('img', {
      name: /Strip gauge to scale, from the cut: centre 5.0 mm, dielectric 3.0 mm, braid 8.0 mm/,
    }),
  ).toBeVisible();

  await page.reload();
  await expect(title(page)).toContainText('Take the jacket off');
  await page.keyboard.press('b');
  await expect(title(page)).toContainText('Cut the cable’s end square');
  for (let k = 0; k < 5; k++) await space(page);
  await expect(title(page)).toContainText('Measure centre to braid');

  await page.keyboard.press('Shift+Tab');
  await space(page);
  await expect(page.getByRole('status').filter({ hasText: 'Take the reading first' })).toBeVisible();
  await page.keyboard.press('Tab');
  await reads(page, '0.4 ohm');
  await expect(page.getByText('Shorted: a whisker or melted insulation')).toBeVisible();
  await space(page);
  await expect(title(page)).toContainText('Measure centre to braid');
  await page.keyboard.press('Tab');
  await reads(page, 'OL');
  await space(page);
  await expect(title(page)).toContainText('Pin hard against the dielectric');

  await kobran.kill();
  await space(page);
  await reads(page, '500 Mohm');
  await space(page);
  await expect(title(page)).toContainText('Push into the body until the pin clicks');
  await expect(page.getByText('No way back from here.')).toBeVisible();
  for (let k = 0; k < 3; k++) await space(page);
  await expect(title(page)).toContainText('Measure centre to shell again');
  await reads(page, 'OL');
  await space(page);
  await reads(page, '0.1');
  await space(page);
  await space(page);
  await expect(title(page)).toContainText('Sign this end off');
  await space(page);
  await expect(page.getByText('3 of 4 ends to make')).toBeVisible();
  await kobran.start();
  await saved(page);
  await page.reload();
  await expect(page.getByText('3 of 4 ends to make')).toBeVisible();
});

test('an end that went wrong is logged with its cause, and the card begins again', async ({
  page,
  baseURL,
}) => {
  await page.goto(`${baseURL}${demo.hf}/make/main.b`);
  await expect(title(page)).toContainText('Lay out the 4 parts');
  await space(page);
  await expect(title(page)).toContainText('Slide on coupling nut, shrink tube and ferrule');
  await page.keyboard.press('w');
  await expect(page.getByRole('dialog', { name: 'What went wrong?' })).toBeVisible();
  await page.getByRole('button', { name: /forgotten or back to front/ }).click();
  await expect(title(page)).toContainText('Lay out the 4 parts');
  await page.keyboard.press('Escape');
  await expect(page.getByText('Failed once before')).toBeVisible();
  await page.getByRole('link', { name: /^Hand over/ }).click();
  await expect(
    page.getByText('forgotten or back to front: the finished end has to be cut off (at Slide on)'),
  ).toBeVisible();
});

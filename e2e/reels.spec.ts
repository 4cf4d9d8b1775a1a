import { alone, expect } from './server.js';

const job = '/jobs/7a0e1d00-0000-4000-8000-00000000b001';

alone(
  'the cuts of a job are planned from the shelf, proved, booked, and taken back',
  async ({ page, baseURL }) => {
    await page.goto(`${baseURL}${job}/reels`);
    const heading = page.getByRole('heading', { level: 1 });
    await expect(heading).toHaveText(/^\d+ pieces to cut, \d+\.\d\d m$/);
    await page.getByRole('button', { name: 'Plan the cuts' }).click();
    await expect(heading).toHaveText(/m planned: .* of scrap$/);
    await expect(page.getByRole('img', { name: /^Drum 7: Mast cable/ })).toBeVisible();
    await expect(page.getByText(/New cable .*\(proved\); scrap 0 m \(proved\)/).first()).toBeVisible();
    const shelf = page.getByRole('region', { name: 'On the shelf' });
    await expect(shelf).toContainText('31.40 m');
    await page.getByRole('button', { name: 'Mark as cut, take off the shelf' }).click();
    await expect(page.getByText(/pieces are cut, the shelf is up to date/)).toBeVisible();
    await expect(shelf).not.toContainText('31.40 m');
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(shelf).toContainText('31.40 m');
    await expect(heading).toHaveText(/^\d+ pieces to cut/);
  },
);

alone(
  'a reel is put on the shelf with its damaged stretch; what cannot be is refused with the place',
  async ({ page, baseURL }) => {
    await page.goto(`${baseURL}${job}/reels`);
    await page.getByRole('button', { name: 'Put a reel on the shelf' }).click();
    const form = page.getByRole('form', { name: 'New reel' });
    await form.getByLabel('Name').fill('Orange coil');
    await form.getByLabel('Length').fill('18.4 m');
    await form.getByLabel('Length').press('Tab');
    await form.getByLabel('Damaged').fill('3 m - bananas');
    await form.getByLabel('Damaged').press('Tab');
    await expect(form.getByRole('alert')).toContainText('is not a stretch');
    await form.getByLabel('Damaged').fill('3 m - 20 m');
    await form.getByLabel('Damaged').press('Tab');
    await form.getByRole('button', { name: 'Save reel' }).click();
    await expect(page.getByText(/damaged stretch ends at 20 m of a reel of 18\.4 m/)).toBeVisible();
    await form.getByLabel('Damaged').fill('3 m - 3.5 m');
    await form.getByLabel('Damaged').press('Tab');
    await form.getByRole('button', { name: 'Save reel' }).click();
    const shelf = page.getByRole('region', { name: 'On the shelf' });
    await expect(shelf).toContainText('Orange coil');
    await expect(shelf).toContainText('damaged 3.00 m to 3.50 m');
    await page.reload();
    await expect(shelf).toContainText('Orange coil');
  },
);

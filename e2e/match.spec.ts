import { expect, saved, test } from './server.js';

test('a transformer is worked out for the antenna, put into the run, and trimmed there', async ({
  page,
  baseURL,
  site,
}) => {
  await page.goto(`${baseURL}${(await site('hf')).path}/match`);
  await page.getByLabel('Antenna, resistance').fill('112 ohm');
  await page.getByLabel('Antenna, resistance').press('Enter');
  // √(50 · 112) = 74.8 ohm: 75 ohm cable makes 50.2 of it.
  await expect(page.getByRole('main').getByRole('status')).toContainText(
    /SWR 1\.0\d at 5\.37 MHz instead of 2\.24/,
  );
  await page.getByLabel('Reactance').fill('bananas');
  await page.getByLabel('Reactance').press('Enter');
  await expect(page.getByRole('alert')).toBeVisible();
  await page.getByLabel('Reactance').press('Escape');
  await page.getByRole('button', { name: 'Insert into the run' }).click();
  await saved(page);
  await page.goto(`${baseURL}${(await site('hf')).path}/cut`);
  await expect(page.getByRole('region', { name: 'Trim coach for Quarter-wave section' })).toBeVisible();
});

test('stub, series section, balun, delay and choke each answer; one that cannot says so', async ({
  page,
  baseURL,
  site,
}) => {
  await page.goto(`${baseURL}${(await site('hf')).path}/match?kind=series`);
  const answer = page.getByRole('main').getByRole('status').first();
  await page.getByLabel('Antenna, resistance').fill('400');
  await page.getByLabel('Antenna, resistance').press('Enter');
  await expect(answer).toContainText('No series section of this cable matches this load');
  await page.getByRole('radio', { name: 'Stub', exact: true }).click();
  await expect(answer).toContainText(/Shorted stub: SWR 1\.\d\d/);
  await page.getByRole('radio', { name: /^Second/ }).check();
  await expect(answer).toContainText('Shorted stub');
  await page.getByRole('radio', { name: 'Half-wave balun' }).click();
  await expect(answer).toContainText(/SWR 1\.0\d/);
  await page.getByRole('radio', { name: 'Delay line' }).click();
  await page.getByLabel('Or nanoseconds').fill('10 ns');
  await page.getByLabel('Or nanoseconds').press('Enter');
  await expect(page.getByRole('textbox', { name: 'Degrees' })).toHaveValue('19.33°');
  await page.getByRole('radio', { name: 'Choke' }).click();
  await expect(answer).toContainText(/turns of RG-8X/);
  await page.getByRole('button', { name: /^Add the turns to/ }).click();
  await expect(page.getByText(/is longer by its turns/)).toBeVisible();
});

import { readFile } from 'node:fs/promises';
import { alone, expect, saved } from './server.js';

alone(
  'from two ports to the exported file, with the server killed on the way',
  async ({ page, baseURL, kobran }) => {
    await page.goto(`${baseURL}/`);
    await page.getByRole('button', { name: 'New job' }).click();
    await page.getByLabel('Name of the job').fill('Heron Weir');
    await page.getByRole('button', { name: 'Add job' }).dblclick();
    await expect(page.getByRole('heading', { name: 'Heron Weir' })).toHaveCount(1);
    await page
      .getByRole('region', { name: 'Heron Weir' })
      .getByRole('link', { name: 'New run', exact: true })
      .click();

    await page.getByLabel('Name of the run').fill('Tide gauge');
    const radio = page.getByRole('region', { name: 'Radio’s port' });
    await radio.getByLabel('Connector').selectOption('rp-sma-jack');
    await page.getByLabel('Frequency').fill('869,5 MHz');
    await page.getByLabel('Forward power').fill('27 dBm');
    await page.getByLabel('Outside', { exact: true }).fill(`20' 0"`);
    await page.getByLabel('Outside is').selectOption('salt');
    await expect(page.getByRole('region', { name: 'Proposal' })).toContainText(
      'of 501 mW reaches the antenna at 869.5 MHz',
    );
    await page.getByRole('button', { name: 'Create run' }).dblclick();
    await expect(page).toHaveURL(/\/runs\/.*\/plan/);
    await expect(page.getByRole('heading', { level: 1 })).toContainText('reaches the antenna at 869.5 MHz');
    await expect(page.getByRole('list', { name: 'Problems' })).not.toContainText('stop:');

    await kobran.kill();
    await page
      .getByRole('button', { name: /Antenna/ })
      .first()
      .click();
    await page.getByLabel('SWR of the antenna itself').fill('1.8');
    await page.getByLabel('SWR of the antenna itself').press('Enter');
    await expect(
      page.getByRole('status').filter({ hasText: 'Server does not answer. Kept here' }),
    ).toBeVisible();
    await kobran.start();
    await saved(page);
    await page.reload();
    await expect(page.getByLabel('SWR of the antenna itself')).toHaveValue('1.8');

    await page.getByRole('link', { name: /^Seal/ }).click();
    await expect(page.getByRole('heading', { level: 1 })).toContainText('of rubber tape');
    await page
      .getByRole('button', { name: /^Mark J\d as sealed/ })
      .first()
      .click();
    await expect(page.getByText(/^\s*Sealed/).first()).toBeVisible();

    await page.getByRole('link', { name: /^Hand over/ }).click();
    await saved(page);
    const downloading = page.waitForEvent('download');
    await page.getByRole('link', { name: 'Export the job' }).click();
    const download = await downloading;
    expect(download.suggestedFilename()).toBe('heron-weir.kobran.json');
    const file = JSON.parse(await readFile(await download.path(), 'utf8')) as {
      schema: string;
      name: string;
      runs: { design: { antenna: { swr: number }; radio: { face: string } }; facts: { kind: string }[] }[];
    };
    expect(file).toMatchObject({ schema: 'kobran-job/2', name: 'Heron Weir' });
    expect(file.runs[0].design).toMatchObject({ antenna: { swr: 1.8 }, radio: { face: 'rp-sma-jack' } });
    expect(file.runs[0].facts.map(({ kind }) => kind)).toEqual(['sealed']);

    await page.goto(`${baseURL}/`);
    await page.getByLabel('Import a job file').setInputFiles(await download.path());
    await expect(page.getByText('Only Heron Weir')).toBeVisible();
    await page.getByRole('button', { name: 'All jobs' }).click();
    await page.getByRole('searchbox', { name: 'Find a run' }).fill('heron');
    await expect(page.getByRole('heading', { name: 'Heron Weir' })).toHaveCount(2);
    await page.getByLabel('Import a job file').setInputFiles({
      name: 'broken.json',
      mimeType: 'application/json',
      buffer: Buffer.from('{"schema": "kobran-job/1",,'),
    });
    await expect(page.getByText(/broken.json: The file is not valid JSON/)).toBeVisible();
  },
);

alone('readings are entered, judged in words and survive a kill', async ({ page, baseURL, kobran }) => {
  await page.goto(`${baseURL}/runs/7a0e1d00-0000-4000-8000-00000000a001/prove`);
  await page.getByLabel('Signed by').fill('Wenna');
  const main = page.getByRole('region', { name: 'Mast cable' });
  const loop = main.getByRole('listitem').filter({ hasText: 'Loop resistance' });
  await loop.getByLabel('Read').fill('0.2 volts');
  await loop.getByLabel('Read').press('Enter');
  await expect(loop.getByRole('alert')).toContainText('is not a unit of resistance');
  await loop.getByLabel('Read').fill('12 ohm');
  await loop.getByLabel('Read').press('Enter');
  await expect(loop).toContainText(/fail. Too high/);
  await saved(page);
  await kobran.kill();
  await loop.getByLabel('Read').fill('0.22');
  await loop.getByLabel('Read').press('Enter');
  await expect(loop).toContainText(/pass. As the copper of this length should be/);
  await expect(page.getByRole('status').filter({ hasText: '1 entry on the way' })).toBeVisible();
  await kobran.start();
  await saved(page);
  await page.reload();
  await expect(loop).toContainText(/pass. As the copper of this length should be/);
  await expect(loop).toContainText('Wenna');
});

alone('a deleted run and a deleted job come back', async ({ page, baseURL }) => {
  await page.goto(`${baseURL}/`);
  await page.getByRole('button', { name: 'More for UHF link, hut to yagi' }).click();
  await page.getByRole('menuitem', { name: /^Delete/ }).click();
  await expect(page.getByRole('link', { name: 'UHF link, hut to yagi' })).toBeHidden();
  await page.getByRole('button', { name: 'Restore' }).click();
  await expect(page.getByRole('link', { name: 'UHF link, hut to yagi' })).toBeVisible();
  await page.getByRole('button', { name: 'More for Oster Crag' }).click();
  await page.getByRole('menuitem', { name: /^Delete the job/ }).click();
  await expect(page.getByRole('region', { name: 'Oster Crag' })).toBeHidden();
  await page.getByText('Deleted jobs (1)').click();
  await page.getByRole('button', { name: 'Restore' }).last().click();
  await expect(page.getByRole('region', { name: 'Oster Crag' })).toBeVisible();
});

import type { RunDocument } from '@kobran/contract';
import type { Page } from '@playwright/test';
import { alone, demo, expect } from './server.js';

alone.use({ serviceWorkers: 'allow', viewport: { width: 390, height: 844 } });

/** The program itself is on the device, and the page is one of it. */
const programKept = (page: Page): Promise<void> =>
  expect
    .poll(() =>
      page.evaluate(async () => {
        const { active } = await navigator.serviceWorker.ready;
        return active?.state === 'activated' && navigator.serviceWorker.controller !== null;
      }),
    )
    .toBe(true);

const keep = async (page: Page, baseURL: string, site: string): Promise<void> => {
  await page.goto(`${baseURL}/device`);
  await programKept(page);
  await page.getByRole('button', { name: `Keep on this device ${site}` }).click();
  await expect(page.getByRole('button', { name: `Refresh ${site}` })).toBeVisible();
};

alone(
  'a site kept on the device: the server goes, everything opens again, a day is worked, and all of it arrives once',
  async ({ page, baseURL, kobran }) => {
    await keep(page, baseURL!, 'Brackwater Sluice');
    await kobran.kill();

    // From the first page on, as after the phone was switched off: nothing of it comes from the server.
    await page.goto(`${baseURL}/`);
    await page.getByRole('link', { name: 'VHF voice, hut to mast dipole' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toContainText('reaches');
    await page.reload();
    await page.goto(`${baseURL}${demo.vhf}/prove`);
    await expect(page.getByRole('heading', { level: 1 })).not.toHaveText(/Opening|One moment/);
    await page.goto(`${baseURL}/jobs/7a0e1d00-0000-4000-8000-00000000b001/site`);
    await expect(page.getByRole('heading', { level: 1 })).not.toHaveText(/Opening|One moment|answer/);

    await page.goto(`${baseURL}${demo.hf}/make/main.b`);
    await expect(page.getByRole('heading', { level: 1 })).toContainText('Lay out the 4 parts');
    for (const text of ['gland boot was missing', 'rope left in the duct']) {
      await page.goto(`${baseURL}${demo.vhf}/handover`);
      await page.getByLabel('Note for the log').fill(text);
      await page.getByLabel('Note for the log').press('Enter');
      await expect(page.getByText(text)).toBeVisible();
    }
    await page.goto(`${baseURL}${demo.vhf}/plan?at=service`);
    await page.getByLabel('Name of the run').fill('Renamed on the mast');
    await page.getByLabel('Name of the run').press('Enter');
    await page.reload();
    await expect(page.getByLabel('Name of the run')).toHaveValue('Renamed on the mast');
    await page.goto(`${baseURL}/device`);
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('2 entries wait to be sent');
    await page.goto(`${baseURL}/`);
    await expect(page.getByText('2 entries not sent yet')).toBeVisible();

    // In the office somebody changes another member of the same run before the phone is heard of again.
    await page.context().setOffline(true);
    await kobran.start();
    const office = await kobran.ask<RunDocument>('GET', `/api${demo.vhf}`);
    const antenna = { ...office.design.antenna, swr: 1.2 };
    await kobran.ask('PUT', `/api${demo.vhf}`, {
      version: office.version,
      design: { ...office.design, antenna },
    });
    // The run is open nowhere: what was typed goes by itself, and together with theirs.
    await page.context().setOffline(false);
    const standing = (): Promise<RunDocument> => kobran.ask<RunDocument>('GET', `/api${demo.vhf}`);
    await expect
      .poll(async () => {
        const { design } = await standing();
        return [design.name, design.antenna.swr];
      })
      .toEqual(['Renamed on the mast', 1.2]);
    const texts = ['gland boot was missing', 'rope left in the duct'];
    await expect
      .poll(async () => {
        const { facts } = await standing();
        return facts.flatMap((fact) =>
          fact.kind === 'note' && texts.includes(fact.text) ? [fact.text] : [],
        );
      })
      .toEqual(texts);
    await expect(page.getByText('not sent yet')).toBeHidden();
  },
);

alone(
  'what was only looked at opens without the server; what never was says so',
  async ({ page, baseURL, kobran }) => {
    await page.goto(`${baseURL}${demo.tide}/plan`);
    await expect(page.getByRole('heading', { level: 1 })).toContainText('antenna');
    await programKept(page);
    await kobran.kill();
    await page.reload();
    await expect(page.getByRole('heading', { level: 1 })).toContainText('antenna');
    await page.goto(`${baseURL}${demo.uhf}/plan`);
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('The server does not answer');
    await expect(page.getByText('was not opened or kept on this device before')).toBeVisible();
    // Nobody knows which jobs there are: not that there are none.
    await page.goto(`${baseURL}/device`);
    await expect(page.getByText('is not known until the server answers')).toBeVisible();
    await expect(page.getByText('There is no job yet')).toBeHidden();
    await page.goto(`${baseURL}${demo.uhf}/plan`);
    await kobran.start();
    await page.getByRole('button', { name: 'Try again' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toContainText('reaches');
  },
);

import { expect } from '@playwright/test';
import { alone, demo } from './server.js';

alone(
  'somebody comes back: overdue on the board, what the label says, what has drifted, what was done',
  async ({ page, baseURL, kobran }) => {
    await page.setViewportSize({ width: 390, height: 844 });
    await page.goto(baseURL ?? '');
    await page.getByText('1 inspection overdue').click();
    await page.getByRole('link', { name: 'Tide gauge data radio, jetty to base' }).first().click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Last here 4 May 2026: Hedra, Petrok');
    await expect(page.getByText('4 Nov 2026, overdue')).toBeVisible();
    await expect(page.getByText('not proved before: the tide was coming in')).toBeVisible();

    // The label of the mast cable, as its code says it.
    await page.goto(`${baseURL}${demo.vhf}/visit?at=main`);
    await expect(page.getByText('The label is of Mast cable.')).toBeVisible();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Last here 20 Nov 2026: Petrok');
    const kink = page.getByRole('row', { name: /in the cable between J3 and J4/ }).first();
    await expect(kink).toContainText('12.');
    await page.getByRole('link', { name: 'Sweep it again' }).click();
    await expect(page).toHaveURL(/\/prove$/);

    // Sealed again, it is due in another half year, and no more on the board.
    await kobran.ask('POST', `/api${demo.tide}/facts`, {
      id: crypto.randomUUID(),
      kind: 'sealed',
      jointId: 'main>antenna',
      by: 'Petrok',
      at: new Date().toISOString(),
    });
    await page.goto(baseURL ?? '');
    await expect(page.getByRole('heading', { name: 'Saltpan Jetty' })).toBeVisible();
    await expect(page.getByText('inspection overdue')).toBeHidden();
  },
);

import { alone, demo, expect } from './server.js';

alone(
  'a phasing leg is trimmed: a reading goes in, the next cut comes out, the wrong resonance is asked about',
  async ({ page, baseURL }) => {
    await page.goto(`${baseURL}${demo.phasing}/cut`);
    const coach = page.getByRole('region', { name: 'Trim coach for Upper leg' });
    await expect(coach.getByText(/learned from 4 readings of other pieces/)).toBeVisible();
    await expect(coach.getByRole('status')).toContainText(/^Cut 1\.6\d\d m first/);
    const read = async (length: string, frequency: string): Promise<void> => {
      await coach.getByLabel('Cable now, cut to cut').fill(length);
      await coach.getByLabel('Resonance read').fill(frequency);
      await coach.getByLabel('Resonance read').press('Enter');
      await coach.getByRole('button', { name: 'Next cut' }).click();
    };
    await expect(coach.getByRole('button', { name: 'Next cut' })).toBeDisabled();
    // 1.650 m of velocity factor 0.665 and 60 ps of connector: a quarter wave at 30.0 MHz.
    await read('1.650 m', '90.1 MHz');
    await expect(coach.getByRole('status')).toContainText('Was it resonance 2?');
    await coach.getByRole('button', { name: 'Discard this reading: it was a slip' }).click();
    await read('1.650 m', '29.98 MHz');
    await expect(coach.getByRole('status')).toContainText(/Cut \d+\.\d mm off/);
    await expect(coach.getByRole('status')).toContainText('only 80 % is cut');
    await page.reload();
    await expect(coach.getByRole('status')).toContainText('only 80 % is cut');
    await read('1.630 m', '30.35 MHz');
    await expect(coach.getByRole('status')).toContainText(/Done|Cut \d/);
    await expect(coach.getByText('2 readings of this piece')).toBeVisible();
  },
);

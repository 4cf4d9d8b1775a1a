import { expect, test } from './server.js';
import type { Page } from '@playwright/test';

async function type(page: Page, label: string, text: string, nth = 0): Promise<void> {
  const field = page.getByLabel(label, { exact: true }).nth(nth);
  await field.fill(text);
  await field.press('Enter');
}

/** Reflection of a lossless line, its far end open or shorted, seen from 50 ohm: e^(−2jβl) with the step from 50 ohm to its own (Pozar). */
function sweepOf(ohm: number, delayS: number, far: 1 | -1): string {
  const step = (ohm - 50) / (ohm + 50);
  const rows = Array.from({ length: 201 }, (_, k) => {
    const hz = 1e6 + k * 1e6;
    const angle = -4 * Math.PI * hz * delayS;
    const [re, im] = [far * Math.cos(angle), far * Math.sin(angle)];
    // (step + e) / (1 + step·e)
    const [a, b, c, d] = [step + re, im, 1 + step * re, step * im];
    const size = c * c + d * d;
    return `${hz / 1e6} ${((a * c + b * d) / size).toFixed(6)} ${((b * c - a * d) / size).toFixed(6)}`;
  });
  return `# MHz S RI R 50\n${rows.join('\n')}\n`;
}

test('a length without a run, a cable without a marking, a loss without a place', async ({
  page,
  baseURL,
}) => {
  await page.goto(`${baseURL}/`);
  await page.getByRole('button', { name: 'Tools' }).click();
  await page.getByRole('menuitem', { name: /Quick length/ }).click();
  // Check value of the handbook: 1.915 m exact, 1.82 m by 468, at 27.2 MHz and VF 0.695.
  await type(page, 'Frequency', '27.2 MHz');
  await type(page, 'Velocity factor', '69.5 %');
  await expect(page.getByRole('button', { name: '1.915 m' })).toBeVisible();
  await expect(page.getByRole('button', { name: /^1\.82\d m$/ })).toBeVisible();
  await type(page, 'Has to reach, in quarter waves', '4 m');
  await expect(page.getByText('3 quarter waves reach')).toBeVisible();
  await type(page, 'Has to reach, in quarter waves', '');
  await expect(page.getByText('quarter waves reach')).toBeHidden();

  await page.getByRole('link', { name: 'What cable is this?' }).click();
  const delayS = 10 / (0.66 * 299_792_458);
  for (const [label, far] of [
    ['Sweep, far end open', 1],
    ['Sweep, far end shorted', -1],
  ] as const)
    await page.getByLabel(label).setInputFiles({
      name: `${far}.s1p`,
      mimeType: 'text/plain',
      buffer: Buffer.from(sweepOf(75, delayS, far)),
    });
  await expect(page.getByText('75.0 ohm')).toBeVisible();
  await type(page, 'Its length, for the velocity factor', '10 m');
  await expect(page.getByText('0.660')).toBeVisible();
  await type(page, 'Jacket', '6.2');
  await type(page, 'Centre', '0.58');
  await page.getByLabel('Its length, for the velocity factor').fill('2 m');
  await page.getByLabel('Its length, for the velocity factor').press('Enter');
  await expect(page.getByRole('alert')).toContainText('velocity factor would be 0.13');

  await page.getByRole('link', { name: 'Where is the loss?' }).click();
  await type(page, 'Its length', '30 m');
  for (const [nth, at, forward, load] of [
    [0, '14 MHz', '100', '50'],
    [1, '145 MHz', '100', '33'],
  ] as const) {
    await type(page, 'Frequency', at, nth);
    await type(page, 'In at the radio', forward, nth);
    await type(page, 'Out at the load', load, nth);
  }
  await expect(page.getByRole('region', { name: 'Where the loss is' })).toContainText(
    'One joint, alike at both frequencies',
  );
});

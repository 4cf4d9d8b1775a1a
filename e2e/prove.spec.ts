import { expect, test } from './server.js';

const sound = '! a lossy cable, its end open\n# MHz S RI R 50\n';
/** A one-port whose end is open behind 12 m of cable: everything comes back, turned. */
const open = `${sound}${Array.from({ length: 201 }, (_, k) => {
  const mhz = 20 + k * 2.4;
  const turn = (-2 * 2 * Math.PI * mhz * 1e6 * 24.06) / (0.66 * 299_792_458);
  return `${mhz} ${0.7 * Math.cos(turn)} ${0.7 * Math.sin(turn)}`;
}).join('\n')}\n`;

test('a sweep points at the kink in the mast cable, and says that water came in since it was new', async ({
  page,
  baseURL,
  site,
}) => {
  await page.goto(`${baseURL}${(await site('vhf')).path}/prove`);
  await expect(
    page.getByText(/More than computed comes back from 12\.2\d m ± 0\.\d m, in the cable between J3 and J4/),
  ).toBeVisible();
  await expect(page.getByText(/Since it was new: fail/)).toBeVisible();
  await expect(page.getByText(/after rain, as water in the cable does/)).toBeVisible();
  await page.getByRole('button', { name: /12\.2\d m/ }).click();
  await expect(page.getByRole('img', { name: /This place alone/ })).toBeVisible();
  await page.getByRole('radio', { name: /first-proof/ }).check();
  await expect(page.getByText('Every place returns what was computed for it.')).toBeVisible();
});

test('files are brought in, several at once; a wrong one is refused with its line and nothing is lost', async ({
  page,
  baseURL,
  site,
}) => {
  await page.goto(`${baseURL}${(await site('uhf')).path}/prove`);
  await page.getByLabel('On the far end').selectOption('open');
  await page.getByLabel('Import .s1p or .s2p').setInputFiles([
    { name: 'good.s1p', mimeType: 'text/plain', buffer: Buffer.from(open) },
    { name: 'cut-off.s1p', mimeType: 'text/plain', buffer: Buffer.from(`${sound}1 0.1\n`) },
  ]);
  await expect(page.getByRole('alert')).toContainText(
    'cut-off.s1p: Line 3: 2 numbers where a one-port has 3',
  );
  await expect(page.getByRole('radio', { name: /good\.s1p/ })).toBeChecked();
  const more = page.getByRole('button', { name: 'More for good.s1p' });
  await more.click();
  await page.getByRole('menuitem', { name: /^Set as birth record/ }).click();
  await expect(page.getByText('birth record', { exact: true })).toBeVisible();
  const saving = page.waitForEvent('download');
  await more.click();
  await page.getByRole('menuitem', { name: /^Save as file/ }).click();
  expect((await saving).suggestedFilename()).toBe('good.s1p');
  await more.click();
  await page.getByRole('menuitem', { name: /^Delete/ }).click();
  await expect(page.getByRole('radio', { name: /good\.s1p/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'Restore' }).click();
  await expect(page.getByRole('radio', { name: /good\.s1p/ })).toBeVisible();
  await page.reload();
  await expect(page.getByRole('radio', { name: /good\.s1p/ })).toBeVisible();
});

test('a hundred thousand lines are read in a worker while the page answers', async ({
  page,
  baseURL,
  site,
}) => {
  const lines = Array.from({ length: 100_000 }, (_, k) => `${20 + k * 0.005} 0.1 ${(k % 7) / 100}`);
  await page.goto(`${baseURL}${(await site('uhf')).path}/prove`);
  await page.getByLabel('Import .s1p or .s2p').setInputFiles({
    name: 'long.s1p',
    mimeType: 'text/plain',
    buffer: Buffer.from(`${sound}${lines.join('\n')}\n`),
  });
  await expect(page.getByText(/100000 points were thinned to 10001/)).toBeVisible();
  await expect(page.getByRole('radio', { name: /long\.s1p/ })).toBeVisible();
});

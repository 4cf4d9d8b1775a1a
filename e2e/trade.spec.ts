import { readFile } from 'node:fs/promises';
import { alone, demo, expect, test } from './server.js';

alone(
  'an own part is added, drawn, refused when it cannot be, used in a run and guarded there',
  async ({ page, browser, baseURL }) => {
    await page.goto(`${baseURL}/catalog/part`);
    await page.getByRole('button', { name: 'Add your own connector part' }).click();
    await page.getByRole('button', { name: 'Save entry' }).click();
    await expect(page.getByRole('alert').filter({ hasText: 'source must say' })).toBeVisible();
    await page.getByLabel('Name', { exact: true }).fill('N plug from the blue bag');
    await page.getByLabel('Source of the figures').fill('sheet in the bag');
    const bore = page.getByLabel('Ferrule, gland or reducer: bore');
    await bore.fill('7 mm');
    await bore.press('Enter');
    await expect(page.getByText('must be wider than the neck under the braid: 7 mm')).toBeVisible();
    await bore.fill('wide');
    await bore.press('Enter');
    await expect(page.getByText('“wide” is not a number')).toBeVisible();
    await bore.fill('27/64 in');
    await bore.press('Enter');
    await expect(bore).toHaveValue('10.7156 mm');
    await expect(page.getByText(/Strip lengths on RG-213\/U; it fits/)).toBeVisible();
    await page.getByRole('button', { name: 'Save entry' }).dblclick();
    await expect(page).toHaveURL(/catalog\/part\/n-plug-from-the-blue-bag/);

    await page.goto(`${baseURL}${demo.uhf}/plan?at=main`);
    await page.getByLabel('Radio end').selectOption({ label: 'N plug from the blue bag' });
    await expect(page.locator('[data-save]')).toHaveAttribute('data-save', 'saved');
    // A browser which has never seen this shop opens the run with its own part, and so does the board.
    const elsewhere = await (await browser.newContext()).newPage();
    await elsewhere.goto(`${baseURL}${demo.uhf}/plan?at=main`);
    await expect(elsewhere.getByLabel('Radio end')).toHaveValue('n-plug-from-the-blue-bag');
    await elsewhere.goto(`${baseURL}/`);
    await expect(elsewhere.getByRole('link', { name: 'UHF link, hut to yagi' })).toBeVisible();
    await elsewhere.close();
    await page.goto(`${baseURL}/catalog/part/n-plug-from-the-blue-bag`);
    await page.getByRole('button', { name: 'Delete' }).click();
    await expect(page.getByText(/is used by the run “UHF link, hut to yagi”/)).toBeVisible();
  },
);

alone('the catalogue goes out as a file, and a file comes in looked through', async ({ page, baseURL }) => {
  await page.goto(`${baseURL}/catalog/cable`);
  const downloading = page.waitForEvent('download');
  await page.getByRole('button', { name: 'CSV' }).click();
  const text = await readFile(await (await downloading).path(), 'utf8');
  expect(text.split('\n').length).toBeGreaterThan(400);
  const file = (name: string, content: string) => ({
    name,
    mimeType: 'text/csv',
    buffer: Buffer.from(content),
  });
  await page.getByLabel('Import a file').setInputFiles(file('same.csv', text));
  await expect(page.getByText('same.csv: 0 entries are new or changed')).toBeVisible();
  await page
    .getByLabel('Import a file')
    .setInputFiles(file('shelf.csv', 'kind,id,count,matings\nstock,n-jack-to-n-jack,7,1\nstock,x,many,0\n'));
  const looked = page.getByRole('region', { name: 'The file' });
  await expect(looked).toContainText('1 entry is new or changed, 1 cannot be read');
  await expect(looked).toContainText('line 3, column count: “many” is not a number');
  const imported = page.waitForResponse(/\/api\/shop\/import$/);
  await looked.getByRole('button', { name: 'Import them' }).click();
  await imported;
  await page.goto(`${baseURL}/catalog/adapter/n-jack-to-n-jack`);
  await expect(page.getByLabel('On the shelf')).toHaveValue('7');
});

test('what am I holding: a few answers, by ruler in inches, with a step back', async ({ page, baseURL }) => {
  await page.goto(`${baseURL}/identify`);
  await page.getByLabel('Type what the ruler shows').fill('9/16 in');
  await page.getByLabel('Type what the ruler shows').press('Enter');
  await expect(page.getByRole('heading', { name: /It can be one of \d / })).toBeVisible();
  await page.getByRole('button', { name: 'A ring with two curved slots' }).click();
  await page.getByRole('button', { name: /^Go back to: What takes hold/ }).click();
  await page.getByRole('button', { name: 'A ring or nut with a thread inside' }).click();
  await page.getByRole('button', { name: 'A hole' }).click();
  await expect(page.getByRole('heading', { name: 'RP-TNC plug, socket' })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Answer' })).toContainText('RP-TNC jack, pin');
  await page.getByRole('button', { name: 'Start again' }).click();
  await page.getByLabel('I can look').uncheck();
  await page.getByLabel('I have a ruler').uncheck();
  await expect(page.getByRole('region', { name: 'Question 1' })).toBeVisible();
});

alone(
  'the smallest kit is proved in a worker, can be stopped, and couplings are counted',
  async ({ page, baseURL }) => {
    await page.goto(`${baseURL}/kit`);
    await page.getByLabel('Longest chain').selectOption('3');
    await page.getByRole('button', { name: 'Find the smallest kit' }).click();
    await page.getByRole('button', { name: 'Stop' }).click();
    await page.getByLabel('Longest chain').selectOption('2');
    for (const box of await page.getByRole('checkbox', { name: /to Whip$/ }).all()) await box.uncheck();
    await page.getByRole('button', { name: 'Find the smallest kit' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toContainText('no set is smaller');
    await expect(page.getByRole('region', { name: 'The kit' })).toContainText('on the shelf');
    await expect(page.getByText('worn: leave a saver on it')).toBeVisible();
    await page.getByRole('button', { name: 'One more coupling of Handheld 3' }).dblclick();
    await expect(page.getByText(/34[12] of 500/)).toBeVisible();
    await expect(page.getByText('was changed elsewhere')).toBeHidden();
  },
);

test('the trainer asks, gives the reason, and remembers what was missed', async ({ page, baseURL }) => {
  await page.goto(`${baseURL}/train`);
  await page.getByLabel('Does it mate?').check();
  const answered = page.getByText(/answered in all/);
  for (let k = 0; k < 6; k++) {
    await page.keyboard.press('2');
    await expect(page.getByText(/^(Right\.|No: )/)).toBeVisible();
    await page.keyboard.press('Space');
    await expect(page.getByText(/^(Right\.|No: )/)).toBeHidden();
  }
  await expect(answered).toContainText('6 answered in all');
  const words = await answered.textContent();
  await page.reload();
  await expect(answered).toHaveText(words ?? '');
});

test('a receive run is judged by what is heard', async ({ page, baseURL, site }) => {
  await page.goto(`${baseURL}${(await site('weather')).path}/plan?at=service`);
  await expect(page.getByRole('heading', { level: 1 })).toContainText('it costs 0.01 dB of signal-to-noise');
  await expect(page.getByRole('list', { name: 'Problems' })).toContainText(
    'RG-11A/U is better than this receive run needs',
  );
  await page.getByLabel('An amplifier stands at the antenna').uncheck();
  await page.getByLabel('Loss budget').fill('0.2');
  await page.getByLabel('Loss budget').press('Enter');
  await expect(page.getByRole('list', { name: 'Problems' })).toContainText(
    'of signal-to-noise, budget 0.20 dB',
  );
});

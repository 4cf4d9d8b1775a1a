import { demo, empty, expect, test } from './server.js';

/** What a newcomer may need from an empty Kobran to a run that can be built; the house’s own limits. */
const MAX_INPUTS = 12;
const MAX_MS = 60_000;

empty(
  'a newcomer has a workable run in at most 12 inputs; a file that is no job is told',
  async ({ page, baseURL }) => {
    await page.goto(`${baseURL}/`);
    await expect(page.getByRole('button', { name: /^Open the demo/ })).toBeVisible();
    await page.getByLabel(/^Import a job\s?a file/).setInputFiles({
      name: 'shopping.json',
      mimeType: 'application/json',
      buffer: Buffer.from('{"milk": 2}'),
    });
    await expect(page.getByText(/^shopping\.json: /)).toBeVisible();
    const began = Date.now();
    let inputs = 0;
    const input = async (act: Promise<unknown>): Promise<void> => {
      inputs++;
      await act;
    };
    await input(page.getByRole('button', { name: /^Start from two connectors/ }).click());
    const radio = page.getByRole('region', { name: 'Radio’s port' });
    const antenna = page.getByRole('region', { name: 'Antenna’s port' });
    await input(radio.getByLabel('Connector').selectOption('uhf-jack'));
    await input(antenna.getByLabel('Connector').selectOption('n-jack'));
    await input(page.getByLabel('Frequency').fill('156.8 MHz'));
    await input(page.getByLabel('Forward power').fill('25 W'));
    await input(page.getByLabel('Inside', { exact: true }).fill('4 m'));
    await input(page.getByLabel('Outside', { exact: true }).fill('14 m'));
    await input(page.getByLabel('Outside is').selectOption('salt'));
    await input(page.getByRole('button', { name: 'Create run' }).click());
    await expect(page.getByRole('heading', { level: 1 })).toContainText('reaches the antenna at 156.8 MHz');
    // Workable: nothing that forbids building it.
    await expect(page.getByRole('list', { name: 'Problems' })).not.toContainText('stop:');
    expect(inputs).toBeLessThanOrEqual(MAX_INPUTS);
    expect(Date.now() - began).toBeLessThan(MAX_MS);
  },
);

test('Ctrl K finds pieces of the run and settings; the language changes what is said', async ({
  page,
  baseURL,
}) => {
  await page.goto(`${baseURL}${demo.vhf}/prove`);
  const find = async (words: string): Promise<void> => {
    await page.keyboard.press('Control+k');
    await page.keyboard.type(words);
    await page.keyboard.press('Enter');
  };
  const rail = page.getByRole('navigation', { name: 'Stages' });
  await expect(rail.getByRole('link', { name: /^Ground/ })).toBeVisible();
  await find('UK English');
  await expect(rail.getByRole('link', { name: /^Earth/ })).toBeVisible();
  await page.goto(`${baseURL}${demo.vhf}/ground`);
  await expect(page.getByText(/Its way to the earth/).first()).toBeVisible();
  await expect(page.locator('main')).not.toContainText(/ground rod/);
  await find('US English');
  await expect(rail.getByRole('link', { name: /^Ground/ })).toBeVisible();
  await find('mast cable');
  await expect(page.getByRole('complementary', { name: 'Selected place' })).toContainText('Mast cable');
});

test('what is typed and entered before the palette is there is done when it comes', async ({
  page,
  baseURL,
}) => {
  await page.route(/\/Palette-[^/]*\.js/, async (route) => {
    await new Promise((done) => setTimeout(done, 1500));
    await route.continue();
  });
  await page.goto(`${baseURL}${demo.vhf}/prove`);
  const rail = page.getByRole('navigation', { name: 'Stages' });
  await expect(rail.getByRole('link', { name: /^Ground/ })).toBeVisible();
  await page.keyboard.press('Control+k');
  await page.keyboard.type('UK English');
  await page.keyboard.press('Enter');
  await expect(rail.getByRole('link', { name: /^Earth/ })).toBeVisible();
  await expect(page.getByRole('dialog')).toHaveCount(0);
});

test('Esc closes the options of a card and not the card', async ({ page, baseURL }) => {
  await page.goto(`${baseURL}${demo.hf}/make/main.b`);
  const heading = page.getByRole('heading', { level: 1 });
  await expect(heading).toHaveText(/^Step/);
  for (const [key, name] of [
    ['o', 'How this card is worked'],
    ['w', 'What went wrong?'],
  ]) {
    await page.keyboard.press(key);
    await expect(page.getByRole('dialog', { name })).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(page.getByRole('dialog')).toHaveCount(0);
    await expect(page).toHaveURL(/\/make\/main\.b$/);
    await expect(heading).toHaveText(/^Step/);
  }
  await page.keyboard.press('Escape');
  await expect(page).toHaveURL(/\/make$/);
});

test('a fault hidden in this run is looked for, named, and counted by its kind', async ({
  page,
  baseURL,
}) => {
  await page.goto(`${baseURL}${demo.uhf}/rehearse`);
  const meter = page.getByText(/^Ohm-meter, pin to shell/);
  await expect(meter).toContainText(/Ω|OL/);
  await page.getByRole('radio', { name: 'nothing, open' }).check();
  await page.getByRole('checkbox', { name: 'Flex it at its ends' }).check();
  await expect(page.getByRole('img', { name: /^Echo along the run/ })).toBeVisible();
  await page.getByRole('button', { name: 'Crushed or kinked cable' }).click();
  await expect(page.getByText(/^(Right|No): /)).toBeVisible();
  const table = page.getByRole('table');
  await expect(table).toContainText(/[01] of 1/);
  await page.getByRole('button', { name: 'Hide another fault' }).click();
  await expect(page.getByText(/^(Right|No): /)).toHaveCount(0);
  await page.reload();
  await expect(table).toContainText(/[01] of 1/);
});

import { alone, expect, saved, test } from './server.js';

alone('the board shows each run, its worst snag and what to do next', async ({ page, baseURL }) => {
  await page.goto(`${baseURL}/`);
  await expect(page.getByRole('heading', { name: 'Brackwater Sluice' })).toBeVisible();
  const trap = page.getByRole('listitem').filter({ hasText: 'Data radio, cabinet to collinear' });
  await expect(trap).toContainText('Nothing reaches the antenna');
  await page.getByRole('searchbox').fill('dipole');
  await expect(page.getByRole('link', { name: 'HF fall-back, bench to dipole' })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Data radio, cabinet to collinear' })).toBeHidden();
});

alone(
  'on a slow phone no letter is lost, in the middle of a word neither, and a button pressed on the way counts',
  async ({ page, baseURL }) => {
    await page.goto(`${baseURL}/`);
    const find = page.getByRole('searchbox', { name: 'Find a run' });
    await find.fill('dipole');
    const all = page.getByRole('button', { name: 'All runs' });
    await expect(all).toBeVisible();
    const browser = await page.context().newCDPSession(page);
    await browser.send('Emulation.setCPUThrottlingRate', { rate: 6 });
    await all.click();
    await find.focus();
    await page.keyboard.type('yai');
    await page.keyboard.press('ArrowLeft');
    await page.keyboard.type('g');
    await expect(find).toHaveValue('yagi');
    await expect(page.getByRole('link', { name: 'UHF link, hut to yagi' })).toBeVisible();
    await expect(page.getByRole('link', { name: 'HF fall-back, bench to dipole' })).toBeHidden();
    await expect(page).toHaveURL(/\?search=yagi$/);
  },
);

test('the reverse-polarity trap is found, mended with one key, undone and redone', async ({
  page,
  baseURL,
}) => {
  await page.goto(`${baseURL}/`);
  await page.getByRole('link', { name: 'Data radio, cabinet to collinear' }).click();
  const headline = page.getByRole('heading', { level: 1 });
  await expect(headline).toHaveText('Nothing reaches the antenna: J1 passes no signal');
  await expect(page.getByRole('button', { name: /^J1/ })).toBeVisible();

  await page.keyboard.press('ArrowRight');
  const inspector = page.getByRole('complementary', { name: 'Selected place' });
  await expect(inspector).toContainText('two 0.92 mm pins meet tip to tip');
  await expect(
    inspector.getByRole('button', { name: /Re-end Cabinet pigtail with an RP-SMA plug/ }),
  ).toBeVisible();
  await page.keyboard.press('1');
  await expect(headline).toContainText('reaches the antenna at 869.65 MHz');
  await saved(page);

  await page.keyboard.press('Control+z');
  await expect(headline).toContainText('Nothing reaches the antenna');
  await page.keyboard.press('Control+Shift+z');
  await expect(headline).toContainText('reaches the antenna at');
  await saved(page);
  await page.reload();
  await expect(headline).toContainText('reaches the antenna at');
});

test('a length typed in feet and inches is taken, junk is refused and kept in the field', async ({
  page,
  baseURL,
  site,
}) => {
  await page.goto(`${baseURL}${(await site('vhf')).path}/plan?at=main`);
  const length = page.getByLabel('Finished length');
  await length.fill(`71' 6 1/2"`);
  await length.press('Enter');
  await expect(length).toHaveValue('21.81 m');
  for (const [junk, reason] of [
    ['-3 m', 'cannot be negative'],
    ['0', 'is zero'],
    ['1e9 m', 'longer than any run'],
    ['twenty', 'is not a number'],
    ['12 parsec', 'not a unit of length'],
  ]) {
    await length.fill(junk);
    await length.press('Enter');
    await expect(page.getByRole('alert')).toContainText(reason);
    await expect(length).toHaveValue(junk);
  }
  await length.press('Escape');
  await expect(length).toHaveValue('21.81 m');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: /Units/ }).click();
  await expect(length).toHaveValue(`71' 6 1/2"`);
});

test('pieces are put in, moved, turned and taken out, and undo brings everything back', async ({
  page,
  baseURL,
  site,
}) => {
  await page.goto(`${baseURL}${(await site('uhf')).path}/plan?at=main%3Eantenna`);
  const joints = page.getByRole('list', { name: /Joints/ }).getByRole('listitem');
  await expect(joints).toHaveCount(4);
  await page.getByRole('button', { name: 'Insert a piece here' }).click();
  await page.getByLabel('Adapter').check();
  await page.getByRole('combobox', { name: 'Which' }).fill('uhf plug to n jack');
  await page
    .getByRole('option', { name: /^UHF plug to N jack/ })
    .first()
    .click();
  await expect(joints).toHaveCount(5);
  await page.getByRole('button', { name: 'Turn round' }).click();
  await page.getByRole('button', { name: 'Move to the radio' }).click();
  await page.getByRole('button', { name: 'Take out' }).click();
  await expect(joints).toHaveCount(4);
  for (let k = 0; k < 4; k++) await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('of 10 W reaches the antenna');
  await saved(page);
});

test('a link to a place opens there, back leads back, an old link says so', async ({
  page,
  baseURL,
  site,
}) => {
  await page.goto(`${baseURL}${(await site('hf')).path}/ground`);
  await page.getByRole('button', { name: /Fit a 230 V tube/ }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Fit a 230 V tube; 230 V is fitted');
  await page.getByRole('link', { name: /^Seal/ }).click();
  await page.goBack();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('230 V is fitted');
  await page.goto(`${baseURL}/runs/7a0e1d00-0000-4000-8000-0000000000ff/plan`);
  await expect(page.getByRole('heading', { name: 'This run cannot be opened' })).toBeVisible();
  await page.goto(`${baseURL}/nowhere`);
  await expect(page.getByRole('heading', { name: 'There is nothing at this address' })).toBeVisible();
});

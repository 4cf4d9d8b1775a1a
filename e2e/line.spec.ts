import { expect, saved, test } from './server.js';

test('a run is planned with the keyboard alone: find it, mend it, put in, turn, move, take out, compare', async ({
  page,
  baseURL,
}) => {
  await page.goto(`${baseURL}/`);
  await expect(page.getByRole('heading', { name: 'Saltpan Jetty' })).toBeVisible();
  await page.keyboard.press('Control+k');
  await page.keyboard.type('tide gauge');
  await expect(page.getByRole('option', { name: /Tide gauge data radio/ })).toBeVisible();
  await page.keyboard.press('Enter');
  const headline = page.getByRole('heading', { level: 1 });
  await expect(headline).toHaveText('Nothing reaches the antenna: J1 passes no signal');

  await page.keyboard.press('f');
  const fit = page.getByRole('dialog', { name: 'Make joint 1 fit' });
  await expect(fit).toContainText('two 1.35 mm pins meet tip to tip');
  await expect(
    fit.getByRole('button', { name: /Re-end Jetty cable with an RP-TNC plug/ }).first(),
  ).toBeFocused();
  await page.keyboard.press('1');
  await expect(headline).toContainText('reaches the antenna at 459 MHz');

  const joints = page.getByRole('list', { name: /Joints/ }).getByRole('listitem');
  await expect(joints).toHaveCount(2);
  await page.keyboard.press('a');
  const which = page.getByRole('combobox', { name: 'Which' });
  await expect(which).toBeFocused();
  await page.keyboard.press('Shift+Tab');
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowRight');
  await expect(page.getByLabel('Arrester')).toBeChecked();
  await which.focus();
  await page.keyboard.type('stub uhf');
  await expect(page.getByText('Nothing matches')).toBeVisible();
  for (let k = 0; k < 8; k++) await page.keyboard.press('Backspace');
  await page.keyboard.type('gas n jack');
  await page.keyboard.press('Enter');
  await expect(joints).toHaveCount(3);
  await expect(page.getByRole('complementary', { name: 'Selected place' })).toContainText(
    'Gas-tube arrester, N jack',
  );

  await page.keyboard.press('Alt+ArrowLeft');
  await expect(page).toHaveURL(/at=arrester/);
  await page.keyboard.press('Alt+ArrowRight');
  await page.keyboard.press('r');
  await page.keyboard.press('Delete');
  await expect(joints).toHaveCount(2);
  for (let k = 0; k < 5; k++) await page.keyboard.press('Control+z');
  await expect(joints).toHaveCount(2);
  await saved(page);

  await page.keyboard.press('c');
  await expect(headline).toContainText('cables will do for Jetty cable');
});

test('a piece is dragged to another place, and put back by undo', async ({ page, baseURL, site }) => {
  await page.goto(`${baseURL}${(await site('goBag')).path}/plan`);
  const adapter = page.getByRole('button', { name: /^SMA plug to N jack, adapter/ });
  const lead = page.getByRole('button', { name: /^Roll-up lead/ });
  const [from, to] = [await adapter.boundingBox(), await lead.boundingBox()];
  if (!from || !to) throw new Error('the pieces are not drawn');
  await page.mouse.move(from.x + from.width / 2, from.y + from.height / 2);
  await page.mouse.down();
  await page.mouse.move(to.x + to.width * 0.5, from.y + 8, { steps: 6 });
  await page.mouse.move(to.x + to.width * 0.9, from.y + 8, { steps: 6 });
  await page.mouse.up();
  await expect(
    page
      .getByRole('list', { name: /Joints/ })
      .getByRole('button')
      .last(),
  ).toContainText('SMA plug to N jack');
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Nothing reaches');
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('heading', { level: 1 })).toContainText('of 5 W reaches the antenna');
});

test('the ruler zooms to true size and back, and says what it shows to those who do not see it', async ({
  page,
  baseURL,
  site,
}) => {
  await page.goto(`${baseURL}${(await site('uhf')).path}/plan?at=arrester`);
  const zoom = page.getByRole('group', { name: 'Zoom of the ruler' });
  await expect(zoom).toContainText('whole');
  for (let k = 0; k < 7; k++) await page.keyboard.press('+');
  await expect(zoom).toContainText('×130');
  await page.keyboard.press('Shift+ArrowRight');
  await page.keyboard.press('-');
  await page.keyboard.press('0');
  await expect(zoom).toContainText('whole');
  await expect(
    page.getByRole('img', {
      name: /The run on its ruler, 26.16 m .* joint 4 at 26.16 m, outdoor: mates, caution/,
    }),
  ).toBeVisible();
});

test('what if: two designs side by side, through a reload, and back', async ({ page, baseURL, site }) => {
  await page.goto(`${baseURL}${(await site('uhf')).path}/plan?at=main`);
  const headline = page.getByRole('heading', { level: 1 });
  await expect(headline).toContainText('3.11 W');
  await page.keyboard.press('w');
  const whatIf = page.getByRole('region', { name: 'What if' });
  await expect(whatIf).toContainText('Change anything');
  await page.keyboard.press('1');
  await expect(whatIf.getByRole('row', { name: /as it was/ })).toContainText('3.11 W');
  await expect(whatIf.getByRole('row', { name: /now/ })).toContainText('better');
  await saved(page);
  await page.reload();
  await expect(whatIf.getByRole('row', { name: /as it was/ })).toContainText('3.11 W');
  await whatIf.getByRole('button', { name: 'Revert to the run as it was' }).click();
  await expect(headline).toContainText('3.11 W');
  await expect(whatIf).toBeHidden();
  await page.keyboard.press('Control+z');
  await expect(headline).not.toContainText('3.11 W');
});

test('cables stand side by side with their reasons, and one is taken', async ({ page, baseURL, site }) => {
  await page.goto(`${baseURL}${(await site('uhf')).path}/cables`);
  await expect(page.getByRole('heading', { level: 1 })).toContainText('10 mm low-loss foam is enough');
  await page.getByRole('button', { name: /which will not do/ }).click();
  await expect(page.getByRole('row', { name: /RG-174/ })).toContainText(
    'no connector parts of these series fit it',
  );
  await page.getByRole('button', { name: 'Use 10 mm low-loss foam', exact: true }).click();
  await expect(page).toHaveURL(/plan\?at=main/);
  await expect(page.getByRole('heading', { level: 1 })).toContainText('of 10 W reaches');
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('heading', { level: 1 })).toContainText('3.11 W');
});

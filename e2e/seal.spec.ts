import type { Page } from '@playwright/test';
import { alone, demo, expect, saved, test } from './server.js';

/** The place on a card is at the server, and so on the device before that: a browser writes when it has time. */
const kept = (page: Page, run: string, text: string): Promise<void> =>
  expect.poll(async () => (await page.request.get(`/api${run}/progress`)).text()).toContain(text);

test('a joint is sealed on a phone with one key: asked first, layer by layer, into the log', async ({
  page,
  site,
}) => {
  test.slow();
  await page.setViewportSize({ width: 390, height: 844 });
  const { path: run } = await site('vhf');
  await page.goto(`${run}/seal`);
  await page.getByRole('link', { name: 'Open the seal card' }).last().click();
  const title = page.getByRole('heading', { level: 1 });
  await expect(title).toContainText('Is the run proved?');
  await expect(page.getByText('Work aloft', { exact: false })).toBeVisible();
  // The mast cable has readings to take: the key says so, and a reason opens the way.
  await page.keyboard.press('Space');
  await expect(page.getByRole('status').filter({ hasText: 'Prove it first' })).toBeVisible();
  await page.getByLabel('Why it is sealed before').fill('rain is coming');
  await page.getByLabel('Why it is sealed before').press('Tab');
  await title.click();
  await page.keyboard.press('Space');
  await expect(title).toContainText('Torque: 1.1 N·m');
  await page.getByLabel('The spanner read').fill('8 in-lb');
  await page.getByLabel('The spanner read').press('Enter');
  await title.click();
  await page.keyboard.press('Space');
  // Wet is a stop.
  await page.getByRole('button', { name: 'It is wet or frozen' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'Stop:' })).toBeVisible();
  await title.click();
  await page.keyboard.press('Space');
  await page.getByLabel('Air at the joint').fill('-3');
  await page.getByLabel('Air at the joint').press('Enter');
  await title.click();
  await page.keyboard.press('Space');
  await expect(page.getByRole('status').filter({ hasText: 'they want 0 °C' })).toBeVisible();
  await page.getByLabel('Air at the joint').fill('7');
  await page.getByLabel('Air at the joint').press('Enter');
  // What was answered outlives a reload.
  await kept(page, run, '"celsius":7');
  await page.reload();
  await expect(page.getByLabel('Air at the joint')).toHaveValue('7 °C');
  await title.click();
  const seen: string[] = [];
  for (let k = 0; k < 12 && (await title.isVisible()); k++) {
    const before = await title.innerText();
    seen.push(before);
    await page.keyboard.press('Space');
    if (seen.some((text) => text.includes('Photograph it'))) break;
    await expect(title).not.toHaveText(before);
  }
  expect(seen.join('; ')).toMatch(/Rubber, pass 1 of 2.*Rubber, pass 2 of 2.*UV layer.*Look all round/s);
  await expect(page).toHaveURL(`${run}/seal`);
  await expect(page.getByText(/Look at it again by/)).toBeVisible();
  await page.goto(`${run}/handover`);
  await expect(page.getByText(/0.9\d* N·m, at 7 °C, not proved before: rain is coming/)).toBeVisible();
});

test('a joint of its own: another system with its reason, and what does not fit is said', async ({
  page,
  site,
}) => {
  const { path: run } = await site('vhf');
  await page.goto(`${run}/seal`);
  const last = page.getByRole('listitem').filter({ hasText: 'to antenna' }).last();
  await last.getByLabel('Sealed with').selectOption('cold shrink');
  await last.getByLabel('Why here?').fill('nobody climbs here again');
  await last.getByLabel('Why here?').press('Tab');
  await expect(last.getByText(/cold shrink, \d+ to \d+ mm/).first()).toBeVisible();
  await expect(last.getByText('pushed onto the cable before', { exact: false })).toBeVisible();
  await page.reload();
  await expect(last.getByLabel('Why here')).toHaveValue('nobody climbs here again');
});

test('a sealed joint is opened by its card: what was found is in the log, and the joint is open', async ({
  page,
  site,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  const { path: run } = await site('vhf');
  await page.goto(`${run}/seal`);
  await page.getByRole('button', { name: 'Mark J2 as sealed' }).click();
  await page.getByRole('link', { name: 'Open J2' }).click();
  const title = page.getByRole('heading', { level: 1 });
  await expect(title).toContainText('Transmitter off, and kept off');
  await expect(page.getByText('burns the hand', { exact: false })).toBeVisible();
  for (let k = 0; k < 8 && !(await title.innerText()).includes('Look inside'); k++) {
    const before = await title.innerText();
    await page.keyboard.press('Space');
    await expect(title).not.toHaveText(before);
  }
  // It is not passed over.
  await page.keyboard.press('Space');
  await expect(page.getByRole('status').filter({ hasText: 'Say what you found' })).toBeVisible();
  await page.getByLabel('Water').check();
  await page.getByLabel('Why it was opened').fill('loss went up');
  await page.getByLabel('Why it was opened').press('Tab');
  await kept(page, run, 'loss went up');
  await page.reload();
  await expect(page.getByLabel('Water')).toBeChecked();
  await page.getByRole('button', { name: /^Next: photograph/ }).click();
  await page.getByRole('button', { name: /^Opened: into the log/ }).click();
  await expect(page.getByRole('button', { name: 'Mark J2 as sealed' })).toBeVisible();
  await page.goto(`${run}/handover`);
  await expect(page.getByText('found water, loss went up')).toBeVisible();
});

// The shelf is the shop’s: nobody else may seal meanwhile.
alone(
  'what a seal takes is off the shelf, and is put back when it was not used',
  async ({ page, baseURL }) => {
    const parts = `${baseURL}/jobs/7a0e1d00-0000-4000-8000-00000000b001/parts`;
    await page.goto(parts);
    const rubber = page.getByLabel('On the shelf: self-fusing rubber, 38 mm');
    await rubber.fill('5');
    await rubber.press('Enter');
    await expect(page.getByLabel('On the shelf: self-fusing rubber, 38 mm')).toHaveValue('5');
    await page.goto(`${baseURL}${demo.vhf}/seal`);
    await page.getByRole('button', { name: 'Mark J2 as sealed' }).click();
    await expect(page.getByRole('link', { name: 'Open J2' })).toBeVisible();
    await saved(page);
    await page.goto(parts);
    await expect(rubber).toHaveValue(/^4\.9\d?$/);
    await page.getByRole('button', { name: /^Shelf of self-fusing rubber, 38 mm/ }).click();
    const shelf = page.getByRole('dialog');
    await expect(shelf.getByText('joint sealed', { exact: false }).first()).toBeVisible();
    await shelf
      .getByRole('button', { name: /^Put back/ })
      .first()
      .click();
    await expect(shelf.getByRole('button', { name: /^It was used/ })).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(rubber).toHaveValue('5');
  },
);

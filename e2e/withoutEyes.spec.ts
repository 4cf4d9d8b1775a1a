import type { Page } from '@playwright/test';
import { alone, expect, saved, test } from './server.js';

/** What a screen reader says of the element that has the focus: its name and its role. */
const focused = (page: Page): Promise<string> =>
  page.evaluate(() => {
    const at = document.activeElement;
    if (!(at instanceof HTMLElement)) return '';
    const labels = at instanceof HTMLInputElement || at instanceof HTMLSelectElement ? at.labels : null;
    const name =
      at.getAttribute('aria-label') ??
      (labels && labels.length > 0 ? [...labels].map(({ innerText }) => innerText).join(' ') : at.innerText);
    return name.replace(/\s+/g, ' ').trim();
  });

/** Tab by Tab to what is called so; nothing is looked for with the eyes. */
async function tabTo(page: Page, name: RegExp): Promise<void> {
  for (let guard = 0; guard < 150; guard++) {
    await page.keyboard.press('Tab');
    if (name.test(await focused(page))) return;
  }
  throw new Error(`Tab never came to ${name.source}`);
}
async function open(page: Page, name: RegExp): Promise<void> {
  await tabTo(page, name);
  await page.keyboard.press('Enter');
}
async function fill(page: Page, label: RegExp, text: string): Promise<void> {
  await tabTo(page, label);
  await page.keyboard.press('Control+a');
  await page.keyboard.type(text);
}

const title = (page: Page) => page.getByRole('heading', { level: 1 });

/** Answers what a step asks for, from what is said there: OL where open is right, else a little resistance. */
async function answerReading(page: Page): Promise<void> {
  const wanted = (await page.getByText(/^The meter should show/).innerText()).includes('above')
    ? 'OL'
    : '0.1';
  await page.keyboard.type(wanted);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('status').filter({ hasText: /^(pass|marginal)/i })).toBeVisible();
}

/** The whole card by Space, text and Enter. */
async function makeEnd(page: Page, maker: string): Promise<void> {
  await expect(title(page)).toHaveText(/^Step 1 of/);
  for (let guard = 0; guard < 60; guard++) {
    const said = await title(page).innerText();
    if (/Sign this end off/.test(said)) break;
    if (/^It shows/.test(await focused(page))) await answerReading(page);
    await page.keyboard.press('Space');
    // Two frames later the page shows what the key has done.
    await page.evaluate(
      () => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done))),
    );
  }
  await fill(page, /^Signed by|^Made by|name/i, maker);
  await page.keyboard.press('Enter');
  await page.keyboard.press('Shift+Tab');
  await page.keyboard.press('Space');
}

/** The card of a seal: each step is heard with its title, what it asks is typed, one key goes on. */
async function sealJoint(page: Page): Promise<void> {
  await expect(title(page)).toHaveText(/^Step 1 of/);
  const goOn = (): Promise<void> => open(page, /^Next: /);
  for (let guard = 0; guard < 30; guard++) {
    // Each step brings the focus to its title, which says where it stands.
    await expect.poll(() => focused(page)).toMatch(/^Step \d+ of \d+/);
    const said = await focused(page);
    if (/proved\?$/.test(said)) {
      await fill(page, /^Why it is sealed before/, 'the tide is coming in');
      await goOn();
    } else if (/Torque/.test(said)) {
      await fill(page, /^The spanner read/, '1.1');
      await goOn();
    } else if (/How warm/.test(said)) {
      await fill(page, /^Air at the joint/, '12');
      await goOn();
    } else await page.keyboard.press('Space');
    if (/Photograph/.test(said)) return;
    await expect.poll(() => focused(page)).not.toBe(said);
  }
  throw new Error('the card never ended');
}

alone(
  'from a new run to a signed-off end and a sealed joint: keyboard and screen reader text alone',
  async ({ page, baseURL }) => {
    test.setTimeout(120_000);
    await page.goto(`${baseURL}/`);
    await expect(page.getByRole('heading', { name: 'Saltpan Jetty' })).toBeVisible();
    await open(page, /^New run$/);
    await expect(title(page)).toHaveText('New run');
    await fill(page, /^Name of the run/, 'Harbour light');
    await tabTo(page, /^Connector/);
    await page.keyboard.type('N jack');
    await fill(page, /^Frequency/, '156.8 MHz');
    await fill(page, /^Forward power/, '25 W');
    await fill(page, /^Inside/, '3 m');
    await fill(page, /^Outside/, '12 m');
    await page.keyboard.press('Enter');
    await open(page, /^Create run$/);
    await expect(title(page)).toContainText('reaches the antenna at 156.8 MHz');

    await open(page, /^Make/);
    await open(page, /^Open the card/);
    await makeEnd(page, 'Hedra');
    await expect(page.getByText(/Made by Hedra/)).toBeVisible();

    await open(page, /^Seal/);
    await expect(title(page)).toContainText(/joints? to seal/);
    await open(page, /^Open the seal card/);
    await sealJoint(page);
    await expect(page.getByText(/^\s*Sealed/).first()).toBeVisible();
    await saved(page);
  },
);

import type { RunDocument } from '@kobran/contract';
import { X509Certificate } from 'node:crypto';
import type { BrowserContext, Page } from '@playwright/test';
import { expectClean } from './accessible.js';
import { alone, demo, expect, Kobran } from './server.js';
import { freePort } from './seeded.js';

const PHONE = { width: 390, height: 844 };

/** A Kobran with a crew’s door of its own certificate. */
const crewed = alone.extend<{ door: string }>({
  door: async ({ browserName: _ }, use) => use(`https://localhost:${await freePort()}`),
  kobran: async ({ door }, use) => {
    const { port } = new URL(door);
    const kobran = await Kobran.running(true, {
      KOBRAN_LISTEN: `127.0.0.1:${port}`,
      KOBRAN_NAMES: 'localhost',
    });
    await use(kobran);
    await kobran.remove();
  },
});
crewed.use({ ignoreHTTPSErrors: true });

/** The first owner, made at the machine, and the link of an invitation. */
async function invited(page: Page, baseURL: string, name: string): Promise<string> {
  await page.goto(`${baseURL}/crew`);
  await page.getByLabel('Name', { exact: true }).fill('Wenna');
  await page.getByLabel('Pass phrase').fill('short');
  await page.getByRole('button', { name: 'Make the first owner' }).click();
  await expect(page.getByRole('alert')).toContainText('5 letters');
  await expectClean(page, 'crew');
  await page.getByLabel('Pass phrase').fill('copper tide lantern goat');
  await page.getByRole('button', { name: 'Make the first owner' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('One of the crew signs in');
  // The door opens by itself, without a new start.
  await expect(async () => {
    await page.reload();
    await expect(page.getByText('Phones and laptops come in at')).toBeVisible({ timeout: 2_000 });
  }).toPass();
  const given = await page.request.get(`${baseURL}/api/crew/certificate`);
  expect(new X509Certificate(await given.text()).checkHost('localhost')).toBe('localhost');
  await page.getByRole('button', { name: 'Invite somebody' }).click();
  await page.getByLabel('Name, as it signs').fill('wenna');
  await expect(page.getByRole('status').filter({ hasText: 'Wenna is of the crew' })).toBeVisible();
  await page.getByLabel('Name, as it signs').fill(name);
  await page.getByRole('button', { name: 'Make the invitation' }).click();
  await expect(page.getByRole('img', { name: 'The link as a QR code' })).toBeVisible();
  await expectClean(page, 'crew');
  const link = await page.getByText(/\/join#/).innerText();
  await page.keyboard.press('Escape');
  return link;
}

const writeNote = async (page: Page, door: string, text: string): Promise<void> => {
  await page.goto(`${door}${demo.vhf}/handover`);
  await page.getByLabel('Note for the log').fill(text);
  await page.getByLabel('Note for the log').press('Enter');
  await expect(page.getByText(text)).toBeVisible();
};

crewed(
  'a phone joins by invitation; what is done on it is signed; signed out from afar, what it had not sent waits and goes when its owner is back',
  async ({ page, baseURL, kobran, door, browser }) => {
    const link = await invited(page, baseURL!, 'Joss');
    const phone: BrowserContext = await browser.newContext({ viewport: PHONE, ignoreHTTPSErrors: true });
    const onPhone = await phone.newPage();
    const noteOf = async (text: string): Promise<unknown> => {
      const { facts } = await kobran.ask<RunDocument>('GET', `/api${demo.vhf}`);
      const found = facts.find((fact) => fact.kind === 'note' && fact.text === text);
      return found && { by: found.by, isSigned: found.member !== undefined };
    };

    await onPhone.goto(`${door}${demo.vhf}/handover`);
    await expect(onPhone.getByRole('heading', { level: 1 })).toHaveText('Sign in');
    await expectClean(onPhone, 'signing in');
    await onPhone.goto(link);
    await expect(onPhone.getByRole('heading', { level: 1 })).toHaveText('Welcome, Joss');
    await expectClean(onPhone, 'signing in');
    const phrase = 'slate quarry in the rain';
    await onPhone.getByLabel('Your pass phrase').fill(phrase);
    await onPhone.getByRole('button', { name: 'Join' }).click();
    await expect(onPhone.getByRole('heading', { name: 'Brackwater Sluice' })).toBeVisible();

    await writeNote(onPhone, door, 'gland tightened');
    await expect.poll(() => noteOf('gland tightened')).toEqual({ by: 'Joss', isSigned: true });

    // Away from the network, and meanwhile signed out by the owner: perhaps it was lost.
    await phone.setOffline(true);
    await onPhone.getByLabel('Note for the log').fill('boot was split');
    await onPhone.getByLabel('Note for the log').press('Enter');
    await page.reload();
    await page.getByRole('button', { name: /Sign out .* of Joss/ }).click();
    await expect(page.getByText('signed a computer of Joss out')).toBeVisible();
    await expectClean(page, 'crew');
    let refusals = 0;
    onPhone.on('response', (response) => (refusals += Number(response.status() === 401)));
    await phone.setOffline(false);
    await expect(onPhone.getByRole('heading', { level: 1 })).toHaveText('Sign in');
    // Each question that was open is refused, perhaps once more; a phone that lies in the grass does not ask for ever.
    expect(refusals).toBeLessThan(20);
    await expect(onPhone.getByText('1 entry waits on this device')).toBeVisible();
    expect(await noteOf('boot was split')).toBeUndefined();
    expect(await answersKept(onPhone)).toBe(0);

    // Another who borrows the phone sends nothing in Joss’s name.
    await onPhone.getByLabel('Name').fill('Wenna');
    await onPhone.getByLabel('Pass phrase').fill('copper tide lantern goat');
    await onPhone.getByRole('button', { name: 'Sign in' }).click();
    await expect(onPhone.getByRole('heading', { name: 'Sign in' })).toBeHidden();
    await onPhone.goto(`${door}/device`);
    await expect(onPhone.getByText('1 of Joss: sent when Joss signs in on this device.')).toBeVisible();
    expect(await noteOf('boot was split')).toBeUndefined();
    // If he never came back, somebody could look through it and decide; sent again it waits for him once more.
    await onPhone.getByRole('button', { name: 'Set aside what Joss did' }).click();
    await onPhone.getByRole('button', { name: '1 set aside' }).click();
    await expect(onPhone.getByText('Joss did not sign in on this device again.')).toBeVisible();
    await onPhone.getByRole('button', { name: 'Send again' }).click();
    await onPhone.keyboard.press('Escape');
    await expect(onPhone.getByText('1 of Joss: sent when Joss signs in on this device.')).toBeVisible();
    await onPhone.getByRole('button', { name: 'Tools' }).click();
    await onPhone.getByRole('menuitem', { name: 'Sign out Wenna' }).click();

    await onPhone.getByLabel('Name').fill('joss');
    await onPhone.getByLabel('Pass phrase').fill('not the phrase');
    await onPhone.getByRole('button', { name: 'Sign in' }).click();
    await expect(onPhone.getByRole('alert')).toContainText('do not belong together');
    await onPhone.getByLabel('Pass phrase').fill(phrase);
    await onPhone.getByRole('button', { name: 'Sign in' }).click();
    await expect(onPhone.getByText('Everything done here is at the server')).toBeVisible();
    await expect.poll(() => noteOf('boot was split')).toEqual({ by: 'Joss', isSigned: true });
    await phone.close();
  },
);

/** Answers of the server which a device keeps of runs. */
const answersKept = (page: Page): Promise<number> =>
  page.evaluate(
    () =>
      new Promise<number>((resolve, reject) => {
        const opening = indexedDB.open('kobran answers');
        opening.onerror = () => reject(opening.error ?? new Error('not opened'));
        opening.onsuccess = () => {
          const asked = opening.result.transaction('answers').objectStore('answers').getAllKeys();
          asked.onsuccess = () =>
            resolve(asked.result.filter((key) => /"(run|job|board pages)"/.test(JSON.stringify(key))).length);
        };
      }),
  );

crewed(
  'a customer sees the one site of the link, and nothing after it is withdrawn',
  async ({ page, baseURL, door, browser }) => {
    await invited(page, baseURL!, 'Joss');
    await page.getByRole('button', { name: 'Make a link' }).click();
    await page.getByLabel('For whom').fill('Tarrow Valley council');
    await page.getByLabel('Site').selectOption({ label: 'Brackwater Sluice' });
    await page.getByRole('button', { name: 'Make the link' }).click();
    const link = await page.getByText(/\/look#/).innerText();
    await page.keyboard.press('Escape');

    const context = await browser.newContext({ viewport: PHONE, ignoreHTTPSErrors: true });
    const customer = await context.newPage();
    await customer.goto(link);
    await expect(customer.getByRole('heading', { level: 1 })).toHaveText('Brackwater Sluice');
    await expect(customer.getByText('VHF voice, hut to mast dipole', { exact: true })).toBeVisible();
    await expectClean(customer, 'customer');
    await customer.goto(`${door}${demo.vhf}/plan`);
    await expect(customer.getByRole('heading', { level: 1 })).toHaveText('Brackwater Sluice');
    const pdf = await customer.request.get(
      `${door}/api/jobs/7a0e1d00-0000-4000-8000-00000000b001/as-built.pdf`,
    );
    expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-');

    await page.getByRole('button', { name: 'Withdraw the link for Tarrow Valley council' }).click();
    await expect(page.getByRole('button', { name: /Withdraw the link/ })).toBeHidden();
    await customer.reload();
    await expect(customer.getByRole('heading', { level: 1 })).toHaveText('Sign in');
    // What is left of a link after it was copied by hand.
    await customer.goto(`${door}/join#%`);
    await expect(customer.getByRole('heading', { level: 1 })).toHaveText('Join the crew');
    await customer.getByLabel('Code of the invitation').fill('100 % sure');
    await customer.getByRole('button', { name: 'Go on' }).click();
    await expect(customer.getByRole('alert')).toContainText('good for anything');
    await customer.goto(`${link}%20%`);
    await expect(customer.getByText('This link does not open')).toBeVisible();
    await context.close();
  },
);

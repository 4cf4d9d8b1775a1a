import type { Page } from '@playwright/test';
import { demo, expect, test } from './server.js';

/** Texts of drawings and charts which lie over each other, by their boxes in the browser; a hair's breadth is none. */
const overlaps = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const HAIR_PX = 2;
    return [...document.querySelectorAll('main svg')].flatMap((svg) => {
      const texts = [...svg.querySelectorAll('text')]
        .map((text) => ({ words: text.textContent.trim(), box: text.getBoundingClientRect() }))
        .filter(({ words, box }) => words !== '' && box.width > 0);
      return texts.flatMap((one, k) =>
        texts
          .slice(k + 1)
          .filter(
            ({ box }) =>
              Math.min(one.box.right, box.right) - Math.max(one.box.left, box.left) > HAIR_PX &&
              Math.min(one.box.bottom, box.bottom) - Math.max(one.box.top, box.top) > HAIR_PX,
          )
          .map(({ words }) => `“${one.words}” over “${words}”`),
      );
    });
  });

const stages = ['plan', 'cut', 'route', 'seal', 'prove'];
/** Runs are opened once and walked through, in parts so that workers share them. */
const PARTS = 3;

for (let part = 0; part < PARTS; part++)
  test(`no text of a drawing lies over another at ${stages.join(', ')}, on a desk, a tablet and a phone: demo runs, part ${part + 1} of ${PARTS}`, async ({
    page,
    baseURL,
  }) => {
    test.setTimeout(180_000);
    const found: string[] = [];
    for (const [name, run] of Object.entries(demo).filter((_, k) => k % PARTS === part)) {
      await page.goto(`${baseURL}${run}/plan`);
      for (const stage of stages) {
        await page.setViewportSize({ width: 1280, height: 800 });
        await page.locator(`nav a[href="${run}/${stage}"]`).click();
        await expect(page).toHaveURL(new RegExp(`/${stage}$`));
        await expect(page.getByRole('heading', { level: 1 })).not.toHaveText(/Opening|One moment/);
        for (const width of [1280, 820, 390]) {
          await page.setViewportSize({ width, height: 800 });
          await page.waitForTimeout(120);
          for (const pair of await overlaps(page)) found.push(`${name}, ${stage}, ${width} px: ${pair}`);
        }
      }
    }
    expect(found).toEqual([]);
  });

test('no text of the site’s drawings lies over another, on a desk, a tablet and a phone', async ({
  page,
  baseURL,
}) => {
  await page.goto(`${baseURL}/jobs/7a0e1d00-0000-4000-8000-00000000b001/site`);
  await page.getByRole('button', { name: 'the duct to the mast', exact: true }).click();
  for (const width of [1280, 820, 390]) {
    await page.setViewportSize({ width, height: 800 });
    await page.waitForTimeout(120);
    expect(await overlaps(page), `${width} px`).toEqual([]);
  }
  await page.goto(`${baseURL}/jobs/7a0e1d00-0000-4000-8000-00000000b001/ground`);
  await expect(page.getByRole('figure', { name: 'One-line drawing' })).toBeVisible();
  expect(await overlaps(page), 'ground').toEqual([]);
});

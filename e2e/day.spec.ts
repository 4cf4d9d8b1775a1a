import type { JobDocument } from '@kobran/contract';
import { readFileSync } from 'node:fs';
import { expect, test } from './server.js';

test('a day is planned, somebody is not there, rain comes: planned again, and ticking is the log', async ({
  page,
  site,
  request,
  baseURL,
}) => {
  test.slow();
  const {
    path,
    job: { id: jobId },
  } = await site('vhf');
  await page.goto(`/jobs/${jobId}/day`);
  const title = page.getByRole('heading', { level: 1 });
  await expect(title).toContainText(/\d+ tasks by \d\d:\d\d with 3 people/);
  const plan = page.getByRole('region', { name: 'The plan in order' });
  await expect(plan).toContainText('crimper');
  const count = async (): Promise<number> => Number(/(\d+) tasks/.exec(await title.innerText())?.[1]);
  const withThree = await count();

  // Somebody is away: less is done, and it is said what is left.
  await page.getByText('Crew, tools and weather: what if?').click();
  await page.getByRole('button', { name: 'Petrok is not there' }).click();
  await expect(title).toContainText('with 2 people');
  expect(await count()).toBeLessThan(withThree);
  await page.keyboard.press('Control+z');
  await expect(title).toContainText('with 3 people');

  // No crimper: what is crimped waits for it.
  await page.getByLabel('Crimpers').selectOption('missing');
  await expect(page.getByText('the crimper is missing').first()).toBeVisible();
  await page.getByLabel('Crimpers').selectOption('1');

  // Rain all day: nothing is sealed in the open.
  await page.getByLabel('Rain, from').fill('8');
  await page.getByLabel('Rain, from').press('Enter');
  await page.getByLabel('Rain, up to').fill('6 pm');
  await page.getByLabel('Rain, up to').press('Enter');
  await expect(page.getByText('no dry time left in this day').first()).toBeVisible();

  // A bar is moved by key: it is fixed, and the plan goes round it.
  const bar = page.getByRole('button', { name: /^Cut Mast cable, VHF voice/ }).first();
  await bar.focus();
  await bar.press('Enter');
  const inspector = page.getByRole('region', { name: 'Cut Mast cable' });
  await inspector.getByLabel('Not before').fill('11:00');
  await inspector.getByLabel('Not before').press('Enter');
  await expect(inspector.getByText(/11:00 to/)).toBeVisible();
  await expect(
    page.getByRole('button', { name: /^Cut Mast cable, VHF voice.*11:00 to.*fixed/ }),
  ).toBeVisible();
  await expect(page.getByText('Saved')).toBeVisible();

  // On the phone: ticked with its time, it is in the log and off the plan.
  await page.setViewportSize({ width: 390, height: 844 });
  await inspector.getByLabel('Done by').selectOption('Joss');
  await expect(page.getByText('Saved')).toBeVisible();
  await page.goto(`/jobs/${jobId}/day/Joss`);
  const row = page
    .getByRole('listitem')
    .filter({ hasText: 'Cut Mast cable' })
    .filter({ hasText: 'VHF voice' });
  await row.getByLabel(/Minutes which/).fill('9');
  await row.getByRole('button', { name: 'Mark as done' }).click();
  await expect(row).toHaveCount(0);
  const id = path.slice('/runs/'.length);
  await expect(async () => {
    const job = (await (await request.get(`${baseURL}/api/jobs/${jobId}`)).json()) as JobDocument;
    const facts = job.runs.find((run) => run.id === id)?.facts ?? [];
    expect(facts).toContainEqual(expect.objectContaining({ kind: 'cut', pieceId: 'main' }));
    expect(facts).toContainEqual(
      expect.objectContaining({ kind: 'task done', task: 'cut main', minutes: 9 }),
    );
  }).toPass();
});

test('a site is handed over as one file, which is imported again', async ({ page, site }) => {
  const { job } = await site('weather');
  await page.goto(`/jobs/${job.id}/handover`);
  await expect(page.getByRole('heading', { level: 1 })).toContainText(/of \d+ runs are signed/);
  await expect(page.getByText(/Log sound, \d+ entr/).first()).toBeVisible();
  await expect(page.getByText('changed since revision 1')).toBeVisible();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Everything as one file' }).click(),
  ]);
  const path = await download.path();
  await page.goto('/');
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByText('Import a job file').first().click(),
  ]);
  await chooser.setFiles({ name: 'site.zip', mimeType: 'application/zip', buffer: readFileSync(path) });
  await expect(page.getByText(/is here, with \d+ runs/)).toBeVisible();
});

test('what does not go into a day is planned for the next, by whoever comes then', async ({ page, site }) => {
  const { job } = await site('vhf');
  await page.goto(`/jobs/${job.id}/day`);
  const title = page.getByRole('heading', { level: 1 });
  await expect(title).toContainText('left for another day');
  await page.getByRole('button', { name: 'Plan another day' }).click();
  await expect(title).toContainText(/^Day 2: all done, \d+ tasks/);
  await expect(page.getByRole('heading', { name: 'Left for another day' })).toHaveCount(0);
  await page.getByRole('link', { name: 'Day sheet of Joss' }).click();
  await expect(title).toContainText(/^Joss, day 2: \d+ tasks?/);
  await page.goBack();
  // The first is over: what was not ticked comes back into the day that is left.
  await page.getByRole('button', { name: 'Day 1 is over' }).click();
  await expect(title).toContainText('left for another day');
  await expect(page.getByRole('button', { name: 'Day 1 is over' })).toHaveCount(0);
});

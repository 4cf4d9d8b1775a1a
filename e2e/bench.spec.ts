import type { RunDocument } from '@kobran/contract';
import { readBench } from '@kobran/contract';
import { BENCH_SCHEMA, deviceOn } from '@kobran/core';
import type { APIRequestContext, Page } from '@playwright/test';
import { alone, demo, expect, saved, test } from './server.js';

const hands = { far: 'load', rained: false, wiggled: false };
const idOf = (run: string): string => run.slice('/runs/'.length);

/** Puts a run or an assembly on the simulated bench; 0 is sound work. */
const lay = async (request: APIRequestContext, url: string, run: string, pieceId: string, seed: number) => {
  const answer = await request.put(`${url}/api/bench`, { data: { runId: idOf(run), pieceId, seed, hands } });
  expect(answer.ok(), await answer.text()).toBe(true);
};

test.beforeEach('the bench is empty and its instruments are off', async ({ request, baseURL }) => {
  expect((await request.delete(`${baseURL}/api/bench`)).ok()).toBe(true);
});

async function calibrate(page: Page): Promise<void> {
  for (const [name, next] of [
    ['Open is on', 'Short is on'],
    ['Short is on', 'Load is on'],
    ['Load is on', undefined],
  ] as const) {
    await page.getByRole('button', { name }).click();
    if (next) await expect(page.getByRole('button', { name: new RegExp(`${name}.*taken`) })).toBeVisible();
  }
}

test('a jumper is trimmed with the simulated analyser: laid down, calibrated, read and cut until it is done', async ({
  page,
  baseURL,
  site,
}) => {
  await page.goto(`${baseURL}${(await site('phasing')).path}/cut`);
  const coach = page.getByRole('region', { name: 'Trim coach for Upper leg' });
  await coach.getByRole('button', { name: /^Practise: lay 1\.6\d\d m/ }).click();
  await calibrate(page);
  const advice = coach.getByRole('status').first();
  await expect(coach.getByRole('button', { name: 'Read the resonance' })).toBeEnabled();
  for (let cuts = 0; ; cuts++) {
    expect(cuts, 'at most three cuts').toBeLessThanOrEqual(3);
    await coach.getByRole('button', { name: 'Read the resonance' }).click();
    await expect(coach.getByText(`${cuts + 1} reading${cuts === 0 ? '' : 's'} of this piece`)).toBeVisible();
    if (((await advice.textContent()) ?? '').startsWith('Done')) break;
    await expect(advice).toContainText(/^Cut \d+(\.\d)? mm off/);
    await coach.getByRole('button', { name: /^Cut it to/ }).click();
    await expect(coach.getByRole('button', { name: /^Cut it to/ })).toHaveCount(0);
  }
  // Within a degree of 450°, and never too short.
  await expect(advice).toContainText(/Left over: \d\.\d mm .*, [01]\.\d°/);
});

test('a crushed spot is found: swept on the bench, it shows on the ruler where it is, and is told at the end', async ({
  page,
  baseURL,
  request,
  site,
}) => {
  const url = baseURL ?? '';
  const { design } = (await (
    await request.get(`${url}/api/runs/${idOf((await site('vhf')).path)}`)
  ).json()) as RunDocument;
  const crushed = (seed: number): number | undefined => {
    const read = readBench({ ...hands, schema: BENCH_SCHEMA, design, catalog: [], pieceId: 'main', seed });
    if (!read.ok) throw new Error(JSON.stringify(read.problems));
    const { fault } = deviceOn(read.bench);
    return fault.cause === 'crush' ? fault.atM : undefined;
  };
  let seed = 1;
  while (crushed(seed) === undefined) seed++;
  const atM = crushed(seed) ?? 0;
  await lay(request, url, (await site('vhf')).path, 'main', seed);

  await page.goto(`${url}/instruments`);
  await calibrate(page);
  await expect(page.getByText('Calibrated for this sweep')).toBeVisible();
  await page.goto(`${url}${(await site('vhf')).path}/prove`);
  await page.getByRole('button', { name: 'Sweep now' }).click();
  await expect(page.getByRole('radio', { name: /sweep 3/ })).toBeChecked();
  const found = page.getByText(/comes back from \d+\.\d+ m ± \d\.\d m, in the cable/);
  await expect(found).toBeVisible();
  const saidM = Number(/from (\d+\.\d+) m/.exec((await found.textContent()) ?? '')?.[1]);
  expect(Math.abs(saidM - atM)).toBeLessThan(0.3);
  await page.goto(`${url}/instruments`);
  await page.getByRole('button', { name: 'Show the hidden fault' }).click();
  await expect(page.getByText(/^Crushed or kinked cable, \d+\.\d+ m from the near end/)).toBeVisible();
});

test('a run is proved with the instruments and handed over', async ({ page, baseURL, request, site }) => {
  const url = baseURL ?? '';
  for (const piece of ['jumper', 'main']) {
    await lay(request, url, (await site('uhf')).path, piece, 0);
    await page.goto(`${url}/instruments`);
    const zeroed = page.waitForResponse(/multimeter\/zero$/);
    await page.getByRole('button', { name: 'Zero the leads' }).click();
    await zeroed;
    await page.goto(`${url}${(await site('uhf')).path}/prove`);
    const reads = page.getByRole('button', { name: /^Read, with/ });
    await expect(reads).toHaveCount(3);
    for (let k = 0; k < 3; k++) {
      await reads.nth(k).click();
      await expect(page.getByRole('button', { name: 'Reading…' })).toHaveCount(0);
    }
  }
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Every reading is in, none fails');
  await lay(request, url, (await site('uhf')).path, '', 0);
  await page.reload();
  await page.getByRole('button', { name: 'Transmit 5 W and read' }).click();
  await expect(page.getByText(/full power is 10 W and was not tried/)).toBeVisible();
  await page.getByRole('button', { name: 'Transmit 10 W and read' }).click();
  await expect(page.getByText(/Nothing changes from/)).toBeVisible();
  await page.getByRole('button', { name: 'Sweep now' }).click();
  await page.getByRole('button', { name: /^More for sweep/ }).click();
  await page.getByRole('menuitem', { name: /^Set as birth record/ }).click();
  await expect(page.getByText('birth record', { exact: true })).toBeVisible();
  await saved(page);
  await page.goto(`${url}${(await site('uhf')).path}/handover`);
  await expect(page.getByText(/W forward, .* reflected at/).first()).toBeVisible();
});

test('an instrument that is not there, or not allowed, is said with what to do', async ({
  page,
  baseURL,
}) => {
  await page.goto(`${baseURL}/instruments`);
  await page.getByText('Connect one by its address').click();
  await page.getByLabel('Port', { exact: true }).fill('1');
  await page.getByRole('button', { name: 'Connect' }).click();
  await expect(page.getByText(/Nothing answers at 127\.0\.0\.1:1/)).toBeVisible();
  await page.getByLabel('Host', { exact: true }).fill('192.168.7.7');
  await page.getByRole('button', { name: 'Connect' }).click();
  await expect(page.getByText(/KOBRAN_INSTRUMENT_HOSTS=192\.168\.7\.7/)).toBeVisible();
  await page.getByLabel('Port', { exact: true }).fill('70000');
  await page.getByLabel('Port', { exact: true }).press('Enter');
  await expect(page.getByRole('alert')).toContainText('from 1 to 65535');
});

alone(
  'a sweep taken while the server is away waits on this device and is kept',
  async ({ page, browser, kobran, baseURL }) => {
    // Prove was never looked at: its thread comes with the first page all the same.
    await page.goto(`${baseURL}${demo.uhf}/plan`);
    await page.waitForFunction(() =>
      ['ProveScreen', 'background.worker'].every((script) =>
        performance.getEntriesByType('resource').some(({ name }) => name.includes(script)),
      ),
    );
    // Until nothing more comes: scripts of Prove bring others along.
    let before = -1;
    await expect
      .poll(
        async () => {
          const now = await page.evaluate(() => performance.getEntriesByType('resource').length);
          const same = now === before;
          before = now;
          return same;
        },
        { intervals: [1500] },
      )
      .toBe(true);
    await kobran.kill();
    await page.getByRole('link', { name: /^Prove/ }).click();
    const lines = Array.from({ length: 50 }, (_, k) => `${100 + k} 0.1 0`).join('\n');
    await page.getByLabel('Import .s1p or .s2p').setInputFiles({
      name: 'away.s1p',
      mimeType: 'text/plain',
      buffer: Buffer.from(`# MHz S RI R 50\n${lines}\n`),
    });
    await expect(page.getByRole('radio', { name: /away\.s1p/ })).toBeChecked();
    await kobran.start();
    await page.reload();
    await expect(page.getByRole('radio', { name: /away\.s1p/ })).toBeVisible();
    await saved(page);
    // Another device has only what the server keeps.
    const other = await browser.newPage();
    await other.goto(`${baseURL}${demo.uhf}/prove`);
    await expect(other.getByRole('radio', { name: /away\.s1p/ })).toBeVisible();
  },
);

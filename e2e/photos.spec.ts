import type { RunDocument } from '@kobran/contract';
import { bytesHash, photosOf } from '@kobran/core';
import { readFileSync } from 'node:fs';
import { expect } from '@playwright/test';
import { alone, demo } from './server.js';

const drawn = readFileSync(new URL('../server/demo/uhf-plug-on-bench.jpg', import.meta.url));

/** The same picture as a phone writes it: where it was taken stands in a segment APP1 behind the first marker (Exif 2.32, 4.5). */
function withPlace(): Buffer {
  const said = Buffer.from('Exif\0\0GPS 50.1 N 5.2 W', 'latin1');
  const segment = Buffer.from([0xff, 0xe1, 0, said.length + 2]);
  return Buffer.concat([drawn.subarray(0, 2), segment, said, drawn.subarray(2)]);
}
const file = { name: 'IMG_1.jpg', mimeType: 'image/jpeg', buffer: withPlace() };

alone(
  'photos of an end: without where they were taken, waiting while the server is gone, withdrawn again',
  async ({ page, baseURL, kobran }) => {
    await page.setViewportSize({ width: 390, height: 844 });
    const run = await kobran.ask<RunDocument>('GET', `/api${demo.vhf}`);
    const taken = async () =>
      photosOf((await kobran.ask<RunDocument>('GET', `/api${demo.vhf}`)).facts, 'jumper.b');
    await page.goto(`${baseURL}${demo.vhf}/make`);
    const own = page.getByRole('group', { name: /^Photos of Hut jumper, antenna end/i });
    const shown = own.getByRole('img');
    const choose = own.locator('input[type=file]');
    await choose.setInputFiles(file);
    await expect(shown).toHaveCount(1);
    await expect.poll(async () => (await taken()).length).toBe(1);
    const [{ pictureId, sha256 }] = await taken();
    const kept = await (
      await page.request.get(`${baseURL}/api/jobs/${run.jobId}/pictures/${pictureId}`)
    ).body();
    expect([kept.includes('Exif'), kept.includes('GPS')]).toEqual([false, false]);
    expect(bytesHash(kept)).toBe(sha256);

    await kobran.kill();
    await choose.setInputFiles(file);
    await expect(shown).toHaveCount(2);
    // Its bytes are on this device.
    await expect
      .poll(() => shown.last().evaluate((img: HTMLImageElement) => img.complete && img.naturalWidth))
      .toBe(800);
    await kobran.start();
    await expect.poll(async () => (await taken()).length).toBe(2);

    await shown.last().click();
    await page.getByRole('button', { name: 'Withdraw the photo' }).click();
    await expect(shown).toHaveCount(1);
    await expect.poll(async () => (await taken()).length).toBe(1);
    // A text which says it is a picture is refused in words.
    await choose.setInputFiles({ ...file, buffer: Buffer.from('no picture') });
    await expect(page.getByText('no picture this browser can read')).toBeVisible();
  },
);

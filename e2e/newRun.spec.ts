import { alone, demo, expect } from './server.js';

// What stands in a field when a button is pressed counts: typed and pressed in one breath, on a page slowed six times.
alone(
  'a new run is made of what was typed last, and not while a field is refused',
  async ({ page, baseURL }) => {
    const run = demo.vhf.split('/').at(-1) ?? '';
    const { jobId } = (await (await page.request.get(`${baseURL}/api/runs/${run}`)).json()) as {
      jobId: string;
    };
    await page.goto(`${baseURL}/jobs/${jobId}/new`);
    const make = page.getByRole('button', { name: /^Create run/ });
    await expect(make).toBeEnabled();
    await page.getByLabel('Forward power').fill('100 parsecs');
    // By pointer, aimed where it was seen: the reason below the field moves everything else.
    const seen = await make.boundingBox();
    if (!seen) throw new Error('no button');
    await page.mouse.click(seen.x + seen.width / 2, seen.y + seen.height / 2);
    await expect(page.getByText('A field could not be read')).toBeVisible();
    await expect(page.getByLabel('Forward power')).toBeFocused();

    await page.reload();
    await expect(make).toBeEnabled();
    const slow = await page.context().newCDPSession(page);
    await slow.send('Emulation.setCPUThrottlingRate', { rate: 6 });
    await page.getByLabel('Forward power').fill('100');
    await make.click();
    await expect(page).toHaveURL(/\/runs\/[^/]+\/plan/);
    const made = page.url().split('/').at(-2) ?? '';
    const document = (await (await page.request.get(`${baseURL}/api/runs/${made}`)).json()) as {
      design: { service: { powerW: number } };
    };
    expect(document.design.service.powerW).toBe(100);
  },
);

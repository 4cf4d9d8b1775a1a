import { alone, demo, expect } from './server.js';

alone('what was deleted comes back, and a backup puts everything as it was', async ({ page, baseURL }) => {
  await page.goto(`${baseURL}/backups`);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('No backup yet');
  await page.getByRole('button', { name: 'Back up now' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Last backup');
  const kept = page.getByRole('list', { name: 'Backups' }).getByRole('listitem');
  await expect(kept).toHaveCount(1);

  const id = demo.vhf.split('/').at(-1) ?? '';
  await page.request.delete(`${baseURL}/api/runs/${id}`);
  await page.goto(`${baseURL}/backups`);
  const deleted = page.getByRole('region', { name: 'Deleted' });
  await deleted.getByRole('button', { name: 'Restore' }).click();
  await expect(deleted.getByText('Nothing is deleted')).toBeVisible();
  expect((await page.request.get(`${baseURL}/api/runs/${id}`)).status()).toBe(200);

  await page.request.delete(`${baseURL}/api/runs/${id}`);
  await kept.getByRole('button', { name: 'Restore' }).click();
  await page.getByRole('button', { name: 'Replace everything' }).click();
  await expect(page.getByText(/Everything is as it was/)).toBeVisible();
  expect((await page.request.get(`${baseURL}/api/runs/${id}`)).status()).toBe(200);
  // What stood before is in the list, to go back.
  await expect(kept).toHaveCount(2);
  await expect(kept.filter({ hasText: 'made before another was restored' })).toHaveCount(1);
});

import { expect, type Page } from '@playwright/test';
import axe from 'axe-core';

declare global {
  interface Window {
    axe: typeof axe;
  }
}

const WCAG = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'];

/**
 * Nothing stands in the way of who sees or moves otherwise: WCAG 2.2 AA by axe’s rules.
 *
 * @param only rules to look at, where the rest was looked at elsewhere
 */
export async function expectClean(page: Page, name: string, only?: string[]): Promise<void> {
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(axe.source);
  const runOnly: axe.RunOnly = only ? { type: 'rule', values: only } : { type: 'tag', values: WCAG };
  const violations = await page.evaluate(
    async (options) => (await window.axe.run(document, options)).violations,
    // What passes is neither located nor sent: it is looked at all the same, in half the time.
    { runOnly, resultTypes: ['violations'] } satisfies axe.RunOptions,
  );
  expect(
    violations.map(
      ({ id, nodes }) => `${name}: ${id} at ${nodes.map(({ target }) => target.join(' ')).join(', ')}`,
    ),
    name,
  ).toEqual([]);
}

/** Nothing scrolls sideways: not the page, and not at 390 px either. */
export async function expectNoSidewaysScroll(page: Page, name: string): Promise<void> {
  // Drawings follow the new width a moment later.
  await expect
    .poll(() => page.evaluate(() => document.documentElement.scrollWidth - innerWidth), { message: name })
    .toBeLessThanOrEqual(0);
}

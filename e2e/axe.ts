import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

/** What axe finds that is serious or critical, each with where it is. */
export async function violations(page: Page, rules?: string[]): Promise<string[]> {
  // No page has a frame of another origin: without them axe needs no page of its own to gather in, a third of the time.
  const axe = new AxeBuilder({ page }).options({ resultTypes: ['violations'] }).setLegacyMode();
  const found = await (rules ? axe.withRules(rules) : axe).analyze();
  return found.violations
    .filter(({ impact }) => impact === 'serious' || impact === 'critical')
    .map(({ id, nodes }) => {
      const where = nodes.slice(0, 3).map(({ target }) => target.join(' '));
      return `${id}: ${where.join(' | ')}`;
    });
}

export async function nothingSerious(page: Page): Promise<void> {
  expect(await violations(page), page.url()).toEqual([]);
}

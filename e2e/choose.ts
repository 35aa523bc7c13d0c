import { expect, type Locator } from '@playwright/test';

/**
 * Chooses out of the list of a field. A list that is put elsewhere as it opens takes a press for nothing, as it does from a
 * person, who then presses again.
 */
export async function choose(field: Locator, choice: string | RegExp): Promise<void> {
  const exact = typeof choice === 'string';
  const option = field.page().getByRole('option', { name: choice, exact });
  await expect(async () => {
    if (!(await option.isVisible())) await field.click({ timeout: 2000 });
    await option.click({ timeout: 2000 });
    await expect(field).toContainText(choice, { timeout: 2000 });
  }).toPass({ timeout: 20_000 });
}

import { AxeBuilder } from '@axe-core/playwright';
import type { Page } from '@playwright/test';

/** All rules, on a page without frames: run in it at once, and told of what fails alone, it takes a third of the time. */
export async function moderateOrWorse(page: Page, within = 'html'): Promise<string[]> {
  const { violations } = await new AxeBuilder({ page })
    .setLegacyMode()
    .options({ resultTypes: ['violations'] })
    .include(within)
    .analyze();
  return violations
    .filter((v) => v.impact !== 'minor')
    .map((v) => `${v.id}: ${v.nodes.map((n) => n.html.slice(0, 160)).join(' | ')}`);
}

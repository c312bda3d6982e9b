import { AxeBuilder } from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect } from './house.js';

const RULES = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'];

/** Nothing on a page keeps anybody from using it (WCAG 2.2 AA). @param scopes selectors of what alone is looked at: what stands around it has been looked at elsewhere */
export async function expectAccessible(page: Page, ...scopes: string[]): Promise<void> {
  // No view has frames: in one go, without a second page, and without preparing what nobody reads, it takes half the time.
  const axe = new AxeBuilder({ page }).setLegacyMode().options({ resultTypes: ['violations'], preload: false });
  for (const selector of scopes) axe.include(selector);
  const { violations } = await axe.withTags(RULES).analyze();
  const report = violations.map(({ id, nodes }) => `${id}: ${nodes.map((node) => node.html.slice(0, 120)).join(' | ')}`);
  expect(report).toEqual([]);
}

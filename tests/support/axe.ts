import { readFileSync } from 'node:fs';
import type { Page } from 'puppeteer-core';

interface AxeViolation {
  readonly id: string;
  readonly impact: string | null;
  readonly nodes: readonly { readonly html: string }[];
}

const AXE = readFileSync('node_modules/axe-core/axe.min.js', 'utf8');

/** What the checker finds on a page as it stands. */
export async function axeOn(page: Page, place: string) {
  await page.evaluate(AXE);
  const violations = await page.evaluate(async () => {
    const { axe } = window as unknown as { axe: { run: () => Promise<{ violations: AxeViolation[] }> } };
    return (await axe.run()).violations.map(({ id, impact, nodes }) => ({
      id,
      impact,
      html: nodes[0]?.html,
    }));
  });
  return violations.map((violation) => ({ place, ...violation }));
}

import { readFileSync } from 'node:fs';
import type { Page } from 'puppeteer-core';

interface AxeViolation {
  readonly id: string;
  readonly impact: string | null;
  readonly nodes: readonly { readonly html: string }[];
}

const AXE = readFileSync('node_modules/axe-core/axe.min.js', 'utf8');

/** Rules that another scheme can break on a page that kept them: the others look at no colour. */
const COLOUR_RULES = ['color-contrast', 'link-in-text-block'];

/** What the checker finds on a page as it stands; by its colours alone where the rest was looked at already. */
export async function axeOn(page: Page, place: string, isOnlyColours = false) {
  await page.evaluate(AXE);
  const violations = await page.evaluate(
    async (rules) => {
      const { axe } = window as unknown as {
        axe: { run: (options: object) => Promise<{ violations: AxeViolation[] }> };
      };
      const found = await axe.run({
        resultTypes: ['violations'],
        ...(rules ? { runOnly: { type: 'rule', values: rules } } : {}),
      });
      return found.violations.map(({ id, impact, nodes }) => ({ id, impact, html: nodes[0]?.html }));
    },
    isOnlyColours ? COLOUR_RULES : null,
  );
  return violations.map((violation) => ({ place, ...violation }));
}

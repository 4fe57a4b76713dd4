import type { Page } from 'puppeteer-core';

/** Waits until a section is drawn as done, or as not done. */
export const isDone = (page: Page, section: number, isIt = true) =>
  page.waitForFunction(
    (number, wanted) =>
      (document.querySelector(`[data-section="${number}"]`)?.getAttribute('data-state') === 'done') ===
      wanted,
    {},
    section,
    isIt,
  );

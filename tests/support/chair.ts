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

/** Waits until the chair stands and hears keys. */
export const isAwake = (page: Page) =>
  page.waitForFunction(() => {
    const button = document.querySelector('section[aria-label="Now"] button');
    // What waits on the device is looked at by the same pass that begins to hear keys.
    const status = document.querySelector('[role="status"]')?.textContent;
    return (
      button !== null &&
      Object.keys(button).some((key) => key.startsWith('__reactProps')) &&
      status !== undefined &&
      !['', 'looking…'].includes(status)
    );
  });

/** Waits until nothing waits to be sent. */
export const isKept = (page: Page) =>
  page.waitForFunction(() => document.querySelector('[role="status"]')?.textContent === 'kept');

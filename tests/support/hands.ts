import type { ElementHandle, Page } from 'puppeteer-core';

/** Finds something by its accessible name and role, as a screen reader would. */
const named = (name: string, role?: string) => `::-p-aria([name="${name}"]${role ? `[role="${role}"]` : ''})`;

/** Presses a button or link by its name. */
export async function press(
  page: Page,
  name: string,
  role: 'button' | 'link' | 'switch' = 'button',
): Promise<void> {
  const handle = await page.waitForSelector(named(name, role));
  // What appears beside it moves it: nobody presses what is still moving.
  await handle!.evaluate(async (element) => {
    element.scrollIntoView({ block: 'center' });
    let before = '';
    for (let still = 0, looked = 0; still < 3 && looked < 120; looked++) {
      await new Promise((resolve) => requestAnimationFrame(resolve));
      const { x, y, width } = element.getBoundingClientRect();
      const now = `${x} ${y} ${width}`;
      still = now === before ? still + 1 : 0;
      before = now;
    }
  });
  await handle!.click();
}

/**
 * A short touch, however busy the machine is: the finger lifts without waiting until its coming down was heard, so that
 * it can never be taken for a long press.
 */
export async function touch(page: Page, target: string | ElementHandle): Promise<void> {
  const handle = typeof target === 'string' ? await page.waitForSelector(target) : target;
  await handle!.evaluate((element) => element.scrollIntoView({ block: 'center' }));
  const point = await handle!.clickablePoint();
  const client = await page.createCDPSession();
  await Promise.all([
    client.send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: [point] }),
    client.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] }),
  ]);
  await client.detach();
}

/** Presses a button of an open dialog by words on it, once it is there. */
export async function pressInDialog(page: Page, words: string): Promise<void> {
  const button = await page.waitForSelector(
    `::-p-xpath(//*[@role="dialog"]//button[contains(., "${words}")])`,
  );
  await button!.click();
}

/** Replaces what stands in a field. */
export async function fill(page: Page, name: string, text: string): Promise<void> {
  const handle = await page.waitForSelector(named(name));
  await handle!.evaluate((element) => {
    element.scrollIntoView({ block: 'center' });
    (element as HTMLInputElement).focus();
    (element as HTMLInputElement).select?.();
  });
  await page.keyboard.press('Backspace');
  await page.keyboard.type(text);
}

/** Starts a plan for a head from the list of plans, by hand from what is usual. */
export async function planFor(page: Page, name: string): Promise<void> {
  await page.waitForSelector(named('Plan a set for'));
  const id = await page.$$eval(
    'option',
    (options, wanted) => options.find((own) => own.textContent?.startsWith(wanted))?.value ?? '',
    name,
  );
  await choose(page, 'Plan a set for', id);
  await startByHand(page);
}

/** From a head, or the list of plans, past the first draft to a plan begun from what is usual. */
export async function startByHand(page: Page): Promise<void> {
  await press(page, 'Plan a set', 'link');
  await press(page, 'Start by hand');
  await page.waitForFunction(() => /^\/plan\/(?!first$)./.test(location.pathname));
}

/** Sets a date, a time or a list by its value, as the browser's own picker would. */
export async function choose(page: Page, name: string, value: string): Promise<void> {
  const handle = await page.waitForSelector(named(name));
  await handle!.evaluate((element, next) => {
    const input = element as HTMLInputElement | HTMLSelectElement;
    const prototype =
      input instanceof HTMLSelectElement ? HTMLSelectElement.prototype : HTMLInputElement.prototype;
    Object.getOwnPropertyDescriptor(prototype, 'value')!.set!.call(input, next);
    input.dispatchEvent(new Event('input', { bubbles: true }));
    input.dispatchEvent(new Event('change', { bubbles: true }));
  }, value);
}

/** Waits until a text stands on the page; a document that is just being loaded has no body yet. */
export const see = (page: Page, text: string): Promise<unknown> =>
  page.waitForFunction(
    (wanted) => document.querySelector('body')?.innerText.includes(wanted) ?? false,
    {},
    text,
  );

/** Waits until a text stands on the page no more. */
export const seeGone = (page: Page, text: string): Promise<unknown> =>
  page.waitForFunction(
    (unwanted) => document.querySelector('body')?.innerText.includes(unwanted) === false,
    {},
    text,
  );

/** Waits until the forecast of a plan has drawn its heads and its words stand still. */
export const forecastSettles = (page: Page): Promise<unknown> =>
  page.waitForFunction(
    (stillMs) => {
      const words = document.querySelector<HTMLElement>('section[aria-label="Forecast"]')?.innerText ?? '';
      const kept = window as unknown as { lastWords?: { words: string; atMs: number } };
      if (kept.lastWords?.words !== words) kept.lastWords = { words, atMs: performance.now() };
      return words.includes('range worked out') && performance.now() - kept.lastWords.atMs > stillMs;
    },
    {},
    1500,
  );

/** The text of the first element that matches. */
export const textOf = (page: Page, selector: string): Promise<string> =>
  page.$eval(selector, (element) => (element as HTMLElement).innerText);

/** Waits until the address matches. */
export const arrive = (page: Page, pattern: RegExp): Promise<unknown> =>
  page.waitForFunction((source) => new RegExp(source).test(location.pathname), {}, pattern.source);

/** Opens one of the choices of a plan by its title, if it is not open. */
export const openStep = (page: Page, title: string): Promise<unknown> =>
  page.waitForFunction(
    (wanted) => {
      const step = [...document.querySelectorAll<HTMLButtonElement>('ol button[aria-expanded]')].find(
        (button) => button.textContent?.startsWith(wanted),
      );
      if (step?.getAttribute('aria-expanded') === 'false') step.click();
      return step !== undefined;
    },
    {},
    title,
  );

/** Unfolds what is folded under a summary, once it is there. */
export const unfold = (page: Page, summary: string): Promise<unknown> =>
  page.waitForFunction(
    (wanted) => {
      const folded = [...document.querySelectorAll('details')].find((own) =>
        own.querySelector('summary')?.textContent?.startsWith(wanted),
      );
      if (folded) folded.open = true;
      return folded !== undefined;
    },
    {},
    summary,
  );

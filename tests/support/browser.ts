import puppeteer, { type Browser, type Page } from 'puppeteer-core';

const CHROMIUM = '/usr/bin/chromium';

/** Headless Chromium that talks to nobody but the page under test. */
export const launchBrowser = (
  own: { readonly env?: NodeJS.ProcessEnv; readonly args?: readonly string[] } = {},
): Promise<Browser> =>
  puppeteer.launch({
    executablePath: CHROMIUM,
    headless: true,
    ...(own.env ? { env: own.env } : {}),
    args: [
      ...(own.args ?? []),
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
      '--force-color-profile=srgb',
      // A camera that shows a test picture, allowed without asking.
      '--use-fake-device-for-media-stream',
      '--use-fake-ui-for-media-stream',
    ],
  });

export const DESK = { width: 1280, height: 800 } as const;
export const PHONE = { width: 390, height: 844, hasTouch: true, isMobile: true } as const;

/** How long anything on a page may take on a busy machine; time itself is for the bench. */
const PATIENCE_MS = 60_000;

/** How often a page is looked at while something is waited for, ms: each frame, it would have time for little else. */
const LOOK_EVERY_MS = 100;

/** Longest that a page's program is waited for, ms. */
const HOLD_MS = 20_000;

/** A page that is closed while its worker is starting can take one answer of the browser with it. */
const isLostAnswer = (thrown: unknown) => String(thrown).includes('Session with given id not found');

/** Waits until React has taken hold of everything that can be touched: what is typed before is lost on a busy machine. */
export const isTakenHold = (page: Page): Promise<unknown> =>
  page
    .waitForFunction(
      () =>
        [...document.querySelectorAll('button, input, select, textarea, form')].every((element) =>
          Object.keys(element).some((key) => key.startsWith('__reactProps')),
        ),
      { timeout: HOLD_MS },
    )
    // What is no page of ours, or goes elsewhere meanwhile, is waited for no longer.
    .catch(() => undefined);

/** A page that collects what goes wrong in it. */
export async function openPage(
  browser: Browser,
  viewport: { width: number; height: number; hasTouch?: boolean; isMobile?: boolean } = DESK,
  scheme: 'light' | 'dark' = 'light',
): Promise<{ page: Page; problems: string[] }> {
  const context = await browser.createBrowserContext().catch((thrown: unknown) => {
    if (isLostAnswer(thrown)) return browser.createBrowserContext();
    throw thrown;
  });
  const page = await context.newPage();
  const close = page.close.bind(page);
  page.close = (options) =>
    close(options).catch((thrown: unknown) => {
      if (!isLostAnswer(thrown)) throw thrown;
    });
  page.setDefaultTimeout(PATIENCE_MS);
  const [goto, reload, until] = [
    page.goto.bind(page),
    page.reload.bind(page),
    page.waitForFunction.bind(page),
  ];
  page.waitForFunction = (what, how, ...given) => until(what, { polling: LOOK_EVERY_MS, ...how }, ...given);
  page.goto = async (...to) => {
    const answer = await goto(...to);
    await isTakenHold(page);
    return answer;
  };
  page.reload = async (...how) => {
    const answer = await reload(...how);
    await isTakenHold(page);
    return answer;
  };
  await page.setViewport(viewport);
  await page.emulateMediaFeatures([
    { name: 'prefers-color-scheme', value: scheme },
    { name: 'prefers-reduced-motion', value: 'reduce' },
  ]);
  // A form that is not kept asks before its page is left; a test that goes on means it.
  page.on('dialog', (dialog) => {
    if (dialog.type() === 'beforeunload') void dialog.accept();
  });
  const problems: string[] = [];
  page.on('pageerror', (error) => problems.push(`${page.url()} page error: ${String(error)}`));
  page.on('console', (message) => {
    if (message.type() === 'error') problems.push(`${page.url()} console: ${message.text()}`);
  });
  return { page, problems };
}

/**
 * Cuts the program of a page off from its server while something is done. The browser's own switch does not work on a
 * page that has workers.
 */
export async function cutOff(page: Page, work: () => Promise<unknown>): Promise<void> {
  await page.evaluate(() => {
    const own = window as unknown as { realFetch: typeof fetch };
    own.realFetch = window.fetch;
    window.fetch = () => Promise.reject(new TypeError('cut off'));
  });
  await work();
  if (!page.isClosed())
    await page.evaluate(() => {
      window.fetch = (window as unknown as { realFetch: typeof fetch }).realFetch;
    });
}

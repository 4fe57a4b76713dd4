import type { Page } from 'puppeteer-core';

/** The scales of a day, in the order they are asked. */
export const SCALES = ['Definition', 'Frizz', 'Volume', 'Moisture', 'Shine', 'Hold'] as const;

/** What every scale of a day says of itself. */
export const sliders = (page: Page) =>
  page.$$eval('[aria-label="How it is holding up"] input[type="range"]', (all) =>
    all.map((one) => one.getAttribute('aria-valuetext')),
  );

/** Touches a scale where a rating lies on it. */
export async function touchScale(page: Page, name: string, rating: number): Promise<void> {
  const slider = await page.waitForSelector(`::-p-aria([name="${name}"][role="slider"])`);
  await slider!.evaluate((own) => {
    if (own.getBoundingClientRect().bottom > 700) own.scrollIntoView({ block: 'center' });
  });
  const { x, y, width, height } = (await slider!.boundingBox())!;
  const client = await page.createCDPSession();
  const point = { x: x + 0.5 + ((width - 1) * rating) / 10, y: y + height - 12 };
  await Promise.all([
    client.send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: [point] }),
    client.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] }),
  ]);
  await client.detach();
}

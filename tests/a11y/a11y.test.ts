import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { axeOn } from '../support/axe';
import { DESK, launchBrowser, openPage, PHONE } from '../support/browser';
import { openStep, press, see } from '../support/hands';
import { signedInAs } from '../support/people';
import { cardAndCurlScene } from '../support/photo-scenes';
import { startServer, type TestServer } from '../support/server';

let server: TestServer;
let browser: Browser;
let paths: string[];

beforeAll(async () => {
  server = await startServer('demo');
  browser = await launchBrowser();
  const first = async (sql: string) => String((await server.database.client.execute(sql)).rows[0]?.id);
  const studioId = await first('select id from studios');
  for (const role of ['owner', 'assistant'] as const) await signedInAs(server.database, studioId, role);
  const worn = await first('select id from sets where taken_down_at_ms is not null and ended_at_ms is null');
  paths = [
    '/',
    '/heads',
    '/heads/new',
    `/heads/${await first('select id from heads')}`,
    '/plan',
    `/plan/${await first('select id from plans')}`,
    '/chair',
    `/chair/${await first('select id from sets where taken_down_at_ms is null')}`,
    '/wear',
    `/wear/${worn}`,
    '/sets',
    '/sets/new',
    `/sets/${worn}`,
    `/sets/${worn}/why`,
    `/sets/${await first('select id from sets where ended_at_ms is not null')}/next`,
    '/findings',
    '/shelf',
    '/shelf/products/new',
    '/shelf/dryers/new',
    `/shelf/mixes/${await first('select id from mixes')}`,
    '/studio',
    '/studio/tables',
    '/studio/people',
    '/me',
    '/pair',
    '/sign-in',
    '/yours/none',
    '/help',
    '/scale',
    '/heads/measure',
    `/heads/${await first('select id from heads')}/measure?at=naturalCoilDiameterMm`,
    '/plan/guide',
    `/plan/first?head=${await first('select id from heads')}`,
  ];
});
afterAll(async () => {
  await browser?.close();
  await server?.stop();
});

/** Another scheme on the page that stands, as when a device goes dark at dusk. */
async function inScheme(page: Page, scheme: 'light' | 'dark') {
  await page.emulateMediaFeatures([
    { name: 'prefers-color-scheme', value: scheme },
    { name: 'prefers-reduced-motion', value: 'reduce' },
  ]);
  await page.waitForFunction((own) => document.documentElement.dataset.scheme === own, {}, scheme);
}

describe.each([
  ['a desk', DESK],
  ['a phone', PHONE],
] as const)('on %s, in the light and in the dark', (_, viewport) => {
  it('axe finds nothing on any place, and nothing runs off the side', async () => {
    const { page, problems } = await openPage(browser, viewport);
    // The page's own policy would refuse the checker's script.
    await page.setBypassCSP(true);
    const found: unknown[] = [];
    for (const path of paths) {
      await page.goto(server.origin + path, { waitUntil: 'networkidle2' });
      found.push(...(await axeOn(page, path)));
      expect(await page.evaluate(() => document.documentElement.scrollWidth), path).toBeLessThanOrEqual(
        viewport.width,
      );
      await inScheme(page, 'dark');
      found.push(...(await axeOn(page, `${path} in the dark`, true)));
      await inScheme(page, 'light');
    }
    expect(found).toEqual([]);
    expect(problems).toEqual([]);
    await page.close();
  });

  it('nor on a plan while it is parted by hand, or fitted to a time', async () => {
    const { page, problems } = await openPage(browser, viewport);
    await page.setBypassCSP(true);
    await page.goto(server.origin + paths[5], { waitUntil: 'networkidle2' });
    await press(page, 'Part by hand');
    await see(page, 'Hair in the sections differs by');
    await page.$eval('[data-section="9"]', (section) =>
      section.dispatchEvent(new MouseEvent('click', { bubbles: true })),
    );
    await see(page, 'Section 9,');
    expect(await axeOn(page, 'parting by hand')).toEqual([]);
    await inScheme(page, 'dark');
    expect(await axeOn(page, 'parting by hand, in the dark', true)).toEqual([]);
    await inScheme(page, 'light');
    await press(page, 'Fit to my time');
    await press(page, 'Find what fits');
    await see(page, 'was weighed');
    expect(await axeOn(page, 'fit to my time')).toEqual([]);
    await inScheme(page, 'dark');
    expect(await axeOn(page, 'fit to my time, in the dark', true)).toEqual([]);
    await inScheme(page, 'light');
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(
      viewport.width,
    );
    expect(problems).toEqual([]);
    await page.close();
  });
});

describe('what opens over a place', () => {
  it.each([DESK, PHONE])(
    'axe finds nothing on the sheet, the head in the round, a weighing',
    async (viewport) => {
      const { page, problems } = await openPage(browser, viewport);
      await page.setBypassCSP(true);
      await page.goto(server.origin + paths[5], { waitUntil: 'networkidle2' });
      await openStep(page, 'Layers');
      await page.waitForSelector('button[aria-label^="Move "]');
      await openStep(page, 'Before the set');
      expect(await axeOn(page, 'prep')).toEqual([]);
      await press(page, 'Sheet');
      await see(page, 'To open elsewhere');
      expect(await axeOn(page, 'sheet')).toEqual([]);
      await press(page, 'Leave');
      await page.waitForFunction(() => document.querySelector('[role="dialog"]') === null);
      await press(page, 'In the round');
      await page.waitForSelector('figure svg[role="img"]');
      expect(await axeOn(page, 'in the round')).toEqual([]);
      await page.goto(`${server.origin}/shelf`, { waitUntil: 'networkidle2' });
      await press(page, 'Weigh Reedbed foam');
      await see(page, 'no scale is heard');
      expect(await axeOn(page, 'weighing')).toEqual([]);
      expect(problems).toEqual([]);
      await page.close();
    },
  );
});

describe('what goes home, and what comes back', () => {
  it.each([
    [DESK, 'light'],
    [PHONE, 'dark'],
  ] as const)(
    'axe finds nothing on the diary, on bringing it back, on measuring',
    async (viewport, scheme) => {
      const worn = paths.find((path) => path.startsWith('/wear/'))!;
      const setId = worn.slice('/wear/'.length);
      const folder = mkdtempSync(join(tmpdir(), 'a11y-'));
      const file = await fetch(`${server.origin}/api/v1/sets/${setId}/take-home/diary.html`);
      writeFileSync(join(folder, 'diary.html'), Buffer.from(await file.arrayBuffer()));
      const { page, problems } = await openPage(browser, viewport, scheme);
      await page.setBypassCSP(true);
      await page.goto(`file://${join(folder, 'diary.html')}`);
      await see(page, 'kept on this phone');
      await page.$eval('details', (box) => (box.open = true));
      expect(await axeOn(page, 'diary')).toEqual([]);
      expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(
        viewport.width,
      );
      await page.goto(server.origin + worn, { waitUntil: 'networkidle2' });
      await press(page, 'Bring it back');
      await see(page, 'Or paste its text');
      expect(await axeOn(page, 'bringing back')).toEqual([]);
      const { day, jpeg } = { day: new Date().toISOString().slice(0, 10), jpeg: await picture() };
      await fetch(`${server.origin}/api/v1/sets/${setId}/photos?date=${day}&view=curl`, {
        method: 'POST',
        headers: { 'content-type': 'image/jpeg' },
        body: new Uint8Array(jpeg),
      });
      await page.reload({ waitUntil: 'networkidle2' });
      const measure = (await page.waitForSelector('[aria-label^="Measure on One curl"]'))!;
      await measure.evaluate((button) => (button as HTMLElement).click());
      await press(page, 'Find the card');
      await see(page, '5.0 pixels to the mm.');
      expect(await axeOn(page, 'measuring')).toEqual([]);
      expect(problems).toEqual([]);
      await page.close();
    },
  );
});

/** The printed card beside a curl, as a camera sends it. */
function picture(): Promise<Buffer> {
  const { width, height, data } = cardAndCurlScene(12, 10, 3);
  return sharp(Buffer.from(data), { raw: { width, height, channels: 4 } })
    .jpeg()
    .toBuffer();
}

describe('by keyboard alone', () => {
  it('the crown map is one stop, moved in by arrows and digits', async () => {
    const { page } = await openPage(browser);
    await page.goto(server.origin + paths[5], { waitUntil: 'networkidle2' });
    expect(await page.$$eval('[data-section][tabindex="0"]', (all) => all.length)).toBe(1);
    await page.$eval('[data-section="1"]', (section) => (section as SVGElement).focus());
    await page.keyboard.press('ArrowRight');
    const focused = () => page.evaluate(() => document.activeElement?.getAttribute('data-section'));
    expect(await focused()).toBe('2');
    await page.keyboard.type('14');
    expect(await focused()).toBe('14');
    const name = await page.evaluate(() => document.activeElement?.getAttribute('aria-label'));
    expect(name).toMatch(
      /^Section 14 of 18, crown, client’s left, \d+ cm², about [\d,]+ hairs, not started$/,
    );
    await page.close();
  });
});

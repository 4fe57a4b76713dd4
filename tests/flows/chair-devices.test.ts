import { rmSync } from 'node:fs';
import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Database } from '@/server/db/client';
import { launchBrowser, openPage, PHONE } from '../support/browser';
import { press, see } from '../support/hands';
import { aDatabase, freePort, serve } from '../support/server';

type Served = Awaited<ReturnType<typeof serve>>;

let made: { folder: string; url: string; database: Database };
let server: Served;
let port: number;
let browser: Browser;
/** A set that is going in. */
let setId: string;

beforeAll(async () => {
  made = await aDatabase('demo', Date.now());
  port = await freePort();
  server = await serve(made.url, port);
  browser = await launchBrowser();
  const { page } = await openPage(browser);
  const { rows } = await made.database.client.execute("select id from plans where status = 'chosen'");
  await page.goto(`${server.origin}/plan/${String(rows[0]!.id)}`, { waitUntil: 'networkidle2' });
  await press(page, 'Take to the chair');
  await page.waitForFunction(() => location.pathname.startsWith('/chair/'));
  setId = new URL(page.url()).pathname.split('/').at(-1)!;
  await page.close();
});

afterAll(async () => {
  await browser?.close();
  await server?.end('SIGTERM');
  made?.database.close();
  if (made) rmSync(made.folder, { recursive: true, force: true });
});

const chair = async (page: Page) => {
  await page.goto(`${server.origin}/chair/${setId}`, { waitUntil: 'load' });
  await page.waitForSelector('section[aria-label="Now"]');
};
const isDone = (page: Page, section: number, isIt = true) =>
  page.waitForFunction(
    (number, wanted) =>
      (document.querySelector(`[data-section="${number}"]`)?.getAttribute('data-state') === 'done') ===
      wanted,
    {},
    section,
    isIt,
  );
const labelOf = (page: Page, section: number) =>
  page.$eval(`[data-section="${section}"]`, (one) => one.getAttribute('aria-label') ?? '');
const isKept = (page: Page) =>
  page.waitForFunction(() => document.querySelector('[role="status"]')?.textContent === 'kept');
const doneRows = async () =>
  (
    await made.database.client.execute({
      sql: "select section_number as n, by_name as by from set_events where set_id = ? and kind = 'section-done' order by sequence",
      args: [setId],
    })
  ).rows.map(({ n, by }) => ({ section: Number(n), by }));

describe('two at one head', () => {
  it('each sees what the other does, under a mark and a name', async () => {
    const [mine, theirs] = [await openPage(browser), await openPage(browser, PHONE)];
    await chair(mine.page);
    await chair(theirs.page);
    await press(theirs.page, 'More');
    await theirs.page.click('::-p-xpath(//*[@role="dialog"]//button[contains(., "Two at this head")])');
    await theirs.page.type('::-p-aria([name="Who works at this device"])', 'Ada B');
    await theirs.page.click('::-p-aria([name="From the last back"])');
    await press(theirs.page, 'Close');
    await mine.page.keyboard.press('Space');
    await isDone(theirs.page, 1);
    await press(theirs.page, 'Section done');
    const last = await theirs.page.$$eval('[data-section]', (all) => all.length);
    await isDone(mine.page, last);
    await mine.page.waitForSelector('ul[aria-label="Hands at this head"]');
    expect(await labelOf(mine.page, 1)).toContain('done by you');
    expect(await labelOf(mine.page, last)).toContain('done by Ada B');
    expect(await labelOf(theirs.page, 1)).toContain('done by another device');
    // An undo takes back what this hand did, though the other tapped later.
    await mine.page.keyboard.press('Backspace');
    await isDone(theirs.page, 1, false);
    // One hand is left, and needs no mark.
    expect(await labelOf(mine.page, last)).toMatch(/, done$/);
    // Any device can undo anything: the section itself is pressed.
    await mine.page.click(`[data-section="${last}"]`);
    await isDone(theirs.page, last, false);
    await isKept(mine.page);
    await isKept(theirs.page);
    expect(await doneRows()).toEqual([
      { section: 1, by: null },
      { section: last, by: 'Ada B' },
    ]);
    expect([...mine.problems, ...theirs.problems]).toEqual([]);
    await mine.page.close();
    await theirs.page.close();
  });
});

describe('by touch at 390 px', () => {
  it('a section is done, taken back and done again; every target is as large as a thumb', async () => {
    const { page, problems } = await openPage(browser, PHONE);
    await chair(page);
    const before = (await doneRows()).length;
    await page.tap('[data-section="3"]');
    await isDone(page, 3);
    await page.tap('[data-section="3"]');
    await isDone(page, 3, false);
    const big = await page.waitForSelector('::-p-aria([name="Section done"])');
    await big!.tap();
    await isDone(page, 1);
    const undo = await page.waitForSelector('::-p-aria([name="Undo"])');
    await undo!.tap();
    await isDone(page, 1, false);
    await isKept(page);
    expect((await doneRows()).length).toBe(before + 2);
    const sizes = await page.$$eval('section[aria-label="Now"] button', (all) =>
      all
        .filter(
          (button) => button.className.includes('big') || button.parentElement?.className.includes('buttons'),
        )
        .map((button) => {
          const { width, height } = button.getBoundingClientRect();
          return Math.min(width, height);
        }),
    );
    expect(sizes.length).toBe(5);
    expect(Math.min(...sizes)).toBeGreaterThanOrEqual(64);
    // Nothing is wider than the screen.
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
    expect(problems).toEqual([]);
    await page.close();
  });
});

describe('the server away', () => {
  it('taps wait, the closed chair opens again, and a server that is back gets each once, in order', async () => {
    const { page } = await openPage(browser);
    await chair(page);
    await page.keyboard.press('Space');
    await isDone(page, 1);
    await isKept(page);
    // The device has the page once its worker has it.
    await page.waitForFunction(async () => (await (await caches.open('keen-chairs-1')).keys()).length > 0);
    const context = page.browserContext();
    await server.end('SIGKILL');
    for (let section = 2; section <= 6; section++) {
      await page.keyboard.press('Space');
      await isDone(page, section);
    }
    await page.close();
    const again = await context.newPage();
    await again.goto(`http://127.0.0.1:${port}/chair/${setId}`, { waitUntil: 'load' });
    await again.waitForSelector('section[aria-label="Now"]');
    // Those that went before the server did, and those that wait.
    for (let section = 1; section <= 6; section++) await isDone(again, section);
    for (let section = 7; section <= 11; section++) {
      await again.keyboard.press('Space');
      await isDone(again, section);
    }
    await see(again, '10 waiting to be sent');
    // A page that needs its server says so, and names the chair that does not.
    await again.goto(`http://127.0.0.1:${port}/heads`, { waitUntil: 'load' }).catch(() => undefined);
    await see(again, 'No connection to the studio’s computer');
    await again.click('::-p-xpath(//li/a)');
    await again.waitForSelector('section[aria-label="Now"]');
    server = await serve(made.url, port);
    await isKept(again);
    expect((await doneRows()).slice(-11).map(({ section }) => section)).toEqual([
      1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11,
    ]);
    await again.close();
  });

  it('can be put among the programs of a device', async () => {
    const manifest = (await (await fetch(`${server.origin}/manifest.webmanifest`)).json()) as {
      icons: { src: string }[];
    };
    const icons = await Promise.all(manifest.icons.map(({ src }) => fetch(server.origin + src)));
    expect(icons.map(({ status }) => status)).toEqual(icons.map(() => 200));
    const { headers } = await fetch(`${server.origin}/sw.js`);
    expect(headers.get('content-type')).toContain('javascript');
  });
});

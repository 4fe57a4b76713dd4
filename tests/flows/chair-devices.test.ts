import { rmSync } from 'node:fs';
import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Database } from '@/server/db/client';
import { launchBrowser, openPage, PHONE } from '../support/browser';
import { isAwake, isDone, isKept } from '../support/chair';
import { letHoursPass } from '../support/clock';
import { choose, fill, press, see, seeGone, textOf, touch, pressInDialog } from '../support/hands';
import { aDatabase, aNewerBuild, freePort, serve } from '../support/server';

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
  // Begun long ago, and nothing is in yet: it runs late from its first section on.
  await letHoursPass(made.database, setId, 1.5);
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
  await isAwake(page);
};
const labelOf = (page: Page, section: number) =>
  page.$eval(`[data-section="${section}"]`, (one) => one.getAttribute('aria-label') ?? '');
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
    await pressInDialog(theirs.page, 'Two at this head');
    const name = await theirs.page.waitForSelector('::-p-aria([name="Who works at this device"])');
    await name!.type('Ada B');
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

/** A section by what it is called: 2b is there, 9 is not. */
const hasSection = (page: Page, name: string, isIt = true) =>
  page.waitForFunction(
    (wanted, there) =>
      [...document.querySelectorAll('[data-section]')].some((section) =>
        section.getAttribute('aria-label')?.startsWith(`Section ${wanted} of`),
      ) === there,
    {},
    name,
    isIt,
  );
/** Presses a way to part it, once what it brings is worked out. */
const pressWay = async (page: Page, way: string) => {
  const button = await page.waitForSelector(
    `::-p-xpath(//*[@role="dialog"]//button[span[starts-with(., "${way}")]])`,
  );
  await button!.click();
};
/** Opens what parts a section otherwise; a page that was just loaded may not hear the first key yet. */
async function openPartings(page: Page): Promise<void> {
  for (let i = 0; i < 40; i++) {
    await page.keyboard.press('x');
    const isThere = await page
      .waitForSelector('[role="dialog"]', { timeout: 500 })
      .then(() => true)
      .catch(() => false);
    if (isThere) return;
  }
  throw new Error('x opens nothing');
}
/** Opens what parts a section otherwise, and presses one of its ways. */
async function partOtherwise(page: Page, section: number, way: string): Promise<void> {
  await openPartings(page);
  await choose(page, 'Section', String(section));
  await pressWay(page, way);
  await page.waitForSelector('ul[aria-label="Changed so far"]');
  await press(page, 'Close');
  await page.waitForFunction(() => document.querySelector('[role="dialog"]') === null);
}

describe('the parting changed midway', () => {
  it('is changed on every device, numbers of what is done stay, and nothing is lost without the server', async () => {
    const [mine, theirs] = [await openPage(browser), await openPage(browser, PHONE)];
    await chair(mine.page);
    await chair(theirs.page);
    await mine.page.keyboard.press('Space');
    await isDone(theirs.page, 1);
    const count = await mine.page.$$eval('[data-section]', (all) => all.length);
    await partOtherwise(mine.page, 2, 'Part it in two');
    await hasSection(theirs.page, '2b');
    await isDone(theirs.page, 1);
    expect(await textOf(theirs.page, 'section[aria-label="Now"]')).toContain(`of ${count + 1}`);
    // The other hand joins two; what was one number is gone everywhere.
    await press(theirs.page, 'More');
    await pressInDialog(theirs.page, 'Part it otherwise');
    await see(theirs.page, 'Join them');
    await choose(theirs.page, 'Section', '4');
    await (await theirs.page.waitForSelector('::-p-xpath(//*[@role="group"]//button[. = "5"])'))!.click();
    await pressWay(theirs.page, 'Join them');
    await hasSection(mine.page, '5', false);
    await isKept(mine.page);
    await isKept(theirs.page);
    await theirs.page.close();

    await server.end('SIGKILL');
    await partOtherwise(mine.page, 7, 'Part it in two');
    await hasSection(mine.page, '7b');
    for (const number of [2, 1002, 3]) {
      await mine.page.keyboard.press('Space');
      await isDone(mine.page, number);
    }
    server = await serve(made.url, port);
    await isKept(mine.page);
    await mine.page.reload({ waitUntil: 'load' });
    for (const name of ['2', '2b', '4', '7', '7b']) await hasSection(mine.page, name);
    await hasSection(mine.page, '5', false);
    for (const number of [1, 2, 1002, 3]) await isDone(mine.page, number);
    expect(await mine.page.$$eval('[data-section]', (all) => all.length)).toBe(count + 1);

    // Its own page and what happened say the same.
    await mine.page.goto(`${server.origin}/sets/${setId}`, { waitUntil: 'networkidle2' });
    await see(mine.page, 'Section 2 parted in two');
    await see(mine.page, 'Sections 4 and 5 joined');
    await chair(mine.page);
    await openPartings(mine.page);
    await mine.page.click('::-p-xpath(//ul[@aria-label="Changed so far"]/li[contains(., "joined")]/button)');
    await hasSection(mine.page, '5');
    // Everything can be taken back, in the order it was done.
    for (const name of ['7b', '2b']) {
      await mine.page.click('::-p-xpath(//ul[@aria-label="Changed so far"]/li[1]/button)');
      await hasSection(mine.page, name, false);
    }
    await press(mine.page, 'Close');
    await mine.page.waitForFunction(() => document.querySelector('[role="dialog"]') === null);
    for (const number of [3, 2, 1]) {
      await mine.page.keyboard.press('Backspace');
      await isDone(mine.page, number, false);
    }
    await isKept(mine.page);
    expect(mine.problems.filter((problem) => !/ERR_CONNECTION|Failed to load|503/.test(problem))).toEqual([]);
    await mine.page.close();
  });
});

describe('two hands that part the same hair', () => {
  it('the one who comes second is told why, and decides', async () => {
    const [mine, theirs] = [await openPage(browser), await openPage(browser)];
    await chair(mine.page);
    await chair(theirs.page);
    const before = await theirs.page.$$eval('[data-section]', (all) => all.length);
    // Mine is cut off, and parts what the other joins meanwhile.
    const line = await mine.page.createCDPSession();
    await line.send('Network.enable');
    await line.send('Network.setBlockedURLs', { urls: ['*/events*'] });
    await partOtherwise(mine.page, 13, 'Part it in two');
    await hasSection(mine.page, '13b');
    await openPartings(theirs.page);
    await choose(theirs.page, 'Section', '13');
    await (await theirs.page.waitForSelector('::-p-xpath(//*[@role="group"]//button[. = "14"])'))!.click();
    await pressWay(theirs.page, 'Join them');
    await press(theirs.page, 'Close');
    await hasSection(theirs.page, '14', false);
    await isKept(theirs.page);
    await line.send('Network.setBlockedURLs', { urls: [] });
    await see(mine.page, 'Section 13 parted in two: not kept, because');
    await hasSection(mine.page, '13b', false);
    await hasSection(mine.page, '14', false);
    // Once the other takes the join back, it can be sent again.
    await openPartings(theirs.page);
    await theirs.page.click('::-p-xpath(//ul[@aria-label="Changed so far"]/li[1]/button)');
    await hasSection(mine.page, '14');
    await press(mine.page, 'Send again');
    await hasSection(theirs.page, '13b');
    await seeGone(mine.page, 'not kept, because');
    await openPartings(mine.page);
    await mine.page.click('::-p-xpath(//ul[@aria-label="Changed so far"]/li[1]/button)');
    await hasSection(theirs.page, '13b', false);
    expect(await theirs.page.$$eval('[data-section]', (all) => all.length)).toBe(before);
    await mine.page.close();
    await theirs.page.close();
  });
});

describe('a set that runs late', () => {
  it('says what would help, takes it by one tap, and gives it back by another', async () => {
    const { page, problems } = await openPage(browser);
    await chair(page);
    for (const number of [1, 2, 3]) {
      await page.click(`[data-section="${number}"]`);
      await isDone(page, number);
    }
    const before = await page.$$eval('[data-section]', (all) => all.length);
    await see(page, 'behind: finished about');
    await page.click('::-p-xpath(//button[starts-with(., "What would help")])');
    await see(page, 'To be in time');
    const join = await page.waitForSelector(
      '::-p-xpath(//*[@role="dialog"]//button[contains(., "Join the last")])',
    );
    expect(await join!.evaluate((button) => button.textContent)).toMatch(
      /Join the last \d+ that touch into \d+.*(saved|sooner).*larger/,
    );
    await join!.click();
    await see(page, 'Press again to take it back');
    await page.waitForFunction(
      (count) => document.querySelectorAll('[data-section]').length < count,
      {},
      before,
    );
    for (const number of [1, 2, 3]) await isDone(page, number);
    await isKept(page);
    await join!.click();
    await seeGone(page, 'Press again to take it back');
    await page.waitForFunction(
      (count) => document.querySelectorAll('[data-section]').length === count,
      {},
      before,
    );
    await press(page, 'Close');
    for (const number of [1, 2, 3]) {
      await page.waitForFunction(() => document.querySelector('[role="dialog"]') === null);
      await page.click(`[data-section="${number}"]`);
      await isDone(page, number, false);
    }
    await isKept(page);
    expect(problems).toEqual([]);
    await page.close();
  });
});

describe('by touch at 390 px', () => {
  it('a section is done, taken back and done again; every target is as large as a thumb', async () => {
    const { page, problems } = await openPage(browser, PHONE);
    await chair(page);
    const before = (await doneRows()).length;
    await touch(page, '[data-section="3"]');
    await isDone(page, 3);
    await touch(page, '[data-section="3"]');
    await isDone(page, 3, false);
    const big = await page.waitForSelector('::-p-aria([name="Section done"])');
    await touch(page, big!);
    await isDone(page, 1);
    const undo = await page.waitForSelector('::-p-aria([name="Undo"])');
    await touch(page, undo!);
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
    await isAwake(again);
    // Those that went before the server did, and those that wait.
    for (let section = 1; section <= 6; section++) await isDone(again, section);
    for (let section = 7; section <= 11; section++) {
      await again.keyboard.press('Space');
      await isDone(again, section);
    }
    await see(again, '10 waiting to be sent');
    // All that opens over the chair opens without the server too.
    for (const [key, words] of [
      ['x', 'Part it otherwise'],
      ['w', 'Product used'],
      ['b', 'Before the set'],
      ['c', 'How it is done'],
      ['s', 'several at once'],
      ['n', 'A note'],
      ['?', 'part it otherwise: split'],
    ] as const) {
      await again.keyboard.press(key);
      await again.waitForSelector(`::-p-xpath(//*[@role="dialog"][contains(., "${words}")])`);
      await again.keyboard.press('Escape');
      await again.waitForFunction(() => document.querySelector('[role="dialog"]') === null);
    }
    await press(again, 'finished: how we know');
    await see(again, 'Checked against');
    await again.keyboard.press('Escape');
    await seeGone(again, 'Checked against');
    // A page that needs its server says so, and names the chair that does not.
    await again.goto(`http://127.0.0.1:${port}/heads`, { waitUntil: 'load' }).catch(() => undefined);
    await see(again, 'No connection to the studio’s computer');
    await again.click('::-p-xpath(//li/a)');
    await isAwake(again);
    server = await serve(made.url, port);
    await isKept(again);
    expect((await doneRows()).slice(-11).map(({ section }) => section)).toEqual([
      1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11,
    ]);
    await again.close();
  });

  it('comes back as a newer build: what waited is sent once, and the page that waited goes on', async () => {
    const { page } = await openPage(browser);
    await chair(page);
    const next = Number(
      await page.$eval('[data-state="in-hand"]', (one) => one.getAttribute('data-section')),
    );
    await server.end('SIGKILL');
    await page.keyboard.press('Space');
    await isDone(page, next);
    const context = page.browserContext();
    await page.close();
    const folder = aNewerBuild();
    server = await serve(made.url, port, folder);
    try {
      const again = await context.newPage();
      await again.goto(`${server.origin}/chair/${setId}`, { waitUntil: 'load' });
      await isAwake(again);
      await isKept(again);
      await isDone(again, next);
      expect((await doneRows()).filter(({ section }) => section === next)).toHaveLength(1);
      // It is the newer one, and works.
      expect(await again.$$eval('script[src]', (all) => all.some(({ src }) => src.includes('/newer/')))).toBe(
        true,
      );
      await again.keyboard.press('Backspace');
      await isDone(again, next, false);
      await isKept(again);
      await again.close();
    } finally {
      await server.end('SIGKILL');
      rmSync(folder, { recursive: true, force: true });
      server = await serve(made.url, port);
    }
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

describe('a clock that is a day off', () => {
  for (const days of [-1, 1])
    it(`${days} day: taps are kept under the time of the studio, and nothing runs late by a day`, async () => {
      const { page } = await openPage(browser);
      await page.evaluateOnNewDocument((shiftMs) => {
        const real = Date.now;
        Date.now = () => real() + shiftMs;
      }, days * 86_400_000);
      await chair(page);
      const next = Number(
        await page.$eval('[data-state="in-hand"]', (one) => one.getAttribute('data-section')),
      );
      await page.keyboard.press('Space');
      await isDone(page, next);
      await isKept(page);
      const { rows } = await made.database.client.execute({
        sql: 'select at_ms from set_events where set_id = ? order by sequence desc limit 1',
        args: [setId],
      });
      expect(Math.abs(Number(rows[0]!.at_ms) - Date.now())).toBeLessThan(60_000);
      const strip = await textOf(page, 'ol[aria-label="Stages"]');
      expect(strip).not.toMatch(/(2[0-9]|1[4-9]\d\d) (h|min) of about/);
      await page.close();
    });
});

describe('a whole set by touch', () => {
  it('goes in, dries, is taken down against the gate, fluffed and measured, at 390 px', async () => {
    const { page, problems } = await openPage(browser, PHONE);
    await chair(page);
    const open = () => page.$$eval('[data-section]:not([data-state="done"])', (all) => all.length);
    const tapOn = async (name: string) => {
      const handle = await page.waitForSelector(`::-p-aria([name="${name}"][role="button"])`);
      await touch(page, handle!);
    };
    for (let left = await open(); left > 0; left--) {
      await tapOn('Section done');
      await page.waitForFunction(
        (wanted) =>
          document.querySelector('section[aria-label="Drying"]') !== null ||
          document.querySelectorAll('[data-section]:not([data-state="done"])').length === wanted,
        {},
        left - 1,
      );
    }
    await see(page, 'sure every root is');
    await tapOn('Dryness check');
    await see(page, 'What did you feel?');
    await touch(page, '::-p-xpath(//*[@role="dialog"]//button[starts-with(., "Damp")])');
    await see(page, 'Last felt: section');
    await tapOn('Take down');
    await see(page, 'It felt damp');
    await fill(page, 'Why take it down now?', 'the client has to go');
    await touch(page, '::-p-xpath(//*[@role="dialog"]//button[contains(., "as planned")])');
    await see(page, ' to undo');
    /** All that are left of a tally, at once. */
    const allLeft = async () => {
      await tapOn('More');
      for (const words of ['Several at once', 'All that are left']) {
        const button = await page.waitForSelector(
          `::-p-xpath(//*[@role="dialog"]//button[contains(., "${words}")])`,
        );
        await touch(page, button!);
      }
    };
    await allLeft();
    // The head's school says which comes first, the roots or the pieces.
    await page.waitForFunction(() => /Now the roots| to separate/.test(document.body.innerText));
    const areRootsFirst = (await textOf(page, 'body')).includes('Now the roots');
    if (areRootsFirst) await tapOn('Roots fluffed');
    await see(page, ' to separate');
    await allLeft();
    if (!areRootsFirst) await tapOn('Roots fluffed');
    await tapOn('Keep');
    await see(page, 'Record the first day');
    await isKept(page);
    const { rows } = await made.database.client.execute({
      sql: "select note from set_events where set_id = ? and kind in ('taken-down', 'measured') order by sequence",
      args: [setId],
    });
    expect(rows.map(({ note }) => note)).toEqual(['the client has to go', null]);
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
    expect(problems).toEqual([]);
    await page.close();
  });
});

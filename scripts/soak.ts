import { randomUUID } from 'node:crypto';
import { rmSync } from 'node:fs';
import type { Browser, Page } from 'puppeteer-core';
import { launchBrowser, openPage, PHONE } from '../tests/support/browser';
import { startByHand } from '../tests/support/hands';
import { aDatabase, freePort, serve } from '../tests/support/server';
import { DAY_MS } from '@/core/units/time';

/*
 * Proof by killing: the server is killed while two devices tap, one through a real page whose clock is a day slow, one
 * through HTTP; then a full device, then a server that is away for ten taps and a tab that is closed. Prints what
 * became of every tap and ends with 1 when one was lost, doubled or reordered, or a page could not be used.
 */

const KILLS = Number(process.argv[2] ?? 30);
const PATIENCE_MS = 60_000;
const sleep = (ms: number) => new Promise((done) => setTimeout(done, ms));
/** A small generator of its own, so that a run can be repeated. */
let seed = Number(process.argv[3] ?? 7);
const random = () => (seed = (seed * 48_271) % 2_147_483_647) / 2_147_483_647;

const found = {
  taps: 0,
  acknowledged: 0,
  stored: 0,
  lost: 0,
  doubled: 0,
  outOfOrder: 0,
  unusablePage: 0,
  kills: 0,
};

/** A device that speaks HTTP itself: it sends each event until it hears what became of it. */
function httpDevice(origin: string, setId: string) {
  const deviceId = `http-${randomUUID()}`;
  const acknowledged = new Set<string>();
  let number = 0;
  const waiting: { id: string; number: number; kind: string; atMs: number; note?: string }[] = [];
  const send = async () => {
    while (waiting.length > 0) {
      try {
        const answer = await fetch(`${origin}/api/v1/sets/${setId}/events`, {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          // Its clock is a day fast, and it says so.
          body: JSON.stringify({ format: 1, deviceId, offsetMs: -DAY_MS, events: waiting.slice(0, 5) }),
          signal: AbortSignal.timeout(5000),
        });
        if (!answer.ok) throw new Error(String(answer.status));
        const { verdicts } = (await answer.json()) as { verdicts: { id: string; kept: boolean }[] };
        for (const { id, kept } of verdicts) if (kept) acknowledged.add(id);
        const heard = new Set(verdicts.map(({ id }) => id));
        waiting.splice(0, waiting.length, ...waiting.filter(({ id }) => !heard.has(id)));
      } catch {
        await sleep(150);
      }
    }
  };
  return {
    deviceId,
    acknowledged,
    tap: () => {
      number += 1;
      const kind = number % 3 === 0 ? 'misted' : 'note';
      const event = { id: randomUUID(), number, kind, atMs: Date.now() + DAY_MS };
      waiting.push(kind === 'note' ? { ...event, note: `note ${number}` } : event);
      found.taps += 1;
    },
    send,
    count: () => number,
  };
}

/** A page of the chair whose clock is a day slow. */
async function chairPage(browser: Browser, url: string): Promise<Page> {
  const { page } = await openPage(browser, PHONE);
  await page.evaluateOnNewDocument((ms) => {
    const real = Date.now.bind(Date);
    Date.now = () => real() - ms;
  }, DAY_MS);
  await page.goto(url, { waitUntil: 'networkidle2' });
  return page;
}

/** Presses a key of the chair; the page must still be the chair. */
async function press(page: Page, key: 'Space' | 'Backspace' | 'm'): Promise<void> {
  const isChair = await page
    .evaluate(() => document.querySelector('section[aria-label="Now"]') !== null)
    .catch(() => false);
  if (!isChair) {
    found.unusablePage += 1;
    return;
  }
  await page.keyboard.press(key);
  found.taps += 1;
}

const allKept = (page: Page) =>
  page.waitForFunction(() => document.querySelector('[role="status"]')?.textContent === 'kept', {
    timeout: PATIENCE_MS,
  });

async function main() {
  const { folder, url, database } = await aDatabase('demo', Date.now());
  const port = await freePort();
  let server = await serve(url, port);
  const { origin } = server;
  const browser = await launchBrowser();

  // A set of sixty sections, so that there is enough to tap.
  const { page: desk } = await openPage(browser);
  await desk.goto(`${origin}/plan`, { waitUntil: 'networkidle2' });
  await startByHand(desk);
  const planId = new URL(desk.url()).pathname.split('/').at(-1)!;
  await database.client.execute({
    sql: `update plans set brief = json_set(brief, '$.set.sections', 60), revision = revision + 1 where id = ?`,
    args: [planId],
  });
  await desk.reload({ waitUntil: 'networkidle2' });
  await desk.locator('::-p-aria([name="Take to the chair"][role="button"])').click();
  await desk.waitForFunction(() => /^\/chair\/.+/.test(location.pathname));
  const chair = desk.url();
  const setId = new URL(chair).pathname.split('/').at(-1)!;
  await desk.close();

  const page = await chairPage(browser, chair);
  const other = httpDevice(origin, setId);
  let pageTaps = 0;
  const counted = async (on: Page, key: Parameters<typeof press>[1]) => {
    const before = found.taps;
    await press(on, key);
    pageTaps += found.taps - before;
  };
  const tapPage = async () => {
    // Between the ends: with none done there is nothing to undo, with all done the chair watches it dry.
    const done = await page.$$eval('[data-state="done"][data-section]', (all) => all.length).catch(() => 20);
    const isSpace = done < 10 || (done < 40 && random() < 0.5);
    await counted(page, random() < 0.2 ? 'm' : isSpace ? 'Space' : 'Backspace');
  };
  // Something to take back from the first tap on.
  for (let i = 0; i < 12; i++) await counted(page, 'Space');
  for (let kill = 0; kill < KILLS; kill++) {
    const until = Date.now() + 150 + random() * 700;
    while (Date.now() < until) {
      await tapPage();
      other.tap();
      void other.send();
      await sleep(20 + random() * 60);
    }
    await server.end('SIGKILL');
    found.kills += 1;
    for (let i = 0; i < 3; i++) await tapPage();
    server = await serve(url, port);
  }
  await other.send();
  await allKept(page);

  // A device that is full: taps go out at once, and the page says that they cannot be written down.
  await page.evaluate(() => {
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('full', 'QuotaExceededError');
    };
  });
  await counted(page, 'm');
  await allKept(page);
  await page.close();

  // The server is away for ten taps and the tab is closed; any page sends them later.
  const away = await chairPage(browser, chair);
  await allKept(away);
  await server.end('SIGKILL');
  found.kills += 1;
  for (let i = 0; i < 10; i++) await counted(away, 'm');
  await sleep(500);
  server = await serve(url, port);
  const context = away.browserContext();
  const today = await context.newPage();
  await away.close();
  await today.goto(origin, { waitUntil: 'networkidle2' });
  const rowsOf = async (where: string) =>
    (
      await database.client.execute({
        sql: `select id, device_id, device_number, sequence, at_ms from set_events where set_id = ? and ${where} order by sequence`,
        args: [setId],
      })
    ).rows;
  const fromPages = async () => rowsOf(`device_id not like 'http-%'`);
  for (let i = 0; i < PATIENCE_MS / 250 && (await fromPages()).length < pageTaps; i++) await sleep(250);

  const pages = await fromPages();
  const http = await rowsOf(`device_id = '${other.deviceId}'`);
  const all = [...pages, ...http];
  found.stored = all.length;
  found.acknowledged = other.acknowledged.size + pages.length;
  found.lost =
    Math.max(0, pageTaps - pages.length) +
    Math.max(0, other.count() - http.length) +
    [...other.acknowledged].filter((id) => !http.some((row) => row.id === id)).length;
  found.doubled =
    Math.max(0, pages.length - pageTaps) +
    all.length -
    new Set(all.map((row) => `${String(row.device_id)}/${String(row.device_number)}`)).size;
  const sequences = new Set(all.map((row) => row.sequence));
  if (sequences.size < all.length) found.doubled += all.length - sequences.size;
  for (const own of [pages, http]) {
    const last = new Map<unknown, number>();
    for (const row of own) {
      const number = Number(row.device_number);
      // What a full device could not number is sent by itself, at once.
      if (number > 0 && number < (last.get(row.device_id) ?? 0)) found.outOfOrder += 1;
      if (number > 0) last.set(row.device_id, number);
    }
  }
  const [times] = (
    await database.client.execute({
      sql: `select min(at_ms) as low, max(at_ms) as high from set_events where set_id = ?`,
      args: [setId],
    })
  ).rows;
  const [begun] = (
    await database.client.execute({ sql: 'select started_at_ms as ms from sets where id = ?', args: [setId] })
  ).rows;
  const isInBounds = Number(times!.low) >= Number(begun!.ms) && Number(times!.high) <= Date.now();

  await browser.close();
  await server.end('SIGTERM');
  database.close();
  rmSync(folder, { recursive: true, force: true });
  console.log(JSON.stringify({ ...found, timesWithinBounds: isInBounds }, null, 2));
  const isSound = isInBounds && found.lost + found.doubled + found.outOfOrder + found.unusablePage === 0;
  process.exitCode = isSound ? 0 : 1;
}

await main();

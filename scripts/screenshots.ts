import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from 'puppeteer-core';
import { DESK, launchBrowser, openPage, PHONE } from '../tests/support/browser';
import { startLan } from '../tests/support/lan';
import { signedInAs } from '../tests/support/people';
import { startServer } from '../tests/support/server';
import { arrive, fill, press, pressInDialog, see, startByHand } from '../tests/support/hands';

const FOLDER = 'docs/screenshots';

/** Takes one picture of each main view, from the demo studio. Needs a build. */
async function main() {
  mkdirSync(FOLDER, { recursive: true });
  const server = await startServer('whole-demo');
  const browser = await launchBrowser();
  const first = async (sql: string) => String((await server.database.client.execute(sql)).rows[0]?.id);
  const booked = await first("select id from plans where status = 'chosen'");
  const drying = await first('select id from sets where taken_down_at_ms is null');
  const worn = await first('select id from sets where taken_down_at_ms is not null and ended_at_ms is null');
  const wedding = await first("select id from sets where title like '%wedding%'");
  const amara = await first("select id from heads where name = 'Amara'");
  const maren = await first("select id from heads where name = 'Maren'");

  const shoot = async (page: Page, name: string) => {
    await page.waitForNetworkIdle({ concurrency: 2 });
    await page.evaluate(async () => void (await document.fonts.ready));
    await page.screenshot({ path: `${FOLDER}/${name}.png` });
    console.log(`${FOLDER}/${name}.png`);
  };
  const take = async (
    name: string,
    path: string,
    { viewport = DESK as Parameters<typeof openPage>[1], scheme = 'light' as 'light' | 'dark' } = {},
    before: (page: Page) => Promise<void> = async () => undefined,
  ) => {
    const { page } = await openPage(browser, viewport, scheme);
    await page.goto(server.origin + path, { waitUntil: 'networkidle2' });
    await before(page);
    await shoot(page, name);
    await page.close();
  };

  await take('today', '/');
  await take('head', `/heads/${amara}`);
  const settled = (page: Page) => see(page, 'range worked out').then(() => undefined);
  await take('plan', `/plan/${booked}`, {}, settled);
  await take('plan-fit', `/plan/${booked}`, {}, async (page) => {
    await press(page, 'Fit to my time');
    await press(page, 'Find what fits');
    await see(page, 'was weighed');
    await page.waitForFunction(() => {
      const heads = [...document.querySelectorAll('[data-drawn]')];
      return heads.length > 1 && heads.every((head) => head.getAttribute('data-drawn') === 'true');
    });
    await page.$eval('[data-drawn]', (own) => own.closest('li')!.scrollIntoView());
  });
  await take('first-draft', `/plan/first?head=${amara}&want=lasts,big`, {}, async (page) => {
    await see(page, 'Drying for this hair');
    await page.waitForFunction(() => document.querySelector('progress') === null);
  });
  await take('measure', `/heads/${amara}/measure?at=naturalCoilDiameterMm`);
  await take('plan-sheet', `/plan/${booked}`, {}, async (page) => {
    await settled(page);
    await press(page, 'Sheet');
    await page.waitForFunction(() => {
      const shown = document.querySelector<HTMLImageElement>('img[alt="The sheet as it prints"]');
      return shown?.complete && shown.naturalWidth > 0;
    });
  });
  await take('plan-round', `/plan/${booked}`, {}, async (page) => {
    await settled(page);
    await page.emulateMediaFeatures([{ name: 'prefers-reduced-motion', value: 'no-preference' }]);
    await press(page, 'In the round');
    await page.waitForSelector('canvas[data-ready="true"]');
  });
  await take('shelf', '/shelf');
  await take('studio', '/studio');
  await take('findings', '/findings');
  await take('chair-drying', `/chair/${drying}`);
  await take('wear', `/wear/${worn}`);
  const home = join(mkdtempSync(join(tmpdir(), 'diary-')), 'diary.html');
  const file = await fetch(`${server.origin}/api/v1/sets/${worn}/take-home/diary.html`);
  writeFileSync(home, Buffer.from(await file.arrayBuffer()));
  const phone = await openPage(browser, PHONE);
  await phone.page.goto(`file://${home}`);
  await see(phone.page, 'kept on this phone');
  await shoot(phone.page, 'diary');
  await phone.page.close();
  await take('set', `/sets/${wedding}`, {}, async (page) => {
    await page.waitForSelector('.recharts-surface');
  });

  // A rod set on the way in, half done: planned and begun as a stylist would.
  const { page } = await openPage(browser);
  await page.goto(`${server.origin}/heads/${maren}`, { waitUntil: 'networkidle2' });
  await startByHand(page);
  await page.waitForSelector('[data-section="18"]');
  const openStep = (title: string) =>
    page.evaluate((wanted) => {
      [...document.querySelectorAll<HTMLButtonElement>('ol button')]
        .find((b) => b.textContent?.startsWith(wanted))
        ?.click();
    }, title);
  await openStep('Look');
  await page.waitForSelector('input[value="rod-set"]');
  await page.click('input[value="rod-set"]');
  await page.waitForSelector('[data-section="30"]');
  await openStep('Rigid rod');
  await see(page, 'in the drawer');
  await settled(page);
  await page.waitForFunction(() => document.querySelector('[role="status"]')?.textContent === 'kept');
  await press(page, 'Take to the chair');
  await arrive(page, /^\/chair\//);
  const id = new URL(page.url()).pathname.split('/').at(-1)!;
  const start = Date.now() - 29 * 60_000;
  await server.database.client.execute({
    sql: 'update sets set started_at_ms = ? where id = ?',
    args: [start, id],
  });
  for (let n = 1; n <= 11; n++) {
    await server.database.client.execute({
      sql: "insert into set_events (id, studio_id, set_id, kind, section_number, at_ms, sequence) select ?, studio_id, id, 'section-done', ?, ?, ? from sets where id = ?",
      args: [`shot${n}`, n, start + n * 155_000, n, id],
    });
  }
  await take('chair-setting-phone', `/chair/${id}`, { viewport: PHONE });
  await browser.close();
  await server.stop();
  await takePeople(shoot);
}

/** Who works here, how a phone is let in, and what it shows then. The name of this computer stands on them. */
async function takePeople(shoot: (page: Page, name: string) => Promise<void>) {
  const lan = await startLan('demo');
  const studioId = String((await lan.database.client.execute('select id from studios')).rows[0]!.id);
  const people = { Maren: 'owner', Bea: 'stylist', Ilo: 'assistant' } as const;
  for (const [colour, [name, role]] of Object.entries(people).entries())
    await signedInAs(lan.database, studioId, role, { name, colour });
  const browser = await launchBrowser();
  const { page: desk } = await openPage(browser);
  await desk.goto(`${lan.near}/studio/people`, { waitUntil: 'networkidle2' });
  await shoot(desk, 'people');
  await press(desk, 'Pair a phone or tablet');
  await pressInDialog(desk, 'Show the code');
  await see(desk, 'It pairs one device');
  await shoot(desk, 'pairing');
  const trusting = await lan.phone();
  const { page: phone } = await openPage(trusting, PHONE, 'dark');
  const typed = await desk.$eval('[role="dialog"] [class*="typed"]', ({ textContent }) => textContent ?? '');
  await phone.goto(`${lan.origin}/pair`, { waitUntil: 'networkidle2' });
  await fill(phone, 'Code from the owner’s screen', typed);
  await fill(phone, 'What this device is called', 'Tablet by the mirror');
  await press(phone, 'Pair this device');
  await see(phone, 'Ilo');
  await shoot(phone, 'sign-in');
  await trusting.close();
  await browser.close();
  await lan.stop();
}

await main();

import ICAL from 'ical.js';
import { beforeAll, describe, expect, it } from 'vitest';
import { openPage, PHONE } from '../support/browser';
import { choose, press, see, seeGone } from '../support/hands';
import { setScene } from '../support/scene';

const scene = setScene('demo');
let headId: string;
beforeAll(async () => {
  const { rows } = await scene.database.client.execute("select id from heads where name = 'Amara'");
  headId = String(rows[0]!.id);
});
const events = (text: string) =>
  new ICAL.Component(ICAL.parse(text) as never).getAllSubcomponents('vevent').map((own) => ({
    uid: String(own.getFirstPropertyValue('uid')),
    start: String(own.getFirstPropertyValue('dtstart')),
    sequence: Number(own.getFirstPropertyValue('sequence')),
    status: String(own.getFirstPropertyValue('status')),
  }));

describe('care of a head', () => {
  it('tells her story: sets as ribbons with what was said, lengths with the cut, pictures, what is due', async () => {
    const { page, problems } = await openPage(scene.browser);
    await page.goto(`${scene.origin}/heads/${headId}`, { waitUntil: 'networkidle2' });
    await see(page, 'a month at the crown');
    expect(await page.$$eval('article[aria-label*="twists"]', (rows) => rows.length)).toBe(2);
    await see(page, 'Trimmed, 2 cm off');
    await see(page, 'Front; 3 pictures in all');
    expect(
      await page.$$eval('img[alt^="Front, day"]', (all) =>
        all.map((one) => (one as HTMLImageElement).naturalWidth),
      ),
    ).toEqual([240, 240, 240]);
    await see(page, '12 weeks after the last');
    expect(problems).toEqual([]);
    await page.close();
  });

  it('what is written down moves what is due, on a phone too, and can be taken out', async () => {
    const { page, problems } = await openPage(scene.browser, PHONE);
    await page.goto(`${scene.origin}/heads/${headId}`, { waitUntil: 'networkidle2' });
    await choose(page, 'Done', 'trim');
    await see(page, 'Came off, mm');
    await press(page, 'Write it down');
    await see(page, 'trimmed, 1 cm off');
    const today = new Date().toISOString().slice(0, 10);
    const { rows } = await scene.database.client.execute(
      'select kind, date, cut_mm from care_log order by created_at_ms desc, id desc limit 1',
    );
    expect(rows[0]).toEqual({ kind: 'trim', date: today, cut_mm: 10 });
    await page.click('[aria-label^="Take out trimmed"]');
    await seeGone(page, 'trimmed, 1 cm off');
    expect(problems).toEqual([]);
    await page.close();
  });

  it('goes into a calendar on this computer alone, moved events counting on', async () => {
    const { page } = await openPage(scene.browser);
    await page.goto(`${scene.origin}/studio`, { waitUntil: 'networkidle2' });
    await press(page, 'Make the address');
    const link = (await page.waitForSelector('a[href^="/calendar/"]'))!;
    const path = await link.evaluate((own) => own.getAttribute('href')!);
    const read = async () => events(await (await fetch(scene.origin + path)).text());
    const first = await read();
    const wash = first.find(({ uid }) => uid === `wash-${headId}@keen-spiral`)!;
    expect(wash).toMatchObject({ sequence: 0, status: 'CONFIRMED' });
    expect(first.some(({ uid }) => uid.startsWith('plan-'))).toBe(true);
    expect(await read()).toEqual(first);
    await page.goto(`${scene.origin}/heads/${headId}`, { waitUntil: 'networkidle2' });
    await press(page, 'Write it down');
    await see(page, 'Take out');
    await expect
      .poll(async () => (await read()).find(({ uid }) => uid === wash.uid), { timeout: 20_000 })
      .toMatchObject({ sequence: 1 });
    expect((await fetch(`${scene.origin}/calendar/guess`)).status).toBe(404);
    await page.close();
  });

  it('is gathered on Today', async () => {
    const { page } = await openPage(scene.browser);
    await page.goto(scene.origin, { waitUntil: 'networkidle2' });
    await see(page, 'Care due');
    await see(page, 'since');
    await page.close();
  });
});

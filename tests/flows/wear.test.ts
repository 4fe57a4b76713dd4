import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { ElementHandle, Page } from 'puppeteer-core';
import sharp from 'sharp';
import { beforeAll, describe, expect, it } from 'vitest';
import { openPage, PHONE } from '../support/browser';
import { letHoursPass } from '../support/clock';
import { arrive, press, see, seeGone, touch } from '../support/hands';
import { setScene } from '../support/scene';
import { SCALES, sliders, touchScale } from '../support/scales';

const scene = setScene('demo');

let setId: string;
beforeAll(async () => {
  const { rows } = await scene.database.client.execute(
    'select id from sets where taken_down_at_ms is not null and ended_at_ms is null',
  );
  setId = String(rows[0]!.id);
});

const kept = async (day: number) => {
  const { rows } = await scene.database.client.execute({
    sql: 'select * from wear_days where set_id = ? and day = ? order by half',
    args: [setId, day],
  });
  return rows;
};
const ratingsOf = (row: Record<string, unknown> | undefined) =>
  SCALES.map((name) => row?.[name.toLowerCase()]);
/** What the server is told a moment later, on a machine that may be busy. */
const soon = <T>(read: () => Promise<T>) => expect.poll(read, { timeout: 20_000 });
const isKept = (page: Page) => see(page, '✓ kept');
const chooseDay = (page: Page, day: number) =>
  page.click(`ol[aria-label="Days of wear"] li:nth-child(${day + 1}) button`);

describe('a week of entries by touch at 390 px', () => {
  it('a day is six touches, all in sight, and what was said of it shows only after', async () => {
    const { page, problems } = await openPage(scene.browser, PHONE);
    await page.goto(`${scene.origin}/wear/${setId}`, { waitUntil: 'networkidle2' });
    expect(await sliders(page)).toEqual(SCALES.map(() => 'not rated yet'));
    expect(await page.evaluate(() => document.body.innerText)).not.toContain('we said');
    // Every scale, to its ruler, lies on the first screen.
    const places = await page.evaluate(() => document.querySelector('nav')!.getBoundingClientRect().top);
    for (const name of SCALES) {
      const slider = await page.waitForSelector(`::-p-aria([name="${name}"][role="slider"])`);
      const { y, height } = (await slider!.boundingBox())!;
      expect(y + height, name).toBeLessThanOrEqual(places);
    }
    for (const [i, name] of SCALES.entries()) await touchScale(page, name, [6, 4, 7, 5.5, 6, 8][i]!);
    await isKept(page);
    expect(ratingsOf((await kept(2))[0])).toEqual([6, 4, 7, 5.5, 6, 8]);
    await see(page, 'we said 6');
    expect(problems).toEqual([]);
    await page.close();
  });

  it('same as yesterday is one touch, then what changed, then one more; six days in a row', async () => {
    const { page } = await openPage(scene.browser, PHONE);
    for (let day = 3; day <= 6; day++) {
      await letHoursPass(scene.database, setId, 24);
      await page.goto(`${scene.origin}/wear/${setId}`, { waitUntil: 'networkidle2' });
      expect(await sliders(page)).toEqual(SCALES.map(() => 'not rated yet'));
      const same = await page.waitForSelector('::-p-aria([name="Same as yesterday"])');
      await touch(page, same!);
      await page.waitForFunction(
        () => document.querySelectorAll('input[aria-valuetext$="as yesterday, not taken yet"]').length === 6,
      );
      // Pale is not kept.
      expect(await kept(day)).toHaveLength(0);
      await touchScale(page, 'Frizz', Math.min(10, 4 + (day - 2)));
      const rest = await page.waitForSelector('::-p-aria([name="All the rest as yesterday"])');
      await touch(page, rest!);
      await isKept(page);
      await soon(async () => ratingsOf((await kept(day))[0])[5]).toBe(8);
      expect(ratingsOf((await kept(day))[0])).toEqual([6, 4 + (day - 2), 7, 5.5, 6, 8]);
    }
    await page.close();
  });

  it('where, what was done, the night, the weather and how it is worn are kept with it', async () => {
    const { page } = await openPage(scene.browser, PHONE);
    await page.goto(`${scene.origin}/wear/${setId}`, { waitUntil: 'networkidle2' });
    for (const name of ['Misted', 'Re-twisted', 'Scarf', 'Half up']) await press(page, name);
    await page.click('::-p-xpath(//*[@role="group" and @aria-label="Weather"]//button)');
    await touch(page, '[data-section="19"]');
    await press(page, 'nape');
    await page.click(
      '::-p-xpath(//*[@role="group" and @aria-label="Where"]//button[starts-with(., "Itch")])',
    );
    await touch(page, '[data-section="19"]');
    await isKept(page);
    await soon(async () => JSON.parse(String((await kept(6))[0]!.marks)) as unknown).toMatchObject({
      itch: [19],
    });
    const [row] = await kept(6);
    const marks = JSON.parse(String(row!.marks)) as { frizz: number[] };
    expect(marks.frizz).toContain(19);
    expect(marks.frizz.length).toBeGreaterThan(1);
    expect(JSON.parse(String(row!.done))).toEqual({
      deeds: ['misted'],
      redone: { as: 'twists', count: 6 },
      worn: 'half-up',
    });
    expect(row!.night).toBe('scarf');
    expect(row!.weather).not.toBeNull();
    expect(await page.$eval('[data-section="19"]', (own) => own.getAttribute('aria-label'))).toMatch(
      /frizz and itch/,
    );
    await page.close();
  });
});

describe('an entry in two tabs', () => {
  it('the second is told, keeps what it has, and chooses; what is replaced stays in the history', async () => {
    const [one, two] = [await openPage(scene.browser), await openPage(scene.browser)];
    for (const { page } of [one, two]) {
      await page.goto(`${scene.origin}/wear/${setId}`, { waitUntil: 'networkidle2' });
      await chooseDay(page, 5);
    }
    const rate = async (page: Page, key: '2' | '9') => {
      await page.focus('::-p-aria([name="Shine"][role="slider"])');
      await page.keyboard.press(key);
    };
    await rate(one.page, '2');
    await soon(async () => (await kept(5))[0]!.shine).toBe(2);
    await rate(two.page, '9');
    await see(two.page, 'entered in another tab meanwhile');
    expect((await kept(5))[0]!.shine).toBe(2);
    await press(two.page, 'Keep mine');
    await seeGone(two.page, 'entered in another tab meanwhile');
    await soon(async () => (await kept(5))[0]!.shine).toBe(9);
    const { rows } = await scene.database.client.execute({
      sql: 'select entry from wear_day_history where wear_day_id = ? order by replaced_at_ms',
      args: [String((await kept(5))[0]!.id)],
    });
    expect(
      rows.map(({ entry }) => (JSON.parse(String(entry)) as { ratings: { shine: number } }).ratings.shine),
    ).toEqual(expect.arrayContaining([2]));
    await one.page.close();
    await two.page.close();
  });
});

describe('a tap just before a reload', () => {
  it('is kept after it', async () => {
    const { page } = await openPage(scene.browser);
    await page.goto(`${scene.origin}/wear/${setId}`, { waitUntil: 'networkidle2' });
    await page.focus('::-p-aria([name="Volume"][role="slider"])');
    await page.keyboard.press('3');
    await page.reload({ waitUntil: 'networkidle2' });
    await soon(async () => (await kept(6))[0]!.volume).toBe(3);
    await page.close();
  });
});

describe('pictures of a day', () => {
  it('are chosen or taken, kept without what their file said, shown day by day, and deleted for good', async () => {
    const { page, problems } = await openPage(scene.browser, PHONE);
    await page.goto(`${scene.origin}/wear/${setId}`, { waitUntil: 'networkidle2' });
    const file = join(mkdtempSync(join(tmpdir(), 'keen-photo-')), 'one.jpg');
    const picture = (background: string) =>
      sharp({ create: { width: 640, height: 480, channels: 3, background } })
        .withExif({ IFD0: { Make: 'Some Phone' } })
        .jpeg()
        .toFile(file);
    const choose = async () => {
      const input = await page.waitForSelector('input[type="file"]');
      await (input as ElementHandle<HTMLInputElement>).uploadFile(file);
    };
    const shown = (count: number) =>
      page.waitForFunction(
        (wanted) => document.querySelectorAll('section[aria-label="Photos"] img').length === wanted,
        {},
        count,
      );
    await picture('#7a5230');
    await choose();
    await shown(1);
    await chooseDay(page, 5);
    await shown(0);
    await picture('#b58a5a');
    await choose();
    await shown(1);
    const { rows } = await scene.database.client.execute('select jpeg from photos');
    for (const { jpeg } of rows)
      expect(Buffer.from(jpeg as ArrayBuffer).toString('latin1')).not.toContain('Some Phone');
    // What is no picture is refused, and nothing of it is kept.
    writeFileSync(file, 'only words');
    await choose();
    await see(page, 'This is not a picture that can be read');
    await page.waitForSelector('input[aria-valuetext="50 % of day 5, the rest of day 6"]');
    await press(page, 'Delete Front, day 5');
    await see(page, 'Delete this picture for good?');
    await press(page, 'Delete it');
    await shown(0);
    await soon(
      async () =>
        (
          await scene.database.client.execute({
            sql: 'select id from photos where set_id = ?',
            args: [setId],
          })
        ).rows.length,
    ).toBe(1);
    await page.goto(`${scene.origin}/sets/${setId}`, { waitUntil: 'networkidle2' });
    await page.waitForSelector('img[alt="Front, day 6"]');
    expect(problems.filter((problem) => !problem.includes('422'))).toEqual([]);
    await page.close();
  });
});

describe('told at the next visit', () => {
  it('is a whole diary in under a minute, marked as from memory, and asks whether it would have gone on', async () => {
    const { page } = await openPage(scene.browser, PHONE);
    await page.goto(`${scene.origin}/wear/${setId}`, { waitUntil: 'networkidle2' });
    await press(page, 'It is given up');
    await press(page, 'Record its end');
    await see(page, 'Say which was the last day you were happy with it');
    await see(page, 'Say why it ended');
    await page.click('::-p-xpath(//button[contains(., ", day 4")])');
    await press(page, 'Planned wash day');
    await press(page, 'Record its end');
    await see(page, 'Say whether it would have gone another day');
    await press(page, 'No, it was going');
    await press(page, 'Told afterwards, from memory');
    await page.select('::-p-aria([name="Best about it"])', 'definition');
    await page.select('::-p-aria([name="At night, mostly"])', 'scarf');
    await press(page, 'Record its end');
    await arrive(page, /^\/sets\/.*\/next$/);
    await press(page, 'Everything of this set', 'link');
    await see(page, 'Told afterwards from memory; best about it: definition; at night mostly scarf');
    const { rows } = await scene.database.client.execute({
      sql: 'select * from outcomes where set_id = ?',
      args: [setId],
    });
    expect(rows[0]).toMatchObject({
      last_good_day: 4,
      reason: 'wash-day',
      would_have_gone_on: 0,
      half: 'whole',
    });
    expect(JSON.parse(String(rows[0]!.recalled))).toEqual({
      best: 'definition',
      worst: null,
      night: 'scarf',
    });
    await page.close();
  });
});

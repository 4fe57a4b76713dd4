import { beforeAll, describe, expect, it } from 'vitest';
import { openPage, PHONE } from '../support/browser';
import { letHoursPass } from '../support/clock';
import { arrive, forecastSettles, openStep, press, see, touch } from '../support/hands';
import { SCALES, sliders, touchScale } from '../support/scales';
import { setScene } from '../support/scene';

const scene = setScene('demo');
let setId: string;
beforeAll(async () => {
  const { rows } = await scene.database.client.execute(
    'select id from sets where taken_down_at_ms is not null and ended_at_ms is null',
  );
  setId = String(rows[0]!.id);
});
const kept = async (day: number) =>
  (
    await scene.database.client.execute({
      sql: 'select * from wear_days where set_id = ? and day = ? order by half',
      args: [setId, day],
    })
  ).rows;
const ratingsOf = (row: Record<string, unknown> | undefined) =>
  SCALES.map((name) => row?.[name.toLowerCase()]);
const soon = <T>(read: () => Promise<T>) => expect.poll(read, { timeout: 20_000 });

describe('a half-head trial', () => {
  it('has both halves in one entry, by side alone, and each is given up for itself', async () => {
    const { client } = scene.database;
    await client.execute({
      sql: "update sets set brief = json_set(brief, '$.parting', json('{\"trial\":true}')) where id = ?",
      args: [setId],
    });
    const { page, problems } = await openPage(scene.browser, PHONE);
    await page.goto(`${scene.origin}/wear/${setId}`, { waitUntil: 'networkidle2' });
    expect(await sliders(page)).toHaveLength(12);
    for (const name of SCALES) {
      await touchScale(page, `${name}, left`, 8);
      await touchScale(page, `${name}, right`, 5);
    }
    await see(page, '✓ kept');
    await soon(async () => (await kept(2)).map((row) => [row.half, ...ratingsOf(row)])).toEqual([
      ['left', 8, 8, 8, 8, 8, 8],
      ['right', 5, 5, 5, 5, 5, 5],
    ]);
    // Marks go to the half that their section lies in; the night is that of both.
    const sideOf = (wanted: string) =>
      page.$$eval(
        '[data-section]',
        (all, words) =>
          all.find((one) => one.getAttribute('aria-label')!.includes(words))!.getAttribute('data-section'),
        wanted,
      );
    const [left, right] = [await sideOf('product side A'), await sideOf('product side B')];
    for (const section of [left, right]) await touch(page, `[data-section="${section}"]`);
    await press(page, 'Scarf');
    await see(page, '✓ kept');
    await soon(async () =>
      (await kept(2)).map(({ marks, night }) => [JSON.parse(String(marks)) as unknown, night]),
    ).toEqual([
      [{ frizz: [Number(left)] }, 'scarf'],
      [{ frizz: [Number(right)] }, 'scarf'],
    ]);
    // The rest of the week: as yesterday in both halves, but for what changed on one of them.
    for (let day = 3; day <= 6; day++) {
      await letHoursPass(scene.database, setId, 24);
      await page.goto(`${scene.origin}/wear/${setId}`, { waitUntil: 'networkidle2' });
      await press(page, 'Same as yesterday');
      await touchScale(page, 'Frizz, right', 9);
      await press(page, 'All the rest as yesterday');
      await see(page, '✓ kept');
      await soon(async () => (await kept(day)).map((row) => [row.half, row.frizz, row.definition])).toEqual([
        ['left', 8, 8],
        ['right', 9, 5],
      ]);
    }
    const giveUpHalf = async (half: string, day: number, reason: string) => {
      await page.goto(`${scene.origin}/wear/${setId}`, { waitUntil: 'networkidle2' });
      await press(page, 'It is given up');
      await press(page, half);
      await page.click(`::-p-xpath(//button[contains(., ", day ${day}")])`);
      await press(page, reason);
      await press(page, 'Record its end');
      await page.waitForFunction(() => location.pathname.startsWith('/sets/'));
    };
    await giveUpHalf('The right half', 1, 'Too frizzy');
    await see(page, 'Right half: last good day: day 1. Too frizzy.');
    expect(
      (await client.execute({ sql: 'select ended_at_ms from sets where id = ?', args: [setId] })).rows[0],
    ).toEqual({ ended_at_ms: null });
    await giveUpHalf('The left half', 2, 'Lost its shape');
    await arrive(page, /^\/sets\/.*\/next$/);
    await press(page, 'Everything of this set', 'link');
    await see(page, 'Left half: last good day: day 2.');
    const { rows } = await client.execute({
      sql: 'select half, last_good_day from outcomes where set_id = ? order by half',
      args: [setId],
    });
    expect(rows.map(({ half, last_good_day: day }) => [half, day])).toEqual([
      ['left', 2],
      ['right', 1],
      ['whole', 2],
    ]);
    expect(problems).toEqual([]);
    await press(page, 'Not given up after all');
    await see(page, 'Taken back: it is worn on.');
    expect((await client.execute("select * from outcomes where half <> 'whole'")).rows).toHaveLength(0);
    await page.close();
  });

  it('products go on one half each, from the plan to the set’s page, which keeps their names while it is rated', async () => {
    const { client } = scene.database;
    const { rows } = await client.execute("select id from plans where status = 'chosen'");
    const planId = String(rows[0]!.id);
    const { page, problems } = await openPage(scene.browser);
    await page.goto(`${scene.origin}/plan/${planId}`, { waitUntil: 'networkidle2' });
    await forecastSettles(page);
    await openStep(page, 'Sections');
    await press(page, 'Half-head trial: compare the left with the right', 'switch');
    await press(
      page,
      'Whoever rates does not read which product is where, until both halves are over',
      'switch',
    );
    await openStep(page, 'Layers, in order');
    await page.waitForSelector('section[aria-labelledby="which-half"]');
    const half = async (layer: number, side: string) => {
      const pills = await page.$$(
        `section[aria-labelledby="which-half"] fieldset:nth-of-type(${layer}) button`,
      );
      for (const pill of pills)
        if ((await pill.evaluate((own) => own.textContent)) === side)
          await pill.evaluate((own) => own.click());
    };
    await half(2, 'left');
    await half(3, 'right');
    await see(page, 'Half by half');
    const planned = async () => {
      const read = await client.execute({ sql: 'select brief from plans where id = ?', args: [planId] });
      const { set, parting } = JSON.parse(String(read.rows[0]!.brief)) as {
        set: { layers: { half?: string }[] };
        parting: { namesHidden?: boolean };
      };
      return [set.layers.map((layer) => layer.half ?? 'both'), parting.namesHidden];
    };
    await soon(planned).toEqual([['both', 'left', 'right'], true]);
    await forecastSettles(page);
    await press(page, 'Take to the chair');
    await arrive(page, /^\/chair\/./);
    await see(page, 'Dewline leave-in');
    const begun = await page.evaluate(() => location.pathname.split('/').at(-1)!);
    // At the chair hands must know: the section in hand shows what goes on its own half.
    const shown = await page.$eval(
      '[aria-label="What goes on it"]',
      (list) => (list as HTMLElement).innerText,
    );
    expect(shown.includes('Oat & marrow cream') !== shown.includes('Stillpond gel')).toBe(true);
    await page.goto(`${scene.origin}/sets/${begun}`, { waitUntil: 'networkidle2' });
    await see(page, 'Which product is on which half is told once both halves are over.');
    const text = await page.evaluate(() => document.querySelector('main')!.innerText);
    expect(text).not.toContain('Stillpond gel');
    expect(text).toContain('Product A');
    expect(problems).toEqual([]);
    await page.close();
  });
});

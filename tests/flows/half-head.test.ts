import { beforeAll, describe, expect, it } from 'vitest';
import { openPage, PHONE } from '../support/browser';
import { press, see, touch } from '../support/hands';
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
});

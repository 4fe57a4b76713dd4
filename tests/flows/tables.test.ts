import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Papa from 'papaparse';
import type { ElementHandle, Page } from 'puppeteer-core';
import { describe, expect, it } from 'vitest';
import { openPage } from '../support/browser';
import { press, see } from '../support/hands';
import { setScene } from '../support/scene';

const scene = setScene('demo');
const folder = mkdtempSync(join(tmpdir(), 'tables-'));

const everything = async () =>
  JSON.stringify(
    (await scene.database.client.execute('select * from wear_days order by set_id, day, half')).rows.map(
      (row) => ({ ...row, revision: 0, updated_at_ms: 0 }),
    ),
  );
const out = async (table: string) => {
  const answer = await fetch(`${scene.origin}/api/v1/tables/${table}`);
  expect(answer.headers.get('content-type')).toContain('text/csv');
  return answer.text();
};
async function choose(page: Page, name: string, text: string) {
  writeFileSync(join(folder, name), text);
  const input = (await page.waitForSelector('input[type="file"]')) as ElementHandle<HTMLInputElement>;
  await input.uploadFile(join(folder, name));
}

describe('tables out and in', () => {
  it('what went out is known when it comes in; changes are shown row by row, taken in, and taken back', async () => {
    const before = await everything();
    const csv = await out('wear-days');
    const { page, problems } = await openPage(scene.browser);
    await page.goto(`${scene.origin}/studio/tables`, { waitUntil: 'networkidle2' });
    await choose(page, 'same.csv', csv);
    await see(page, 'Nothing to take in');
    const [header, ...rows] = Papa.parse<string[]>(csv, { skipEmptyLines: 'greedy' }).data;
    const at = (name: string) => header!.indexOf(name);
    // The oldest set: a day more of it has long been.
    const old = rows.at(-1)!;
    const changed = [...old];
    changed[at('shine')] = '1.5';
    const fresh = [...old];
    fresh[at('date')] = new Date(Date.parse(old[at('date')]!) + 9 * 86_400_000).toISOString().slice(0, 10);
    fresh[at('note')] = "'=1+1";
    const bad = [...old];
    bad[at('definition')] = '12';
    const stranger = [...old];
    stranger[at('set')] = 'nobody’s';
    await choose(page, 'changed.csv', Papa.unparse([header!, changed, fresh, bad, stranger, rows[1]!]));
    await see(page, 'left out: 2');
    await see(page, 'a rating must be 0 to 10');
    await see(page, 'this set is not here');
    expect(await everything()).toBe(before);
    await press(page, 'Take in 2 rows');
    await see(page, '2 rows taken in');
    const { client } = scene.database;
    const { rows: kept } = await client.execute(
      "select shine, note, source from wear_days where source = 'table' order by day",
    );
    expect(kept).toMatchObject([{ shine: 1.5 }, { note: '=1+1' }]);
    expect((await client.execute('select count(*) as n from wear_day_history')).rows[0]).toEqual({ n: 1 });
    await press(page, 'Take them back');
    await see(page, 'Taken back, all of it.');
    expect(await everything()).toBe(before);
    expect(problems).toEqual([]);
    await page.close();
  });

  it('sets and checks come in too, each of them once', async () => {
    const { client } = scene.database;
    const { page, problems } = await openPage(scene.browser);
    await page.goto(`${scene.origin}/studio/tables`, { waitUntil: 'networkidle2' });
    await press(page, 'Sets');
    const columns = 'head,technique,sections,begun,all in,taken down,last good day,reason\n';
    const row = 'Amara,two-strand-twist,16,2026-05-01T17:00,2026-05-01T18:05,2026-05-02T08:00,4,frizz\n';
    await choose(
      page,
      'sets.csv',
      `${columns}${row}Nobody,braid,8,2026-05-01T17:00,2026-05-01T18:05,2026-05-02T08:00,,\n`,
    );
    await see(page, 'no head is called Nobody');
    await press(page, 'Take in 1 row');
    await see(page, '1 row taken in');
    const { rows } = await client.execute(
      "select is_entered_later, ended_at_ms is not null as over from sets where title = 'Done elsewhere'",
    );
    expect(rows).toEqual([{ is_entered_later: 1, over: 1 }]);
    await choose(page, 'sets.csv', columns + row);
    await see(page, 'here already: 1');
    // What went out as checks is all known.
    await press(page, 'Dryness checks');
    await choose(page, 'checks.csv', await out('checks'));
    await see(page, 'Nothing to take in');
    await page.reload({ waitUntil: 'networkidle2' });
    await press(page, 'Take back');
    await see(page, 'Taken back, all of it.');
    expect((await client.execute("select id from sets where title = 'Done elsewhere'")).rows).toEqual([]);
    expect(problems).toEqual([]);
    await page.close();
  });

  it('a file that is none, without its columns, or hostile: said in words, nothing changed', async () => {
    const before = await everything();
    const { page, problems } = await openPage(scene.browser);
    await page.goto(`${scene.origin}/studio/tables`, { waitUntil: 'networkidle2' });
    for (const [text, said] of [
      ['', 'no rows under the names'],
      ['set,definition\nx,7\n', 'The column date is missing'],
      ['date,note\n2026-01-01,"never closed\n', 'opened and not closed'],
      [`date,set\n2026-01-01,${'x'.repeat(6000)}\n`, 'at most 5000 letters'],
      ['date,set\n2026-01-01,"\'); drop table sets;--"\n', 'this set is not here'],
    ] as const) {
      await choose(page, 'bad.csv', text);
      await see(page, said);
    }
    expect(await everything()).toBe(before);
    expect((await fetch(`${scene.origin}/api/v1/tables/constructor`)).status).toBe(404);
    expect((await fetch(`${scene.origin}/api/v1/imports/none`, { method: 'DELETE' })).status).toBe(404);
    expect(problems.filter((words) => !words.includes('422'))).toEqual([]);
    await page.close();
  });
});

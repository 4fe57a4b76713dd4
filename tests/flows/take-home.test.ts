import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { ElementHandle, Page } from 'puppeteer-core';
import { beforeAll, describe, expect, it } from 'vitest';
import { openPage, PHONE } from '../support/browser';
import { press, see } from '../support/hands';
import { SCALES } from '../support/scales';
import { setScene } from '../support/scene';

const scene = setScene('demo');
const folder = mkdtempSync(join(tmpdir(), 'take-home-'));
const FILE = join(folder, 'diary.html');
let setId: string;
beforeAll(async () => {
  const { rows } = await scene.database.client.execute(
    'select id from sets where taken_down_at_ms is not null and ended_at_ms is null',
  );
  setId = String(rows[0]!.id);
  const answer = await fetch(`${scene.origin}/api/v1/sets/${setId}/take-home/diary.html`);
  expect(answer.status).toBe(200);
  writeFileSync(FILE, Buffer.from(await answer.arrayBuffer()));
});

const days = async () =>
  (
    await scene.database.client.execute({
      sql: 'select day, definition, hold, night, note, source, rated_by from wear_days where set_id = ? order by day',
      args: [setId],
    })
  ).rows;

/** Rates one scale of the diary as a finger does: by touching its ruler. */
async function rate(page: Page, name: string, rating: number) {
  const ruler = (await page.$(`input[type="range"][aria-label="${name}"]`))!;
  await ruler.evaluate((input) => input.scrollIntoView({ block: 'center' }));
  const box = (await ruler.boundingBox())!;
  // The thumb of a range goes from half its width in to half its width before the end.
  const thumb = 16;
  await page.touchscreen.tap(box.x + thumb / 2 + ((box.width - thumb) * rating) / 10, box.y + box.height / 2);
}

async function bringBack(page: Page, path: string) {
  await page.goto(`${scene.origin}/wear/${setId}`, { waitUntil: 'networkidle2' });
  await press(page, 'Bring it back');
  const input = (await page.waitForSelector(
    '[role="dialog"] input[type="file"]',
  )) as ElementHandle<HTMLInputElement>;
  await input.uploadFile(path);
}

describe('a diary taken home', () => {
  it('goes with a card that shows how it looks', async () => {
    const answer = await fetch(`${scene.origin}/api/v1/sets/${setId}/take-home/care-card.svg`);
    const svg = await answer.text();
    expect(svg).toContain('First day');
    expect(svg).toContain('Tonight');
    expect(svg.match(/stroke-linecap="round"/g)!.length).toBeGreaterThan(20);
    expect(svg).not.toMatch(/NaN|undefined/);
  });

  it('is one small file that asks for nothing from anywhere', () => {
    const html = readFileSync(FILE, 'utf8');
    expect(html.length).toBeLessThan(150_000);
    expect(html).toContain("default-src 'none'");
    expect(html.replaceAll('http://www.w3.org/2000/svg', '')).not.toMatch(/https?:\/\//);
    expect(html.replace(/<script>[^]*<\/script>/, '')).not.toMatch(
      /<(link|img|iframe|script)[^>]+(src|href)=/,
    );
  });

  it('is filled in as a file without a network, kept over a reload, and read back from its code', async () => {
    const { page, problems } = await openPage(scene.browser, PHONE);
    await page.setOfflineMode(true);
    await page.goto(`file://${FILE}`);
    await see(page, 'kept on this phone');
    for (const name of SCALES) await rate(page, name, 8);
    // A forecast stands there only once it is rated.
    await see(page, 'we said');
    await press(page, 'Scarf');
    await page.type('textarea[aria-label^="A note"]', 'slept at my sister’s');
    await page.reload();
    await see(page, 'kept on this phone');
    expect(
      await page.$eval('textarea[aria-label^="A note"]', (note) => (note as HTMLTextAreaElement).value),
    ).toBe('slept at my sister’s');
    const value = await page.$eval(
      'input[aria-label="Definition"]',
      (input) => (input as HTMLInputElement).value,
    );
    expect(Number(value)).toBe(8);
    const code = (await page.$('.codes svg'))!;
    await code.evaluate((svg) => svg.scrollIntoView({ block: 'center' }));
    await code.screenshot({ path: join(folder, 'code.png') as `${string}.png` });
    const text = await page.evaluate(() => {
      let words = '';
      Object.defineProperty(navigator, 'clipboard', {
        value: { writeText: (own: string) => ((words = own), Promise.resolve()) },
      });
      [...document.querySelectorAll('button')]
        .find((button) => button.textContent === 'Copy as text')!
        .click();
      return words;
    });
    expect(text).toContain('definition 8');
    writeFileSync(join(folder, 'diary.txt'), text);
    await page.setOfflineMode(false);
    expect(problems).toEqual([]);
    await page.close();

    const studio = await openPage(scene.browser);
    await bringBack(studio.page, join(folder, 'code.png'));
    await see(studio.page, 'Rated by Keziah');
    await see(studio.page, 'taken in');
    await see(studio.page, 'here already');
    await press(studio.page, 'Take it in');
    await expect
      .poll(async () => (await days()).at(-1), { timeout: 20_000 })
      .toMatchObject({
        day: 2,
        definition: 8,
        hold: 8,
        night: 'scarf',
        note: 'slept at my sister’s',
        source: 'take-home',
        rated_by: 'Keziah',
      });
    // The page is read anew with what came in.
    await studio.page.waitForFunction(() => document.querySelector('[role="dialog"]') === null);
    await see(studio.page, 'Rated by Keziah at home');
    const count = (await days()).length;

    // Once more, this time as the file that was sent: nothing is doubled.
    await bringBack(studio.page, join(folder, 'diary.txt'));
    await see(studio.page, 'Nothing to take in');
    expect(await days()).toHaveLength(count);
    await studio.page.close();
  });

  it('of another set, changed by hand, or no diary at all: said in words, nothing taken in, what was pasted stays', async () => {
    const before = await days();
    const text = readFileSync(join(folder, 'diary.txt'), 'utf8');
    const { page, problems } = await openPage(scene.browser);
    const tryText = async (path: string, words: string, said: string) => {
      writeFileSync(join(folder, 'try.txt'), words);
      await page.goto(`${scene.origin}${path}`, { waitUntil: 'networkidle2' });
      await press(page, 'Bring it back');
      const input = (await page.waitForSelector(
        '[role="dialog"] input[type="file"]',
      )) as ElementHandle<HTMLInputElement>;
      await input.uploadFile(join(folder, 'try.txt'));
      await see(page, said);
      expect(await page.$eval('[role="dialog"] textarea', (box) => (box as HTMLTextAreaElement).value)).toBe(
        words,
      );
    };
    const here = `/wear/${setId}`;
    await tryText(here, 'Hello, it was a lovely week.', 'There is no diary in this');
    const at = text.indexOf('KSD1.') + 30;
    await tryText(
      here,
      `${text.slice(0, at)}${text[at] === 'A' ? 'B' : 'A'}${text.slice(at + 1)}`,
      'changed outside of itself',
    );
    const { rows } = await scene.database.client.execute({
      sql: 'select id from sets where taken_down_at_ms is not null and id <> ? limit 1',
      args: [setId],
    });
    await tryText(`/wear/${String(rows[0]!.id)}`, text, 'This diary is of Keziah');
    expect(await days()).toEqual(before);
    expect(problems).toEqual([]);
    await page.close();
  });

  it('is not made of a set that is still in, nor of another studio’s', async () => {
    const { rows } = await scene.database.client.execute(
      'select id from sets where taken_down_at_ms is null limit 1',
    );
    const answer = await fetch(`${scene.origin}/api/v1/sets/${String(rows[0]!.id)}/take-home/diary.html`);
    expect(answer.status).toBe(422);
    expect(await answer.text()).toContain('has not been taken down yet');
    expect((await fetch(`${scene.origin}/api/v1/sets/none/take-home/diary.html`)).status).toBe(404);
    expect((await fetch(`${scene.origin}/api/v1/sets/${setId}/take-home/constructor`)).status).toBe(404);
  });
});

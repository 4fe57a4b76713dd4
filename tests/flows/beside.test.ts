import { describe, expect, it, vi } from 'vitest';
import { arrive, fill, openStep, press, see } from '../support/hands';
import { setScene } from '../support/scene';

const scene = setScene('demo');

const names = () =>
  scene.page.$$eval('input[aria-label^="Name of draft"]', (all) =>
    all.map((own) => (own as HTMLInputElement).value),
  );
const wordsAgainstA = () =>
  scene.page.evaluate(
    () =>
      [...document.querySelectorAll('tbody tr')]
        .find((row) => row.querySelector('th')?.textContent === 'Against A')
        ?.textContent?.replace('Against A', '') ?? '',
  );
const rowTitles = () => scene.page.$$eval('tbody tr th', (all) => all.map((own) => own.textContent ?? ''));
const drafts = (count: number) =>
  scene.page.waitForFunction(
    (wanted) => document.querySelectorAll('input[aria-label^="Name of draft"]').length === wanted,
    {},
    count,
  );
const openDraft = async (letter: string) => {
  const href = await scene.page.$eval(`th[aria-label^="${letter}:"] a`, (link) => link.getAttribute('href'));
  await scene.page.goto(scene.origin + href, { waitUntil: 'networkidle2' });
};

describe('drafts beside each other', () => {
  it('copies a draft; the copy changed differs in words and in the lines that differ', async () => {
    const { rows } = await scene.database.client.execute(`select id from plans where status = 'chosen'`);
    await scene.page.goto(`${scene.origin}/plan/${String(rows[0]?.id)}`, { waitUntil: 'networkidle2' });
    await press(scene.page, 'Compare');
    await arrive(scene.page, /beside$/);
    await press(scene.page, 'Copy');
    await drafts(2);
    await see(scene.page, 'comes to the same');
    expect(await names()).toContain('Amara’s birthday set (2)');
    await openDraft('B');
    await openStep(scene.page, 'Look');
    await scene.page.click('input[value="braid"]');
    await see(scene.page, 'braids');
    await press(scene.page, 'Compare');
    await arrive(scene.page, /beside$/);
    await see(scene.page, 'Against A');
    expect(await wordsAgainstA()).toMatch(/work|lasts|dry|curls|shows|defined/);
    const different = await rowTitles();
    expect(different).toContain('Look');
    expect(different).not.toContain('Room and weather');
    await press(scene.page, 'Everything');
    await see(scene.page, 'Room and weather');
    expect((await rowTitles()).length).toBeGreaterThan(different.length);
  });

  it('starts a third from what an earlier set gave, and takes no fourth', async () => {
    const label = await scene.page.$eval('button[aria-label^="Start from"]', (own) =>
      own.getAttribute('aria-label'),
    );
    await press(scene.page, label!);
    await drafts(3);
    expect((await names()).some((name) => name.startsWith('Like '))).toBe(true);
    await see(scene.page, 'put one aside first');
    expect(
      await scene.page.$$eval('button', (all) =>
        all.filter((own) => own.textContent === 'Copy').every((own) => own.disabled),
      ),
    ).toBe(true);
  });

  it('renames, puts one aside and takes it back', async () => {
    await fill(scene.page, 'Name of draft A', 'For the wedding');
    await scene.page.keyboard.press('Enter');
    await vi.waitFor(
      async () => {
        const { rows } = await scene.database.client.execute(
          `select count(*) as n from plans where title = 'For the wedding'`,
        );
        expect(Number(rows[0]?.n)).toBe(1);
      },
      { timeout: 60_000, interval: 200 },
    );
    await scene.page.evaluate(() =>
      [...document.querySelectorAll('button')]
        .findLast((own) => own.textContent === 'Put aside' && !own.disabled)
        ?.click(),
    );
    await drafts(2);
    await see(scene.page, 'is put aside');
    await press(scene.page, 'Take it back');
    await drafts(3);
    expect(scene.problems).toEqual([]);
  });
});

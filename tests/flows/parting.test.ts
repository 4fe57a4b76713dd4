import { describe, expect, it, vi } from 'vitest';
import { choose, fill, openStep, press, see, seeGone } from '../support/hands';
import { setScene } from '../support/scene';

const scene = setScene('demo');

const has = (wanted: number) =>
  scene.page.waitForFunction((own) => document.querySelectorAll('[data-section]').length === own, {}, wanted);
const stored = async (column: 'brief' | 'title'): Promise<string> => {
  const id = new URL(scene.page.url()).pathname.split('/').at(-1)!;
  const { rows } = await scene.database.client.execute({
    sql: `select ${column} from plans where id = ?`,
    args: [id],
  });
  return String(rows[0]?.[column]);
};
/** Waits until what is kept is as it should be. */
const soon = (check: () => Promise<void>) => vi.waitFor(check, { timeout: 60_000, interval: 200 });
const paths = () =>
  scene.page.$$eval('[data-section] > path:first-child', (all) => all.map((path) => path.getAttribute('d')));
const pick = (number: number) => scene.page.click(`[data-section="${number}"]`);
const focusOn = (selector: string) =>
  scene.page.$eval(selector, (element) => (element as unknown as SVGElement).focus());
const evenness = () =>
  scene.page.$eval('[aria-label="Parting by hand"] [role="status"]', (line) => line.textContent ?? '');

describe('parting by hand', () => {
  let before = '';

  it('splits a section, is undone byte for byte, and done again', async () => {
    const { rows } = await scene.database.client.execute(`select id from plans where status = 'chosen'`);
    await scene.page.goto(`${scene.origin}/plan/${String(rows[0]?.id)}`, { waitUntil: 'networkidle2' });
    await scene.page.waitForSelector('[data-section="18"]');
    // Kept once, so that it stands as it is written.
    await fill(scene.page, 'Name of the plan', 'Parted');
    await soon(async () => expect(await stored('title')).toBe('Parted'));
    before = await stored('brief');
    await press(scene.page, 'Part by hand');
    await see(scene.page, 'Hair in the sections differs by under 1 %');
    await pick(9);
    await see(scene.page, 'Section 9, crown');
    await press(scene.page, 'Split');
    await has(19);
    await see(scene.page, '19 twists');
    await see(scene.page, 'parted by hand');
    await soon(async () =>
      expect(JSON.parse(await stored('brief'))).toMatchObject({
        parting: { recipe: { splits: [{ key: 'W.3.2' }] } },
      }),
    );
    await press(scene.page, 'Undo');
    await has(18);
    await seeGone(scene.page, 'parted by hand');
    await soon(async () => expect(await stored('brief')).toBe(before));
    await press(scene.page, 'Redo');
    await has(19);
  });

  it('drags a line: the hair of two sections changes, and one undo takes all of the drag back', async () => {
    await press(scene.page, 'Undo');
    await has(18);
    // The section that was picked before it was split is picked again.
    await see(scene.page, 'Section 9, crown');
    const handle = await scene.page.waitForSelector('[data-handle^="cut-"]');
    const start = await paths();
    const box = (await handle!.boundingBox())!;
    const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
    await scene.page.mouse.move(x, y);
    await scene.page.mouse.down();
    for (let step = 1; step <= 6; step++) await scene.page.mouse.move(x + 3 * step, y);
    await scene.page.mouse.up();
    await seeGone(scene.page, 'differs by under 1 %');
    const moved = await paths();
    expect(moved.filter((path, i) => path !== start[i])).toHaveLength(2);
    await press(scene.page, 'Undo');
    await see(scene.page, 'Hair in the sections differs by under 1 %');
    expect(await paths()).toEqual(start);
  });

  it('moves a line by keyboard, says where it is, and evens the head out again', async () => {
    const line = '[data-handle^="line-"]';
    await focusOn(line);
    const at = () => scene.page.$eval(line, (own) => own.getAttribute('aria-valuetext') ?? '');
    const was = await at();
    expect(was).toMatch(/^\d+\.\d cm (before|behind) the crown centre$/);
    await scene.page.keyboard.press('ArrowUp');
    await scene.page.keyboard.down('Shift');
    await scene.page.keyboard.press('ArrowUp');
    await scene.page.keyboard.up('Shift');
    await scene.page.waitForFunction((old, own) => document.querySelector(own)?.getAttribute('aria-valuetext') !== old, {}, was, line); // prettier-ignore
    expect(await evenness()).toMatch(/differs by \d+ %/);
    await press(scene.page, 'Even out');
    await see(scene.page, 'Hair in the sections differs by under 1 %');
  });

  it('joins, turns, gives a section another product, leaves one out and puts it back', async () => {
    await focusOn('[data-section="9"]');
    await scene.page.keyboard.type('10');
    await scene.page.keyboard.press('Enter');
    await see(scene.page, 'Section 10,');
    await choose(scene.page, 'Direction', 'left');
    await choose(scene.page, 'Product side', 'B');
    await scene.page.waitForFunction(() =>
      document.querySelector('svg[role="group"]')?.textContent?.includes('10B'),
    );
    await scene.page.select('select[aria-label="Join with"]', 'W.3.4');
    await has(17);
    await pick(3);
    await see(scene.page, 'Section 3,');
    await press(scene.page, 'Leave out');
    await has(16);
    await press(scene.page, 'Put back what was left out last');
    await has(17);
  });

  it('one more leaves the others where they are', async () => {
    await press(scene.page, 'Part anew');
    await see(scene.page, 'Hair in the sections differs by under 1 %');
    await has(17);
    const start = await paths();
    await press(scene.page, 'One section more');
    await has(18);
    expect((await paths()).length).toBe(start.length + 1);
    const rowsOf = (brief: string) =>
      (
        JSON.parse(brief) as { parting: { recipe: { panels: { cuts: unknown[][] }[] } } }
      ).parting.recipe.panels[0]!.cuts.map((row) => row.length + 1);
    await soon(async () => {
      const rows = rowsOf(await stored('brief'));
      expect(rows.reduce((sum, own) => sum + own, 0)).toBe(18);
      expect(rows).toHaveLength(5);
    });
  });

  it('leaves out what is drawn round, by pen or by a choice, and evens out round it', async () => {
    await press(scene.page, 'Part anew');
    await has(18);
    await press(scene.page, 'Draw round what is left out');
    const map = await scene.page.waitForSelector('[data-pen]');
    const box = (await map!.boundingBox())!;
    const at = (turn: number) =>
      [
        box.x + box.width * (0.5 + 0.07 * Math.cos(turn)),
        box.y + box.height * (0.42 + 0.05 * Math.sin(turn)),
      ] as const;
    await scene.page.mouse.move(...at(0));
    await scene.page.mouse.down();
    for (let step = 1; step <= 24; step++) await scene.page.mouse.move(...at((step / 25) * 2 * Math.PI));
    await scene.page.mouse.up();
    const evenTo = () =>
      scene.page.$eval('[aria-label="Parting by hand"] [role="status"] b', (own) => own.textContent ?? '');
    await see(scene.page, 'Put back what was left out last');
    expect(await evenTo()).not.toBe('under 1 %');
    await press(scene.page, 'Even out');
    await scene.page.waitForFunction(
      () =>
        document.querySelector('[aria-label="Parting by hand"] [role="status"] b')?.textContent ===
        'under 1 %',
    );
    await pick(4);
    await see(scene.page, 'Section 4,');
    await choose(scene.page, 'Leave a round patch out', '3');
    await soon(async () => {
      const { parting } = JSON.parse(await stored('brief')) as {
        parting: { recipe: { exclude: unknown[] } };
      };
      expect(parting.recipe.exclude).toHaveLength(2);
    });
    await press(scene.page, 'Draw round what is left out');
    await scene.page.keyboard.press('Escape');
    await scene.page.waitForFunction(() => document.querySelector('[data-pen]') === null);
  });

  it('offers to part anew when many were added and sections have grown long', async () => {
    await press(scene.page, 'Part anew');
    await has(18);
    for (let count = 19; count <= 34; count++) {
      await press(scene.page, 'One section more');
      await has(count);
    }
    await see(scene.page, 'Sections have grown long');
  });

  it('parts by the size of a section as well as by their number', async () => {
    await openStep(scene.page, 'Sections');
    await choose(scene.page, 'Or by size', '6');
    await has(18);
    await choose(scene.page, 'Or by size', '5');
    await has(26);
    await see(scene.page, 'now about 5 cm a side');
  });

  it('left nothing wrong in the page', () => {
    expect(scene.problems).toEqual([]);
  });
});

import { describe, expect, it } from 'vitest';
import { PHONE } from '../support/browser';
import { arrive, forecastSettles, press, see } from '../support/hands';
import { setScene } from '../support/scene';

const scene = setScene('demo');
const MOST_STOPS = 160;

/** What has the focus, as it is called. */
const focused = () =>
  scene.page.evaluate(() => {
    const own = document.activeElement as HTMLElement | null;
    const label = own?.getAttribute('aria-label') ?? (own as HTMLInputElement | null)?.labels?.[0]?.innerText;
    return (label ?? own?.innerText ?? '').replace(/\s+/g, ' ').trim();
  });

/** Presses Tab, or Shift and Tab, until something called so has the focus. */
async function tabTo(name: string | RegExp, back = false): Promise<void> {
  for (let i = 0; i < MOST_STOPS; i++) {
    const at = await focused();
    if (typeof name === 'string' ? at.startsWith(name) : name.test(at)) return;
    if (back) await scene.page.keyboard.down('Shift');
    await scene.page.keyboard.press('Tab');
    if (back) await scene.page.keyboard.up('Shift');
  }
  throw new Error(`no way to “${String(name)}” by Tab; the last stop was “${await focused()}”`);
}
const key = (name: Parameters<typeof scene.page.keyboard.press>[0]) => scene.page.keyboard.press(name);
async function withCtrl(name: 'z') {
  await scene.page.keyboard.down('Control');
  await key(name);
  await scene.page.keyboard.up('Control');
}
const dialogs = () => scene.page.$$eval('[role="dialog"]', (all) => all.length);
const layers = () =>
  scene.page.$$eval('button[aria-label^="Move "]', (all) => all.map((own) => own.getAttribute('aria-label')));

describe('the whole of Plan by keyboard alone', () => {
  it('goes from the list of plans into one', async () => {
    await scene.page.goto(`${scene.origin}/plan`, { waitUntil: 'networkidle2' });
    await tabTo('Amara’s birthday set');
    await key('Enter');
    await arrive(scene.page, /\/plan\/[^/]+$/);
    await forecastSettles(scene.page);
  });

  it('opens a choice, changes it, and takes it back', async () => {
    await tabTo('Look');
    await key('Enter');
    await tabTo('Two-strand twist');
    await key('ArrowDown');
    await see(scene.page, 'Double two-strand twist');
    await scene.page.evaluate(() => (document.activeElement as HTMLElement).blur());
    await withCtrl('z');
    await see(scene.page, 'Set 18 twists');
  });

  it('adds a step before the set, and takes a school that is remembered', async () => {
    await tabTo('Before the set');
    await key('Enter');
    await tabTo('Add a step');
    await scene.page.keyboard.type('Deep');
    await see(scene.page, 'Deep conditioner under a cap');
    await tabTo('Detangling');
    await key('Enter');
    await tabTo(/^(In the conditioner|Before washing)/);
    await key('Space');
    await see(scene.page, 'remembered for this head');
    await expect
      .poll(async () => {
        const sql = "select schools from heads where name = 'Amara'";
        return String((await scene.database.client.execute(sql)).rows[0]?.schools);
      })
      .toContain('detangling');
  });

  it('moves a layer, hears what is wrong there, and puts it back', async () => {
    await tabTo('Layers, in order');
    await key('Enter');
    await scene.page.waitForSelector('button[aria-label^="Move "]');
    const before = await layers();
    await tabTo(/^Move Oat/);
    await key('Space');
    await see(scene.page, 'is at its own place');
    await key('ArrowUp');
    await see(scene.page, 'is at the place of Dewline');
    await key('Space');
    await scene.page.waitForFunction(
      (first) => document.querySelector('button[aria-label^="Move "]')?.getAttribute('aria-label') !== first,
      {},
      before[0],
    );
    expect(await layers()).toEqual([before[1], before[0], before[2]]);
    await withCtrl('z');
    await scene.page.waitForFunction(
      (first) => document.querySelector('button[aria-label^="Move "]')?.getAttribute('aria-label') === first,
      {},
      before[0],
    );
  });

  it('walks the crown map, parts by hand, and adds a section', async () => {
    await tabTo(/^Section \d+ of 18/);
    await key('End');
    expect(await focused()).toMatch(/^Section 18 of 18/);
    await tabTo('Part by hand', true);
    await key('Enter');
    await see(scene.page, 'Hair in the sections differs by');
    await tabTo(/^Section \d+ of 18/);
    await key('Enter');
    await see(scene.page, 'Section 18,');
    await tabTo(/^Line in front of row/);
    const at = () => scene.page.evaluate(() => document.activeElement?.getAttribute('aria-valuenow'));
    const before = await at();
    await key('ArrowUp');
    await scene.page.waitForFunction(
      (old) => document.activeElement?.getAttribute('aria-valuenow') !== old,
      {},
      before,
    );
    await tabTo('Part by hand', true);
    await key('Enter');
    await tabTo('One section more');
    await key('Enter');
    await see(scene.page, '19 twists');
  });

  it('moves the work and the pin along the ribbon', async () => {
    await forecastSettles(scene.page);
    await tabTo(/^Set 19 twists: begins/);
    const begins = await scene.page.evaluate(() => document.activeElement?.getAttribute('aria-valuetext'));
    await key('ArrowLeft');
    await scene.page.waitForFunction(
      (old) => document.activeElement?.getAttribute('aria-valuetext') !== old,
      {},
      begins,
    );
    await forecastSettles(scene.page);
    expect(await focused(), 'the hand stays on the bar that it moved').toMatch(/^Set 19 twists: begins/);
    await tabTo(/^Dry under the hood on warm: how long/);
    expect(await scene.page.evaluate(() => document.activeElement?.getAttribute('aria-valuetext'))).toBe(
      '2½ h',
    );
    await key('ArrowRight');
    await scene.page.waitForFunction(() => document.activeElement?.getAttribute('aria-valuetext') === '2¾ h');
    await forecastSettles(scene.page);
    expect(await focused()).toMatch(/^Dry under the hood on warm: how long/);
    await tabTo('Ready by');
    await key('PageUp');
    await scene.page.waitForFunction(() =>
      document.activeElement?.getAttribute('aria-valuetext')?.endsWith('09:00'),
    );
  });

  it('opens and leaves the sheet, the head in the round and the fit', async () => {
    for (const [button, words] of [
      ['Fit to my time', 'Find what fits'],
      ['Sheet', 'To open elsewhere'],
      ['In the round', 'Drawn to scale'],
    ] as const) {
      await tabTo(button);
      await key('Enter');
      await see(scene.page, words);
      await key('Escape');
      await scene.page.waitForFunction(() => document.querySelector('[role="dialog"]') === null);
    }
    expect(await dialogs()).toBe(0);
  });

  it('goes to compare and back, and takes the plan to the chair', async () => {
    await tabTo('Compare');
    await key('Enter');
    await arrive(scene.page, /\/beside$/);
    await scene.page.goBack({ waitUntil: 'networkidle2' });
    const plan = new URL(scene.page.url()).pathname.split('/')[2]!;
    await tabTo('Take to the chair');
    await key('Enter');
    await arrive(scene.page, /\/chair\/[^/]+$/);
    expect((await fetch(`${scene.origin}/open/${plan}`)).url).toContain('/chair/');
    const { rows } = await scene.database.client.execute(
      'select cost_minor from sets order by started_at_ms desc limit 1',
    );
    expect(Number(rows[0]?.cost_minor)).toBeGreaterThan(50);
    const used = await scene.database.client.execute(
      "select used_since_g from products where name = 'Stillpond gel'",
    );
    expect(Number(used.rows[0]?.used_since_g)).toBeGreaterThan(10);
    expect(scene.problems).toEqual([]);
  });
});

describe('the bar of places on a phone', () => {
  const menu = '[role="menu"]';
  const gone = () => scene.page.waitForFunction((at) => document.querySelector(at) === null, {}, menu);
  const items = () =>
    scene.page.$$eval(`${menu} [role="menuitem"]`, (all) => all.map((own) => (own as HTMLElement).innerText));

  it('shows five places, all on the screen, and the rest behind one more', async () => {
    await scene.page.setViewport(PHONE);
    await scene.page.goto(`${scene.origin}/findings`, { waitUntil: 'networkidle2' });
    const shown = await scene.page.$$eval('nav a, nav button', (all) =>
      all
        .map((own) => ({ words: (own as HTMLElement).innerText, box: own.getBoundingClientRect() }))
        .filter(({ box }) => box.width > 0)
        .map(({ words, box }) => [words, box.left >= 0 && box.right <= innerWidth && box.height >= 44]),
    );
    expect(shown).toEqual(['Today', 'Heads', 'Plan', 'Chair', 'Wear', 'More'].map((words) => [words, true]));
    expect(await scene.page.evaluate(() => document.documentElement.scrollWidth <= innerWidth)).toBe(true);
  });

  it('is gone through by keys: opened, walked, left, and gone from', async () => {
    await tabTo('More');
    await key('Enter');
    await scene.page.waitForSelector(menu);
    expect((await items()).map((words) => words.split('\n').at(-1))).toEqual([
      'Sets',
      'Findings',
      'Shelf',
      'Studio',
      'Change to inches',
      'Change to dark',
    ]);
    await key('Escape');
    await gone();
    expect(await focused()).toBe('More');
    await key('Enter');
    await scene.page.waitForSelector(menu);
    // It begins where one is: at Findings.
    await key('ArrowDown');
    await key('Enter');
    await arrive(scene.page, /^\/shelf$/);
    await gone();
  });

  it('turns units and light, which stay over a reload', async () => {
    for (const [from, to] of [
      ['Change to inches', 'Change to centimetres'],
      ['Change to dark', 'Change to light'],
    ] as const) {
      await press(scene.page, 'More');
      await (await scene.page.waitForSelector(
        `::-p-xpath(//*[@role="menuitem"][contains(., "${from}")])`,
      ))!.click();
      await see(scene.page, to);
      await key('Escape');
      await gone();
    }
    await new Promise((kept) => setTimeout(kept, 500));
    await scene.page.reload({ waitUntil: 'networkidle2' });
    await press(scene.page, 'More');
    await see(scene.page, 'Change to centimetres');
    await see(scene.page, 'Change to light');
    await key('Escape');
    await gone();
    expect(scene.problems).toEqual([]);
  });
});

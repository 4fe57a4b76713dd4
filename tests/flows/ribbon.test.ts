import { describe, expect, it } from 'vitest';
import { press, see } from '../support/hands';
import { setScene } from '../support/scene';

const scene = setScene('demo');
const PIN = '[role="slider"][aria-label="Ready by"]';

const pinTime = () => scene.page.$eval(PIN, (pin) => pin.getAttribute('aria-valuetext') ?? '');
/** When the takedown begins: "Take down08:45 · 13 min". */
const takedown = () =>
  scene.page.$$eval(
    'section[aria-label="Ribbon"] li',
    (blocks) =>
      blocks.map((block) => block.textContent ?? '').find((text) => text.includes('Take down')) ?? '',
  );

describe('the pin of the ribbon', () => {
  it('moves by keyboard, and the takedown with it', async () => {
    const { rows } = await scene.database.client.execute(`select id from plans where status = 'chosen'`);
    await scene.page.goto(`${scene.origin}/plan/${String(rows[0]?.id)}`, { waitUntil: 'networkidle2' });
    await scene.page.waitForSelector(PIN);
    expect(await pinTime()).toMatch(/, 09:00$/);
    expect(await takedown()).toContain('08:45');
    await scene.page.focus(PIN);
    await scene.page.keyboard.press('ArrowRight');
    await see(scene.page, '09:15');
    await scene.page.keyboard.down('Shift');
    await scene.page.keyboard.press('ArrowRight');
    await scene.page.keyboard.up('Shift');
    await scene.page.waitForFunction(
      (pin) => document.querySelector(pin)?.getAttribute('aria-valuetext')?.endsWith('10:15'),
      {},
      PIN,
    );
    await expect.poll(takedown, { timeout: 60_000 }).toContain('10:00');
  });

  it('is dragged in quarters of an hour, and taken back in one step', async () => {
    const pin = await scene.page.waitForSelector(PIN);
    const box = (await pin!.boundingBox())!;
    const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
    await scene.page.mouse.move(x, y);
    await scene.page.mouse.down();
    for (let step = 1; step <= 5; step++) await scene.page.mouse.move(x - 6 * step, y);
    await scene.page.mouse.up();
    await scene.page.waitForFunction(
      (own) => document.querySelector(own)?.getAttribute('aria-valuetext')?.endsWith('09:15'),
      {},
      PIN,
    );
    await press(scene.page, 'Undo');
    await scene.page.waitForFunction(
      (own) => document.querySelector(own)?.getAttribute('aria-valuetext')?.endsWith('10:15'),
      {},
      PIN,
    );
    expect(scene.problems).toEqual([]);
  });
});

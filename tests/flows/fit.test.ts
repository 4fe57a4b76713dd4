import { describe, expect, it } from 'vitest';
import { choose, fill, press, see } from '../support/hands';
import { setScene } from '../support/scene';

const scene = setScene('demo');

const options = () =>
  scene.page.$$eval('[role="dialog"] li h3', (all) => all.map((own) => own.textContent ?? ''));

describe('fit to my time', () => {
  it('searches with progress, and names the best of what fits', async () => {
    const { rows } = await scene.database.client.execute(`select id from plans where status = 'chosen'`);
    await scene.page.goto(`${scene.origin}/plan/${String(rows[0]?.id)}`, { waitUntil: 'networkidle2' });
    await press(scene.page, 'Fit to my time');
    await press(scene.page, 'Find what fits');
    await scene.page.waitForSelector('progress[aria-label="Looked at"]');
    await see(scene.page, 'was weighed');
    await see(scene.page, 'best all round');
    await see(scene.page, 'Against the plan as it is');
    const found = await options();
    expect(found.length).toBeGreaterThan(1);
    expect(new Set(found).size).toBe(found.length);
    // Each with its head on the first day, drawn beside the page.
    await scene.page.waitForFunction(
      (wanted) => document.querySelectorAll('[role="dialog"] li svg[role="img"]').length === wanted,
      {},
      found.length,
    );
    const drawn = await scene.page.$$eval('[role="dialog"] li svg[role="img"]', (all) =>
      all.map((own) => ({ label: own.getAttribute('aria-label'), paths: own.innerHTML })),
    );
    expect(drawn.map(({ label }) => label)).toEqual(found.map((title) => `${title}, on the first day`));
    expect(new Set(drawn.map(({ paths }) => paths)).size).toBe(found.length);
    expect(await scene.page.evaluate(() => document.body.innerText)).not.toMatch(/NaN|undefined/);
  });

  it('stops when told', async () => {
    await press(scene.page, 'Find what fits');
    await press(scene.page, 'Stop');
    await scene.page.waitForFunction(
      () => document.querySelector('progress[aria-label="Looked at"]') === null,
    );
  });

  it('says what would have to give when nothing fits', async () => {
    await fill(scene.page, 'From first touch to ready, h', '14');
    await fill(scene.page, 'Work at most, h', '0.5');
    await fill(scene.page, 'Lasting at least, days', '3');
    await press(scene.page, 'Find what fits');
    await see(scene.page, 'Nothing fits');
    // With what is known of her, giving up one thing may not be enough: then it says what would help most.
    await scene.page.waitForFunction(() =>
      /of work this would do|would help most/.test(document.body.innerText),
    );
  });

  it('takes one option as the plan, in one step that can be undone', async () => {
    await fill(scene.page, 'From first touch to ready, h', '14');
    await fill(scene.page, 'Work at most, h', '2.5');
    await choose(scene.page, 'Technique', 'braid');
    await press(scene.page, 'Find what fits');
    await see(scene.page, 'These are the best');
    const [best] = await options();
    await press(scene.page, `Take this: ${best}`);
    await scene.page.waitForFunction(() => document.querySelector('[role="dialog"]') === null);
    const count = Number(/^\d+/.exec(best!)![0]);
    await scene.page.waitForFunction(
      (wanted) => document.querySelectorAll('[data-section]').length === wanted,
      {},
      count,
    );
    await see(scene.page, `${count} braids`);
    await see(scene.page, 'begins');
    await press(scene.page, 'Undo');
    await see(scene.page, '18 twists');
    expect(scene.problems).toEqual([]);
  });
});

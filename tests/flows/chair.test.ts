import { describe, expect, it } from 'vitest';
import { arrive, choose, fill, openStep, press, see, seeGone, textOf, pressInDialog } from '../support/hands';
import { letHoursPass } from '../support/clock';
import { setScene } from '../support/scene';

const scene = setScene('demo');

const dialogGone = () => scene.page.waitForFunction(() => document.querySelector('[role="dialog"]') === null);

describe('what the hands need at the chair', () => {
  const doneCount = () => scene.page.$$eval('[data-state="done"][data-section]', (all) => all.length);
  const doneIs = (count: number) =>
    scene.page.waitForFunction(
      (wanted) => document.querySelectorAll('[data-state="done"][data-section]').length === wanted,
      {},
      count,
    );
  const card = () => textOf(scene.page, 'ul[aria-label="What goes on it"]');

  it('names each product with its dose, the tool with its size, and what comes next', async () => {
    const { rows } = await scene.database.client.execute("select id from plans where status = 'chosen'");
    await scene.page.goto(`${scene.origin}/plan/${String(rows[0]!.id)}`, { waitUntil: 'networkidle2' });
    await openStep(scene.page, 'Look');
    await scene.page.click('::-p-aria([name="Rod set"])');
    await press(scene.page, 'How it is done');
    await see(scene.page, 'Wind edge to edge, no gaps');
    await press(scene.page, 'Close');
    await dialogGone();
    await openStep(scene.page, 'Rigid rod');
    await choose(scene.page, 'Every other section', '20');
    await see(scene.page, 'and 20 mm in turn');
    await press(scene.page, 'Take to the chair');
    await arrive(scene.page, /^\/chair\//);
    await see(scene.page, 'of 30');
    // The booked plan has its products from the shelf: by the name on the tub.
    expect(await card()).toMatch(/Dewline leave-in\s+leave-in[\s\S]*Stillpond gel/);
    expect(await card()).toMatch(/dime|pump|teaspoon/);
    const panel = () => textOf(scene.page, 'section[aria-label="Now"]');
    expect(await panel()).toMatch(/\d+ mm rod[\s\S]*wound [\s\S]*of this size to go in/);
    expect(await panel()).toMatch(/2\s+then, /);
    // What matters before the first part, and no longer.
    expect(await panel()).toContain('Rings off, nails smooth');
    const [first] = /\d+ mm rod/.exec(await panel())!;
    const sizes = new Set([first]);
    for (let i = 0; i < 4; i++) {
      await scene.page.keyboard.press('Space');
      await doneIs(i + 1);
      sizes.add(/\d+ mm rod/.exec(await panel())![0]);
    }
    expect(await panel()).not.toContain('Rings off, nails smooth');
    expect([...sizes].sort()).toEqual(['16 mm rod', '20 mm rod']);
  });

  it('times what comes before the set, and leaves out what was not done', async () => {
    const stage = () => textOf(scene.page, 'ol[aria-label="Stages"] li');
    const before = await scene.page.$$eval('ol[aria-label="Stages"] li', (all) =>
      all.map((li) => li.textContent),
    );
    expect(before.join()).toMatch(/Prep.*planned.*Set.*done.*Dry.*dry in about.*Undo/);
    await scene.page.keyboard.press('b');
    await see(scene.page, 'Before the set');
    await press(scene.page, 'Cleanse: begin');
    await scene.page.waitForSelector('[role="dialog"] li[data-running="true"]');
    // The next begins, and the one before is done.
    await press(scene.page, 'Condition: begin');
    await see(scene.page, 'done in');
    await press(scene.page, 'Blot: leave out');
    await see(scene.page, 'left out');
    await press(scene.page, 'Condition: done');
    await press(scene.page, 'Close');
    expect(await stage()).toContain('Prep');
    const id = new URL(scene.page.url()).pathname.split('/').at(-1)!;
    await scene.page.waitForFunction(() => document.querySelector('[role="status"]')?.textContent === 'kept');
    const kept = await scene.database.client.execute({
      sql: 'select kind, step from set_events where set_id = ? and step is not null order by sequence',
      args: [id],
    });
    expect(kept.rows.map(({ kind, step }) => `${String(kind)} ${String(step)}`)).toEqual([
      'step-begun cleanse',
      'step-done cleanse',
      'step-begun instant-condition',
      'step-skipped blot',
      'step-done instant-condition',
    ]);
  });

  it('shows how it is done with drawings, here and while it is planned', async () => {
    await dialogGone();
    await scene.page.keyboard.press('c');
    await see(scene.page, 'Lay the ends flat on the rod');
    const steps = () =>
      scene.page.$$eval('[role="dialog"] ol li', (all) =>
        all.map((li) => [li.querySelectorAll('svg path').length > 2, li.textContent] as const),
      );
    expect((await steps()).length).toBe(5);
    expect((await steps()).every(([isDrawn]) => isDrawn)).toBe(true);
    await press(scene.page, 'Plain root');
    await see(scene.page, 'Begin the twist at the scalp');
    await press(scene.page, 'Close');
    await dialogGone();
  });

  it('counts what goes on, and says in time that the rest will not reach', async () => {
    await scene.page.keyboard.press('w');
    await see(scene.page, 'nothing weighed or counted yet');
    const more = await scene.page.$eval('[role="dialog"] li:last-child button', (button) =>
      button.getAttribute('aria-label'),
    );
    await press(scene.page, more!);
    await see(scene.page, 'used by counting');
    await press(scene.page, more!.replace(/:.*/, ': take the last one back'));
    await seeGone(scene.page, 'used by counting');
    // Weighed before and after: the tub lost nearly all there was of it.
    const name = more!.replace(/:.*/, '');
    for (const grams of ['3000', '200']) {
      await fill(scene.page, 'Scale, g', grams);
      await press(scene.page, `${name}: weighed`);
    }
    await see(scene.page, `${name} will not reach`);
    await press(scene.page, 'Close');
    await dialogGone();
    expect(await textOf(scene.page, 'section[aria-label="Now"]')).toContain(`${name} will not reach`);
    // Shown at once, kept a moment later.
    await expect
      .poll(
        async () => {
          const { rows } = await scene.database.client.execute(
            "select kind, amount from set_events where kind in ('tub-weighed', 'dispensed') order by sequence",
          );
          return rows.map(({ kind, amount }) => [kind, amount]);
        },
        { timeout: 30_000 },
      )
      .toEqual([
        ['dispensed', 1],
        ['tub-weighed', 3000],
        ['tub-weighed', 200],
      ]);
  });

  it('a foot switch or a clicker counts as the hand does', async () => {
    for (const key of ['Enter', 'PageDown', 'ArrowRight'] as const) {
      const before = await doneCount();
      await scene.page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
      await scene.page.keyboard.press(key);
      await doneIs(before + 1);
    }
    await scene.page.keyboard.press('PageUp');
    await doneIs(6);
  });

  it('counts a row, and all that are left, at once; each comes back by undo', async () => {
    await scene.page.keyboard.press('s');
    await see(scene.page, 'several at once');
    const row = await scene.page.$eval('[role="dialog"] button', (button) => button.textContent!);
    expect(row).toMatch(/^All of this row\d+ sections?$/);
    const inRow = Number(/\d+/.exec(row)![0]);
    await scene.page.click('[role="dialog"] button');
    await doneIs(6 + inRow);
    await scene.page.keyboard.press('s');
    await pressInDialog(scene.page, 'All that are left');
    await see(scene.page, 'sure every root is dry now');
    await press(scene.page, 'More');
    await pressInDialog(scene.page, 'Not finished yet');
    await doneIs(29);
    for (let i = 0; i < 3; i++) await scene.page.keyboard.press('Backspace');
    await doneIs(26);
  });

  it('a long press on a section offers the same, and is no tap', async () => {
    const place = await scene.page.$eval('[data-section="30"]', (section) => {
      const { x, y, width, height } = section.getBoundingClientRect();
      return { x: x + width / 2, y: y + height / 2 };
    });
    const before = await doneCount();
    await scene.page.mouse.move(place.x, place.y);
    await scene.page.mouse.down();
    await see(scene.page, 'Section 30: several at once');
    await scene.page.mouse.up();
    await scene.page.keyboard.press('Escape');
    await dialogGone();
    expect(await doneCount()).toBe(before);
  });

  it('is laid out for the left hand, and sounds once when hair wants misting, on this device', async () => {
    const id = new URL(scene.page.url()).pathname.split('/').at(-1)!;
    await scene.page.evaluateOnNewDocument(() => {
      const heard = window as unknown as { tones: number };
      heard.tones = 0;
      const start = OscillatorNode.prototype.start;
      OscillatorNode.prototype.start = function (...at) {
        heard.tones++;
        start.apply(this, at);
      };
    });
    const leftOf = (selector: string) =>
      scene.page.$eval(selector, (element) => element.getBoundingClientRect().left);
    const mapIsLeft = async () =>
      (await leftOf('section[aria-label="Crown map"]')) < (await leftOf('section[aria-label="Now"]'));
    expect(await mapIsLeft()).toBe(true);
    await press(scene.page, 'Layout');
    await press(scene.page, 'For the left hand', 'switch');
    await press(scene.page, 'A short tone when hair wants misting, or a step is up', 'switch');
    await press(scene.page, 'Close');
    expect(await mapIsLeft()).toBe(false);
    // Long after it was begun, what waits is drier than it should be set.
    await letHoursPass(scene.database, id, 6);
    await scene.page.reload({ waitUntil: 'networkidle2' });
    expect(await mapIsLeft()).toBe(false);
    await see(scene.page, 'Mist the hair that waits now');
    await scene.page.waitForSelector('[data-state="drying-out"][aria-label*="dries out: mist it"]');
    const tones = () => scene.page.evaluate(() => (window as unknown as { tones: number }).tones);
    expect(await tones()).toBe(1);
    await scene.page.keyboard.press('m');
    await seeGone(scene.page, 'Mist the hair that waits now');
    expect(await scene.page.$('[data-state="drying-out"]')).toBeNull();
    expect(await tones()).toBe(1);
  });

  it('keeps the screen lit while the set goes in, and says whether this device keeps what waits', async () => {
    await scene.page.evaluateOnNewDocument(() => {
      const counted = window as unknown as { lit: number };
      counted.lit = 0;
      Object.defineProperty(navigator, 'wakeLock', {
        value: {
          request: () => {
            counted.lit++;
            return Promise.resolve({ release: () => Promise.resolve((counted.lit--, undefined)) });
          },
        },
      });
    });
    await scene.page.reload({ waitUntil: 'networkidle2' });
    const lit = (count: number) =>
      scene.page.waitForFunction(
        (wanted) => (window as unknown as { lit: number }).lit === wanted,
        {},
        count,
      );
    await lit(1);
    await press(scene.page, 'Layout');
    await see(scene.page, 'until it runs short of room');
    await press(scene.page, 'Ask it to keep them');
    await scene.page.waitForFunction(() =>
      /keeps taps that wait, even|does not promise to keep taps/.test(document.body.innerText),
    );
    await press(scene.page, 'Close');
    await dialogGone();
    await scene.page.keyboard.press('s');
    await pressInDialog(scene.page, 'All that are left');
    await see(scene.page, 'sure every root is dry now');
    await lit(0);
  });
});

describe('while it dries', () => {
  const words = () => textOf(scene.page, 'section[aria-label="Drying"]');
  const setId = () => new URL(scene.page.url()).pathname.split('/').at(-1)!;
  // With its day, where that is another one: late in the evening it dries tomorrow.
  const dryAbout = async () => /Dry about (.+?), between/.exec(await words())?.[1];

  it('what is begun, given longer and stopped bends the forecast at once, here and on the server', async () => {
    await see(scene.page, 'sure every root is dry now');
    const planned = await dryAbout();
    await scene.page.keyboard.press('h');
    await press(scene.page, 'Warm hood: begin');
    await dialogGone();
    await see(scene.page, 'Under the hood on warm since');
    await seeGone(scene.page, 'Working out the new time');
    await press(scene.page, 'How it dries H');
    const until = () => textOf(scene.page, '[role="dialog"] p');
    const before = await until();
    await press(scene.page, '15 min more');
    await dialogGone();
    await press(scene.page, 'How it dries H');
    expect(await until()).not.toBe(before);
    // Stopped at once, the hood was as good as not there: in the open it takes far longer.
    await press(scene.page, 'Stop');
    await press(scene.page, 'Close');
    await seeGone(scene.page, 'Under the hood on warm since');
    await scene.page.waitForFunction(
      (was) => {
        const now = document.querySelector('section[aria-label="Drying"]')?.textContent ?? '';
        return !now.includes('Working out') && !now.includes(`Dry about ${was}, between`);
      },
      {},
      planned!,
    );
    const inTheOpen = await dryAbout();
    await scene.page.waitForFunction(() => document.querySelector('[role="status"]')?.textContent === 'kept');
    // The server forecasts the same drying.
    await scene.page.reload({ waitUntil: 'networkidle2' });
    expect(await dryAbout()).toBe(inTheOpen);
    const { rows } = await scene.database.client.execute({
      sql: "select kind, step, minutes from set_events where set_id = ? and kind like 'dry-%' order by sequence",
      args: [setId()],
    });
    expect(rows.map(({ kind, step }) => [kind, step])).toEqual([
      ['dry-begun', 'hood-warm'],
      ['dry-begun', 'hood-warm'],
      ['dry-stopped', null],
    ]);
  });

  it('says what would make it dry by a time, and begins that', async () => {
    await press(scene.page, 'How it dries H');
    await see(scene.page, 'What would make it dry by');
    await scene.page.click('::-p-xpath(//*[@role="dialog"]//p/button[last()])');
    await scene.page.waitForSelector('[role="dialog"] [role="status"] p');
    expect(await textOf(scene.page, '[role="dialog"] [role="status"]')).toMatch(
      /Nothing more is needed: .* sure by|from now makes it .* as it goes on now it is/,
    );
    await press(scene.page, 'Close');
  });

  it('the air that was measured bends it, by hand or by a sensor of the room', async () => {
    const about = async () => /Dry about [^.]*/.exec(await words())?.[0];
    const before = await about();
    await press(scene.page, 'How it dries H');
    await see(scene.page, 'No sensor is heard');
    await fill(scene.page, 'Humidity, %', '85');
    await scene.page.keyboard.press('Enter');
    await see(scene.page, 'As measured');
    // A page beside it pretends to be a thermometer and a hygrometer.
    const sensor = await scene.page.browserContext().newPage();
    await sensor.goto(`${scene.origin}/scale`, { waitUntil: 'load' });
    await fill(sensor, 'Its humidity, really, %', '60');
    await sensor.keyboard.press('Enter');
    await scene.page.bringToFront();
    const said = await scene.page.waitForSelector('::-p-xpath(//button[contains(., "The sensor says")])');
    expect(await said!.evaluate((button) => button.textContent)).toMatch(/(19|2\d) °C, (5[6-9]|6[0-4]) %/);
    await sensor.close();
    await press(scene.page, 'Close');
    await seeGone(scene.page, 'Working out the new time');
    const damp = await about();
    expect(damp).not.toBe(before);
    await scene.page.waitForFunction(() => document.querySelector('[role="status"]')?.textContent === 'kept');
    await scene.page.reload({ waitUntil: 'networkidle2' });
    expect(await about()).toBe(damp);
  });

  it('every drying head stands on one screen, what wants hands next first', async () => {
    await scene.page.goto(`${scene.origin}/chair`, { waitUntil: 'networkidle2' });
    const lines = await scene.page.$$eval('ol li a', (all) =>
      all.map((line) => (line as HTMLElement).innerText),
    );
    expect(lines.length).toBeGreaterThan(1);
    for (const line of lines)
      expect(line).toMatch(/sure it is dry[\s\S]*(Feel \d|Begin at|time is up|not begun)/);
    const due = await scene.page.$$eval('ol li', (all) => all.map((line) => line.dataset.due));
    expect(due).toEqual([...due].sort().reverse());
  });
});

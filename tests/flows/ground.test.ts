import type { HTTPRequest, Page } from 'puppeteer-core';
import { describe, expect, it } from 'vitest';
import { cutOff, DESK, openPage } from '../support/browser';
import { crowd } from '../support/crowd';
import {
  arrive,
  choose,
  fill,
  forecastSettles,
  openStep,
  planFor,
  press,
  see,
  seeGone,
  textOf,
} from '../support/hands';
import { roadTo } from '../support/road';
import { setScene } from '../support/scene';

const scene = setScene('demo');

const go = (path: string, page: Page = scene.page) =>
  page.goto(scene.origin + path, { waitUntil: 'networkidle2' });
const kept = (page: Page) =>
  page.waitForFunction(() =>
    [...document.querySelectorAll('[role="status"]')].some((own) => own.textContent === 'kept'),
  );
const one = async (sql: string, args: (string | number)[] = []) =>
  (await scene.database.client.execute({ sql, args })).rows[0];
const count = async (sql: string, args: string[] = []) => Number((await one(sql, args))?.n);
const idOf = (page: Page) => new URL(page.url()).pathname.split('/').at(-1)!;
const newPlan = async (page: Page, name: string) => {
  await go('/plan', page);
  await planFor(page, name);
  await arrive(page, /^\/plan\/.+/);
  await page.waitForSelector('[data-section="18"]');
  return idOf(page);
};

describe('a plan taken to the chair', () => {
  it('is one set after Back, in two tabs, and its products are taken once', async () => {
    const id = await newPlan(scene.page, 'Amara');
    const second = await openPage(scene.browser, DESK);
    await go(`/plan/${id}`, second.page);
    await press(scene.page, 'Take to the chair');
    await arrive(scene.page, /^\/chair\//);
    const setId = idOf(scene.page);
    await scene.page.goBack();
    await arrive(scene.page, /^\/plan\//);
    await press(scene.page, 'Go to the chair');
    await arrive(scene.page, /^\/chair\//);
    expect(idOf(scene.page)).toBe(setId);
    await press(second.page, 'Take to the chair');
    await arrive(second.page, /^\/chair\//);
    expect(idOf(second.page)).toBe(setId);
    await second.page.close();
    expect(await count('select count(*) as n from sets where plan_id = ?', [id])).toBe(1);
    await go(`/open/${id}`);
    await arrive(scene.page, /^\/chair\//);
  });

  it('leaves no button dead when the connection is lost', async () => {
    await newPlan(scene.page, 'Maren');
    await kept(scene.page);
    await cutOff(scene.page, async () => {
      await press(scene.page, 'Take to the chair');
      await see(scene.page, 'No connection');
    });
    await press(scene.page, 'Take to the chair');
    await arrive(scene.page, /^\/chair\//);
  });

  it('begun by mistake is cancelled and brought back, with its taps', async () => {
    await newPlan(scene.page, 'Maren');
    await kept(scene.page);
    await press(scene.page, 'Take to the chair');
    await arrive(scene.page, /^\/chair\//);
    const setId = idOf(scene.page);
    await scene.page.waitForSelector('section[aria-label="Now"]');
    await scene.page.keyboard.press('Space');
    await scene.page.keyboard.press('Space');
    await kept(scene.page);
    await go(`/sets/${setId}`);
    await press(scene.page, 'Begun by mistake?');
    await see(scene.page, '2 sections are marked done');
    await press(scene.page, 'Cancel the set');
    await see(scene.page, 'This set was cancelled');
    await go('/sets?list=cancelled');
    await see(scene.page, 'cancelled');
    await go('/');
    expect(await scene.page.$$(`main a[href="/chair/${setId}"]`)).toEqual([]);
    await go(`/sets/${setId}`);
    await press(scene.page, 'Undo: bring it back');
    await seeGone(scene.page, 'This set was cancelled');
    expect(await count('select count(*) as n from set_events where set_id = ?', [setId])).toBe(2);
  });
});

describe('a tap that the server will not take', () => {
  it('is shown on every page, over a reload too, until somebody decides', async () => {
    await newPlan(scene.page, 'Maren');
    await kept(scene.page);
    await press(scene.page, 'Take to the chair');
    await arrive(scene.page, /^\/chair\//);
    const setId = idOf(scene.page);
    await scene.page.waitForSelector('section[aria-label="Now"]');
    // The set is deleted elsewhere while it is in the chair.
    const rename = async (from: string, to: string) => {
      await scene.database.client.execute('pragma foreign_keys = off');
      await scene.database.client.execute({ sql: 'update sets set id = ? where id = ?', args: [to, from] });
      await scene.database.client.execute('pragma foreign_keys = on');
    };
    await rename(setId, 'gone');
    await scene.page.keyboard.press('Space');
    await see(scene.page, 'this set is not here any more');
    await go('/heads');
    await see(scene.page, 'this set is not here any more');
    await scene.page.reload({ waitUntil: 'networkidle2' });
    await see(scene.page, 'Section 1 done');
    await rename('gone', setId);
    await press(scene.page, 'Send again');
    await seeGone(scene.page, 'Section 1 done');
    const sent = async () =>
      count("select count(*) as n from set_events where set_id = ? and kind = 'section-done'", [setId]);
    for (let i = 0; i < 40 && (await sent()) === 0; i++) await new Promise((wait) => setTimeout(wait, 250));
    expect(await sent()).toBe(1);
  });
});

describe('a page of the chair', () => {
  it('learns what reached the server after it was made, once it is there and when it is looked at again', async () => {
    await newPlan(scene.page, 'Maren');
    await kept(scene.page);
    await press(scene.page, 'Take to the chair');
    await arrive(scene.page, /^\/chair\//);
    const setId = idOf(scene.page);
    await scene.page.waitForSelector('section[aria-label="Now"]');
    const address = `${scene.origin}/api/v1/sets/${setId}/events`;
    const tapElsewhere = (id: string, sectionNumber: number) =>
      fetch(address, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({
          format: 1,
          deviceId: 'another',
          events: [{ id, number: sectionNumber, kind: 'section-done', atMs: Date.now(), sectionNumber }],
        }),
      });
    const isDone = (section: number) =>
      scene.page.waitForSelector(`[data-section="${section}"][data-state="done"]`);
    await tapElsewhere('elsewhere-1', 5);
    await scene.page.evaluate(() => document.dispatchEvent(new Event('visibilitychange')));
    await isDone(5);
    // What comes in after the server made a page and before the page runs: the last page's own taps, often.
    const { identifier } = await scene.page.evaluateOnNewDocument((to) => {
      if (location.pathname.startsWith('/chair/')) {
        const sent = new XMLHttpRequest();
        sent.open('POST', to, false);
        sent.setRequestHeader('content-type', 'application/json');
        const event = {
          id: 'elsewhere-2',
          number: 2,
          kind: 'section-done',
          atMs: Date.now(),
          sectionNumber: 7,
        };
        sent.send(JSON.stringify({ format: 1, deviceId: 'another', events: [event] }));
      }
    }, address);
    await scene.page.reload({ waitUntil: 'networkidle2' });
    await isDone(7);
    await scene.page.removeScriptToEvaluateOnNewDocument(identifier);
    const after = async (place: string) => {
      const answer = await fetch(`${address}?after=${place}`);
      return { status: answer.status, body: (await answer.json()) as { events?: { sequence: number }[] } };
    };
    expect((await after('1')).body.events!.map(({ sequence }) => sequence)).toEqual([2]);
    expect((await after('2')).body.events).toEqual([]);
    for (const wrong of ['-1', '1.5', 'x']) expect((await after(wrong)).status).toBe(422);
    expect((await fetch(`${scene.origin}/api/v1/sets/nowhere/events`)).status).toBe(404);
  });
});

describe('what was entered wrongly', () => {
  it('a takedown gets its right time, is taken back, and both are undone', async () => {
    await go('/wear');
    await press(scene.page, 'Keziah', 'link');
    await arrive(scene.page, /^\/wear\//);
    const setId = idOf(scene.page);
    await go(`/sets/${setId}`);
    const takenDown = async () =>
      Number((await one('select taken_down_at_ms as n from sets where id = ?', [setId]))!.n);
    const before = await takenDown();
    await press(scene.page, 'Another time for: Taken down');
    const field = 'Right time for: Taken down';
    const shown = await scene.page.$eval(
      `::-p-aria([name="${field}"])`,
      (input) => (input as HTMLInputElement).value,
    );
    await choose(scene.page, field, `${shown.slice(0, 14)}07`);
    await press(scene.page, 'Keep');
    await see(scene.page, 'its time is corrected');
    expect(new Date(await takenDown()).getUTCMinutes()).toBe(7);
    await press(scene.page, 'Undo');
    await see(scene.page, 'Taken back: the corrected time');
    expect(await takenDown()).toBe(before);
    await press(scene.page, 'Take back: Taken down');
    await see(scene.page, 'Taken back: taken down');
    await see(scene.page, 'To the chair');
    await press(scene.page, 'Undo');
    await see(scene.page, 'Days of wear');
    expect(await takenDown()).toBe(before);
  });

  it('taken down damp, days and definition follow it on every page; at its right time they are as they were', async () => {
    await newPlan(scene.page, 'Maren');
    await kept(scene.page);
    await press(scene.page, 'Take to the chair');
    await arrive(scene.page, /^\/chair\//);
    const setId = idOf(scene.page);
    const address = `${scene.origin}/api/v1/sets/${setId}/events`;
    const startedAtMs = Date.now() - 30 * 3_600_000;
    await scene.database.client.execute({
      sql: 'update sets set started_at_ms = ? where id = ?',
      args: [startedAtMs, setId],
    });
    const at = (hours: number) => Math.round(startedAtMs + hours * 3_600_000);
    const send = async (kind: string, hours: number, more: object = {}) => {
      const event = { id: crypto.randomUUID(), number: 1, kind, atMs: at(hours), ...more };
      const answer = await fetch(address, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ format: 1, deviceId: 'damp', events: [event] }),
      });
      const { verdicts } = (await answer.json()) as { verdicts: { kept: boolean }[] };
      expect(verdicts).toMatchObject([{ kept: true }]);
      return event.id;
    };
    await send('section-done', 1, { sectionNumber: 1 });
    await send('installed', 1);
    const down = await send('taken-down', 4);
    await go(`/wear/${setId}`);
    await see(scene.page, 'days, definition and frizz follow that');
    const lasts = async () => /(\d+) to (\d+) days/.exec(await textOf(scene.page, 'main'))?.[0];
    const damp = await lasts();
    await go(`/sets/${setId}`);
    await see(scene.page, 'days, definition and frizz follow that');
    await go('/wear');
    const listed = await scene.page.$eval(
      `a[href="/wear/${setId}"]`,
      (link) => link.closest('article')!.innerText,
    );
    expect(listed).toContain(damp!.replace(' days', ''));
    await send('moved', 28, { of: [down], toMs: at(28) });
    await go(`/wear/${setId}`);
    await see(scene.page, 'most likely');
    expect(await textOf(scene.page, 'main')).not.toContain('days, definition and frizz follow that');
    expect(await lasts()).not.toBe(damp);
  });

  it('a giving up is corrected and taken back', async () => {
    await go('/sets?list=ended&q=pool');
    await press(scene.page, '20 twists', 'link');
    await arrive(scene.page, /^\/sets\/.+/);
    await press(scene.page, 'Not given up after all');
    await see(scene.page, 'it is worn on');
    await press(scene.page, 'Undo');
    await see(scene.page, 'Last good day: day 2');
  });

  it('a set done elsewhere is written down, counts for days, and says what nobody saw', async () => {
    await go('/sets/new');
    await choose(scene.page, 'What was done', 'braid');
    await choose(scene.page, 'Begun', '2026-03-02T18:00');
    await choose(scene.page, 'Set finished', '2026-03-02T17:00');
    await choose(scene.page, 'Taken down', '2026-03-03T09:00');
    await scene.page.click('::-p-aria([name="It is over already"])');
    await choose(scene.page, 'Last day she was happy with it', '2026-03-07');
    await choose(scene.page, 'Why', 'frizz');
    await press(scene.page, 'Write it down');
    await see(scene.page, 'This is before what comes before it');
    await scene.page.reload({ waitUntil: 'networkidle2' });
    await scene.page.waitForFunction(() =>
      document.querySelector<HTMLSelectElement>('select')?.form?.innerText.includes('Last day she was'),
    );
    await choose(scene.page, 'Set finished', '2026-03-02T20:00');
    await press(scene.page, 'Write it down');
    await arrive(scene.page, /^\/sets\/[^n]/);
    await see(scene.page, 'Entered later');
    const rows = await scene.page.$$eval('tbody tr', (all) =>
      all.map((row) => (row as HTMLElement).innerText),
    );
    expect(rows.find((row) => row.includes('Days presentable'))).toContain('4 days');
    expect(rows.find((row) => row.includes('Setting it'))).toContain('not recorded');
  });

  it('is done again from its page with its products and parting', async () => {
    const [row] = (
      await scene.database.client.execute(
        `select id, layer_product_ids as products from sets where layer_product_ids <> '[]' and ended_at_ms is not null limit 1`,
      )
    ).rows;
    await go(`/sets/${String(row!.id)}`);
    await press(scene.page, 'Do it again');
    await arrive(scene.page, /^\/plan\/.+/);
    const plan = await one('select layer_product_ids as products from plans where id = ?', [
      idOf(scene.page),
    ]);
    expect(plan!.products).toBe(row!.products);
  });
});

describe('a head', () => {
  it('is put away and brought back, merged and parted', async () => {
    await go('/heads');
    await press(scene.page, 'Solveig', 'link');
    await arrive(scene.page, /^\/heads\/.+/);
    const page = scene.page.url();
    expect(await scene.page.title()).toBe('Solveig · Keen Spiral');
    await press(scene.page, 'Put away');
    await see(scene.page, 'Solveig is put away');
    await press(scene.page, 'Undo');
    await see(scene.page, 'Solveig is back');
    await press(scene.page, 'Merge with another entry');
    const ife = await scene.page.waitForSelector(
      '::-p-xpath(//*[@role="dialog"]//option[starts-with(., "Ife")])',
    );
    const other = await ife!.evaluate((option) => (option as HTMLOptionElement).value);
    await choose(scene.page, 'The other entry', other);
    await press(scene.page, 'Merge Ife into Solveig');
    await see(scene.page, 'Ife is merged into Solveig');
    expect(await count('select count(*) as n from sets where head_id = ?', [other])).toBe(0);
    await scene.page.goto(page, { waitUntil: 'networkidle2' });
    await press(scene.page, 'Part them again');
    await seeGone(scene.page, 'was merged into this');
    expect(await count('select count(*) as n from sets where head_id = ?', [other])).toBeGreaterThan(0);
  });

  it('is deleted for good only after its name is typed, and nothing of it is left', async () => {
    await go('/heads/new');
    await fill(scene.page, 'Name', 'Zzyzx Unforgettable');
    for (const zone of ['Front', 'Crown', 'Left side', 'Right side', 'Back', 'Nape'])
      await fill(scene.page, `${zone}, cm`, '20');
    await press(scene.page, 'Keep this head');
    await arrive(scene.page, /^\/heads\/[a-z0-9]{20,}$/);
    const id = idOf(scene.page);
    await press(scene.page, 'Delete for good');
    await see(scene.page, 'This cannot be undone');
    const confirm = '[role="dialog"] button.MuiButton-contained';
    expect(await scene.page.$eval(confirm, (button) => (button as HTMLButtonElement).disabled)).toBe(true);
    await fill(scene.page, 'Type “Zzyzx Unforgettable” to go on', 'Zzyzx Unforgettable');
    await scene.page.click(confirm);
    await arrive(scene.page, /^\/heads$/);
    expect(await count('select count(*) as n from head_measurements where head_id = ?', [id])).toBe(0);
    await go(`/heads/${id}`);
    await see(scene.page, 'This is not here');
  });
});

describe('typed work', () => {
  const title = (page: Page) =>
    page.$eval('::-p-aria([name="Name of the plan"])', (input) => (input as HTMLInputElement).value);

  it('the last change of a plan is kept over a reload at once, and over a link', async () => {
    const id = await newPlan(scene.page, 'Amara');
    await fill(scene.page, 'Name of the plan', 'Changed and reloaded');
    await scene.page.reload({ waitUntil: 'networkidle2' });
    await scene.page.waitForFunction(
      () => document.querySelector<HTMLInputElement>('input')?.value === 'Changed and reloaded',
    );
    await kept(scene.page);
    await fill(scene.page, 'Name of the plan', 'Changed and left');
    await press(scene.page, 'Heads', 'link');
    await arrive(scene.page, /^\/heads$/);
    await scene.page.goBack();
    await arrive(scene.page, /^\/plan\/.+/);
    await scene.page.waitForFunction(
      () => document.querySelector<HTMLInputElement>('input')?.value === 'Changed and left',
    );
    for (let i = 0; i < 40; i++) {
      if ((await one('select title from plans where id = ?', [id]))!.title === 'Changed and left') break;
      await new Promise((wait) => setTimeout(wait, 250));
    }
    expect((await one('select title from plans where id = ?', [id]))!.title).toBe('Changed and left');
    expect(await scene.page.evaluate(() => document.body.innerText)).not.toContain('changed in another tab');
  });

  it('what this device sent itself, whose answer never came, is no other tab’s change', async () => {
    const id = await newPlan(scene.page, 'Amara');
    await kept(scene.page);
    // Answers to what is kept stay on the way.
    const client = await scene.page.createCDPSession();
    let withheld = 0;
    client.on('Fetch.requestPaused', ({ requestId, request }) => {
      if (request.method === 'POST') withheld++;
      else void client.send('Fetch.continueResponse', { requestId });
    });
    await client.send('Fetch.enable', { patterns: [{ urlPattern: '*/plan/*', requestStage: 'Response' }] });
    await fill(scene.page, 'Name of the plan', 'Half typed');
    for (let i = 0; withheld === 0; i++) {
      expect(i).toBeLessThan(200);
      await new Promise((wait) => setTimeout(wait, 50));
    }
    expect((await one('select title from plans where id = ?', [id]))!.title).toBe('Half typed');
    await fill(scene.page, 'Name of the plan', 'Typed to its end');
    await client.send('Fetch.disable');
    await scene.page.reload({ waitUntil: 'networkidle2' });
    await scene.page.waitForFunction(
      () => document.querySelector<HTMLInputElement>('input')?.value === 'Typed to its end',
    );
    await kept(scene.page);
    expect(await scene.page.$('::-p-text(another tab)')).toBeNull();
    expect((await one('select title from plans where id = ?', [id]))!.title).toBe('Typed to its end');
  });

  it('a page asked for just before a change was kept shows the change all the same', async () => {
    const id = await newPlan(scene.page, 'Amara');
    await kept(scene.page);
    const road = await roadTo(scene.origin);
    const { page } = await openPage(scene.browser, DESK);
    await page.goto(`${road.origin}/plan/${id}`, { waitUntil: 'networkidle2' });
    const held = new Promise<void>((onPage) => Object.assign(road, { onPage }));
    let letGo = (): void => undefined;
    road.hold = new Promise<void>((go) => (letGo = go));
    const answered = page.waitForResponse((response) => response.request().method() === 'POST');
    await fill(page, 'Name of the plan', 'Kept on the way');
    const reloaded = page.reload({ waitUntil: 'networkidle2' });
    // The server has answered with the page as it was; then the change is kept, and only then that page arrives.
    await held;
    await answered;
    letGo();
    await reloaded;
    await page.waitForFunction(
      () => document.querySelector<HTMLInputElement>('input')?.value === 'Kept on the way',
    );
    await page.close();
    road.close();
  });

  it('a change made while the server cannot be reached is there after the tab was closed', async () => {
    const id = idOf(scene.page);
    const tab = await scene.page.browserContext().newPage();
    await go(`/plan/${id}`, tab);
    await kept(tab);
    await cutOff(tab, async () => {
      await fill(tab, 'Name of the plan', 'Kept on the device');
      await see(tab, 'no connection');
      await tab.close();
    });
    await go(`/plan/${id}`);
    await scene.page.waitForFunction(
      () => document.querySelector<HTMLInputElement>('input')?.value === 'Kept on the device',
    );
    await kept(scene.page);
    expect(await title(scene.page)).toBe('Kept on the device');
  });

  it('a form of a head comes back after a reload, and is dropped on request', async () => {
    await go('/heads/new');
    await fill(scene.page, 'Name', 'Half typed');
    await scene.page.reload({ waitUntil: 'networkidle2' });
    await see(scene.page, 'did not save is back');
    expect(
      await scene.page.$eval('::-p-aria([name="Name"])', (input) => (input as HTMLInputElement).value),
    ).toBe('Half typed');
    await press(scene.page, 'Drop it');
    await scene.page.waitForFunction(
      () => document.querySelector<HTMLInputElement>('input[name="name"]')?.value === '',
    );
  });

  it('a plan put aside is listed and taken back; drafts to compare are chosen', async () => {
    const ids: string[] = [];
    for (let i = 0; i < 4; i++) ids.push(await newPlan(scene.page, 'Maren'));
    await go(`/plan/${ids[3]}/beside`);
    await see(scene.page, 'stand');
    expect(await scene.page.$$eval('fieldset input:checked', (all) => all.length)).toBe(2);
    await scene.page.click('fieldset input:checked');
    await scene.page.waitForFunction(() => document.querySelectorAll('fieldset input:checked').length === 1);
    await scene.database.client.execute({
      sql: `update plans set status = 'aside' where id = ?`,
      args: [ids[0]!],
    });
    await go('/plan?list=aside');
    const take = await scene.page.waitForSelector('main article button');
    await take!.click();
    await see(scene.page, 'Nothing is put aside');
  });
});

describe('one number on every screen', () => {
  it('when it is dry stands alike on desk, comparison and sheet; hands-on parts make up their sum', async () => {
    const id = await newPlan(scene.page, 'Amara');
    await openStep(scene.page, 'Drying');
    await choose(scene.page, 'Step 1', 'bonnet');
    await kept(scene.page);
    await forecastSettles(scene.page);
    const desk = await textOf(scene.page, 'section[aria-label="Forecast"] strong');
    const note = await textOf(scene.page, 'section[aria-label="Forecast"] strong + span');
    const hands = await scene.page.$eval(
      'section[aria-label="Forecast"] dl > div',
      (own) => (own as HTMLElement).innerText,
    );
    const minutes = (words: string) => {
      const [, h = '0', m = '0'] = /(?:(\d+) h)? ?(?:(\d+))?/.exec(words.trim()) ?? [];
      return Number(h) * 60 + Number(m);
    };
    const [, sum] = hands.split('\n');
    const parts = [...hands.matchAll(/(?:set|undo|separate) ((?:\d+ h ?)?\d*)/g)].map((own) =>
      minutes(own[1]!),
    );
    expect(parts.reduce((total, own) => total + own, 0)).toBe(minutes(sum!));
    await go(`/plan/${id}/beside`);
    const compare = await textOf(scene.page, 'main');
    const [day, range] = note.split('; ');
    expect(compare).toContain(`${day}, ${desk}, ${range}`);
    const sheet = await (await fetch(`${scene.origin}/plan/${id}/sheet/a4.svg`)).text();
    expect(sheet.replace(/<[^>]+>/g, ' ').replace(/\s+/g, ' ')).toContain(`${day}, ${desk}`);
  });
});

describe('the studio', () => {
  it('takes another clock and units, and they are shown everywhere', async () => {
    await go('/studio');
    await choose(scene.page, 'Clock', '12');
    await choose(scene.page, 'Dates', 'month-first');
    await choose(scene.page, 'Lengths and rods', 'in');
    await choose(scene.page, 'Time zone', 'America/Chicago');
    await press(scene.page, 'Keep');
    await see(scene.page, 'Kept');
    await see(scene.page, 'This device is set to');
    await go('/heads');
    await press(scene.page, 'Amara', 'link');
    await see(scene.page, ' in');
    expect(await textOf(scene.page, 'main')).toMatch(/\d+( \d+\/16|[⅛¼⅜½⅝¾⅞])? in/);
    await go('/');
    expect(await textOf(scene.page, 'main header')).toMatch(/\d{1,2}:\d\d (am|pm)/);
    await go('/studio');
    for (const [name, value] of [
      ['Clock', '24'],
      ['Dates', 'day-first'],
      ['Lengths and rods', 'cm'],
      ['Time zone', 'Europe/Lisbon'],
    ] as const)
      await choose(scene.page, name, value);
    await press(scene.page, 'Keep');
    await see(scene.page, 'Kept');
  });

  it('tells a second tab that it was changed meanwhile', async () => {
    const other = await openPage(scene.browser);
    await go('/studio', other.page);
    await fill(scene.page, 'Name', 'Fernhollow');
    await press(scene.page, 'Keep');
    await see(scene.page, 'Kept');
    await fill(other.page, 'Name', 'Another');
    await press(other.page, 'Keep');
    await see(other.page, 'changed somewhere else');
    await other.page.close();
  });

  it('puts the demo aside for one’s own, and brings it back', async () => {
    await go('/studio');
    await fill(scene.page, 'Name of your studio', 'My own chair');
    await press(scene.page, 'Start with my own studio');
    await arrive(scene.page, /^\/$/);
    await see(scene.page, 'Welcome');
    await go('/studio');
    await press(scene.page, 'Look at the demo studio');
    await see(scene.page, 'Drying now');
    await go('/studio');
    await see(scene.page, 'My own chair');
  });
});

describe('lists of a large studio', () => {
  it('stay under 200 kB with 206 heads and 1,000 sets, and are searched and paged', async () => {
    await crowd(scene.database, 206, 1000);
    for (const path of ['/', '/heads', '/plan', '/sets', '/chair', '/wear']) {
      const html = await (await fetch(scene.origin + path)).text();
      expect(html.length, path).toBeLessThan(200_000);
    }
    await go('/heads');
    await see(scene.page, '1 to 24 of 20');
    // A page of two dozen links asks for none of theirs; the one that is followed is asked for once.
    const asked: string[] = [];
    const note = (request: HTTPRequest) => {
      if (request.url().includes('_rsc=')) asked.push(new URL(request.url()).pathname);
    };
    scene.page.on('request', note);
    await go('/heads');
    await see(scene.page, '1 to 24 of 20');
    expect(asked).toEqual([]);
    await press(scene.page, 'After ›', 'link');
    await see(scene.page, '25 to 48 of');
    scene.page.off('request', note);
    expect(asked).toEqual(['/heads']);
    await fill(scene.page, 'Find a name, a word, a caution', 'Maren 1');
    await scene.page.keyboard.press('Enter');
    await scene.page.waitForFunction(() => location.search.includes('q=Maren'));
    await see(scene.page, 'Maren 1');
    expect(
      scene.problems.filter((own) => !own.includes('ERR_INTERNET_DISCONNECTED') && !own.includes('404')),
    ).toEqual([]);
  });
});

// Last: the file behind the scene's own connection is another one after this.
describe('copies', () => {
  it('takes a copy now and puts it back; what was there is kept beside it', async () => {
    await go('/studio');
    await press(scene.page, 'Take a copy now');
    await scene.page.waitForFunction(() =>
      [...document.querySelectorAll('[role="status"]')].some((own) => own.textContent === 'A copy is taken'),
    );
    await go('/heads/new');
    await fill(scene.page, 'Name', 'After the copy');
    for (const zone of ['Front', 'Crown', 'Left side', 'Right side', 'Back', 'Nape'])
      await fill(scene.page, `${zone}, cm`, '20');
    await press(scene.page, 'Keep this head');
    await arrive(scene.page, /^\/heads\/[a-z0-9]{20,}$/);
    await go('/studio');
    await press(scene.page, 'Put back');
    await press(scene.page, 'Put it back');
    await see(scene.page, 'What was there is kept as');
    await go('/heads?q=After');
    await see(scene.page, 'Nobody here matches');
  });
});

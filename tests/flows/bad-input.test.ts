import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { launchBrowser, openPage } from '../support/browser';
import { arrive, choose, fill, press, see } from '../support/hands';
import { startServer, type TestServer } from '../support/server';

let server: TestServer;
let browser: Browser;
let page: Page;
let problems: string[];

beforeAll(async () => {
  server = await startServer('demo');
  browser = await launchBrowser();
  ({ page, problems } = await openPage(browser));
});
afterAll(async () => {
  await browser?.close();
  await server?.stop();
});

const hrefs = (path: RegExp) =>
  page.$$eval(
    'main a',
    (links, source) =>
      links.map((a) => a.getAttribute('href') ?? '').filter((href) => new RegExp(source).test(href)),
    path.source,
  );
const openStep = (title: string) =>
  page.evaluate((wanted) => {
    [...document.querySelectorAll<HTMLButtonElement>('ol button[aria-expanded="false"]')]
      .find((button) => button.textContent?.startsWith(wanted))
      ?.click();
  }, title);
const kept = (on: Page) =>
  on.waitForFunction(() => document.querySelector('[role="status"]')?.textContent === 'kept', {
    timeout: 15_000,
  });

describe('an unfinished or impossible form', () => {
  it('says what is missing, keeps what was typed, and saves nothing', async () => {
    await page.goto(`${server.origin}/heads/new`, { waitUntil: 'networkidle0' });
    await fill(page, 'Name', 'Half done');
    await fill(page, 'Crown, cm', '0');
    await fill(page, 'Own coil, across, mm', '5');
    await press(page, 'Keep this head');
    await see(page, 'Measure the nape');
    await see(page, 'crown: 1 to 120 cm');
    expect(await page.$eval('::-p-aria([name="Name"])', (input) => (input as HTMLInputElement).value)).toBe(
      'Half done',
    );
    expect(
      await page.$eval('::-p-aria([name="Crown, cm"])', (input) => (input as HTMLInputElement).value),
    ).toBe('0');
    await page.goto(`${server.origin}/heads`, { waitUntil: 'networkidle0' });
    expect(await page.evaluate(() => document.body.innerText)).not.toContain('Half done');
  });

  it('reads inches where inches are chosen, and keeps the same length', async () => {
    await page.goto(`${server.origin}/heads/new`, { waitUntil: 'networkidle0' });
    await fill(page, 'Crown, cm', '25.4');
    await press(page, 'cm, change to inches');
    await page.waitForSelector('::-p-aria([name="Crown, in"])');
    expect(
      await page.$eval('::-p-aria([name="Crown, in"])', (input) => (input as HTMLInputElement).value),
    ).toBe('10');
    await press(page, 'in, change to centimetres');
    expect(
      await page.$eval('::-p-aria([name="Crown, cm"])', (input) => (input as HTMLInputElement).value),
    ).toBe('25.4');
  });
});

describe('a plan with impossible numbers', () => {
  it('refuses 900 sections, 140 % humidity and a rod without diameter, each in words, and forecasts on', async () => {
    await page.goto(`${server.origin}/plan`, { waitUntil: 'networkidle0' });
    await press(page, 'Plan a set for Maren');
    await arrive(page, /^\/plan\/.+/);
    await page.waitForSelector('[data-section="18"]');
    await openStep('Sections');
    await fill(page, 'Sections', '900');
    await see(page, 'Sections: 2 to 600');
    expect(await page.$$eval('[data-section]', (all) => all.length)).toBe(18);
    await openStep('Room and weather');
    await fill(page, 'Humidity indoors, %', '140');
    await see(page, 'Humidity indoors: 0 to 100 %');
    await openStep('Look');
    await page.click('input[value="rod-set"]');
    await page.waitForSelector('[data-section="30"]');
    await openStep('Rigid rod');
    await page.click('input[value="other"]');
    await fill(page, 'Diameter, mm', '0');
    await see(page, 'Diameter: 3 to 80 mm');
    expect(await page.$$eval('[data-section]', (all) => all.length)).toBe(30);
    await kept(page);
  });

  it('goes up a rod size when the hair does not fit', async () => {
    await fill(page, 'Diameter, mm', '5');
    await see(page, 'does not fit in one layer'.replace('d', 'D'));
    await page.waitForFunction(() =>
      [...document.querySelectorAll('button')].some((b) => b.textContent?.startsWith('Go up to')),
    );
  });
});

describe('two tabs on one plan', () => {
  it('the second is told, keeps what it has, and chooses', async () => {
    await page.goto(`${server.origin}/plan`, { waitUntil: 'networkidle0' });
    const [plan] = await hrefs(/^\/plan\/.+/);
    await page.goto(server.origin + plan, { waitUntil: 'networkidle0' });
    const other = await openPage(browser);
    await other.page.goto(server.origin + plan, { waitUntil: 'networkidle0' });
    await fill(page, 'Name of the plan', 'From the first tab');
    await kept(page);
    await fill(other.page, 'Name of the plan', 'From the second tab');
    await see(other.page, 'This plan was changed in another tab');
    const title = (on: Page) =>
      on.$eval('input[aria-label="Name of the plan"]', (input) => (input as HTMLInputElement).value);
    expect(await title(other.page)).toBe('From the second tab');
    await press(other.page, 'Take the other');
    await other.page.waitForFunction(
      () =>
        document.querySelector<HTMLInputElement>('input[aria-label="Name of the plan"]')?.value ===
        'From the first tab',
    );
    await press(other.page, 'Undo');
    expect(await title(other.page)).toBe('From the second tab');
    await kept(other.page);
    await page.reload({ waitUntil: 'networkidle0' });
    expect(await title(page)).toBe('From the second tab');
    await other.page.close();
  });
});

describe('a wear entry that cannot be', () => {
  it('before the set, in the future or unrated is refused in words, and nothing entered is lost', async () => {
    await page.goto(`${server.origin}/wear`, { waitUntil: 'networkidle0' });
    const [wear] = await hrefs(/^\/wear\/.+/);
    await page.goto(server.origin + wear, { waitUntil: 'networkidle0' });
    await press(page, 'Keep this day');
    await see(page, 'Rate definition, frizz, volume, moisture, shine too');
    for (const scale of ['Definition', 'Frizz', 'Volume', 'Moisture', 'Shine']) {
      await page.focus(`::-p-aria([name="${scale}"][role="slider"])`);
      await page.keyboard.press('7');
    }
    await choose(page, 'Day', '2020-01-01');
    await press(page, 'Keep this day');
    await see(page, 'That day is before the takedown');
    await choose(page, 'Day', '2099-01-01');
    await press(page, 'Keep this day');
    await see(page, 'That day has not come yet');
    expect(await page.$$eval('output', (all) => all.map((output) => output.textContent))).toEqual([
      '7',
      '7',
      '7',
      '7',
      '7',
    ]);
    await press(page, 'It is given up');
    await see(page, 'Say why it was given up');
    expect(problems).toEqual([]);
  });
});

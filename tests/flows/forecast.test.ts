import { readFileSync } from 'node:fs';
import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { planFile, type PlanFile } from '@/core/formats/plan-file';
import { TOPIC_IDS, topicOf } from '@/core/explain/topics';
import { TECHNIQUE_IDS, techniqueOf } from '@/core/techniques';
import { launchBrowser, openPage } from '../support/browser';
import { arrive, choose, fill, press, see, textOf } from '../support/hands';
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

const openStep = (title: string) =>
  page.evaluate((wanted) => {
    [...document.querySelectorAll<HTMLButtonElement>('ol button[aria-expanded="false"]')]
      .find((button) => button.textContent?.startsWith(wanted))
      ?.click();
  }, title);
const sections = () => page.$$eval('[data-section]', (all) => all.length);
const figure = (name: string) =>
  page.evaluate((wanted) => {
    const own = [...document.querySelectorAll('dl dt')].find((dt) => dt.textContent === wanted);
    return own?.parentElement?.querySelector('dd')?.textContent ?? '';
  }, name);
const measure = async (zone: string, cm: number) => fill(page, `${zone}, cm`, String(cm));

describe('a forecast for every technique', () => {
  it('shows any technique with its sections, its figures and a range from drawn heads', async () => {
    await page.goto(`${server.origin}/plan`, { waitUntil: 'networkidle0' });
    await press(page, 'Plan a set for Maren');
    await arrive(page, /^\/plan\/.+/);
    await page.waitForSelector('[data-section="18"]');
    for (const id of TECHNIQUE_IDS.filter((own) => own !== 'two-strand-twist')) {
      const { usualSections, label } = techniqueOf(id);
      await openStep('Look');
      await page.waitForSelector(`input[value="${id}"]`);
      await page.click(`input[value="${id}"]`);
      await page.waitForFunction(
        (wanted) => document.querySelectorAll('[data-section]').length === wanted,
        {},
        usualSections,
      );
      await see(page, label);
      expect(await figure('Hands-on'), id).toMatch(/\d+ (min|h)/);
      expect(await figure('Lasts'), id).toMatch(/\d+ to \d+/);
      expect(await figure('Definition'), id).toMatch(/of 10.*to/);
      expect(await page.evaluate(() => document.body.innerText)).not.toMatch(/NaN|Infinity|undefined/);
    }
    await see(page, 'range from 1,000 possible heads');
  });

  it('shows how far the drawing of heads is, and stops when told', async () => {
    await press(page, 'One section more');
    await page.waitForSelector('progress', { timeout: 20_000 });
    await press(page, 'Stop');
    await page.waitForFunction(() => document.querySelector('progress') === null);
    expect(await page.evaluate(() => document.body.innerText)).not.toContain('range from 1,000');
    await press(page, 'One section fewer');
    await see(page, 'range from 1,000 possible heads');
  });

  it('tells of every number how it is known, by keyboard', async () => {
    const asks = await page.$$eval('button[aria-label$=": how we know"]', (all) =>
      all.map((button) => button.getAttribute('aria-label') ?? ''),
    );
    expect(asks.length).toBeGreaterThanOrEqual(8);
    const titles = new Set<string>();
    for (const ask of asks) {
      await page.focus(`button[aria-label="${ask}"]`);
      await page.keyboard.press('Enter');
      await page.waitForSelector('[role="dialog"] h2');
      titles.add(await textOf(page, '[role="dialog"] h2'));
      await see(page, 'Where it is weak');
      await see(page, 'Figures behind it');
      await page.keyboard.press('Escape');
      await page.waitForFunction(() => document.querySelector('[role="dialog"]') === null);
      expect(await page.evaluate(() => document.activeElement?.getAttribute('aria-label'))).toBe(ask);
    }
    const known = TOPIC_IDS.map((id) => topicOf(id).title);
    for (const title of titles) expect(known).toContain(title);
  });

  it('parts the head in lanes beside a curved part', async () => {
    await openStep('Look');
    await page.click('input[value="flat-twist"]');
    await page.waitForFunction(() => document.querySelectorAll('[data-section]').length === 8);
    await openStep('Sections');
    await choose(page, 'Part it is worn with', 'curved-left');
    await page.waitForFunction(() =>
      document.querySelector('svg[role="group"]')?.getAttribute('aria-label')?.includes('curved left part'),
    );
    await choose(page, 'Pattern', 'radial');
    await page.waitForFunction(() =>
      document.querySelector('ol')?.textContent?.includes('rings round the crown'),
    );
    expect(await sections()).toBe(8);
  });

  it('counts doses in pumps as they were weighed here, and flags too much', async () => {
    await openStep('Layers');
    await page.evaluate(() => document.querySelectorAll('details').forEach((own) => (own.open = true)));
    const pumps = async () =>
      Number(/leave-in [\d.]+ g, ([\d½]+)/.exec(await figure('Product'))?.[1]?.replace('½', '.5'));
    const before = await pumps();
    await fill(page, 'Ten pumps weigh, g', '9');
    await page.waitForFunction(
      (old) => !document.querySelector('dl')?.textContent?.includes(old),
      {},
      `${String(before).replace('.5', '½')} pumps`,
    );
    expect(await pumps()).toBeGreaterThan(before * 1.7);
    await fill(page, 'Leave-in, for the head, g', '150');
    await see(page, 'much for this hair');
    await page.reload({ waitUntil: 'networkidle0' });
    await openStep('Layers');
    await page.evaluate(() => document.querySelectorAll('details').forEach((own) => (own.open = true)));
    expect(
      await page.$eval(
        '::-p-aria([name="Ten pumps weigh, g"])',
        (input) => (input as HTMLInputElement).value,
      ),
    ).toBe('9');
  });
});

describe('a tapered cut', () => {
  it('is told which zones cannot carry braids, and mixes what can be done', async () => {
    await page.goto(`${server.origin}/heads/new`, { waitUntil: 'networkidle0' });
    await fill(page, 'Name', 'Tapered');
    for (const [zone, cm] of [
      ['Front', 16],
      ['Crown', 18],
      ['Left side', 5],
      ['Right side', 5],
      ['Back', 9],
      ['Nape', 3],
    ] as const) {
      await measure(zone, cm);
    }
    await press(page, 'Keep this head');
    await arrive(page, /^\/heads\/[a-z0-9]+$/);
    await press(page, 'Plan a set');
    await arrive(page, /^\/plan\/.+/);
    await page.waitForSelector('[data-section="18"]');
    await openStep('Look');
    await page.click('input[value="braid"]');
    await see(page, '3 cm is too short for braids');
    await openStep('By zone');
    await press(page, 'Comb coils here');
    await page.waitForFunction(() => document.querySelectorAll('[data-section]').length > 20);
    // Both sides are done at once, and the nape is still asked about.
    await see(page, 'Left side coils, right side coils');
    await see(page, '3 cm is too short for braids');
  });
});

describe('the open interface', () => {
  it('answers the brief of the format’s page in full, and the same again', async () => {
    const post = () =>
      fetch(`${server.origin}/api/v1/forecast`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: readFileSync('docs/example-brief.json', 'utf8'),
      });
    const answer = await post();
    expect(answer.status).toBe(200);
    const plan = (await answer.json()) as PlanFile;
    expect(planFile.safeParse(plan).success).toBe(true);
    expect(new Set(plan.sections.map((section) => section.technique))).toEqual(
      new Set(['two-strand-twist', 'comb-coil']),
    );
    expect(plan.drying.dryAfterH.p10).toBeLessThan(plan.drying.dryAfterH.p90);
    expect(await (await post()).json()).toEqual(plan);
  });

  it('left nothing wrong in the page', () => {
    expect(problems).toEqual([]);
  });
});

import type { Page } from 'puppeteer-core';
import { describe, expect, it } from 'vitest';
import { openPage } from '../support/browser';
import { arrive, fill, openStep, press, see, planFor } from '../support/hands';
import { setScene } from '../support/scene';

const scene = setScene('demo');

const hrefs = (path: RegExp) =>
  scene.page.$$eval(
    'main a',
    (links, source) =>
      links.map((a) => a.getAttribute('href') ?? '').filter((href) => new RegExp(source).test(href)),
    path.source,
  );
const kept = (on: Page) =>
  on.waitForFunction(() => document.querySelector('[role="status"]')?.textContent === 'kept');

describe('an unfinished or impossible form', () => {
  it('says what is missing, keeps what was typed, and saves nothing', async () => {
    await scene.page.goto(`${scene.origin}/heads/new`, { waitUntil: 'networkidle2' });
    await fill(scene.page, 'Name', 'Half done');
    await fill(scene.page, 'Crown, cm', '0');
    await fill(scene.page, 'Width of one coil, mm', '5');
    await press(scene.page, 'Keep this head');
    await see(scene.page, 'Measure the nape');
    await see(scene.page, '1 cm to 120 cm; 0 was given');
    expect(
      await scene.page.$eval('::-p-aria([name="Name"])', (input) => (input as HTMLInputElement).value),
    ).toBe('Half done');
    expect(
      await scene.page.$eval('::-p-aria([name="Crown, cm"])', (input) => (input as HTMLInputElement).value),
    ).toBe('0');
    await scene.page.goto(`${scene.origin}/heads`, { waitUntil: 'networkidle2' });
    expect(await scene.page.evaluate(() => document.body.innerText)).not.toContain('Half done');
  });

  it('reads inches where inches are chosen, and keeps the same length', async () => {
    await scene.page.goto(`${scene.origin}/heads/new`, { waitUntil: 'networkidle2' });
    await fill(scene.page, 'Crown, cm', '25.4');
    await press(scene.page, 'cm, change to inches');
    await scene.page.waitForSelector('::-p-aria([name="Crown, in"])');
    expect(
      await scene.page.$eval('::-p-aria([name="Crown, in"])', (input) => (input as HTMLInputElement).value),
    ).toBe('10');
    await press(scene.page, 'in, change to centimetres');
    expect(
      await scene.page.$eval('::-p-aria([name="Crown, cm"])', (input) => (input as HTMLInputElement).value),
    ).toBe('25.4');
  });
});

describe('a plan with impossible numbers', () => {
  it('refuses 900 sections, 140 % humidity and a rod without diameter, each in words, and forecasts on', async () => {
    await scene.page.goto(`${scene.origin}/plan`, { waitUntil: 'networkidle2' });
    await planFor(scene.page, 'Maren');
    await arrive(scene.page, /^\/plan\/.+/);
    await scene.page.waitForSelector('[data-section="18"]');
    await openStep(scene.page, 'Sections');
    await fill(scene.page, 'Sections', '900');
    await see(scene.page, 'Sections: 2 to 600');
    expect(await scene.page.$$eval('[data-section]', (all) => all.length)).toBe(18);
    await openStep(scene.page, 'Room and weather');
    await fill(scene.page, 'Humidity indoors, %', '140');
    await see(scene.page, 'Humidity indoors: 0 to 100 %');
    await openStep(scene.page, 'Look');
    await scene.page.click('input[value="rod-set"]');
    await scene.page.waitForSelector('[data-section="30"]');
    await openStep(scene.page, 'Rigid rod');
    await scene.page.click('input[value="other"]');
    await fill(scene.page, 'Diameter, mm', '0');
    await see(scene.page, 'Diameter: 3 to 80 mm');
    expect(await scene.page.$$eval('[data-section]', (all) => all.length)).toBe(30);
    await kept(scene.page);
  });

  it('goes up a rod size when the hair does not fit', async () => {
    await fill(scene.page, 'Diameter, mm', '5');
    await see(scene.page, 'does not fit in one layer'.replace('d', 'D'));
    await scene.page.waitForFunction(() =>
      [...document.querySelectorAll('button')].some((b) => b.textContent?.startsWith('Go up to')),
    );
  });
});

describe('two tabs on one plan', () => {
  it('the second is told, keeps what it has, and chooses', async () => {
    await scene.page.goto(`${scene.origin}/plan`, { waitUntil: 'networkidle2' });
    const [plan] = await hrefs(/^\/plan\/(?!guide|first).+/);
    await scene.page.goto(scene.origin + plan, { waitUntil: 'networkidle2' });
    const other = await openPage(scene.browser);
    await other.page.goto(scene.origin + plan, { waitUntil: 'networkidle2' });
    await fill(scene.page, 'Name of the plan', 'From the first tab');
    await kept(scene.page);
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
    await scene.page.reload({ waitUntil: 'networkidle2' });
    expect(await title(scene.page)).toBe('From the second tab');
    await other.page.close();
  });
});

const valueOf = (name: string) =>
  scene.page.$eval(`::-p-aria([name="${name}"])`, (input) => (input as HTMLInputElement).value);

describe('a wear entry that cannot be', () => {
  it('is refused in words, nothing entered is lost, and the rest of it is kept once it can be', async () => {
    await scene.page.goto(`${scene.origin}/wear`, { waitUntil: 'networkidle2' });
    const [wear] = await hrefs(/^\/wear\/.+/);
    await scene.page.goto(scene.origin + wear, { waitUntil: 'networkidle2' });
    expect(
      await scene.page.$$eval('ol[aria-label="Days of wear"] button', (all) =>
        all.map((day) => (day as HTMLButtonElement).disabled),
      ),
    ).toContain(true);
    await scene.page.focus('::-p-aria([name="Definition"][role="slider"])');
    await scene.page.keyboard.press('7');
    await see(scene.page, '✓ kept');
    await fill(scene.page, 'Crown hangs to, cm', '90');
    await see(scene.page, 'cannot hang 90 cm long at the crown');
    expect(await valueOf('Crown hangs to, cm')).toBe('90');
    await scene.page.focus('::-p-aria([name="Frizz"][role="slider"])');
    await scene.page.keyboard.press('3');
    await fill(scene.page, 'Crown hangs to, cm', '14');
    await see(scene.page, '✓ kept');
    await scene.page.reload({ waitUntil: 'networkidle2' });
    expect(await valueOf('Crown hangs to, cm')).toBe('14');
    expect(
      await scene.page.$eval('[aria-label="Frizz"]', (own) => own.getAttribute('aria-valuetext')),
    ).toMatch(/^3 of 10/);
    await press(scene.page, 'It is given up');
    await press(scene.page, 'Record its end');
    await see(scene.page, 'Say which was the last day you were happy with it');
    expect(scene.problems).toEqual([]);
  });
});

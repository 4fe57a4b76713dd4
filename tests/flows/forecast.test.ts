import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { planFile, type PlanFile } from '@/core/formats/plan-file';
import { TOPIC_IDS, topicOf } from '@/core/explain/topics';
import { TECHNIQUE_IDS, techniqueOf } from '@/core/techniques';
import {
  arrive,
  choose,
  fill,
  openStep,
  planFor,
  press,
  see,
  startByHand,
  textOf,
  unfold,
} from '../support/hands';
import { setScene } from '../support/scene';

const scene = setScene('demo');

const sections = () => scene.page.$$eval('[data-section]', (all) => all.length);
const figure = (name: string) =>
  scene.page.evaluate((wanted) => {
    const own = [...document.querySelectorAll('dl dt')].find((dt) => dt.textContent === wanted);
    return own?.parentElement?.querySelector('dd')?.textContent ?? '';
  }, name);
const measure = async (zone: string, cm: number) => fill(scene.page, `${zone}, cm`, String(cm));

describe('a forecast for every technique', () => {
  it('shows any technique with its sections, its figures and a range from drawn heads', async () => {
    await scene.page.goto(`${scene.origin}/plan`, { waitUntil: 'networkidle2' });
    await planFor(scene.page, 'Maren');
    await arrive(scene.page, /^\/plan\/.+/);
    await scene.page.waitForSelector('[data-section="18"]');
    for (const id of TECHNIQUE_IDS.filter((own) => own !== 'two-strand-twist')) {
      const { usualSections, label } = techniqueOf(id);
      await openStep(scene.page, 'Look');
      await scene.page.waitForSelector(`input[value="${id}"]`);
      await scene.page.click(`input[value="${id}"]`);
      await scene.page.waitForFunction(
        (wanted) => document.querySelectorAll('[data-section]').length === wanted,
        {},
        usualSections,
      );
      await see(scene.page, label);
      expect(await figure('Hands-on'), id).toMatch(/\d+ (min|h)/);
      expect(await figure('Lasts'), id).toMatch(/\d+ to \d+/);
      expect(await figure('Definition'), id).toMatch(/of 10.*to/);
      expect(await scene.page.evaluate(() => document.body.innerText)).not.toMatch(/NaN|Infinity|undefined/);
    }
    await see(scene.page, 'range worked out');
  });

  it('shows how far the drawing of heads is, and stops when told', async () => {
    await press(scene.page, 'One section more');
    // Pressed as soon as it is there: a busy machine may need longer for a press than for the heads.
    await scene.page.waitForFunction(() => {
      const stop = [...document.querySelectorAll('button')].find((own) => own.textContent === 'Stop');
      if (document.querySelector('progress')) stop?.click();
      return stop !== undefined;
    });
    await scene.page.waitForFunction(() => document.querySelector('progress') === null);
    expect(await scene.page.evaluate(() => document.body.innerText)).not.toContain('range worked out');
    await press(scene.page, 'One section fewer');
    await see(scene.page, 'range worked out');
  });

  it('tells of every number how it is known, by keyboard', async () => {
    const asks = await scene.page.$$eval('button[aria-label$=": how we know"]', (all) =>
      all.map((button) => button.getAttribute('aria-label') ?? ''),
    );
    expect(asks.length).toBeGreaterThanOrEqual(8);
    const titles = new Set<string>();
    for (const ask of asks) {
      await scene.page.focus(`button[aria-label="${ask}"]`);
      await scene.page.keyboard.press('Enter');
      await scene.page.waitForSelector('[role="dialog"] h2');
      titles.add(await textOf(scene.page, '[role="dialog"] h2'));
      await see(scene.page, 'Where it is weak');
      await see(scene.page, 'figures behind it');
      await scene.page.keyboard.press('Escape');
      await scene.page.waitForFunction(() => document.querySelector('[role="dialog"]') === null);
      expect(await scene.page.evaluate(() => document.activeElement?.getAttribute('aria-label'))).toBe(ask);
    }
    const known = TOPIC_IDS.map((id) => topicOf(id).title);
    for (const title of titles) expect(known).toContain(title);
  });

  it('parts the head in lanes beside a curved part', async () => {
    await openStep(scene.page, 'Look');
    await scene.page.click('input[value="flat-twist"]');
    await scene.page.waitForFunction(() => document.querySelectorAll('[data-section]').length === 8);
    await openStep(scene.page, 'Sections');
    await choose(scene.page, 'Part it is worn with', 'curved-left');
    await scene.page.waitForFunction(() =>
      document.querySelector('svg[role="group"]')?.getAttribute('aria-label')?.includes('curved left part'),
    );
    await choose(scene.page, 'Pattern', 'radial');
    await scene.page.waitForFunction(() =>
      document.querySelector('ol')?.textContent?.includes('rings round the crown'),
    );
    expect(await sections()).toBe(8);
  });

  it('counts doses in pumps as they were weighed here, and flags too much', async () => {
    await openStep(scene.page, 'Layers');
    await unfold(scene.page, 'Take another amount');
    await unfold(scene.page, 'Weigh my own pumps');
    // Grams and pumps stand in one line: what a pump is held to weigh is their ratio.
    const pumpIsNear = (grams: number) =>
      scene.page.waitForFunction(
        (wanted) => {
          const line = document.querySelector('section[aria-label="Forecast"] dl')?.textContent ?? '';
          const [, shown, pumps] = /leave-in ([\d.]+) g, ([\d½]+) pump/.exec(line) ?? [];
          const ratio = Number(shown) / Number(pumps?.replace('½', '.5'));
          return Math.abs(ratio / wanted - 1) < 0.15;
        },
        {},
        grams,
      );
    await pumpIsNear(1.8);
    await fill(scene.page, 'Ten pumps weigh, g', '9');
    await pumpIsNear(0.9);
    await fill(scene.page, 'Leave-in, for the head, g', '150');
    await see(scene.page, 'much for this hair');
    await scene.page.reload({ waitUntil: 'networkidle2' });
    await openStep(scene.page, 'Layers');
    await unfold(scene.page, 'Take another amount');
    await unfold(scene.page, 'Weigh my own pumps');
    await scene.page.waitForSelector('::-p-aria([name="Ten pumps weigh, g"])');
    expect(
      await scene.page.$eval(
        '::-p-aria([name="Ten pumps weigh, g"])',
        (input) => (input as HTMLInputElement).value,
      ),
    ).toBe('9');
  });
});

describe('a tapered cut', () => {
  it('is told which zones cannot carry braids, and mixes what can be done', async () => {
    await scene.page.goto(`${scene.origin}/heads/new`, { waitUntil: 'networkidle2' });
    await fill(scene.page, 'Name', 'Tapered');
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
    await press(scene.page, 'Keep this head');
    await arrive(scene.page, /^\/heads\/[a-z0-9]+$/);
    await startByHand(scene.page);
    await arrive(scene.page, /^\/plan\/.+/);
    await scene.page.waitForSelector('[data-section="18"]');
    await openStep(scene.page, 'Look');
    await scene.page.click('input[value="braid"]');
    await see(scene.page, '3 cm is too short for braids');
    await openStep(scene.page, 'By zone');
    await press(scene.page, 'Comb coils here');
    await scene.page.waitForFunction(() => document.querySelectorAll('[data-section]').length > 20);
    // Both sides are done at once, and the nape is still asked about.
    await see(scene.page, 'Left side coils, right side coils');
    await see(scene.page, '3 cm is too short for braids');
  });
});

describe('numbers elsewhere', () => {
  const asked = async (name: string) => {
    await press(scene.page, `${name}: how we know`);
    await see(scene.page, 'Where it is weak');
    await see(scene.page, 'What pushed it');
    await scene.page.keyboard.press('Escape');
    await scene.page.waitForFunction(() => document.querySelector('[role="dialog"]') === null);
  };

  it('tell how they are known on Today and among the days of wear', async () => {
    await scene.page.goto(scene.origin, { waitUntil: 'networkidle2' });
    await asked('sure every root is dry');
    expect(new URL(scene.page.url()).pathname).toBe('/');
    const worn = await scene.page.$eval('a[href^="/wear/"]', (link) => link.getAttribute('href'));
    await scene.page.goto(`${scene.origin}${worn}`, { waitUntil: 'networkidle2' });
    await asked('How long it lasts');
  });
});

describe('the open interface', () => {
  it('answers the brief of the format’s page in full, and the same again', async () => {
    const post = () =>
      fetch(`${scene.origin}/api/v1/forecast`, {
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
    expect(scene.problems).toEqual([]);
  });
});

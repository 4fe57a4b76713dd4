import { describe, expect, it } from 'vitest';
import type { Page } from 'puppeteer-core';
import { openPage, PHONE } from '../support/browser';
import { forecastSettles, press, see } from '../support/hands';
import { setScene } from '../support/scene';

const scene = setScene('demo');

/** The first plan of the demo, and whose it is. */
const plan = async () => {
  const { rows } = await scene.database.client.execute(
    'select p.id, h.name from plans p join heads h on h.id = p.head_id order by p.created_at_ms limit 1',
  );
  return { id: String(rows[0]!.id), head: String(rows[0]!.name) };
};

/** Opens the head in the round from its plan. */
async function open(page: Page, motion: 'no-preference' | 'reduce' = 'no-preference'): Promise<void> {
  await page.emulateMediaFeatures([{ name: 'prefers-reduced-motion', value: motion }]);
  await page.goto(`${scene.origin}/plan/${(await plan()).id}`, { waitUntil: 'networkidle2' });
  await press(page, 'In the round');
}

const shows = (page: Page, what: string) =>
  page.waitForSelector(`canvas[data-ready="true"][data-shows="${what}"]`);
const told = (page: Page) => page.$eval('[role="dialog"] figcaption', (own) => own.textContent);
/** A little of what is drawn: enough to tell two pictures apart. */
const drawn = (page: Page) =>
  page.$eval('canvas', (own) => {
    const small = document.createElement('canvas');
    small.width = 64;
    small.height = 40;
    small.getContext('2d')!.drawImage(own, 0, 0, 64, 40);
    return small.toDataURL();
  });
const changed = (page: Page, before: string) =>
  page.waitForFunction(
    (old) => {
      const small = document.createElement('canvas');
      small.width = 64;
      small.height = 40;
      small.getContext('2d')!.drawImage(document.querySelector('canvas')!, 0, 0, 64, 40);
      return small.toDataURL() !== old;
    },
    {},
    before,
  );

/**
 * From the middle of the head to the right edge of its hair, in the widest 2 cm above the shoulders, cm: in pixels of the
 * canvas, by the ruler that stands in it. Taken once the picture is at rest.
 */
async function halfWidthCm(page: Page): Promise<number> {
  const once = () =>
    page.$eval('canvas', (own) => {
      const copy = document.createElement('canvas');
      [copy.width, copy.height] = [own.width, own.height];
      const pen = copy.getContext('2d')!;
      pen.drawImage(own, 0, 0);
      const { data, width, height } = pen.getImageData(0, 0, copy.width, copy.height);
      const ruler = { top: height, bottom: 0 };
      const widths: number[] = [];
      for (let y = 0; y < height; y++) {
        let paper = 0;
        for (let x = 0; x < width / 2; x++) {
          const i = 4 * (y * width + x);
          if (data[i + 3]! > 250 && data[i]! > 244 && data[i + 1]! > 236 && data[i + 2]! > 220) paper++;
        }
        if (paper < 8) continue;
        widths.push(paper);
        ruler.top = Math.min(ruler.top, y);
        ruler.bottom = Math.max(ruler.bottom, y);
      }
      widths.sort((a, b) => a - b);
      const [wide, tall] = [widths[Math.floor(0.8 * widths.length)]!, ruler.bottom - ruler.top];
      // It is 2.4 cm wide and a whole number of centimetres long; its nought is 9 cm above the middle of the head.
      const long = Math.round((2.4 * tall) / wide);
      const pxOfCm = tall / long;
      // Where hair covers more than half of a centimetre: single strands stand out farther.
      const cm = Math.round(pxOfCm);
      const edge = (y: number) => {
        let covered = 0;
        for (let x = width - 1; x > width / 2; x--) {
          const isHair = (at: number) => (data[4 * (y * width + at) + 3]! > 128 ? 1 : 0);
          covered += isHair(x) - (x + cm < width ? isHair(x + cm) : 0);
          if (covered > 0.5 * cm) return x + cm / 2 - width / 2;
        }
        return 0;
      };
      let widest = 0;
      for (let level = 9; level > -12; level -= 2) {
        const rows = Array.from({ length: Math.round(2 * pxOfCm) }, (_, k) =>
          edge(Math.min(height - 1, Math.round(ruler.top + (9 - level) * pxOfCm) + k)),
        ).sort((a, b) => a - b);
        widest = Math.max(widest, rows[Math.floor(0.5 * rows.length)]!);
      }
      return widest / pxOfCm;
    });
  let before = NaN;
  for (let i = 0; i < 60; i++) {
    await new Promise((resolve) => setTimeout(resolve, 500));
    const now = await once();
    if (now === before) return now;
    before = now;
  }
  throw new Error('the picture never comes to rest');
}

describe('the head in the round', () => {
  it('is drawn when asked for, told in words, and turned by keys and buttons', async () => {
    const { page } = scene;
    await open(page);
    await shows(page, 'day-0-likely');
    expect(await told(page)).toMatch(
      /^First day\. Curls [\d.]+ mm.* wide; hair shows [\d.]+ cm.* of [\d.]+ cm.*\. About [\d.]+ cm wide over all\. Definition \d+, frizz \d+, volume \d+ of 10\./,
    );
    const first = await drawn(page);
    await page.focus('canvas');
    await page.keyboard.press('ArrowRight');
    await changed(page, first);
    const turned = await drawn(page);
    await press(page, 'Behind');
    await changed(page, turned);
    const behind = await drawn(page);
    await press(page, 'Nearer');
    await changed(page, behind);
    expect(scene.problems).toEqual([]);
  });

  it('shows her own hair, the set and every day after, and both ends of what is expected', async () => {
    const { page } = scene;
    const first = await told(page);
    await press(page, 'In the set');
    await shows(page, 'set');
    expect(await told(page)).toMatch(/^In the set\. \d+ \w+.*, each rope [\d.]+ mm.* thick/);
    await press(page, 'Her own');
    await shows(page, 'own');
    expect(await told(page)).toContain('Her own hair, dry.');
    await press(page, 'Later');
    await shows(page, 'day-3-likely');
    expect(await told(page)).toContain('Day 3.');
    expect(await told(page)).not.toBe(first);
    await page.focus('input[aria-label="Day of wear"]');
    await page.keyboard.press('ArrowRight');
    await shows(page, 'day-4-likely');
    await press(page, 'First day');
    const width = async () => Number(/About ([\d.]+) cm/.exec((await told(page))!)![1]);
    await shows(page, 'day-0-likely');
    const likely = await width();
    await press(page, 'Wide');
    await shows(page, 'day-0-wide');
    const wide = await width();
    await press(page, 'Narrow');
    await shows(page, 'day-0-narrow');
    const narrow = await width();
    expect(narrow).toBeLessThan(likely);
    expect(wide).toBeGreaterThan(likely);
    expect(scene.problems).toEqual([]);
  });

  it('is as wide on the screen, against its ruler, as it is told to be', async () => {
    const { page } = scene;
    await press(page, 'Likely');
    await shows(page, 'day-0-likely');
    await press(page, 'Farther');
    const toldCm = Number(/About ([\d.]+) cm/.exec((await told(page))!)![1]);
    // Her left from the front, her right from behind: the ruler stands on the other side.
    await press(page, 'Her left');
    await page.focus('canvas');
    for (let i = 0; i < 6; i++) await page.keyboard.press('ArrowLeft');
    const left = await halfWidthCm(page);
    await press(page, 'Behind');
    const right = await halfWidthCm(page);
    // Nearer to whoever looks than its ruler, hair is seen a little larger.
    expect((left + right) / toldCm).toBeGreaterThan(0.95);
    expect((left + right) / toldCm).toBeLessThan(1.15);
  });

  it('is kept as a picture with its words', async () => {
    const { page } = scene;
    await page.evaluate(() => {
      const real = URL.createObjectURL.bind(URL);
      URL.createObjectURL = (kept: Blob) => {
        (window as unknown as { kept: Blob }).kept = kept;
        return real(kept);
      };
    });
    await press(page, 'Keep picture');
    await page.waitForFunction(() => 'kept' in window);
    const { type, bytes } = await page.evaluate(async () => {
      const { kept } = window as unknown as { kept: Blob };
      return { type: kept.type, bytes: [...new Uint8Array(await kept.arrayBuffer())] };
    });
    expect(type).toBe('image/png');
    // Width and height of a PNG stand in its first chunk.
    const png = Buffer.from(bytes);
    expect([png.readUInt32BE(16), png.readUInt32BE(20)]).toEqual([1280, 800]);
    expect(png.length).toBeGreaterThan(60_000);
  });

  it('is shown to her alone: nothing of the studio beside it', async () => {
    const { page } = scene;
    await press(page, 'Show her');
    await see(page, 'Done showing');
    const seen = await page.$eval('[role="dialog"]', (own) => {
      const { width, height } = own.getBoundingClientRect();
      return { isWhole: width >= innerWidth && height >= innerHeight, words: own.textContent };
    });
    expect(seen.isWhole).toBe(true);
    expect(seen.words).not.toContain((await plan()).head);
    await page.keyboard.press('Escape');
    await see(page, 'Show her');
  });

  it('is drawn flat from the same curves, told alike', async () => {
    const { page } = scene;
    const round = (await told(page))!;
    await page.$$eval('label', (all) =>
      all.find((own) => own.textContent === 'Flat, beside a ruler')!.click(),
    );
    const svg = await page.waitForSelector('figure svg[role="img"]');
    await page.waitForFunction(() => document.querySelectorAll('figure svg path').length > 50);
    const flat = (await svg!.evaluate((own) => own.getAttribute('aria-label')))!;
    expect(round.replace(/ About [\d.]+ cm wide over all\./, '')).toContain(flat);
    await press(page, 'Leave');
    expect(scene.problems).toEqual([]);
  });

  it('is flat where WebGL is missing, and where less is to move', async () => {
    for (const isMissing of [true, false]) {
      const page = await scene.page.browserContext().newPage();
      page.setDefaultTimeout(60_000);
      if (isMissing)
        await page.evaluateOnNewDocument(() => {
          const real = HTMLCanvasElement.prototype.getContext;
          HTMLCanvasElement.prototype.getContext = function (
            this: HTMLCanvasElement,
            kind: string,
            ...rest: unknown[]
          ) {
            return kind.startsWith('webgl')
              ? null
              : (real as (...all: unknown[]) => unknown).call(this, kind, ...rest);
          } as never;
        });
      await open(page, isMissing ? 'no-preference' : 'reduce');
      await page.waitForFunction(() => document.querySelectorAll('figure svg path').length > 50);
      expect(await page.$('canvas')).toBeNull();
      await page.close();
    }
  });

  it('goes on flat when its context is lost', async () => {
    const { page } = scene;
    await open(page);
    await shows(page, 'day-0-likely');
    await page.$eval('canvas', (own) => {
      (own as HTMLCanvasElement).getContext('webgl2')!.getExtension('WEBGL_lose_context')!.loseContext();
    });
    await page.waitForFunction(() => document.querySelectorAll('figure svg path').length > 50);
    await press(page, 'Leave');
  });

  it('of two drafts stand beside each other and are turned together', async () => {
    const { page, problems } = await openPage(scene.browser);
    await page.emulateMediaFeatures([{ name: 'prefers-reduced-motion', value: 'no-preference' }]);
    await page.goto(`${scene.origin}/plan/${(await plan()).id}/beside`, { waitUntil: 'networkidle2' });
    await press(page, 'Copy');
    await page.waitForFunction(
      () => document.querySelectorAll('input[aria-label^="Name of draft"]').length === 2,
    );
    // The copy is set in knots instead.
    await scene.database.client.execute(
      "update plans set brief = json_set(brief, '$.set.technique', 'bantu-knot', '$.set.endsMethod', 'tucked', '$.set.rootMethod', 'plain') where title like '%(2)'",
    );
    await page.reload({ waitUntil: 'networkidle2' });
    await press(page, 'In the round');
    await page.waitForFunction(
      () => document.querySelectorAll('canvas[data-ready="true"][data-shows="day-0-likely"]').length === 2,
    );
    const pictures = () => page.$$eval('canvas', (all) => all.map((own) => own.toDataURL()));
    const before = await pictures();
    expect(before[0]).not.toBe(before[1]);
    await press(page, 'Behind');
    await page.waitForFunction(
      (old) => [...document.querySelectorAll('canvas')].every((own, i) => own.toDataURL() !== old[i]),
      {},
      before,
    );
    expect(await page.$$eval('[role="dialog"] figcaption', (all) => all.length)).toBe(2);
    expect(problems).toEqual([]);
    await page.close();
  });

  it('of a set that was worn shows it as it was rated, from its page and from her own', async () => {
    const { page, problems } = await openPage(scene.browser);
    await page.emulateMediaFeatures([{ name: 'prefers-reduced-motion', value: 'no-preference' }]);
    const { rows } = await scene.database.client.execute(
      'select w.set_id, w.definition, w.day, s.head_id from wear_days w join sets s on s.id = w.set_id where w.definition is not null order by w.day limit 1',
    );
    const { set_id: setId, definition, day, head_id: headId } = rows[0]!;
    await page.goto(`${scene.origin}/sets/${String(setId)}`, { waitUntil: 'networkidle2' });
    await press(page, 'In the round');
    await shows(page, 'day-0-likely');
    expect(Number(day)).toBe(0);
    expect(await told(page)).toMatch(
      new RegExp(`Definition ${Math.round(Number(definition))}, .* of 10, as it was rated`),
    );
    await page.goto(`${scene.origin}/heads/${String(headId)}`, { waitUntil: 'networkidle2' });
    await press(page, 'Last set in the round');
    await shows(page, 'day-0-likely');
    expect(problems).toEqual([]);
    await page.close();
  });

  it('is not loaded before it is asked for', async () => {
    const { page } = await openPage(scene.browser);
    await page.emulateMediaFeatures([{ name: 'prefers-reduced-motion', value: 'no-preference' }]);
    const scripts: string[] = [];
    page.on('response', (response) => {
      if (/\.js(\?|$)/.test(response.url())) scripts.push(response.url());
    });
    const hasThree = async () => {
      const found = await Promise.all(
        scripts.map(async (url) => (await (await fetch(url)).text()).includes('WebGLRenderer')),
      );
      return found.includes(true);
    };
    await page.goto(`${scene.origin}/plan/${(await plan()).id}`, { waitUntil: 'networkidle2' });
    await forecastSettles(page);
    expect(await hasThree()).toBe(false);
    await press(page, 'In the round');
    await shows(page, 'day-0-likely');
    expect(await hasThree()).toBe(true);
    await page.close();
  });

  it('fits a phone', async () => {
    const { page, problems } = await openPage(scene.browser, PHONE);
    await open(page);
    await shows(page, 'day-0-likely');
    expect(
      await page.$$eval('[role="dialog"] *', (all) =>
        all.filter((own) => own.getBoundingClientRect().right > innerWidth + 1).map((own) => own.className),
      ),
    ).toEqual([]);
    // Two fingers that part bring it nearer.
    const before = await drawn(page);
    const box = (await (await page.$('canvas'))!.boundingBox())!;
    const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
    const fingers = (apart: number) => [
      { x: x - apart, y, id: 1 },
      { x: x + apart, y, id: 2 },
    ];
    const client = await page.createCDPSession();
    await client.send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: fingers(30) });
    for (const apart of [45, 60, 75, 90])
      await client.send('Input.dispatchTouchEvent', { type: 'touchMove', touchPoints: fingers(apart) });
    await client.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] });
    await changed(page, before);
    expect(problems).toEqual([]);
    await page.close();
  });
});

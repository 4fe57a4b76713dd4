import sharp from 'sharp';
import { beforeAll, describe, expect, it } from 'vitest';
import type { Page } from 'puppeteer-core';
import { openPage, PHONE } from '../support/browser';
import { press, see } from '../support/hands';
import { cardAndCurlScene } from '../support/photo-scenes';
import { setScene } from '../support/scene';

const scene = setScene('demo');
const PICTURE = cardAndCurlScene(12, 10, 3);
let setId: string;
beforeAll(async () => {
  const { rows } = await scene.database.client.execute(
    'select id from sets where taken_down_at_ms is not null and ended_at_ms is null',
  );
  setId = String(rows[0]!.id);
});

const kept = async () =>
  (
    await scene.database.client.execute(
      'select measure, zone, value, sigma from photo_measures order by measure',
    )
  ).rows;

/** Where a place of the picture is on the screen. */
async function onScreen(page: Page, x: number, y: number): Promise<readonly [number, number]> {
  const box = await page.$eval('svg[role="application"]', (svg) => {
    const { left, top, width } = svg.getBoundingClientRect();
    return { left, top, width };
  });
  const scale = box.width / PICTURE.width;
  return [box.left + x * scale, box.top + y * scale];
}

async function drag(page: Page, from: readonly [number, number], to: readonly [number, number]) {
  await page.mouse.move(...(await onScreen(page, ...from)));
  await page.mouse.down();
  await page.mouse.move(...(await onScreen(page, ...to)), { steps: 6 });
  await page.mouse.up();
}

describe('measuring on a picture', () => {
  it('finds the card, measures a curl along a hand-drawn line and a length by taps, and keeps them with the day', async () => {
    const jpeg = await sharp(Buffer.from(PICTURE.data), {
      raw: { width: PICTURE.width, height: PICTURE.height, channels: 4 },
    })
      .jpeg({ quality: 90 })
      .toBuffer();
    const today = new Date().toISOString().slice(0, 10);
    const sent = await fetch(`${scene.origin}/api/v1/sets/${setId}/photos?date=${today}&view=curl`, {
      method: 'POST',
      headers: { 'content-type': 'image/jpeg' },
      body: new Uint8Array(jpeg),
    });
    expect(sent.status).toBe(201);
    const { page, problems } = await openPage(scene.browser);
    await page.goto(`${scene.origin}/wear/${setId}`, { waitUntil: 'networkidle2' });
    await page.waitForSelector('[aria-label^="Measure on One curl"]');
    await page.click('[aria-label^="Measure on One curl"]');
    await see(page, 'Our printed card');
    await press(page, 'Find the card');
    await see(page, '5.0 pixels to the mm.');
    // A line that is no straight one down the middle, as a hand draws it.
    await drag(page, [906, 40], [913, 560]);
    await press(page, 'Measure it');
    await see(page, 'Turn to turn');
    await press(page, 'Keep with the day');
    await expect.poll(kept, { timeout: 20_000 }).toHaveLength(3);
    const figures = await kept();
    const of = (measure: string) => figures.find((row) => row.measure === measure)!;
    expect(Math.abs(Number(of('pitch').value) - 12)).toBeLessThan(0.25);
    expect(Math.abs(Number(of('curl').value) - 10)).toBeLessThan(1);
    expect(Number(of('curl').sigma)).toBeGreaterThan(0.5);
    // By keys: the cross is moved, and Enter sets a point.
    await press(page, 'Length');
    await page.$eval('svg[role="application"]', (svg) => (svg as SVGElement).focus());
    for (let i = 0; i < 10; i++) await page.keyboard.press('ArrowUp');
    await page.keyboard.press('Enter');
    for (let i = 0; i < 20; i++) await page.keyboard.press('ArrowDown');
    await page.keyboard.press('Enter');
    await press(page, 'Measure it');
    await see(page, 'Length shown, crown');
    await press(page, 'Keep with the day');
    await expect.poll(kept, { timeout: 20_000 }).toHaveLength(5);
    // Twenty steps of an eightieth of the picture each.
    expect(Number((await kept()).find((row) => row.measure === 'length')!.value)).toBeCloseTo(
      ((20 * PICTURE.width) / 80 / 5) * 0.1,
      1,
    );
    // What cannot be told is missing, with its reason.
    await press(page, 'Definition');
    await drag(page, [700, 100], [730, 130]);
    await press(page, 'Measure it');
    await see(page, 'Mark at least 20 mm a side');
    await press(page, 'Close');
    await see(page, 'from a picture');
    await press(page, 'Take it as the crown’s');
    await see(page, '✓ kept');
    await page.reload({ waitUntil: 'networkidle2' });
    await see(page, 'from a picture');
    await page.click('[aria-label="Take out Turn to turn from a picture"]');
    await expect.poll(kept, { timeout: 20_000 }).toHaveLength(4);
    expect(problems).toEqual([]);
    await page.close();
  });

  it('the card prints as a PDF of its own', async () => {
    const answer = await fetch(`${scene.origin}/api/v1/measuring-card`);
    expect(answer.headers.get('content-type')).toBe('application/pdf');
    expect(
      Buffer.from(await answer.arrayBuffer())
        .subarray(0, 5)
        .toString(),
    ).toBe('%PDF-');
  });

  it('a picture is taken with the camera, the one before of the same view pale over what it sees', async () => {
    const { client } = scene.database;
    const taken = async () =>
      (
        await client.execute({
          sql: "select day, width, height from photos where view = 'front' and set_id = ? order by day",
          args: [setId],
        })
      ).rows;
    const { page, problems } = await openPage(scene.browser, PHONE);
    await page.goto(`${scene.origin}/wear/${setId}`, { waitUntil: 'networkidle2' });
    const take = async () => {
      await press(page, 'Take one');
      await page.waitForFunction(
        () => (document.querySelector<HTMLVideoElement>('[role="dialog"] video')?.videoWidth ?? 0) > 0,
      );
    };
    await take();
    expect(await page.$('[role="dialog"] img')).toBeNull();
    await press(page, 'Take it');
    await expect.poll(taken, { timeout: 20_000 }).toHaveLength(1);
    const [first] = await taken();
    expect(Number(first!.width)).toBeGreaterThan(100);
    await client.execute({ sql: 'update photos set day = 0 where set_id = ?', args: [setId] });
    await page.reload({ waitUntil: 'networkidle2' });
    await take();
    expect(await page.$eval('[role="dialog"] img', (img) => getComputedStyle(img).opacity)).toBe('0.35');
    await press(page, 'Leave it');
    await page.waitForFunction(() => document.querySelector('[role="dialog"]') === null);
    expect(problems).toEqual([]);
    await page.close();
  });
});

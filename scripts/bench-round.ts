import { DESK, launchBrowser, openPage } from '../tests/support/browser';
import { press } from '../tests/support/hands';
import { startServer } from '../tests/support/server';
import { forecast } from '@/core/plan/forecast';
import { layoutFor } from '@/core/plan/layout-for';
import { buildRound } from '@/core/round/build';
import { ran } from '@/core/work';
import { headSurface } from '@/core/round/head/surface';
import { roundOf } from '@/core/round/round-of';
import { TECHNIQUE_IDS } from '@/core/techniques';
import { usualBrief } from '../tests/support/usual-brief';
import { readOrThrow } from '../tests/support/briefs';

/** Prints how long each technique takes to be built in the round, and in how many triangles. */
export function benchRound(): void {
  const began = performance.now();
  headSurface();
  console.log(`in the round: the head once ${(performance.now() - began).toFixed(0)} ms`);
  for (const id of TECHNIQUE_IDS) {
    const brief = readOrThrow(usualBrief(id));
    const model = roundOf(brief, forecast(brief, layoutFor(brief), 0));
    const told = ([['set'], ['worn', 0], ['worn', 3]] as const).map(([kind, day = 0]) => {
      const start = performance.now();
      const { hair } = ran(buildRound(model, kind === 'set' ? { kind } : { kind, day, reach: 'likely' }));
      return `${(performance.now() - start).toFixed(0)} ms ${Math.round(hair.indices.length / 3000)}k`;
    });
    console.log(`  ${id}: in the set ${told[0]}, first day ${told[1]}, day 3 ${told[2]}`);
  }
}

/** How long a head is turned by dragging, ms. */
const TURN_MS = 4000;

/** Prints how many frames a second a head turns in, by dragging, and how long its full picture takes: in software WebGL. */
export async function benchTurning(): Promise<void> {
  const server = await startServer('demo');
  const browser = await launchBrowser();
  const { page } = await openPage(browser, DESK);
  await page.emulateMediaFeatures([{ name: 'prefers-reduced-motion', value: 'no-preference' }]);
  // Pictures are counted where they are drawn: the last call of a frame counts.
  await page.evaluateOnNewDocument(`
    window.frames3d = [];
    const draw = WebGL2RenderingContext.prototype.drawElements;
    WebGL2RenderingContext.prototype.drawElements = function (...given) {
      const now = performance.now();
      draw.apply(this, given);
      const last = window.frames3d.at(-1);
      if (!last || now - last.atMs > 5) window.frames3d.push({ atMs: now, triangles: given[1] / 3 });
      else last.triangles = Math.max(last.triangles, given[1] / 3);
    };
  `);
  const { rows } = await server.database.client.execute("select id from plans where status = 'chosen'");
  await page.goto(`${server.origin}/plan/${String(rows[0]?.id)}`, { waitUntil: 'networkidle2' });
  await press(page, 'In the round');
  await page.waitForSelector('canvas[data-ready="true"]');
  for (const state of ['In the set', 'First day']) {
    await press(page, state);
    await page.waitForSelector(`canvas[data-shows="${state === 'In the set' ? 'set' : 'day-0-likely'}"]`);
    await new Promise((rest) => setTimeout(rest, 3000));
    const box = (await (await page.$('canvas'))!.boundingBox())!;
    const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
    await page.evaluate('window.frames3d.length = 0');
    await page.mouse.move(x, y);
    await page.mouse.down();
    const begun = Date.now();
    for (let i = 0; Date.now() - begun < TURN_MS; i++) await page.mouse.move(x + 150 * Math.sin(i / 12), y);
    const turned = Date.now() - begun;
    const frames = (await page.evaluate('window.frames3d')) as { triangles: number }[];
    await page.mouse.up();
    console.log(
      `turning, ${state.toLowerCase()}: ${((1000 * frames.length) / turned).toFixed(1)} frames a second, ${Math.round(Math.max(...frames.map(({ triangles }) => triangles)) / 1000)}k triangles at most`,
    );
  }
  await browser.close();
  await server.stop();
}

import { readdirSync, readFileSync, rmSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { build } from 'esbuild';
import { benchDiary } from './bench-diary';
import { benchFindings } from './bench-findings';
import { benchRound, benchTurning } from './bench-round';
import { DESK, launchBrowser, openPage } from '../tests/support/browser';
import { arrive, press } from '../tests/support/hands';
import { aDatabase, freePort, serve, startServer } from '../tests/support/server';

/** Prints how long things take and how much a page weighs. Needs a build; nothing here passes or fails. */
const ROUNDS = 40;

function summary(times: number[]): string {
  const sorted = [...times].sort((a, b) => a - b);
  const at = (share: number) =>
    sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))]!.toFixed(1);
  return `median ${at(0.5)} ms, 10–90 % ${at(0.1)}–${at(0.9)} ms`;
}

/** The core as a browser gets it: bundled, without the loader's own cost. */
async function bundledCore() {
  const outfile = join('test-output', 'bench-core.mjs');
  await build({
    stdin: {
      contents: `export { readBrief } from '@/core/formats/read-brief';
        export { forecast, forecastBasis } from '@/core/plan/forecast';
        export { drawHeads } from '@/core/plan/drying-forecast';
        export { quantiles } from '@/core/stats/quantile';
        export { layoutFor } from '@/core/plan/layout-for';
        export { layOut } from '@/core/parting/layout';
        export { drawLayout } from '@/core/parting/drawn-layout';
        export { evennessOf } from '@/core/parting/evenness';
        export { loadFor } from '@/core/parting/load';
        export { EVEN_SIZES } from '@/core/parting/generate';
        export { movePart } from '@/core/parting/edits/lines';
        export { fitTo } from '@/core/fit/fit';
        export { readWish } from '@/core/suggest/read-wish';
        export { suggest } from '@/core/suggest/suggest';
        export { setGuide } from '@/core/suggest/set-guide';`,
      resolveDir: process.cwd(),
    },
    bundle: true,
    format: 'esm',
    platform: 'node',
    outfile,
    alias: { '@': join(process.cwd(), 'src') },
    logLevel: 'error',
  });
  return (await import(join(process.cwd(), outfile))) as {
    readBrief: typeof import('@/core/formats/read-brief').readBrief;
    forecast: typeof import('@/core/plan/forecast').forecast;
    forecastBasis: typeof import('@/core/plan/forecast').forecastBasis;
    drawHeads: typeof import('@/core/plan/drying-forecast').drawHeads;
    quantiles: typeof import('@/core/stats/quantile').quantiles;
    layoutFor: typeof import('@/core/plan/layout-for').layoutFor;
    layOut: typeof import('@/core/parting/layout').layOut;
    drawLayout: typeof import('@/core/parting/drawn-layout').drawLayout;
    evennessOf: typeof import('@/core/parting/evenness').evennessOf;
    loadFor: typeof import('@/core/parting/load').loadFor;
    EVEN_SIZES: typeof import('@/core/parting/generate').EVEN_SIZES;
    movePart: typeof import('@/core/parting/edits/lines').movePart;
    fitTo: typeof import('@/core/fit/fit').fitTo;
    readWish: typeof import('@/core/suggest/read-wish').readWish;
    suggest: typeof import('@/core/suggest/suggest').suggest;
    setGuide: typeof import('@/core/suggest/set-guide').setGuide;
  };
}

async function benchCore() {
  const core = await bundledCore();
  const { readBrief, forecast, layoutFor } = core;
  const briefOf = (sections: number, drying: unknown[], part = 'none') => {
    const brief = readBrief({
      format: 'keen-spiral/brief',
      version: 1,
      head: { stretchedLengthCm: 25 },
      set: { technique: 'two-strand-twist', sections, layers: [{ role: 'leave-in' }, { role: 'gel' }] },
      drying,
      parting: { part },
      wearBy: '2027-03-13T09:00:00Z',
    });
    if (!brief.ok) throw new Error('the brief of the bench is refused');
    return brief.value;
  };
  const timed = (work: () => unknown, rounds = ROUNDS) =>
    Array.from({ length: rounds }, () => {
      const start = performance.now();
      work();
      return performance.now() - start;
    });
  const sequence = [
    { method: 'bonnet', hours: 8 },
    { method: 'hood-hot', hours: 0.5 },
  ];
  for (const sections of [18, 60, 150, 600]) {
    const brief = briefOf(sections, []);
    timed(() => layoutFor(brief));
    console.log(`layout of ${sections} sections: ${summary(timed(() => layoutFor(brief)))}`);
    const layout = layoutFor(brief);
    for (const [name, drying] of [
      ['open air', []],
      ['bonnet, then hood', sequence],
    ] as const) {
      const own = briefOf(sections, [...drying]);
      timed(() => forecast(own, layout, 0));
      console.log(
        `deterministic forecast of ${sections} sections, ${name}: ${summary(timed(() => forecast(own, layout, 0)))}`,
      );
    }
  }
  const load = core.loadFor(core.EVEN_SIZES);
  for (const sections of [30, 60, 150]) {
    const { recipe } = layoutFor(briefOf(sections, [], 'left'));
    let by = 0;
    const step = () => {
      by = (by + 0.004) % 0.2;
      const moved = core.movePart(
        recipe,
        recipe.part.points.map(([t, f]) => [t, f + by] as const),
        load,
      );
      if (!moved.ok) throw new Error(moved.why);
      const layout = core.layOut(moved.recipe);
      core.drawLayout(layout);
      core.evennessOf(layout, load);
    };
    timed(step);
    console.log(`a step of dragging the part, ${sections} sections: ${summary(timed(step))}`);
  }
  for (const sections of [18, 120]) {
    const own = briefOf(sections, sequence);
    const layout = layoutFor(own);
    for (const draws of [64, 256]) {
      console.log(
        `forecast of ${sections} sections with ${draws} draws: ${summary(timed(() => forecast(own, layout, draws), 6))}`,
      );
    }
  }
}

/** How far the quantiles of the heads that are drawn lie from those of twenty thousand, over many seeds. */
async function benchDraws() {
  const { readBrief, forecastBasis, layoutFor, drawHeads, quantiles } = await bundledCore();
  const brief = readBrief({
    format: 'keen-spiral/brief',
    version: 1,
    head: { stretchedLengthCm: 25 },
    set: { technique: 'two-strand-twist', sections: 18, layers: [{ role: 'leave-in' }, { role: 'gel' }] },
    drying: [{ method: 'air', hours: 8 }],
  });
  if (!brief.ok) throw new Error('the brief of the bench is refused');
  const basis = forecastBasis(brief.value, layoutFor(brief.value)).drying;
  const of = (seed: number, count: number) =>
    quantiles(
      drawHeads(basis, seed, 0, count).map(({ allH }) => allH),
      [0.1, 0.5, 0.9],
    );
  const exact = of(1, 20_000);
  for (const count of [64, 256]) {
    const seeds = Array.from({ length: 24 }, (_, i) => of(100 + i, count));
    const off = exact.map((hours, q) =>
      Math.sqrt(seeds.reduce((sum, own) => sum + (own[q]! / hours - 1) ** 2, 0) / seeds.length),
    );
    console.log(
      `${count} heads against 20,000: 10, 50 and 90 % points off by ${off.map((share) => `${(100 * share).toFixed(1)} %`).join(', ')}`,
    );
  }
}

/** A first draft from its first answer to the last other kind, Fit to my time, and a whole set guide. */
async function benchSuggestions() {
  const { readWish, suggest, fitTo, setGuide } = await bundledCore();
  const wishes = [
    [{ stretchedLengthCm: 20, strandDiameterUm: 55, naturalCoilDiameterMm: 4.5 }, ['lasts', 'soft']],
    [{ stretchedLengthCm: 30, strandDiameterUm: 90, densityPerCm2: 210 }, ['defined', 'lasts']],
    [{ stretchedLengthCm: 40, naturalCoilDiameterMm: 22, shrinkage: 0.3 }, ['defined']],
    [{ stretchedLengthCm: 22, porosity: 'high', conditions: ['bleached'] }, ['soft']],
    [{ stretchedLengthCm: 7 }, ['lasts']],
    [{ stretchedLengthCm: 25 }, ['long', 'little-work']],
  ].map(([head, wants]) => {
    const read = readWish({
      format: 'keen-spiral/wish',
      version: 1,
      head,
      wants,
      startAt: '2027-03-12T18:00:00Z',
      wearBy: '2027-03-13T09:00:00Z',
    });
    if (!read.ok) throw new Error('a wish of the bench is refused');
    return read.value.wish;
  });
  const times = { first: [] as number[], draft: [] as number[], all: [] as number[], fit: [] as number[] };
  for (let round = 0; round < 4; round++)
    for (const wish of wishes) {
      const start = performance.now();
      const steps = suggest(wish);
      let [first, draft] = [0, 0];
      for (let step = steps.next(); !step.done; step = steps.next()) {
        if (step.value.stage === 'first') first = performance.now() - start;
        if (step.value.stage === 'draft') draft = performance.now() - start;
      }
      // The first round warms the engine up, as the worker is warm when somebody changes a wish.
      if (round > 0) {
        times.first.push(first);
        times.draft.push(draft);
        times.all.push(performance.now() - start);
      }
    }
  for (const wish of wishes) {
    const start = performance.now();
    const steps = fitTo(wish, { daysAtLeast: 3, curlMm: null });
    while (!steps.next().done);
    times.fit.push(performance.now() - start);
  }
  console.log(`first draft, first answer: ${summary(times.first)}`);
  console.log(`first draft: ${summary(times.draft)}`);
  console.log(`first draft and others: ${summary(times.all)}`);
  console.log(`fit to my time, all of it: ${summary(times.fit)}`);
  const start = performance.now();
  const rows = [...setGuide(wishes[0]!, 'medium')];
  console.log(`set guide, ${rows.length} textures: ${((performance.now() - start) / 1000).toFixed(1)} s`);
}

async function benchPages() {
  const server = await startServer('demo');
  const browser = await launchBrowser();
  const { rows } = await server.database.client.execute('select id from plans');
  const plan = `/plan/${String(rows[0]?.id)}`;
  const open = await server.database.client.execute('select id from sets where taken_down_at_ms is null');
  const pages = { Today: '/', Plan: plan, 'the chair': `/chair/${String(open.rows[0]?.id)}` };
  for (const [name, path] of Object.entries(pages)) {
    const { page } = await openPage(browser, DESK);
    const files = new Set<string>();
    page.on('response', (response) => {
      if (response.url().includes('/_next/static/') && /\.js(\?|$)/.test(response.url()))
        files.add(new URL(response.url()).pathname);
    });
    await page.goto(server.origin + path, { waitUntil: 'load' });
    const bytes = [...files].reduce(
      (sum, file) => sum + gzipSync(readFileSync(join('.next', file.replace('/_next/', '')))).length,
      0,
    );
    console.log(
      `first load of ${name}: ${(bytes / 1024).toFixed(0)} kB of gzipped JS in ${files.size} files`,
    );
    await page.close();
  }
  const { page } = await openPage(browser, DESK);
  await page.goto(server.origin + plan, { waitUntil: 'networkidle2' });
  const times: number[] = [];
  for (let i = 0; i < 24; i++) {
    const name = i % 2 === 0 ? 'One section more' : 'One section fewer';
    await page.waitForSelector(`button[aria-label="${name}"]`);
    // As text: a compiled function would carry the loader's helpers into the page.
    times.push(
      (await page.evaluate(`new Promise((resolve) => {
        const count = document.querySelectorAll('[data-section]').length;
        const start = performance.now();
        const look = () =>
          document.querySelectorAll('[data-section]').length === count
            ? requestAnimationFrame(look)
            : resolve(performance.now() - start);
        document.querySelector('button[aria-label="${name}"]').click();
        look();
      })`)) as number,
    );
  }
  console.log(`a press of + or − to new numbers through the worker: ${summary(times.slice(4))}`);

  // Heads drawn in the worker, as the page hears of them, and how long the page itself is ever busy meanwhile.
  const refined = (await page.evaluate(`new Promise((resolve) => {
    let longest = 0;
    const observer = new PerformanceObserver((list) => {
      for (const entry of list.getEntries()) longest = Math.max(longest, entry.duration);
    });
    observer.observe({ entryTypes: ['longtask'] });
    const start = performance.now();
    let first = null;
    let begun = null;
    const look = () => {
      const text = document.querySelector('section[aria-label="Forecast"]').innerText;
      const progress = document.querySelector('section[aria-label="Forecast"] progress');
      if (begun === null && progress) begun = performance.now();
      if (first === null && progress && progress.value >= 64) first = performance.now() - begun;
      if (performance.now() - start > 400 && text.includes('range worked out')) {
        observer.disconnect();
        resolve({ first, all: performance.now() - begun, longest });
      } else requestAnimationFrame(look);
    };
    document.querySelector('button[aria-label="One section more"]').click();
    look();
  })`)) as { first: number | null; all: number; longest: number };
  console.log(
    `from the first heads heard of to 64: ${refined.first?.toFixed(0) ?? '–'} ms, to 256 and the last numbers: ${refined.all.toFixed(0)} ms; longest task of the page meanwhile: ${refined.longest.toFixed(0)} ms (0: none over 50)`,
  );
  await browser.close();
  await server.stop();
}

const post = (url: string, body: unknown) =>
  fetch(url, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) });

/** A brief that takes long to forecast; no two are the same. */
const heavyBrief = (seed: number, stretchedLengthCm: number) => ({
  format: 'keen-spiral/brief',
  version: 1,
  head: { stretchedLengthCm },
  set: { technique: 'two-strand-twist', sections: 300, layers: [{ role: 'gel' }] },
  drying: [{ method: 'air', hours: 48 }],
  wearBy: '2027-03-13T09:00:00Z',
  seed,
});

/** Devices at one head at once. */
const DEVICES = 12;
const TAPS_EACH = 20;

/** How soon a tap is stored and heard by the others, and how the chair does without its server. */
async function benchDevices() {
  const { folder, url, database } = await aDatabase('demo', Date.now());
  const port = await freePort();
  const server = await serve(url, port);
  const { rows } = await database.client.execute('select id from sets where taken_down_at_ms is null');
  const address = `${server.origin}/api/v1/sets/${String(rows[0]?.id)}/events`;
  const sentAt = new Map<string, number>();
  const heard: number[] = [];
  const stored: number[] = [];
  const gone = new AbortController();
  // The streams begin where the log ends.
  const { events } = (await (await fetch(address)).json()) as { events: { sequence: number }[] };
  const after = Math.max(0, ...events.map(({ sequence }) => sequence));
  const listen = async () => {
    const answer = await fetch(`${address}?after=${after}`, {
      headers: { accept: 'text/event-stream' },
      signal: gone.signal,
    });
    const decoder = new TextDecoder();
    for await (const chunk of answer.body!) {
      const now = performance.now();
      for (const [, id] of decoder.decode(chunk as Uint8Array).matchAll(/"id":"(bench-[^"]+)"/g))
        heard.push(now - sentAt.get(id!)!);
    }
  };
  const listening = Array.from({ length: DEVICES }, () => listen().catch(() => undefined));
  await new Promise((wait) => setTimeout(wait, 500));
  let isOver = false;
  const forecasting = (async () => {
    for (let n = 0; !isOver; n++)
      await (await post(`${server.origin}/api/v1/forecast`, heavyBrief(n, 25))).text();
  })();
  await Promise.all(
    Array.from({ length: DEVICES }, async (_, device) => {
      for (let n = 0; n < TAPS_EACH; n++) {
        const id = `bench-${device}-${n}`;
        sentAt.set(id, performance.now());
        const event = { id, number: n, kind: 'note', atMs: Date.now(), note: id };
        await (await post(address, { format: 1, deviceId: `bench-${device}`, events: [event] })).text();
        stored.push(performance.now() - sentAt.get(id)!);
        // Quicker than any hand: a section takes a minute.
        await new Promise((wait) => setTimeout(wait, 700 + 30 * device));
      }
    }),
  );
  await new Promise((wait) => setTimeout(wait, 1500));
  isOver = true;
  await forecasting;
  gone.abort();
  await Promise.all(listening);
  const p95 = (times: number[]) =>
    [...times].sort((a, b) => a - b)[Math.floor(0.95 * times.length)]?.toFixed(0);
  const wanted = DEVICES * DEVICES * TAPS_EACH;
  // The first of each device goes out in one instant; after that they come as hands do.
  const [atOnce, oneByOne] = [stored.slice(0, DEVICES), stored.slice(DEVICES)];
  console.log(
    `${DEVICES} devices on one head, forecasts running: stored ${summary(oneByOne)}, 95 % ${p95(oneByOne)} ms; all ${DEVICES} in one instant, the last after ${Math.max(...atOnce).toFixed(0)} ms`,
  );
  console.log(`heard by the others: ${heard.length} of ${wanted}, ${summary(heard)}, 95 % ${p95(heard)} ms`);

  const browser = await launchBrowser();
  const { page } = await openPage(browser, DESK);
  const plans = await database.client.execute("select id from plans where status = 'chosen'");
  await page.goto(`${server.origin}/plan/${String(plans.rows[0]?.id)}`, { waitUntil: 'networkidle2' });
  await press(page, 'Take to the chair');
  await arrive(page, /^\/chair\//);
  const chair = page.url();
  await page.waitForFunction(async () => (await (await caches.open('keen-chairs-1')).keys()).length > 0);
  await server.end('SIGKILL');
  const painted: number[] = [];
  for (let i = 0; i < 15; i++)
    painted.push(
      (await page.evaluate(`new Promise((resolve) => {
        const done = () => document.querySelectorAll('[data-section][data-state="done"]').length;
        const before = done();
        const start = performance.now();
        const look = () => (done() > before ? resolve(performance.now() - start) : requestAnimationFrame(look));
        document.body.dispatchEvent(new KeyboardEvent('keydown', { key: ' ', bubbles: true }));
        look();
      })`)) as number,
    );
  console.log(`a tap to the screen, the server away: ${summary(painted)}`);
  const opened: number[] = [];
  for (let i = 0; i < 5; i++) {
    const again = await page.browserContext().newPage();
    const start = performance.now();
    await again.goto(chair, { waitUntil: 'domcontentloaded' });
    await again.waitForSelector('section[aria-label="Now"]');
    opened.push(performance.now() - start);
    await again.close();
  }
  console.log(`the chair opened without its server: ${summary(opened)}`);
  await browser.close();
  database.close();
  rmSync(folder, { recursive: true, force: true });
}

/** How soon a tap is answered while heavy forecasts are asked for without a pause, over HTTP and by screens. */
async function benchTaps() {
  const server = await startServer('demo');
  const { rows } = await server.database.client.execute('select id from sets where taken_down_at_ms is null');
  const address = `${server.origin}/api/v1/sets/${String(rows[0]?.id)}/events`;
  const tap = async (n: number) => {
    const event = { id: `bench-${n}`, number: n, kind: 'note', atMs: Date.now(), note: 'bench' };
    const start = performance.now();
    const answer = await post(address, { format: 1, deviceId: 'bench', events: [event] });
    await answer.text();
    if (!answer.ok) throw new Error(`a tap was answered ${answer.status}`);
    return performance.now() - start;
  };
  const taps = async (from: number) => {
    const times: number[] = [];
    for (let n = from; n < from + 60; n++) {
      times.push(await tap(n));
      await new Promise((wait) => setTimeout(wait, 50));
    }
    return times;
  };
  await taps(1);
  console.log(`a tap, nothing else asked: ${summary(await taps(100))}`);
  let isOver = false;
  const answered = new Map<number, number>();
  const hammer = async (id: number) => {
    for (let n = 0; !isOver; n++) {
      const answer = await post(`${server.origin}/api/v1/forecast`, heavyBrief(n, 25 + id / 10));
      await answer.text();
      answered.set(answer.status, (answered.get(answer.status) ?? 0) + 1);
    }
  };
  const hammers = Array.from({ length: 8 }, (_, id) => hammer(id));
  const times = await taps(200);
  isOver = true;
  await Promise.all(hammers);
  console.log(
    `a tap while 8 ask for heavy forecasts: ${summary(times)}, longest ${Math.max(...times).toFixed(0)} ms; they were answered ${[...answered].map(([status, n]) => `${status} ×${n}`).join(', ')}`,
  );
  await server.stop();
}

await benchCore();
await benchDraws();
await benchSuggestions();
await benchPages();
await benchTaps();
await benchDevices();
await benchDiary();
await benchFindings();
benchRound();
await benchTurning();
const chunks = join('.next', 'static', 'chunks');
const total = readdirSync(chunks)
  .filter((file) => file.endsWith('.js'))
  .reduce((sum, file) => sum + statSync(join(chunks, file)).size, 0);
console.log(`all scripts of the app: ${(total / 1024).toFixed(0)} kB, not gzipped`);

import sharp from 'sharp';
import { launchBrowser, openPage, PHONE } from './tests/support/browser';
import { startServer } from './tests/support/server';
import { see, press } from './tests/support/hands';
import { cardAndCurlScene } from './tests/support/photo-scenes';
const server = await startServer('demo');
const browser = await launchBrowser();
try {
const { client } = server.database;
const setId = String((await client.execute('select id from sets where taken_down_at_ms is not null and ended_at_ms is null')).rows[0]!.id);
const P = cardAndCurlScene(12, 10, 3);
const jpeg = await sharp(Buffer.from(P.data), { raw: { width: P.width, height: P.height, channels: 4 } }).jpeg().toBuffer();
await fetch(`${server.origin}/api/v1/sets/${setId}/photos?date=${new Date().toISOString().slice(0, 10)}&view=curl`, { method: 'POST', headers: { 'content-type': 'image/jpeg' }, body: new Uint8Array(jpeg) });
for (const [n, v] of [['d', { width: 1280, height: 800 }], ['p', PHONE]] as const) {
const { page, problems } = await openPage(browser, v);
await page.goto(`${server.origin}/wear/${setId}`, { waitUntil: 'networkidle2' });
await page.waitForSelector('[aria-label^="Measure on One curl"]');
await page.$eval('[aria-label^="Measure on One curl"]', (b) => (b as HTMLElement).click());
await see(page, 'Our printed card');
await press(page, 'Find the card');
await see(page, '5.0 pixels');
const box = await page.$eval('svg[role="application"]', (s) => { const { left, top, width } = s.getBoundingClientRect(); return { left, top, width }; });
const k = box.width / P.width;
await page.mouse.move(box.left + 906 * k, box.top + 40 * k); await page.mouse.down(); await page.mouse.move(box.left + 913 * k, box.top + 560 * k, { steps: 5 }); await page.mouse.up();
await press(page, 'Measure it');
await see(page, 'Turn to turn');
await page.screenshot({ path: `/tmp/m-${n}.png` });
await press(page, 'Keep with the day');
await new Promise((r) => setTimeout(r, 800));
await press(page, 'Close');
await see(page, 'from a picture');
await page.$eval('section[aria-label="From pictures"]', (s) => s.scrollIntoView({ block: 'center' }));
await new Promise((r) => setTimeout(r, 600));
await page.screenshot({ path: `/tmp/k-${n}.png` });
console.log(problems);
}
} finally { await browser.close(); await server.stop(); }

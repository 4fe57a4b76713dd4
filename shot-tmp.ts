import { launchBrowser, openPage, PHONE } from './tests/support/browser';
import { arrive, choose, forecastSettles, openStep, planFor, press } from './tests/support/hands';
import { startServer } from './tests/support/server';
const server = await startServer('demo'); const browser = await launchBrowser();
try {
const { page } = await openPage(browser);
const go = (p: string, pg = page) => pg.goto(server.origin + p, { waitUntil: 'networkidle0' });
await go('/plan'); await planFor(page, 'Amara'); await arrive(page, /^\/plan\/.+/);
await openStep(page, 'Drying'); await choose(page, 'Step 1', 'bonnet'); await press(page, 'Add a step'); await forecastSettles(page); await new Promise(r=>setTimeout(r,1500));
await page.screenshot({ path: '/tmp/s1.png' });
const url=page.url();
await page.evaluate(()=>document.querySelector('[role=region]')?.scrollIntoView()); await new Promise(r=>setTimeout(r,300));
await page.screenshot({ path: '/tmp/s2.png', fullPage: true });
await go('/shelf'); await page.screenshot({ path: '/tmp/s3.png', fullPage: true });
await go('/shelf/dryers/new'); await press(page,'Keep this dryer'); await new Promise(r=>setTimeout(r,500)); await page.screenshot({ path: '/tmp/s4.png' });
const phone = (await openPage(browser, PHONE)).page; await go(new URL(url).pathname, phone); await new Promise(r=>setTimeout(r,2500)); await phone.screenshot({ path: '/tmp/s5.png', fullPage: true });
await go('/studio', phone); await phone.screenshot({ path: '/tmp/s6.png', fullPage: true });
const rows = (await server.database.client.execute("select id, json_extract(as_taken_down,'$.chanceDry') c, json_extract(as_taken_down,'$.daysPresentable.p50') d, json_extract(forecast,'$.daysPresentable.p50') f from sets where taken_down_at_ms is not null order by c")).rows; console.log(rows);
await go('/wear/' + rows[0]!.id); await page.screenshot({ path: '/tmp/s7.png' });
await go('/sets/' + rows[0]!.id); await page.screenshot({ path: '/tmp/s8.png', fullPage: true });
} finally { await browser.close(); await server.stop(); }
process.exit(0);

import { launchBrowser, openPage } from './tests/support/browser';
import { startServer } from './tests/support/server';
import { openStep, see, press } from './tests/support/hands';
const server = await startServer('demo');
const browser = await launchBrowser();
try {
const { client } = server.database;
const id = String((await client.execute("select id from plans where status = 'chosen'")).rows[0]!.id);
const { page, problems } = await openPage(browser);
await page.goto(`${server.origin}/plan/${id}`, { waitUntil: 'networkidle2' });
await see(page, 'range worked out');
await openStep(page, 'Sections');
await press(page, 'Half-head trial: compare the left with the right').catch(async () => page.click('::-p-text(Half-head trial)'));
await openStep(page, 'Layers, in order');
await new Promise((r) => setTimeout(r, 800));
const sets = await page.$$('section[aria-labelledby="which-half"] fieldset');
console.log(sets.length);
if (sets[1]) await (await sets[1].$$('button'))[1]!.click();
if (sets[2]) await (await sets[2].$$('button'))[2]!.click();
await see(page, 'range worked out');
await new Promise((r) => setTimeout(r, 1500));
await page.screenshot({ path: '/tmp/p1.png' });
await page.evaluate(() => document.querySelector('#which-half')?.scrollIntoView());
await page.screenshot({ path: '/tmp/p2.png' });
console.log(problems);
} finally { await browser.close(); await server.stop(); }

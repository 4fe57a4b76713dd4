import { launchBrowser, openPage, PHONE } from './tests/support/browser';
import { startServer } from './tests/support/server';
const server = await startServer('demo');
const browser = await launchBrowser();
try {
const { client } = server.database;
const id = String((await client.execute("select id from heads where name = 'Amara'")).rows[0]!.id);
const set = String((await client.execute(`select s.id from sets s where head_id = '${id}' order by started_at_ms desc`)).rows[0]!.id);
for (const [n, path, v, s] of [['a', `/heads/${id}`, { width: 1280, height: 800 }, 'light'], ['e', `/sets/${set}`, { width: 1280, height: 800 }, 'light'], ['c', '/', { width: 1280, height: 800 }, 'light'], ['d', '/studio', { width: 1280, height: 800 }, 'dark']] as const) {
const { page, problems } = await openPage(browser, v, s);
const t = Date.now();
await page.goto(server.origin + path, { waitUntil: 'networkidle2' });
await new Promise((r) => setTimeout(r, 800));
await page.screenshot({ path: `/tmp/s-${n}.png`, fullPage: n === 'e' });
console.log(n, problems, Date.now() - t);
}
} finally { await browser.close(); await server.stop(); }

import { launchBrowser, openPage, DESK, PHONE } from './tests/support/browser';
import { startServer } from './tests/support/server';
const [path, out, size = 'desk', scheme = 'light', waitMs = '2500', ...clicks] = process.argv.slice(2);
async function main() {
  const server = await startServer('demo');
  const browser = await launchBrowser();
  const id = async (sql: string) => String((await server.database.client.execute(sql)).rows[0]?.id);
  let real = path!;
  for (const name of ['Amara', 'Ife', 'Maren', 'Noor', 'Sol']) if (real.includes(`{${name}}`)) real = real.replace(`{${name}}`, await id(`select id from heads where name='${name}'`));
  if (real.includes('{plan}')) real = real.replace('{plan}', await id("select id from plans where status='chosen'"));
  if (real.includes('{rods}')) real = real.replace('{rods}', await id("select id from plans where title like '%od%'"));
  const { page, problems } = await openPage(browser, size === 'phone' ? PHONE : DESK, scheme as 'light');
  await page.goto(server.origin + real, { waitUntil: 'networkidle0' });
  await new Promise((r) => setTimeout(r, Number(waitMs)));
  for (const click of clicks) {
    if (click.startsWith('scroll:')) await page.evaluate((y) => window.scrollTo(0, y), Number(click.slice(7)));
    else if (click.startsWith('eval:')) console.log(await page.evaluate(click.slice(5)));
    else if (click.startsWith('sel:')) { const [s, v] = click.slice(4).split('='); 
      await page.evaluate((s, v) => { const l = [...document.querySelectorAll('label')].find((x) => x.textContent === s)!; const el = document.getElementById(l.getAttribute('for')!) as HTMLSelectElement; const o=[...el.options].find((o) => o.text === v)!; const set = Object.getOwnPropertyDescriptor(HTMLSelectElement.prototype, 'value')!.set!; set.call(el, o.value); el.dispatchEvent(new Event('change', { bubbles: true })); }, s!, v!); }
    else { await page.evaluate((t) => { const el = [...document.querySelectorAll('button,summary,a,label')].find((x) => x.textContent?.trim() === t || x.getAttribute('aria-label') === t || x.textContent?.trim().startsWith(t)) as HTMLElement; if (!el) throw new Error('no ' + t); el.scrollIntoView({block:'center'}); el.click(); }, click); }
    await new Promise((r) => setTimeout(r, 900));
  }
  await new Promise((r) => setTimeout(r, 1500));
  await page.screenshot({ path: out as `${string}.png` });
  console.log(problems.join('\n'));
  await browser.close(); await server.stop();
}
void main();

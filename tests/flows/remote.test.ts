import { execFile } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { promisify } from 'node:util';
import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { launchBrowser, openPage, PHONE } from '../support/browser';
import { isAwake, isDone, isKept } from '../support/chair';
import { press, see } from '../support/hands';
import { serveLibsql, type LibsqlServer } from '../support/libsql-server';
import { aDatabase, freePort, serve } from '../support/server';

type Served = Awaited<ReturnType<typeof serve>>;

let folder: string;
let far: LibsqlServer;
let settings: Readonly<Record<string, string>>;
/** Two processes of the program at one database. */
let one: Served;
let two: Served;
let browser: Browser;
let setId: string;

beforeAll(async () => {
  const made = await aDatabase('demo', Date.now());
  ({ folder } = made);
  const { rows } = await made.database.client.execute("select id from plans where status = 'chosen'");
  made.database.close();
  far = await serveLibsql(join(folder, 'test.db'));
  settings = { DATABASE_TOKEN: 'token' };
  [one, two] = await Promise.all([
    serve(far.url, await freePort(), '.', settings),
    serve(far.url, await freePort(), '.', settings),
  ]);
  browser = await launchBrowser();
  const { page } = await openPage(browser);
  await page.goto(`${one.origin}/plan/${String(rows[0]!.id)}`, { waitUntil: 'networkidle2' });
  await press(page, 'Take to the chair');
  await page.waitForFunction(() => location.pathname.startsWith('/chair/'));
  setId = new URL(page.url()).pathname.split('/').at(-1)!;
  await page.close();
});
afterAll(async () => {
  await browser?.close();
  await one?.end('SIGTERM');
  await two?.end('SIGTERM');
  await far?.close();
  if (folder) rmSync(folder, { recursive: true, force: true });
});

const chair = async (at: Served): Promise<Page> => {
  const { page } = await openPage(browser, PHONE);
  await page.goto(`${at.origin}/chair/${setId}`, { waitUntil: 'load' });
  await isAwake(page);
  return page;
};

describe('two processes at one database on a server', () => {
  it('each sees what is tapped at the other, with answers cut and 20 ms on the way', async () => {
    const [here, there] = [await chair(one), await chair(two)];
    Object.assign(far.weather, { latencyMs: 20, losesAnswer: (number: number) => number % 37 === 0 });
    for (const section of [1, 2, 3]) {
      const [tapping, watching] = section % 2 === 1 ? [here, there] : [there, here];
      await press(tapping, 'Section done');
      await isDone(watching, section);
    }
    await Promise.all([isKept(here), isKept(there)]);
    Object.assign(far.weather, { latencyMs: 0, losesAnswer: () => false });
    const events = (await (await fetch(`${two.origin}/api/v1/sets/${setId}/events?after=0`)).json()) as {
      events: { sequence: number; event: { kind: string } }[];
    };
    const done = events.events.filter(({ event }) => event.kind === 'section-done');
    expect(done).toHaveLength(3);
    expect(new Set(done.map(({ sequence }) => sequence)).size).toBe(3);
    await here.close();
    await there.close();
  });

  it('says where the data is, and everything can be taken out from anywhere', async () => {
    const { page } = await openPage(browser);
    await page.goto(`${two.origin}/studio`, { waitUntil: 'networkidle2' });
    await see(page, 'The data is kept on a database server');
    await page.close();
    expect((await fetch(`${one.origin}/api/v1/ready`)).status).toBe(200);
    const out = mkdtempSync(join(tmpdir(), 'keen-export-'));
    // Not waited for in place: the database is served by this very process.
    await promisify(execFile)(process.execPath, ['--import', 'tsx', 'src/cli/keen.ts', 'export', out], {
      env: { ...process.env, ...settings, DATABASE_URL: far.url },
    });
    const archive = JSON.parse(readFileSync(join(out, 'studio.json'), 'utf8')) as {
      tables: Record<string, { id?: string }[]>;
    };
    expect(archive.tables.sets!.map(({ id }) => id)).toContain(setId);
    rmSync(out, { recursive: true, force: true });
  });

  it('is not ready while its database is away, and ready again once it is back', async () => {
    far.weather.losesRequest = () => true;
    expect((await fetch(`${one.origin}/api/v1/ready`)).status).toBe(503);
    expect((await fetch(`${one.origin}/api/v1/health`)).status).toBe(200);
    far.weather.losesRequest = () => false;
    for (let asked = 0; (await fetch(`${one.origin}/api/v1/ready`)).status !== 200; asked++) {
      expect(asked).toBeLessThan(60);
      await new Promise((wait) => setTimeout(wait, 500));
    }
  });
});

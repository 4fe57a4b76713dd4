import { createServer } from 'node:https';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import jsQR from 'jsqr';
import type { Browser, BrowserContext, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { fingerprintOf, issue } from '@/server/doors/certificates';
import { axeOn } from '../support/axe';
import { DESK, isTakenHold, launchBrowser, openPage, PHONE } from '../support/browser';
import { isAwake, isDone, isKept } from '../support/chair';
import { fill, press, pressInDialog, see, seeGone } from '../support/hands';
import { startLan, type LanServer } from '../support/lan';

let lan: LanServer;
/** The computer of the studio. */
let computer: Browser;
let owner: Page;
/** A phone that trusts the studio. */
let phone: Browser;
let tablet: Page;
let setId: string;
let planId: string;

beforeAll(async () => {
  lan = await startLan('demo');
  computer = await launchBrowser();
  phone = await lan.phone();
  ({ page: owner } = await openPage(computer, DESK));
  const { rows } = await lan.database.client.execute("select id from plans where status = 'chosen'");
  planId = String(rows[0]!.id);
  await owner.goto(`${lan.near}/plan/${planId}`, { waitUntil: 'networkidle2' });
  await press(owner, 'Take to the chair');
  await owner.waitForFunction(() => location.pathname.startsWith('/chair/'));
  setId = new URL(owner.url()).pathname.split('/').at(-1)!;
  ({ page: tablet } = await openPage(phone, PHONE));
});
afterAll(async () => {
  await phone?.close();
  await computer?.close();
  await lan?.stop();
});

/** What the picture of squares in a dialog or page says, as a camera reads it. */
async function readSquares(page: Page, within: string): Promise<string> {
  const { size, dark } = await page.$eval(`${within} svg[role="img"]`, (svg) => ({
    size: Number(svg.getAttribute('viewBox')!.split(' ')[2]),
    dark: [
      ...svg
        .querySelector('path')!
        .getAttribute('d')!
        .matchAll(/M(\d+) (\d+)/g),
    ].map(([, x, y]) => [Number(x), Number(y)]),
  }));
  const scale = 4;
  const pixels = new Uint8ClampedArray(4 * (size * scale) ** 2).fill(255);
  for (const [x, y] of dark)
    for (let dy = 0; dy < scale; dy++)
      for (let dx = 0; dx < scale; dx++)
        pixels.fill(
          0,
          4 * ((y! * scale + dy) * size * scale + x! * scale + dx),
          4 * ((y! * scale + dy) * size * scale + x! * scale + dx) + 3,
        );
  return jsQR(pixels, size * scale, size * scale)!.data;
}

const people = async () => {
  await owner.goto(`${lan.near}/studio/people`, { waitUntil: 'networkidle2' });
};

async function add(name: string, role: string, pin: string) {
  await press(owner, 'Add somebody');
  await owner.waitForSelector('[role="dialog"]');
  await fill(owner, 'Name', name);
  await owner.click(`::-p-xpath(//*[@role="dialog"]//label[contains(., "${role}")])`);
  await owner.type('[role="dialog"] input[type="password"]', pin);
  await pressInDialog(owner, 'Keep');
  await owner.waitForSelector('[role="dialog"]', { hidden: true });
  await see(owner, name);
}

/** A code for a device, as it is read and as it is typed. */
async function code(role: string): Promise<{ link: string; typed: string }> {
  await people();
  await press(owner, 'Pair a phone or tablet');
  await owner.waitForSelector('[role="dialog"]');
  await owner.click(`::-p-xpath(//*[@role="dialog"]//label[contains(., "${role}")])`);
  await pressInDialog(owner, 'Show the code');
  await see(owner, 'It pairs one device');
  const typed = await owner.$eval('[role="dialog"] [class*="typed"]', (element) => element.textContent ?? '');
  const link = await readSquares(owner, '[role="dialog"]');
  await pressInDialog(owner, 'Done');
  return { link, typed };
}

async function signIn(page: Page, name: string, secret: string) {
  await isTakenHold(page);
  await page.click(`::-p-xpath(//button[contains(., "${name}")])`);
  const field = await page.waitForSelector('input[type="password"]');
  await field!.type(secret);
  await press(page, 'Sign in');
}

const left = (page: Page) => page.waitForFunction(() => location.pathname !== '/sign-in');
const done = async () =>
  (
    await lan.database.client.execute({
      sql: "select by_name, device_id from set_events where set_id = ? and kind = 'section-done' order by sequence",
      args: [setId],
    })
  ).rows;

/** Addresses with a secret that a page is given after it took it out of its own, and those that Back could lead to. */
async function secretsIn(page: Page) {
  const client = await page.createCDPSession();
  await client.send('Page.enable');
  const given: string[] = [];
  client.on('Page.navigatedWithinDocument', ({ url }) => given.push(url));
  return async () => {
    const { entries } = await client.send('Page.getNavigationHistory');
    const isTaken = given.findIndex((url) => !url.includes('#'));
    expect(isTaken).toBeGreaterThanOrEqual(0);
    return [...given.slice(isTaken), ...entries.map(({ url }) => url)].filter((url) => url.includes('#'));
  };
}

describe('the studio’s network', () => {
  it('asks who the owner is before anybody is let in; at the computer nobody signs in', async () => {
    await people();
    await see(owner, 'First, who you are');
    await fill(owner, 'Your name', 'Maren');
    await owner.type('input[type="password"]', 'short');
    await press(owner, 'Keep');
    await see(owner, 'at least 15 letters');
    await owner.type('input[type="password"]', ' kettle orchard violin');
    await press(owner, 'Keep');
    await see(owner, 'Phones on this network can come in');
    await add('Ilo', 'Assistant', '7391');
    await add('Bea', 'Stylist', '5028');
    await owner.goto(`${lan.near}/`, { waitUntil: 'networkidle2' });
    expect(new URL(owner.url()).pathname).toBe('/');
  });

  it('in two tabs: a name is given once, and who was taken out elsewhere is not changed here', async () => {
    const second = await openPage(computer, DESK);
    const open = (page: Page) => page.goto(`${lan.near}/studio/people`, { waitUntil: 'networkidle2' });
    await Promise.all([open(owner), open(second.page)]);
    await add('Odile', 'Assistant', '6204');
    // The second tab does not know of her yet.
    await press(second.page, 'Add somebody');
    await second.page.waitForSelector('[role="dialog"]');
    await fill(second.page, 'Name', 'odile');
    await second.page.type('[role="dialog"] input[type="password"]', '1234');
    await pressInDialog(second.page, 'Keep');
    await see(second.page, 'among the first that anybody tries');
    await fill(second.page, 'PIN', '8815');
    await pressInDialog(second.page, 'Keep');
    await see(second.page, 'already');
    // What was typed is still there.
    expect(
      await second.page.$eval('[role="dialog"] input', (input) => (input as HTMLInputElement).value),
    ).toBe('odile');
    await open(second.page);
    await press(second.page, 'Change Odile');
    await fill(second.page, 'Name', 'Odile the second');
    await press(owner, 'Change Odile');
    await fill(owner, 'Name', 'Odile A.');
    await pressInDialog(owner, 'Keep');
    await see(owner, 'Odile A.');
    await pressInDialog(second.page, 'Keep');
    await see(second.page, 'changed somewhere else');
    await press(owner, 'Change Odile A.');
    await pressInDialog(owner, 'Let in no more');
    await pressInDialog(owner, 'Let her in no more');
    await seeGone(owner, 'Odile');
    await pressInDialog(second.page, 'Keep');
    await see(second.page, 'not here');
    await second.page.close();
  });

  it('offers its authority in the clear, and that alone; its letters are those on the owner’s screen', async () => {
    const authority = readFileSync(join(lan.folder, 'authority.pem'), 'utf8');
    const shown = fingerprintOf(authority).split(':').slice(0, 8).join(' ');
    expect(await (await fetch(lan.offer)).text()).toContain(shown);
    await people();
    await see(owner, shown);
    const file = await fetch(`${lan.offer}/keen-spiral.crt`);
    expect(file.headers.get('content-type')).toBe('application/x-x509-ca-cert');
    const pem = Buffer.from(await file.arrayBuffer()).toString('base64');
    expect(authority.replace(/\s/g, '')).toContain(pem);
    expect((await fetch(`${lan.offer}/heads`, { redirect: 'manual' })).status).toBe(302);
    expect((await fetch(lan.offer, { method: 'POST' })).status).toBe(405);
  });

  it('is not trusted by a phone that was not told, nor is a name that the authority may not vouch for', async () => {
    const { page } = await openPage(await launchBrowser({ args: [`--host-resolver-rules=MAP * 127.0.0.1`] }));
    await expect(page.goto(`${lan.origin}/`)).rejects.toThrow('ERR_CERT_AUTHORITY_INVALID');
    await page.browser().close();
    const pem = (name: string) => readFileSync(join(lan.folder, `${name}.pem`), 'utf8');
    const stolen = { certificatePem: pem('authority'), keyPem: pem('authority-key') };
    const forged = await issue(stolen, ['other.local'], ['127.0.0.1'], Date.now());
    const server = createServer({ key: forged.keyPem, cert: forged.certificatePem }, (_, response) =>
      response.end('x'),
    );
    await new Promise<void>((ready) => server.listen(0, '127.0.0.1', ready));
    const { port } = server.address() as { port: number };
    const forging = await openPage(phone);
    await expect(forging.page.goto(`https://127.0.0.1:${port}/`)).rejects.toThrow('ERR_CERT_INVALID');
    await forging.page.close();
    server.close();
  });

  it('shows nothing to a device that was not paired', async () => {
    const answers: string[] = [];
    for (const path of ['/', '/heads', `/chair/${setId}`, '/studio/people']) {
      await tablet.goto(`${lan.origin}${path}`, { waitUntil: 'networkidle2' });
      answers.push(new URL(tablet.url()).pathname);
      await see(tablet, 'This device is not paired');
    }
    expect(new Set(answers)).toEqual(new Set(['/sign-in']));
    const refused = await tablet.evaluate(
      async (id) =>
        Promise.all(
          [`/api/v1/sets/${id}/events`, `/api/v1/photos/${id}`, '/api/v1/tables/sets', '/calendar/x'].map(
            async (path) => (await fetch(path)).status,
          ),
        ),
      setId,
    );
    expect(refused).toEqual([401, 401, 401, 401]);
  });
});

describe('an assistant', () => {
  it('is paired by what a camera reads, once, and signs in by her PIN', async () => {
    const { link } = await code('Assistant');
    expect(link.startsWith(`${lan.origin}/pair#`)).toBe(true);
    await tablet.goto(`${lan.origin}/api/v1/health`);
    const secrets = await secretsIn(tablet);
    await tablet.goto(link, { waitUntil: 'networkidle2' });
    await see(tablet, 'The code is read');
    expect(tablet.url()).toBe(`${lan.origin}/pair`);
    await fill(tablet, 'What this device is called', 'Tablet two');
    await press(tablet, 'Pair this device');
    await see(tablet, 'Ilo');
    expect(await secrets()).toEqual([]);
    expect(await axeOn(tablet, 'sign-in')).toEqual([]);
    await signIn(tablet, 'Ilo', '1111');
    await see(tablet, 'This is not the PIN');
    await tablet.type('input[type="password"]', '7391');
    await press(tablet, 'Show what is typed');
    expect(
      await tablet.$eval('input[autocomplete="current-password"]', (field) => [field.type, field.value]),
    ).toEqual(['text', '7391']);
    expect(await axeOn(tablet, 'a PIN that is shown')).toEqual([]);
    await press(tablet, 'Show what is typed');
    await tablet.waitForSelector('input[type="password"]');
    await press(tablet, 'Sign in');
    await left(tablet);
    expect(new URL(tablet.url()).pathname).toBe('/chair');
    // Back leads to what was there before the code, not to a code that pairs nothing, or to a name and its PIN.
    await tablet.evaluate(() => history.back());
    await tablet.waitForFunction(() => location.pathname !== '/chair');
    expect(tablet.url()).toBe(`${lan.origin}/api/v1/health`);
    await tablet.goto(`${lan.origin}/`, { waitUntil: 'networkidle2' });
    const second = await openPage(phone, PHONE);
    await second.page.goto(link, { waitUntil: 'networkidle2' });
    await press(second.page, 'Pair this device');
    await see(second.page, 'This code pairs nothing');
    await second.page.close();
  });

  it('has the chair and nothing else', async () => {
    for (const path of ['/heads', '/plan', '/studio', '/studio/people', '/findings']) {
      const answer = await tablet.goto(`${lan.origin}${path}`, { waitUntil: 'networkidle2' });
      expect(answer!.status(), path).toBe(403);
      await see(tablet, 'This is not yours to see');
    }
    await tablet.goto(`${lan.origin}/`, { waitUntil: 'networkidle2' });
    expect(new URL(tablet.url()).pathname).toBe('/chair');
    const places = await tablet.$$eval('nav a', (links) => links.map((link) => link.getAttribute('href')));
    expect(places).toEqual(['/chair', '/chair', '/me']);
  });

  it('stays herself where an action belongs to another page than it was sent to', async () => {
    const { node } = JSON.parse(readFileSync('.next/server/server-reference-manifest.json', 'utf8')) as {
      node: Record<string, { exportedName: string }>;
    };
    const [readPlan] = Object.entries(node).find(([, { exportedName }]) => exportedName === 'readPlan')!;
    const ask = (page: Page) =>
      page.evaluate(
        async (action, id) => {
          const body = JSON.stringify([{ id }]);
          const headers = {
            'next-action': action,
            accept: 'text/x-component',
            'content-type': 'text/plain;charset=UTF-8',
          };
          return (await fetch('/me', { method: 'POST', headers, body })).text();
        },
        readPlan,
        planId,
      );
    expect(await ask(owner)).toContain('"ok":true');
    expect(await ask(tablet)).toContain('Only the owner and stylists');
  });

  it('runs a set beside the owner, and what she does is under her name', async () => {
    await owner.goto(`${lan.near}/chair/${setId}`, { waitUntil: 'load' });
    // A printed sheet leads her there.
    await tablet.goto(`${lan.origin}/open/${planId}`, { waitUntil: 'load' });
    expect(new URL(tablet.url()).pathname).toBe(`/chair/${setId}`);
    await Promise.all([isAwake(owner), isAwake(tablet)]);
    await press(tablet, 'Section done');
    await isDone(owner, 1);
    await press(owner, 'Section done Space');
    await isDone(tablet, 2);
    expect((await done()).map(({ by_name }) => by_name)).toEqual(['Ilo', null]);
  });

  it('is revoked in the middle of it: nothing more comes in, and what she taps is kept on her device', async () => {
    await people();
    await see(owner, 'Ilo signed in');
    await press(owner, 'Let in no more: Tablet two');
    await pressInDialog(owner, 'Let it in no more');
    await seeGone(owner, 'Ilo signed in');
    await press(tablet, 'Section done');
    await see(tablet, 'Nobody is signed in on this device any more');
    expect(await done()).toHaveLength(2);
    await tablet.goto(`${lan.origin}/chair`, { waitUntil: 'networkidle2' });
    await see(tablet, 'This device is not paired');
    // What it kept to look at is gone.
    await tablet.waitForFunction(async () => !(await caches.has('keen-chairs-1')));
    const { typed } = await code('Assistant');
    await tablet.goto(`${lan.origin}/pair`, { waitUntil: 'networkidle2' });
    await fill(tablet, 'Code from the owner’s screen', typed.toLowerCase());
    await press(tablet, 'Pair this device');
    await see(tablet, 'Ilo');
    await signIn(tablet, 'Ilo', '7391');
    await left(tablet);
    await tablet.goto(`${lan.origin}/chair/${setId}`, { waitUntil: 'load' });
    await isKept(tablet);
    expect((await done()).map(({ by_name }) => by_name)).toEqual(['Ilo', null, 'Ilo']);
  });

  it('opens the chair without the studio’s computer, and what she taps goes once it is back', async () => {
    await tablet.waitForFunction(
      async (path) => (await (await caches.open('keen-chairs-1')).match(path)) !== undefined,
      {},
      `/chair/${setId}`,
    );
    await lan.end('SIGKILL');
    await tablet.reload({ waitUntil: 'load' });
    await tablet.waitForSelector('section[aria-label="Now"] button');
    await isDone(tablet, 3);
    await press(tablet, 'Section done');
    await see(tablet, 'waiting to be sent');
    await lan.again();
    await isKept(tablet);
    expect(await done()).toHaveLength(4);
  });

  it('locks her own device by guessing, and nobody else', async () => {
    await tablet.goto(`${lan.origin}/me`, { waitUntil: 'networkidle2' });
    await press(tablet, 'Sign out');
    await see(tablet, 'Maren');
    await tablet.click('::-p-xpath(//button[contains(., "Maren")])');
    for (let guess = 0; guess < 6; guess++) {
      await tablet.waitForFunction(
        () => !document.querySelector<HTMLButtonElement>('button[type="submit"]')!.disabled,
      );
      await tablet.type('input[type="password"]', `guess ${guess}`);
      await press(tablet, 'Sign in');
      await see(tablet, guess < 5 ? 'This is not the passphrase' : 'Too many guesses; wait');
    }
    await press(tablet, 'Somebody else');
    await signIn(tablet, 'Ilo', '7391');
    await left(tablet);
    await owner.goto(`${lan.near}/studio/people`, { waitUntil: 'networkidle2' });
    await see(owner, 'Phones on this network can come in');
  });
});

describe('a stylist', () => {
  let stylist: Page;

  it('has ways of her own: her units are hers, and what she changes is under her name', async () => {
    const { typed } = await code('Stylist');
    const { page } = await openPage(phone, DESK);
    await page.goto(`${lan.origin}/pair`, { waitUntil: 'networkidle2' });
    await fill(page, 'Code from the owner’s screen', typed);
    await press(page, 'Pair this device');
    await see(page, 'Bea');
    await signIn(page, 'Bea', '5028');
    await left(page);
    await page.goto(`${lan.origin}/heads`, { waitUntil: 'networkidle2' });
    await press(page, 'cm, change to inches');
    await page.waitForSelector('::-p-aria([name="in, change to centimetres"])');
    await new Promise((kept) => setTimeout(kept, 500));
    await page.reload({ waitUntil: 'networkidle2' });
    await page.waitForSelector('::-p-aria([name="in, change to centimetres"])');
    await owner.goto(`${lan.near}/heads`, { waitUntil: 'networkidle2' });
    await owner.waitForSelector('::-p-aria([name="cm, change to inches"])');
    expect((await page.goto(`${lan.origin}/studio`))!.status()).toBe(403);
    stylist = page;
  });

  it('signs in by a passkey that her phone made, and by none that it forgot', async () => {
    const client = await stylist.createCDPSession();
    await client.send('WebAuthn.enable');
    const { authenticatorId } = await client.send('WebAuthn.addVirtualAuthenticator', {
      options: {
        protocol: 'ctap2',
        transport: 'internal',
        hasUserVerification: true,
        isUserVerified: true,
        automaticPresenceSimulation: true,
      },
    });
    await stylist.goto(`${lan.origin}/me`, { waitUntil: 'networkidle2' });
    await press(stylist, 'Make a passkey');
    await see(stylist, 'From now on this device signs you in by it');
    const signInAgain = async () => {
      await stylist.goto(`${lan.origin}/me`, { waitUntil: 'networkidle2' });
      await press(stylist, 'Sign out');
      const own = await stylist.waitForSelector('::-p-xpath(//main//button[contains(., "Bea")])');
      await own!.click();
    };
    await signInAgain();
    await press(stylist, 'Use a passkey');
    await left(stylist);
    await signInAgain();
    // Another key of the same phone, which the studio does not know.
    await client.send('WebAuthn.clearCredentials', { authenticatorId });
    await press(stylist, 'Use a passkey');
    await stylist.waitForFunction(
      () => !document.querySelector<HTMLButtonElement>('button[type="submit"]')!.disabled,
    );
    expect(new URL(stylist.url()).pathname).toBe('/sign-in');
    await stylist.type('input[type="password"]', '5028');
    await press(stylist, 'Sign in');
    await left(stylist);
    await stylist.close();
  });
});

describe('a client', () => {
  let hers: BrowserContext;
  let page: Page;
  const link = async () => {
    await owner.goto(`${lan.near}/plan/${planId}`, { waitUntil: 'networkidle2' });
    await press(owner, 'Sheet');
    await owner.waitForSelector(
      '::-p-xpath(//button[contains(., "Make a link for her") and not(@disabled)])',
    );
    await press(owner, 'Make a link for her');
    await owner.waitForSelector('[role="dialog"] svg[role="img"]');
    return readSquares(owner, '[role="dialog"]');
  };

  it('reads one plan by her link, and the link stands in no history', async () => {
    const address = await link();
    ({ page } = await openPage(phone, PHONE));
    hers = page.browserContext();
    const secrets = await secretsIn(page);
    await page.goto(address, { waitUntil: 'networkidle2' });
    await see(page, 'At night');
    expect(await secrets()).toEqual([]);
    await see(page, 'By day');
    expect(await page.$$('a, button, form')).toEqual([]);
    // Coming back later needs no link.
    await page.reload({ waitUntil: 'networkidle2' });
    await see(page, 'At night');
  });

  it('has nothing else: no other page, no address, no other link', async () => {
    const here = page.url();
    const answers = await page.evaluate(
      async (id) =>
        Promise.all(
          ['/', '/heads', `/chair/${id}`, `/api/v1/sets/${id}/events`, '/api/v1/photos/x'].map(
            async (path) => {
              const answer = await fetch(path);
              return `${answer.status} ${new URL(answer.url).pathname}`;
            },
          ),
        ),
      setId,
    );
    expect(answers).toEqual([
      '200 /sign-in',
      '200 /sign-in',
      '200 /sign-in',
      `401 /api/v1/sets/${setId}/events`,
      '401 /api/v1/photos/x',
    ]);
    expect(await page.evaluate(() => document.cookie)).toBe('');
    await page.goto(here.replace(/\/[^/]+$/, '/another'), { waitUntil: 'networkidle2' });
    await see(page, 'This page opens with the link');
    await page.goto(here, { waitUntil: 'networkidle2' });
    await see(page, 'At night');
  });

  it('reads it no more once it is taken back', async () => {
    await press(owner, 'Take it back');
    await owner.waitForFunction(() => !document.body.textContent?.includes('Opens until'));
    await page.reload({ waitUntil: 'networkidle2' });
    await see(page, 'This page opens with the link');
    await hers.close();
  });
});

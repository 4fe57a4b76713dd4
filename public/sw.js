// @ts-check
/// <reference lib="webworker" />
// The chair without its server: keeps the program's files and the pages of sets at the chair, and nothing else.
// No build is named here: a page of a newer build brings its own files, and those of an older one stay for its pages.

const worker = /** @type {ServiceWorkerGlobalScope} */ (/** @type {unknown} */ (self));

const FILES = 'keen-files-1';
const PAGES = 'keen-chairs-1';
const MOST_FILES = 400;
const MOST_PAGES = 12;
/** A server that takes longer is not waited for where a page is kept, ms. */
const PATIENCE_MS = 2500;

worker.addEventListener('install', (event) => event.waitUntil(worker.skipWaiting()));
worker.addEventListener('activate', (event) => event.waitUntil(worker.clients.claim()));

/** @param {URL} url */
const isFile = (url) => url.pathname.startsWith('/_next/static/') || url.pathname.startsWith('/icon');
/** @param {URL} url */
const isChair = (url) => /^\/chair\/[^/]+$/.test(url.pathname);

/**
 * The oldest go first: an answer that is put again is put last.
 *
 * @param {Cache} cache
 * @param {number} most
 */
async function trim(cache, most) {
  const keys = await cache.keys();
  await Promise.all(keys.slice(0, Math.max(0, keys.length - most)).map((key) => cache.delete(key)));
}

/**
 * @param {string} path
 * @param {Response} response
 */
async function keepPage(path, response) {
  const cache = await caches.open(PAGES);
  await cache.delete(path);
  await cache.put(path, response);
  await trim(cache, MOST_PAGES);
}

/** @param {Request} request */
async function file(request) {
  const cache = await caches.open(FILES);
  const kept = await cache.match(request);
  if (kept) return kept;
  const fresh = await fetch(request);
  if (fresh.ok) {
    await cache.put(request, fresh.clone());
    await trim(cache, MOST_FILES);
  }
  return fresh;
}

/**
 * An answer without an address of its own. Every web worker is started by the same file and told by the end of its
 * address what to be; a kept answer would bring the address of another.
 *
 * @param {Response} response
 */
const plain = (response) => new Response(response.body, response);

/** @param {FetchEvent} event */
async function chairPage(event) {
  const { pathname } = new URL(event.request.url);
  const fresh = fetch(event.request).then(async (response) => {
    if (response.status >= 500) throw new Error('the server is not well');
    if (response.ok && !response.redirected) await keepPage(pathname, response.clone());
    return response;
  });
  // Also kept when the old page was shown meanwhile.
  event.waitUntil(fresh.catch(() => undefined));
  const kept = await (await caches.open(PAGES)).match(pathname);
  if (!kept) return fresh.catch(() => away(event.request.url));
  const late = new Promise((resolve) => setTimeout(() => resolve(kept), PATIENCE_MS));
  return Promise.race([fresh.catch(() => kept), late]);
}

/** @param {string} text */
const escaped = (text) => text.replace(/[&<>"]/g, (letter) => `&#${letter.charCodeAt(0)};`);

/**
 * What is said where a page needs its server, and which chairs do not.
 *
 * @param {string} asked
 */
async function away(asked) {
  const cache = await caches.open(PAGES);
  const chairs = await Promise.all(
    (await cache.keys()).reverse().map(async (key) => {
      const words = /<title>([^<]*)<\/title>/.exec((await (await cache.match(key))?.text()) ?? '');
      return { path: new URL(key.url).pathname, title: words?.[1]?.split(' · ')[0] ?? 'A set at the chair' };
    }),
  );
  const list = chairs.map(({ path, title }) => `<li><a href="${escaped(path)}">${title}</a></li>`);
  const body = `<!doctype html><html lang="en"><meta charset="utf-8">
<meta name="viewport" content="width=device-width,initial-scale=1"><title>No connection · Keen Spiral</title>
<style>body{margin:0;padding:32px 20px;background:#1c130f;color:#fbf0dc;font:1.15rem/1.5 system-ui,sans-serif}
main{max-width:34rem;margin:auto}a{color:#f3b73b}li a{display:block;min-height:64px;line-height:64px}
ul{list-style:none;padding:0}</style>
<main><h1>No connection to the studio’s computer</h1>
<p>What was tapped on this device is kept and goes as soon as the connection is back.</p>
${list.length > 0 ? `<p>These sets can be worked on meanwhile:</p><ul>${list.join('')}</ul>` : ''}
<p><a href="${escaped(asked)}">Try again</a></p></main></html>`;
  return new Response(body, {
    status: 503,
    headers: {
      'content-type': 'text/html; charset=utf-8',
      'content-security-policy': "default-src 'none'; style-src 'unsafe-inline'",
    },
  });
}

worker.addEventListener('fetch', (event) => {
  const { request } = event;
  const url = new URL(request.url);
  if (request.method !== 'GET' || url.origin !== worker.location.origin) return;
  if (isFile(url)) event.respondWith(file(request).then(plain));
  else if (request.mode !== 'navigate') return;
  else if (isChair(url)) event.respondWith(chairPage(event));
  else event.respondWith(fetch(request).catch(() => away(request.url)));
});

// A chair tells what it needs: it may have been reached without ever being asked for as a page.
worker.addEventListener('message', (event) => {
  /** @type {{ keep?: string, files?: string[], forget?: boolean }} */
  const { keep, files = [], forget } = event.data ?? {};
  // Whoever signed out leaves no head behind to look at.
  if (forget) event.waitUntil(caches.delete(PAGES));
  if (typeof keep !== 'string' || !isChair(new URL(keep, worker.location.origin))) return;
  event.waitUntil(
    (async () => {
      await Promise.all(files.filter((name) => isFile(new URL(name))).map((name) => file(new Request(name))));
      const page = await fetch(keep);
      if (page.ok && !page.redirected) await keepPage(keep, page);
    })().catch(() => undefined),
  );
});

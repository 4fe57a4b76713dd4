import type { IncomingMessage, ServerResponse } from 'node:http';
import { X509Certificate } from 'node:crypto';

/** What the door that offers the authority has to say. */
export interface Offer {
  readonly certificatePem: string;
  readonly fingerprint: string;
  /** Where the program is, by name or address. */
  readonly origin: string;
}

const FILE = '/keen-spiral.crt';

const STEPS: readonly { readonly title: string; readonly steps: readonly string[] }[] = [
  {
    title: 'iPhone and iPad',
    steps: [
      'Open this page in Safari and touch <b>Get the certificate</b>; allow it.',
      'Settings › Profile Downloaded › Install.',
      'Settings › General › About › Certificate Trust Settings: switch it on.',
    ],
  },
  {
    title: 'Android',
    steps: [
      'Touch <b>Get the certificate</b>.',
      'Settings › Security › Encryption &amp; credentials › Install a certificate › CA certificate; choose the file.',
    ],
  },
  {
    title: 'Windows',
    steps: ['Open the file › Install Certificate › Place in: Trusted Root Certification Authorities.'],
  },
  { title: 'Mac', steps: ['Open the file: Keychain opens. Double-click it there › Trust › Always Trust.'] },
];

/** The fingerprint in lines of eight pairs: read aloud against the owner's screen. */
const inLines = (fingerprint: string) =>
  (fingerprint.match(/(?:[0-9A-F]{2}:?){1,8}/g) ?? []).map((line) => line.replace(/:/g, ' ')).join('<br>');

const page = ({ fingerprint, origin }: Offer) => `<!doctype html><html lang="en"><meta charset="utf-8">
<meta name="viewport" content="width=device-width,initial-scale=1"><title>Let this phone trust the studio · Keen Spiral</title>
<style>body{margin:0;padding:24px 20px 40px;background:#fbf3e6;color:#2b1a14;font:1.06rem/1.5 system-ui,sans-serif}
main{max-width:36rem;margin:auto}h1{font-size:1.6rem;line-height:1.2}h2{font-size:1.05rem;margin:1.4em 0 .2em}ol,ul{padding-left:1.3em;margin:.3em 0}
a.do{display:inline-block;min-height:48px;line-height:48px;padding:0 20px;border-radius:8px;background:#8a3413;color:#fff;text-decoration:none;font-weight:700;margin:8px 8px 8px 0}
a{color:#8a3413}code{display:block;font:1.05rem/1.6 ui-monospace,monospace;background:#fff;border:1px solid #d8c4aa;border-radius:8px;padding:10px 14px;overflow-wrap:anywhere}
@media (prefers-color-scheme:dark){body{background:#1c130f;color:#fbf0dc}code{background:#2b1a14;border-color:#5c4334}a{color:#f3b73b}a.do{background:#f3b73b;color:#1c130f}}</style>
<main><h1>Let this phone trust the studio’s computer</h1>
<p>Once for each phone. Then the chair opens without a connection too, and nobody on this network can read along.</p>
<h2>1. Compare</h2><p>These letters must be those on the owner’s screen, in <i>Studio</i>. If one differs, stop here and say so.</p>
<code>${inLines(fingerprint)}</code>
<h2>2. Install</h2><a class="do" href="${FILE}">Get the certificate</a>
${STEPS.map(({ title, steps }) => `<h2>${title}</h2><ol>${steps.map((step) => `<li>${step}</li>`).join('')}</ol>`).join('')}
<h2>3. Open</h2><a class="do" href="${origin}/pair">Open Keen Spiral</a>
<h2>Without it</h2><p>Everything works while there is a connection, after a warning that the browser shows. The chair does not open without one, and there are no passkeys.</p>
<p>The certificate vouches for this one computer and for addresses inside private networks; for nothing on the internet.</p></main></html>`;

/** Answers at the one door that is not encrypted: what a phone needs to trust the others, and nothing else. */
export function answerOffer(offer: Offer, request: IncomingMessage, response: ServerResponse): void {
  const isFile = request.url === FILE;
  if (request.method !== 'GET' && request.method !== 'HEAD') {
    response.writeHead(405, { allow: 'GET, HEAD' }).end();
    return;
  }
  if (!isFile && request.url !== '/') {
    response.writeHead(302, { location: '/' }).end();
    return;
  }
  const body = isFile ? new X509Certificate(offer.certificatePem).raw : page(offer);
  response.writeHead(200, {
    'content-type': isFile ? 'application/x-x509-ca-cert' : 'text/html; charset=utf-8',
    ...(isFile ? { 'content-disposition': 'attachment; filename="keen-spiral.crt"' } : {}),
    'content-security-policy': "default-src 'none'; style-src 'unsafe-inline'; frame-ancestors 'none'",
    'x-content-type-options': 'nosniff',
    'cache-control': 'no-store',
  });
  response.end(request.method === 'HEAD' ? undefined : body);
}

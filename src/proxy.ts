import { NextResponse, type NextRequest } from 'next/server';
import { asking } from './server/asking';
import { isOurs } from './server/doors/admission';
import { env } from './server/env';

/**
 * The policy of every page: nothing from anywhere else, scripts only with this answer's nonce.
 * `style-src-attr` is open because components set positions as inline styles; style sheets need the nonce.
 */
function contentSecurityPolicy(nonce: string): string {
  const development = env.isProduction ? '' : " 'unsafe-eval'";
  return [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic'${development}`,
    `style-src 'self' 'nonce-${nonce}'`,
    "style-src-attr 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "font-src 'self'",
    "worker-src 'self' blob:",
    `connect-src 'self'${env.isProduction ? '' : ' ws:'}`,
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ');
}

/** A drawing on its own: what it needs is inside it, and nothing else is let in. */
const DRAWING_POLICY =
  "default-src 'none'; style-src 'unsafe-inline'; font-src data:; frame-ancestors 'none'";
const isDrawing = (path: string) => /^\/plan\/[^/]+\/sheet\/[^/]+\.svg$/.test(path);

/** Whether the escapes of an address can be read: “%zz” is none. */
function isReadable(path: string): boolean {
  try {
    decodeURIComponent(path);
    return true;
  } catch {
    return false;
  }
}

/** Guards every request: foreign hosts and origins are refused, pages get their policy. */
export function proxy(request: NextRequest): NextResponse {
  if (!isReadable(request.nextUrl.pathname)) {
    return NextResponse.json(
      { type: 'urn:keen-spiral:invalid', title: 'This address has a slip in it', status: 400 },
      { status: 400, headers: { 'content-type': 'application/problem+json' } },
    );
  }
  const isAddressedToUs = isOurs({
    asking: asking(),
    method: request.method,
    path: request.nextUrl.pathname,
    header: (name) => request.headers.get(name),
  });
  if (!isAddressedToUs) {
    return NextResponse.json(
      { type: 'urn:keen-spiral:not-allowed', title: 'This is not allowed from here', status: 403 },
      { status: 403, headers: { 'content-type': 'application/problem+json' } },
    );
  }
  const nonce = Buffer.from(crypto.randomUUID()).toString('base64');
  const policy = isDrawing(request.nextUrl.pathname) ? DRAWING_POLICY : contentSecurityPolicy(nonce);
  const headers = new Headers(request.headers);
  headers.set('x-nonce', nonce);
  headers.set('content-security-policy', policy);
  const response = NextResponse.next({ request: { headers } });
  response.headers.set('content-security-policy', policy);
  response.headers.set('x-content-type-options', 'nosniff');
  response.headers.set('referrer-policy', 'same-origin');
  response.headers.set('cross-origin-opener-policy', 'same-origin');
  response.headers.set('cross-origin-resource-policy', 'same-origin');
  response.headers.set(
    'permissions-policy',
    'camera=(self), screen-wake-lock=(self), microphone=(), geolocation=()',
  );
  return response;
}

export const config = { matcher: '/((?!_next/static|_next/image).*)' };

import { NextResponse, type NextRequest } from 'next/server';
import { DEVICE_HEADER } from './sharing/device-header';

const LOOPBACK = /^(localhost|127\.0\.0\.1|\[::1\])(:\d{1,5})?$/i;

/** What a device that was let in may not do: let in others, put the workspace in place of another, carry it away whole. */
const AT_HOME = ['/api/devices', '/api/restore', '/api/backup', '/api/own-workspace', '/api/demo-copy'];

/**
 * Only this machine's own pages may talk to the server: a foreign Host is misdirected, a foreign Origin forbidden, and
 * so is whatever another site's page asks for, by any method. Following a link to a page of ours is all it may do.
 */
export function proxy(request: NextRequest): NextResponse {
  const host = request.headers.get('host') ?? '';
  const forwarded = request.headers.get('x-forwarded-host');
  if (!LOOPBACK.test(host) || (forwarded !== null && !LOOPBACK.test(forwarded)))
    return refused('Evarn answers on this machine only.', 421);
  if (request.headers.has(DEVICE_HEADER) && AT_HOME.some((p) => request.nextUrl.pathname.startsWith(p)))
    return refused('Only on the machine itself.', 403);
  const origin = request.headers.get('origin');
  if (origin !== null && origin !== `http://${host}`) return refused('Not from here.', 403);
  const site = request.headers.get('sec-fetch-site');
  const ours = site === null || site === 'same-origin' || site === 'none';
  if (!ours && !isPageOpened(request)) return refused('Not from here.', 403);
  return withPolicy(request);
}

/** A link that was followed, or an address typed in another tab: a page is shown, nothing is done. */
const isPageOpened = (request: NextRequest): boolean =>
  ['GET', 'HEAD'].includes(request.method) &&
  request.headers.get('sec-fetch-mode') === 'navigate' &&
  request.headers.get('sec-fetch-dest') === 'document' &&
  !request.nextUrl.pathname.startsWith('/api/');

function refused(says: string, status: number): NextResponse {
  const response = new NextResponse(says, { status });
  harden(response);
  return response;
}

function harden(response: NextResponse): void {
  response.headers.set('x-content-type-options', 'nosniff');
  response.headers.set('referrer-policy', 'no-referrer');
  response.headers.set('cross-origin-opener-policy', 'same-origin');
  response.headers.set('cross-origin-resource-policy', 'same-origin');
}

function withPolicy(request: NextRequest): NextResponse {
  const nonce = btoa(crypto.randomUUID());
  const dev = process.env.NODE_ENV === 'development';
  const policy = [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic'${dev ? " 'unsafe-eval'" : ''}`,
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' blob: data:",
    "font-src 'self'",
    `connect-src 'self'${dev ? ' ws:' : ''}`,
    "worker-src 'self' blob:",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ');
  const headers = new Headers(request.headers);
  headers.set('x-nonce', nonce);
  headers.set('content-security-policy', policy);
  const response = NextResponse.next({ request: { headers } });
  response.headers.set('content-security-policy', policy);
  harden(response);
  return response;
}

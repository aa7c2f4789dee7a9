import { NextResponse, type NextRequest } from 'next/server';

const LOOPBACK = /^(localhost|127\.0\.0\.1|\[::1\])(:\d{1,5})?$/i;

/** Only this machine's own pages may talk to the server: a foreign Host is misdirected, a foreign Origin forbidden. */
export function proxy(request: NextRequest): NextResponse {
  const host = request.headers.get('host') ?? '';
  const forwarded = request.headers.get('x-forwarded-host');
  if (!LOOPBACK.test(host) || (forwarded !== null && !LOOPBACK.test(forwarded)))
    return new NextResponse('Evarn answers on this machine only.', { status: 421 });
  const origin = request.headers.get('origin');
  if (origin !== null && origin !== `http://${host}`)
    return new NextResponse('Not from here.', { status: 403 });
  const site = request.headers.get('sec-fetch-site');
  const writes = !['GET', 'HEAD'].includes(request.method);
  if (writes && site !== null && site !== 'same-origin' && site !== 'none')
    return new NextResponse('Not from here.', { status: 403 });
  return withPolicy(request);
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
  response.headers.set('x-content-type-options', 'nosniff');
  response.headers.set('referrer-policy', 'no-referrer');
  response.headers.set('cross-origin-opener-policy', 'same-origin');
  response.headers.set('cross-origin-resource-policy', 'same-origin');
  return response;
}

export const config = { matcher: ['/((?!_next/static|_next/image).*)'] };

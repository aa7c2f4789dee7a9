import http from 'node:http';
import https from 'node:https';
import { createProxyServer } from 'http-proxy-3';
import { DEVICE_HEADER } from './device-header';
import type { DeviceBook } from './devices';
import { pairPage } from './pair-page';
import type { Pairing } from './pairing';

export interface GateOptions {
  /** Where Evarn listens, on this machine alone: "127.0.0.1:3717". */
  readonly target: string;
  /** The hosts it answers to, exactly, with their port: "192.168.1.20:3720". */
  readonly hosts: readonly string[];
  readonly book: DeviceBook;
  readonly pairing: Pairing;
  /** A certificate that the phones trust, with its key: then nobody in the network can read along. */
  readonly certificate?: Certificate | undefined;
  readonly now?: () => Date;
}

/** Two PEM texts. */
export interface Certificate {
  readonly cert: string;
  readonly key: string;
}

export const COOKIE = 'evarn-device';
const YEAR_S = 365 * 24 * 3600;
const FORM_BYTES = 2000;

/**
 * The one door from the home network: Evarn itself goes on listening on its machine alone. Only the hosts that are named are
 * answered, only a page of theirs may write, and only a device that has been let in reaches more than the page where that is done.
 */
export function makeGate(options: GateOptions): http.Server {
  const { target, hosts, book, pairing, certificate, now = () => new Date() } = options;
  const scheme = certificate ? 'https' : 'http';
  const proxy = createProxyServer({ target: `http://${target}` });
  proxy.on('error', (_, __, res) => {
    if ('writeHead' in res && !res.headersSent)
      say(res, 502, 'Evarn itself does not answer. Start it again.');
  });
  const answer: http.RequestListener = (req, res) => {
    const host = (req.headers.host ?? '').toLowerCase();
    if (!hosts.includes(host)) return say(res, 421, 'Evarn does not answer under this name.');
    const { origin } = req.headers;
    const reads = req.method === 'GET' || req.method === 'HEAD';
    if (origin === undefined ? !reads : origin !== `${scheme}://${host}`)
      return say(res, 403, 'Not from here.');
    const url = new URL(req.url ?? '/', `${scheme}://${host}`);
    if (url.pathname === '/pair') return pair(req, res, url);
    const device = book.find(cookieOf(req.headers.cookie), now());
    if (!device) return refuse(req, res);
    passOn(req, device.id);
    proxy.web(req, res);
  };
  return certificate ? https.createServer({ ...certificate }, answer) : http.createServer(answer);

  function pair(req: http.IncomingMessage, res: http.ServerResponse, url: URL): void {
    if (req.method === 'GET')
      return page(res, 200, pairPage({ code: url.searchParams.get('code') ?? '', says: '' }));
    if (req.method !== 'POST') return say(res, 405, 'Not that way.');
    let body = '';
    req.on('data', (d: Buffer) => {
      if (body.length + d.length > FORM_BYTES) req.destroy();
      else body += d.toString('utf8');
    });
    req.on('end', () => {
      const said = new URLSearchParams(body);
      const name = (said.get('name') ?? '').trim().slice(0, 60) || 'A device';
      if (!pairing.claim(said.get('code') ?? '', now()))
        return page(
          res,
          403,
          pairPage({ code: '', says: 'That is not the code of now. Look at it once more: it changes.' }),
        );
      const token = book.add(name, now());
      if (!token)
        return page(
          res,
          403,
          pairPage({ code: '', says: 'Too many devices are let in. Revoke some in the settings.' }),
        );
      res.writeHead(303, {
        'set-cookie': `${COOKIE}=${token}; HttpOnly; SameSite=Strict; Path=/; Max-Age=${YEAR_S}${certificate ? '; Secure' : ''}`,
        location: '/',
      });
      res.end();
    });
  }

  /** As a request of this machine's own page, which Evarn's own checks let in. */
  function passOn(req: http.IncomingMessage, device: string): void {
    for (const name of Object.keys(req.headers))
      if (name.startsWith('x-forwarded') || name === 'forwarded' || name === DEVICE_HEADER)
        delete req.headers[name];
    req.headers.host = target;
    if (req.headers.origin !== undefined) req.headers.origin = `http://${target}`;
    delete req.headers.cookie;
    req.headers[DEVICE_HEADER] = device;
  }
}

/** A page leads to where a device is let in; whatever a page asks for is told that it is not. */
function refuse(req: http.IncomingMessage, res: http.ServerResponse): void {
  const isPage = req.method === 'GET' && (req.headers.accept ?? '').includes('text/html');
  if (!isPage) return say(res, 401, 'This device is not let in.');
  res.writeHead(302, { location: '/pair' });
  res.end();
}

const cookieOf = (header = ''): string =>
  header
    .split(';')
    .map((c) => c.trim())
    .find((c) => c.startsWith(`${COOKIE}=`))
    ?.slice(COOKIE.length + 1) ?? '';

function say(res: http.ServerResponse, status: number, words: string): void {
  res.writeHead(status, { 'content-type': 'text/plain; charset=utf-8', 'x-content-type-options': 'nosniff' });
  res.end(words);
}

function page(res: http.ServerResponse, status: number, html: string): void {
  res.writeHead(status, {
    'content-type': 'text/html; charset=utf-8',
    'content-security-policy':
      "default-src 'none'; style-src 'unsafe-inline'; form-action 'self'; base-uri 'none'; frame-ancestors 'none'",
    // A stricter one would have the browser send the form without its origin.
    'referrer-policy': 'same-origin',
    'x-content-type-options': 'nosniff',
    'cache-control': 'no-store',
  });
  res.end(html);
}

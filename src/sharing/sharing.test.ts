import fs from 'node:fs';
import http from 'node:http';
import https from 'node:https';
import { generate } from 'selfsigned';
import os from 'node:os';
import path from 'node:path';
import type { AddressInfo } from 'node:net';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { DeviceBook, DEVICES_FILE } from './devices';
import { DEVICE_HEADER } from './device-header';
import { COOKIE, makeGate } from './gate';
import { newCode, Pairing } from './pairing';
import { endShared, sharedNow, tellShared } from './shared-now';

let folder = '';
beforeEach(() => (folder = fs.mkdtempSync(path.join(os.tmpdir(), 'evarn-share-'))));
afterEach(() => fs.rmSync(folder, { recursive: true, force: true }));
const NOON = new Date('2026-11-29T12:00:00Z');
const later = (minutes: number) => new Date(NOON.getTime() + minutes * 60_000);

describe('a code', () => {
  it('lets one device in, once', () => {
    const codes: string[] = [];
    const pairing = new Pairing(NOON, (c) => codes.push(c));
    const code = pairing.now(NOON);
    expect(pairing.claim(`${code.slice(0, 4).toLowerCase()} ${code.slice(4)}`, NOON)).toBe(true);
    expect(pairing.claim(code, NOON)).toBe(false);
    expect(codes).toHaveLength(2);
  });
  it('ends after a quarter of an hour, and after five wrong tries', () => {
    const pairing = new Pairing(NOON);
    const first = pairing.now(NOON);
    expect(pairing.now(later(14))).toBe(first);
    expect(pairing.claim(first, later(16))).toBe(false);
    const second = pairing.now(later(16));
    // The old one counts as wrong too.
    for (let i = 0; i < 3; i++) expect(pairing.claim('AAAAAAAA', later(16))).toBe(false);
    expect(pairing.now(later(16))).toBe(second);
    pairing.claim('AAAAAAAA', later(16));
    expect(pairing.claim(second, later(16))).toBe(false);
  });
  it('has no signs that are taken for others', () =>
    expect(Array.from({ length: 200 }, newCode).join('')).not.toMatch(/[IO01]/));
});

describe('devices', () => {
  it('are known by a token that lies nowhere, and are out when they are revoked', () => {
    const book = new DeviceBook(folder);
    const token = book.add('Phone', NOON)!;
    expect(fs.readFileSync(path.join(folder, DEVICES_FILE), 'utf8')).not.toContain(token);
    expect(book.find(token, NOON)?.name).toBe('Phone');
    expect(book.find(`${token}x`, NOON)).toBeUndefined();
    expect(book.find('', NOON)).toBeUndefined();
    book.find(token, later(9));
    expect(book.list()[0]!.seenAt).toBe(later(9).toISOString());
    // Another process revokes: the page of the machine.
    new DeviceBook(folder).revoke(book.list()[0]!.id);
    expect(book.find(token, NOON)).toBeUndefined();
  });
  it('are none where their list can’t be read', () => {
    fs.writeFileSync(path.join(folder, DEVICES_FILE), '{"broken');
    expect(new DeviceBook(folder).list()).toEqual([]);
  });
});

describe('what the page is told of sharing', () => {
  it('is there while the process lives', () => {
    expect(sharedNow(folder)).toBeNull();
    const told = { pid: process.pid, addresses: ['http://10.0.0.2:3720'], code: 'ABCDEFGH' };
    tellShared(folder, told);
    expect(sharedNow(folder)).toEqual(told);
    // The folder is made where sharing is what begins it.
    tellShared(path.join(folder, 'new'), told);
    expect(sharedNow(path.join(folder, 'new'))).toEqual(told);
    tellShared(folder, { ...told, pid: 2 ** 30 });
    expect(sharedNow(folder)).toBeNull();
    endShared(folder);
    expect(sharedNow(folder)).toBeNull();
  });
});

describe('the gate', () => {
  let evarn: http.Server;
  let gate: http.Server;
  let port = 0;
  let pairing: Pairing;
  const HOST = 'table.local:3720';
  const listen = (s: http.Server) =>
    new Promise<number>((done) => s.listen(0, '127.0.0.1', () => done((s.address() as AddressInfo).port)));
  beforeEach(async () => {
    evarn = http.createServer((req, res) => res.end(JSON.stringify({ url: req.url, headers: req.headers })));
    const target = `127.0.0.1:${await listen(evarn)}`;
    pairing = new Pairing(NOON);
    gate = makeGate({ target, hosts: [HOST], book: new DeviceBook(folder), pairing, now: () => NOON });
    port = await listen(gate);
  });
  afterEach(() => {
    gate.closeAllConnections();
    gate.close();
    evarn.closeAllConnections();
    evarn.close();
  });

  interface Said {
    readonly status: number;
    readonly headers: http.IncomingHttpHeaders;
    readonly body: string;
  }
  /** By hand, since fetch does not let a test say its own Host. */
  const ask = (at: string, how: { method?: string; headers?: Record<string, string>; body?: string } = {}) =>
    new Promise<Said>((done, fault) => {
      const headers = { host: HOST, ...how.headers };
      const req = http.request({ port, path: at, method: how.method ?? 'GET', headers }, (res) => {
        let body = '';
        res.on('data', (d: Buffer) => (body += d.toString()));
        res.on('end', () => done({ status: res.statusCode ?? 0, headers: res.headers, body }));
      });
      req.on('error', fault);
      req.end(how.body);
    });
  const origin = `http://${HOST}`;
  const letIn = async (code = pairing.now(NOON)) => {
    const form = new URLSearchParams({ code, name: 'Phone' }).toString();
    const headers = { origin, 'content-type': 'application/x-www-form-urlencoded' };
    return ask('/pair', { method: 'POST', headers, body: form });
  };
  const cookieIn = (said: Said) => said.headers['set-cookie']![0]!.split(';')[0]!;

  it('leads who is not let in to the page where that is done, and to nothing else', async () => {
    const page = await ask('/builds', { headers: { accept: 'text/html' } });
    expect([page.status, page.headers.location]).toEqual([302, '/pair']);
    expect((await ask('/api/backup')).status).toBe(401);
    expect((await ask('/builds', { headers: { cookie: `${COOKIE}=guess`, accept: '*/*' } })).status).toBe(
      401,
    );
    const form = await ask('/pair?code=%22%3E%3Cscript%3E');
    expect(form.body).toContain('value="&quot;&gt;&lt;script&gt;"');
    expect(form.headers['content-security-policy']).toContain("default-src 'none'");
    // With none at all a browser would send the form from nowhere, and it would be refused.
    expect(form.headers['referrer-policy']).toBe('same-origin');
  });

  it('lets in by the code, and passes on as this machine’s own, named as a device', async () => {
    expect((await letIn('WRONGONE')).status).toBe(403);
    const done = await letIn();
    expect([done.status, done.headers.location]).toEqual([303, '/']);
    expect(done.headers['set-cookie']![0]).toMatch(/HttpOnly; SameSite=Strict; Path=\//);
    const cookie = cookieIn(done);
    const sneaky = { cookie, [DEVICE_HEADER]: 'me', 'x-forwarded-host': 'evil', forwarded: 'for=x' };
    const said = await ask('/api/steps?since=0', { headers: sneaky });
    const seen = JSON.parse(said.body) as { url: string; headers: Record<string, string> };
    expect(seen.url).toBe('/api/steps?since=0');
    expect(seen.headers.host).toMatch(/^127\.0\.0\.1:/);
    expect(seen.headers[DEVICE_HEADER]).toMatch(/^[0-9a-f]{12}$/);
    expect(Object.keys(seen.headers)).not.toContain('x-forwarded-host');
    expect(said.body).not.toContain(cookie);
    const wrote = await ask('/api/actions', { method: 'POST', headers: { cookie, origin }, body: '{}' });
    expect(JSON.parse(wrote.body)).toMatchObject({
      headers: { origin: expect.stringMatching(/127\.0\.0\.1/) },
    });
  });

  it('answers to the names it was given alone, and writes for its own pages alone', async () => {
    const cookie = cookieIn(await letIn());
    for (const host of ['evil.example:3720', '127.0.0.1:3717', 'localhost', 'table.local', `${HOST}.evil`])
      expect((await ask('/builds', { headers: { host, cookie } })).status, host).toBe(421);
    for (const from of ['http://evil.example', 'null', `https://${HOST}`])
      expect((await ask('/api/actions', { method: 'POST', headers: { cookie, origin: from } })).status).toBe(
        403,
      );
    expect((await ask('/api/actions', { method: 'POST', headers: { cookie } })).status).toBe(403);
    expect((await ask('/builds', { headers: { cookie, origin: 'http://evil.example' } })).status).toBe(403);
  });

  it('takes no form that is longer than one is', async () => {
    const headers = { origin, 'content-type': 'application/x-www-form-urlencoded' };
    const body = `code=${pairing.now(NOON)}&name=${'x'.repeat(5000)}`;
    await expect(ask('/pair', { method: 'POST', headers, body })).rejects.toThrow();
    expect(new DeviceBook(folder).list()).toEqual([]);
  });

  it('says so where Evarn itself has ended', async () => {
    const cookie = cookieIn(await letIn());
    evarn.closeAllConnections();
    await new Promise((done) => evarn.close(done));
    expect((await ask('/builds', { headers: { cookie } })).status).toBe(502);
  });

  it('with a certificate it speaks over TLS alone, to pages of that address, with a cookie that never leaves it', async () => {
    const made = await generate([{ name: 'commonName', value: 'table.local' }], { keyType: 'ec' });
    const book = new DeviceBook(folder);
    const certificate = { cert: made.cert, key: made.private };
    const safe = makeGate({ target: 'none', hosts: [HOST], book, pairing, now: () => NOON, certificate });
    const at = await listen(safe);
    const post = (from: string) =>
      new Promise<http.IncomingMessage>((done, fault) => {
        const body = new URLSearchParams({ code: pairing.now(NOON), name: 'Phone' }).toString();
        const headers = { host: HOST, origin: from, 'content-type': 'application/x-www-form-urlencoded' };
        const options = { port: at, path: '/pair', method: 'POST', headers, ca: made.cert };
        const req = https.request({ ...options, servername: 'table.local' }, (res) => done(res.resume()));
        req.on('error', fault);
        req.end(body);
      });
    expect((await post(`http://${HOST}`)).statusCode).toBe(403);
    const letIn = await post(`https://${HOST}`);
    expect(letIn.statusCode).toBe(303);
    expect(letIn.headers['set-cookie']![0]).toMatch(/; Secure$/);
    await expect(
      new Promise((done, fault) =>
        http.get({ port: at, path: '/', headers: { host: HOST } }, done).on('error', fault),
      ),
    ).rejects.toThrow();
    safe.closeAllConnections();
    safe.close();
  });
});

import { expect, PORTS, test } from './test';
import http from 'node:http';
import { networkInterfaces } from 'node:os';
import { balance, BLOCK, log, makeBuild, openBuild, startModification } from './helpers';

const [PORT] = PORTS;

/** A raw request, with whatever headers one likes. */
function ask(
  headers: Record<string, string>,
  options: http.RequestOptions = {},
  body?: Buffer,
): Promise<{ status: number; headers: http.IncomingHttpHeaders; text: string }> {
  return new Promise((done, failed) => {
    const request = http.request(
      { host: '127.0.0.1', port: PORT, path: '/', ...options, headers },
      (response) => {
        let text = '';
        response.on('data', (d: Buffer) => (text += d.toString()));
        response.on('end', () => done({ status: response.statusCode ?? 0, headers: response.headers, text }));
      },
    );
    request.on('error', failed);
    request.end(body);
  });
}

test('a foreign Host is misdirected, a foreign Origin forbidden', async () => {
  const host = `127.0.0.1:${PORT}`;
  expect((await ask({ host })).status).toBe(200);
  expect((await ask({ host: 'evil.example' })).status).toBe(421);
  expect((await ask({ host, 'x-forwarded-host': 'evil.example' })).status).toBe(421);
  const post = { path: '/api/undo', method: 'POST' };
  for (const origin of ['http://evil.example', 'null', 'http://127.0.0.1:1', `http://localhost:${PORT}`])
    expect([origin, (await ask({ host, origin }, post, Buffer.from('{}'))).status]).toEqual([origin, 403]);
  expect((await ask({ host, 'sec-fetch-site': 'cross-site' }, post, Buffer.from('{}'))).status).toBe(403);
  // Another site's page may not make the server do anything, by any method; it may lead to a page of ours.
  for (const site of ['cross-site', 'same-site']) {
    const headers = { host, 'sec-fetch-site': site, 'sec-fetch-mode': 'no-cors' };
    for (const path of ['/api/backup', '/api/steps', '/', '/_next/static/x.js'])
      expect([path, (await ask(headers, { path })).status]).toEqual([path, 403]);
    const opened = { ...headers, 'sec-fetch-mode': 'navigate', 'sec-fetch-dest': 'document' };
    expect((await ask(opened)).status).toBe(200);
    expect((await ask(opened, { path: '/api/backup' })).status).toBe(403);
    expect((await ask({ ...opened, 'sec-fetch-dest': 'iframe' })).status).toBe(403);
  }
  expect((await ask({ host, origin: `http://${host}` }, post, Buffer.from('{}'))).status).toBe(400);
});

test('static files carry the headers of pages, and are as closed to foreign hosts', async () => {
  const host = `127.0.0.1:${PORT}`;
  const { text } = await ask({ host });
  const [path] = /\/_next\/static\/chunks\/[\w.-]+\.js/.exec(text) ?? [];
  expect(path).toBeTruthy();
  const file = await ask({ host }, { path });
  expect([file.status, file.headers['x-content-type-options']]).toEqual([200, 'nosniff']);
  expect(file.headers['cross-origin-resource-policy']).toBe('same-origin');
  expect((await ask({ host: 'evil.example' }, { path })).status).toBe(421);
});

test('addresses of before lead to where it is now, and earlier requests are answered', async ({ page }) => {
  for (const [old, now] of [
    ['/stores', '/own-parts'],
    ['/bring-in?for=stores', '/import?for=stores'],
  ] as const) {
    await page.goto(old);
    await expect(page).toHaveURL(new RegExp(`${now.replace('?', '\\?')}$`));
  }
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Which parts are yours?');
  const answer = await page.request.post('/api/make-up', { data: {} });
  expect([answer.status(), await answer.json()]).toMatchObject([400, { ok: false }]);
  const nothing = { request: 'r', scope: 'stores', direction: 'undo', action: 'none' };
  expect((await page.request.post('/api/turns', { data: nothing })).status()).toBe(409);
});

test('the server listens on the loopback only', async () => {
  const outward = Object.values(networkInterfaces())
    .flat()
    .filter((a) => a && !a.internal && a.family === 'IPv4');
  for (const address of outward) {
    const reached = await ask({ host: `127.0.0.1:${PORT}` }, { host: address!.address, timeout: 2000 }).then(
      () => true,
      () => false,
    );
    expect([address!.address, reached]).toEqual([address!.address, false]);
  }
  expect((await ask({ host: `127.0.0.1:${PORT}` })).status).toBe(200);
});

test('every page carries a strict policy, and its own scripts run under it', async ({ page }) => {
  const errors: string[] = [];
  page.on('console', (m) => m.type() === 'error' && errors.push(m.text()));
  await page.goto('/');
  const house = await page.getByRole('link', { name: /Lightkeeper's House/ }).getAttribute('href');
  const ofBuild = ['', '/inspect', '/colour', '/parts?part=buying-plan', '/parts?part=orders', '/tally'];
  for (const path of [
    ...['/', '/import', '/own-parts', '/prices', '/nowhere'],
    ...ofBuild.map((p) => house + p),
  ]) {
    const response = await page.goto(path);
    const policy = response?.headers()['content-security-policy'] ?? '';
    expect(policy).toMatch(/script-src 'self' 'nonce-[\w+/=]+' 'strict-dynamic'/);
    expect(policy).not.toContain('unsafe-eval');
    expect(policy).toContain("frame-ancestors 'none'");
    expect(response?.headers()['x-content-type-options']).toBe('nosniff');
  }
  expect(errors.filter((e) => !e.includes('404'))).toEqual([]);
});

test('uploads beyond the bounds are refused politely', async ({ page }) => {
  const host = `127.0.0.1:${PORT}`;
  const post = { path: '/api/import/read', method: 'POST' };
  const large = await ask(
    { host, 'transfer-encoding': 'chunked' },
    post,
    Buffer.alloc(20 * 1024 * 1024 + 1, 0x61),
  );
  expect([large.status, large.text]).toEqual([413, '{"ok":false,"reason":{"fault":"too large"}}']);
  await page.goto('/import');
  await page.getByLabel('Table file').setInputFiles({
    name: 'long.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(`part,colour,qty\n${'brick 1x2,ash,1\n'.repeat(50_001)}`),
  });
  await expect(page.getByText(/long.csv: It has more than 50,000 rows/)).toBeVisible();
  await page.getByLabel('Table file').setInputFiles({
    name: 'bad.xlsx',
    mimeType: 'application/zip',
    buffer: Buffer.from([0x50, 0x4b, 3, 4, 1, 2, 3]),
  });
  await expect(page.getByText(/bad.xlsx: The XLSX file could not be read/)).toBeVisible();
  await page.getByLabel('Table file').setInputFiles({
    name: 'x.bin',
    mimeType: 'application/octet-stream',
    buffer: Buffer.from([0, 1, 2, 0]),
  });
  await expect(page.getByText(/x.bin: It is not a table/)).toBeVisible();
});

const HOSTILE = [
  '<img src=x onerror="document.title=1">',
  `${'long '.repeat(39)}`.trim(),
  '\u202Egnirts\u202C',
  '🧱👩‍🔧',
  '=1+1',
  '{{7*7}}',
  "Robert'); DROP TABLE builds;--",
];

test('hostile names are harmless everywhere', async ({ page }) => {
  test.slow();
  const errors: string[] = [];
  page.on('pageerror', (e) => errors.push(e.message));
  page.on('dialog', () => errors.push('a dialog opened'));
  for (const name of HOSTILE) {
    const quoted = name.replace(/"/g, '""');
    await makeBuild(
      page,
      name,
      `part,colour,qty,zone\n"${quoted}",chalk,9,"${quoted}"\n${BLOCK.replaceAll('\t', ',').split('\n').slice(1).join('\n')}`,
    );
    await startModification(page, name);
    await log(page, `-1 plate 2x3 chalk @porch "${name.replace(/[\\"]/g, '\\$&')}"`);
    await expect(balance(page)).toContainText('− 1');
    await expect(page.locator('bdi', { hasText: name.slice(0, 30) }).first()).toBeAttached();
    await page.getByRole('link', { name: 'Tally' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toContainText('120 pieces');
    expect(await page.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth)).toBe(true);
  }
  await page.goto('/');
  expect(await page.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth)).toBe(true);
  expect(await page.locator('img').count()).toBe(0);
  expect(errors).toEqual([]);
});

test('what the server is sent is checked at the door', async ({ page }) => {
  await openBuild(page, /Skerry/);
  const send = (path: string, data: unknown) =>
    page.request.post(path, { data, headers: { 'content-type': 'application/json' } });
  expect(
    (
      await send('/api/actions', {
        id: 'x',
        scope: 'y',
        label: 'z',
        diff: { added: [{ type: 'entry', record: { id: 'e' } }], changed: [], removed: [] },
      })
    ).status(),
  ).toBe(400);
  expect((await send('/api/import/take', { what: 'boxes', input: {} })).status()).toBe(400);
  expect((await page.request.get('/api/builds/none/snapshot')).status()).toBe(404);
  expect((await page.request.get('/api/builds/none/files/..%2Fx')).status()).toBe(404);
  for (const code of ['%25', '%2525', '%2F..', 'x%00'])
    expect([code, (await page.request.get(`/api/catalogue/${code}`)).status()]).toEqual([code, 404]);
  expect((await page.request.post('/api/mod-file', { data: '{' })).status()).toBe(400);
  expect((await page.request.post('/api/restore', { data: 'nonsense' })).status()).toBe(400);
});

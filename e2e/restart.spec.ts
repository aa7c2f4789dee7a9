import { expect, OWN_PORTS, test } from './test';
import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import fs from 'node:fs';
import { devices, type BrowserContext, type Page } from '@playwright/test';
import { seedInto } from '../scripts/lib/seeded.mjs';
import { balance, isAccessible, log } from './helpers';

const PORT = OWN_PORTS.restart;
const DATA = 'test-results/restart-data';
const env = { ...process.env, EVARN_DATA: DATA, NEXT_TELEMETRY_DISABLED: '1' };

async function start(): Promise<ChildProcess> {
  // What an earlier run left on the port would answer in place of this one, with pages of another build.
  const other = await fetch(`http://127.0.0.1:${PORT}/`).catch(() => null);
  if (other) throw new Error(`something else answers on port ${PORT}: stop it first`);
  const server = spawn(
    process.execPath,
    ['node_modules/next/dist/bin/next', 'start', '-H', '127.0.0.1', '-p', String(PORT)],
    { env: { ...env, PORT: String(PORT) }, stdio: 'ignore' },
  );
  await expect
    .poll(
      async () =>
        fetch(`http://127.0.0.1:${PORT}/`).then(
          (r) => r.status,
          () => 0,
        ),
      { timeout: 20_000 },
    )
    .toBe(200);
  return server;
}

async function kill(server: ChildProcess): Promise<void> {
  if (server.exitCode !== null || server.signalCode !== null) return;
  const ended = new Promise((done) => server.on('close', done));
  server.kill('SIGKILL');
  await ended;
}

test('the server is killed and started again: what was logged is there', async ({ page }) => {
  await seedInto(DATA);
  let server = await start();
  try {
    await page.goto(`http://127.0.0.1:${PORT}/`);
    await page.getByRole('link', { name: /Lightkeeper's House/ }).click();
    await log(page, '-2 brick 1x2 chalk @tower');
    await expect(balance(page)).toContainText('− 14');
    await kill(server);
    server = await start();
    await page.goto(page.url());
    await expect(balance(page)).toContainText('− 14');
    await page.getByRole('button', { name: /^Undo: log -2 brick/ }).click();
    await expect(balance(page)).toContainText('− 12');
    await page.goto(`http://127.0.0.1:${PORT}/`);
    const download = page.waitForEvent('download');
    await page.getByRole('link', { name: 'Back everything up' }).click();
    const backup = await (await download).path();
    await page.getByRole('link', { name: /Skerry/ }).click();
    await expect(balance(page)).toBeVisible();
    await page.keyboard.press('Control+k');
    await page.keyboard.type('name, note');
    await page.keyboard.press('Enter');
    await page.getByRole('textbox', { name: 'Name' }).fill('Renamed');
    await page.getByRole('button', { name: 'Keep', exact: true }).click();
    await page.goto(`http://127.0.0.1:${PORT}/`);
    await expect(page.getByRole('link', { name: /Renamed/ })).toBeVisible();
    await page.getByLabel('Backup').setInputFiles(backup);
    await page
      .getByRole('button', { name: /^Restore evarn|^Restore / })
      .last()
      .click();
    await expect(page.getByText(/^Restored\./)).toBeVisible();
    await expect(page.getByRole('link', { name: /Skerry/ })).toBeVisible();
    await expect(page.getByRole('link', { name: /Renamed/ })).toBeHidden();
    await page.getByRole('button', { name: 'Go back to before the restore' }).click();
    await expect(page.getByText('Back to before the restore.')).toBeVisible();
    await expect(page.getByRole('link', { name: /Renamed/ })).toBeVisible();
    // A second server is not started on the same folder, and says who has it.
    const second = spawnSync(process.execPath, ['scripts/start.mjs', String(OWN_PORTS.second)], {
      env,
      encoding: 'utf8',
    });
    expect([second.status, second.stderr]).toEqual([
      1,
      expect.stringMatching(
        new RegExp(`is open in another Evarn \\(process \\d+\\).*Open http://127\\.0\\.0\\.1:${PORT}`),
      ),
    ]);
    // Nor on a port that is taken.
    const taken = spawnSync(process.execPath, ['scripts/start.mjs', String(PORT)], { env, encoding: 'utf8' });
    expect([taken.status, taken.stderr]).toEqual([1, expect.stringContaining(`Port ${PORT} is taken`)]);
    // A data file that was damaged is told on the page, and a kept copy is put in its place from there.
    await kill(server);
    fs.writeFileSync(`${DATA}/evarn.sqlite`, 'not what it was');
    for (const more of ['-wal', '-shm']) fs.rmSync(`${DATA}/evarn.sqlite${more}`, { force: true });
    server = await start();
    await page.goto(`http://127.0.0.1:${PORT}/own-parts`);
    await expect(page.getByRole('heading', { name: 'The workspace cannot be opened.' })).toBeVisible();
    await expect(page.getByText(/is damaged/)).toBeVisible();
    await isAccessible(page);
    await page
      .getByRole('button', { name: /^Restore / })
      .first()
      .click();
    await expect(page.getByRole('heading', { name: 'The workspace cannot be opened.' })).toBeHidden();
    await page.goto(`http://127.0.0.1:${PORT}/`);
    await expect(page.getByRole('link', { name: /Lightkeeper's House/ })).toBeVisible();
  } finally {
    await kill(server);
  }
});

/** A page with a build of 1,600 entries, once what it opens with is kept by the browser. */
async function openLongLog(context: BrowserContext): Promise<Page> {
  const page = await context.newPage();
  await page.goto(`http://127.0.0.1:${PORT}/builds`);
  const href = await page.getByRole('link', { name: /ferry/i }).first().getAttribute('href');
  const build = href!.split('/')[2]!;
  const opened = await page.request.get(`http://127.0.0.1:${PORT}/api/builds/${build}/snapshot`);
  const { value } = (await opened.json()) as { value: { records: { type: string; record: object }[] } };
  const unpacked = value.records.find((r) => r.type === 'entry')!.record as { movements: { to: string }[] };
  const [first] = unpacked.movements;
  const entry = (i: number) => ({
    ...unpacked,
    id: `long-${i}`,
    kind: 'add',
    no: 10_000 + i,
    position: i,
    movements: [{ ...first, qty: 1, from: 'outside', to: first!.to }],
  });
  const added = Array.from({ length: 1600 }, (_, i) => ({ type: 'entry', record: entry(i) }));
  const said = await page.request.post(`http://127.0.0.1:${PORT}/api/actions`, {
    data: { id: crypto.randomUUID(), scope: build, label: 'long', diff: { added, changed: [], removed: [] } },
  });
  expect(await said.text()).toMatch(/^\{"ok":true/);
  await page.goto(`http://127.0.0.1:${PORT}${href}`);
  await expect(balance(page)).toContainText('1,600');
  await expect
    .poll(() =>
      page.evaluate(async () => {
        const known = await (await caches.open('evarn-known')).keys();
        const page = await (await caches.open('evarn-pages')).match(window.location.pathname);
        return page !== undefined && known.some((r) => r.url.endsWith('/snapshot?opening&packed'));
      }),
    )
    .toBe(true);
  return page;
}

test('pages that were opened open while the machine is off, keep logging, and what was logged arrives once', async ({
  browser,
}) => {
  test.slow();
  await seedInto(DATA);
  let server = await start();
  const context = await browser.newContext({ ...devices['Pixel 7'], serviceWorkers: 'allow' });
  try {
    const phone = await context.newPage();
    const faults: string[] = [];
    phone.on('pageerror', (e) => faults.push(e.message));
    await phone.goto(`http://127.0.0.1:${PORT}/builds`);
    await expect
      .poll(() => phone.evaluate(async () => (await (await caches.open('evarn-pages')).keys()).length))
      .toBe(1);
    await phone.getByRole('link', { name: /Lightkeeper's House/ }).tap();
    await expect(balance(phone)).toContainText('− 12');
    const colour = `${phone.url().replace(/\?.*/, '')}/colour`;
    // The page, though a link led to it, and what it is made of are kept by the browser a moment after it has come.
    await expect
      .poll(() =>
        phone.evaluate(async () => [
          (await (await caches.open('evarn-pages')).keys()).some((r) => r.url === window.location.href),
          (await (await caches.open('evarn-files')).keys()).length > 5,
          (await (await caches.open('evarn-known')).keys()).length >= 2,
        ]),
      )
      .toEqual([true, true, true]);
    const second = await context.newPage();
    await second.goto(colour);
    await expect
      .poll(() =>
        second.evaluate(async () => {
          const { value: files } = (await (await fetch('/api/offline-files')).json()) as { value: string[] };
          const kept = (await (await caches.open('evarn-files')).keys()).map((r) => new URL(r.url).pathname);
          const page = await (await caches.open('evarn-pages')).match(window.location.pathname);
          const known = (await (await caches.open('evarn-known')).keys()).map((r) => new URL(r.url).pathname);
          return (
            page !== undefined &&
            files.length > 50 &&
            files.every((f) => kept.includes(f)) &&
            known.includes('/api/register') &&
            known.some((k) => k.endsWith('/surroundings'))
          );
        }),
      )
      .toBe(true);
    await second.close();
    const long = await openLongLog(context);
    await kill(server);
    // The books of a long log are no part of its page, and are kept beside it.
    await long.reload();
    await expect(balance(long)).toContainText('1,600');
    await long.close();
    const line = phone.getByLabel('Log a change');
    await line.fill('-2 brick 1x2 chalk @tower');
    await phone.getByRole('button', { name: 'Log it' }).tap();
    await expect(balance(phone)).toContainText('− 14');
    await expect(phone.getByText(/cannot be reached/)).toBeVisible();
    // Opened anew, with nobody there: the page, and what was not sent, are there, and logging goes on.
    phone.on('dialog', (d) => void d.accept());
    await phone.goto(phone.url());
    await expect(balance(phone)).toContainText('− 14');
    await phone.getByLabel('Log a change').fill('-1 brick 1x2 chalk @tower');
    await phone.getByRole('button', { name: 'Log it' }).tap();
    await expect(balance(phone)).toContainText('− 15');
    await isAccessible(phone);
    // A part of a page that was never shown here opens all the same.
    const part = await context.newPage();
    await part.goto(colour);
    await part.getByRole('tab', { name: 'Fading' }).tap();
    await expect(part.getByRole('tabpanel').getByRole('heading').first()).toBeVisible();
    await part.close();
    // What was never opened here says so.
    const other = await context.newPage();
    await other.goto(`http://127.0.0.1:${PORT}/prices`);
    await expect(other.getByRole('heading', { name: 'Evarn cannot be reached.' })).toBeVisible();
    await isAccessible(other);
    await other.getByRole('link', { name: 'All builds' }).tap();
    await expect(other.getByRole('link', { name: /Lightkeeper's House/ })).toBeVisible();
    await other.close();
    server = await start();
    await expect(phone.getByText(/cannot be reached/)).toBeHidden({ timeout: 60_000 });
    await phone.reload();
    await expect(balance(phone)).toContainText('− 15');
    expect(faults).toEqual([]);
  } finally {
    await context.close();
    await kill(server);
  }
});

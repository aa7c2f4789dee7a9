import { devices } from '@playwright/test';
import { spawn, type ChildProcess } from 'node:child_process';
import fs from 'node:fs';
import path from 'node:path';
import { expect, OWN_PORTS, test } from './test';
import { isAccessible } from './helpers';

const { share: PORT, gate: GATE } = OWN_PORTS;
const DATA = path.resolve('test-results/shared data');
const HERE = `http://127.0.0.1:${PORT}`;
const THERE = `http://127.0.0.1:${GATE}`;
let shared: ChildProcess;

test.beforeAll(async () => {
  fs.rmSync(DATA, { recursive: true, force: true });
  const env = {
    ...process.env,
    EVARN_DATA: DATA,
    PORT: String(PORT),
    SHARE_PORT: String(GATE),
    EVARN_HOSTS: '127.0.0.1',
  };
  shared = spawn(process.execPath, ['scripts/share.mjs'], { env, stdio: 'ignore', detached: true });
  await expect(async () => expect((await fetch(`${HERE}/api/health`)).ok).toBe(true)).toPass({
    timeout: 120_000,
  });
  await expect(async () => expect(fs.existsSync(path.join(DATA, 'sharing.json'))).toBe(true)).toPass();
});
test.afterAll(() => {
  try {
    process.kill(-shared.pid!, 'SIGTERM');
  } catch {
    // It has ended.
  }
});

test('a phone is let in by a code, logs by thumb alone, and is out when it is revoked', async ({
  page,
  browser,
}) => {
  await page.goto(`${HERE}/settings`);
  const panel = page.getByRole('region', { name: 'A phone beside the table' });
  const code = (await panel.locator('b.font-mono').innerText()).replace(' ', '');
  expect(code).toMatch(/^[A-Z2-9]{8}$/);

  const context = await browser.newContext({
    ...devices['Pixel 7'],
    baseURL: THERE,
    serviceWorkers: 'allow',
  });
  const phone = await context.newPage();
  const faults: string[] = [];
  phone.on('pageerror', (e) => faults.push(e.message));
  await phone.goto('/builds');
  await expect(phone).toHaveURL(`${THERE}/pair`);
  await isAccessible(phone);
  await phone.getByLabel('Code').fill('WRONGONE');
  await phone.getByRole('button', { name: 'Let it in' }).click();
  await expect(phone.getByRole('alert')).toContainText('not the code of now');
  await phone.getByLabel('Code').fill(code);
  await phone.getByLabel('A name to know').fill('Kitchen phone');
  await phone.getByRole('button', { name: 'Let it in' }).tap();
  await expect(phone.getByRole('heading', { name: 'There is no build yet.' })).toBeVisible();

  await phone.getByRole('link', { name: 'Import the first set' }).tap();
  // A page that has just come may not listen yet.
  await expect(async () => {
    await phone.getByRole('button', { name: 'Put in an example, typed' }).tap();
    await expect(phone.locator('textarea')).not.toHaveValue('', { timeout: 1000 });
  }).toPass();
  await phone.getByRole('button', { name: 'Read the block' }).tap();
  await phone.getByRole('button', { name: 'Use these rows' }).tap();
  await phone.getByLabel('Name of the build').fill('Kitchen house');
  await phone.getByRole('button', { name: 'Agree and import it' }).tap();
  const keys = phone.getByRole('group', { name: 'Keys of the line' });
  for (const key of ['off', '2', 'brick 2x4 chalk'])
    await keys.getByRole('button', { name: key, exact: true }).tap();
  await expect(phone.getByLabel('Log a change')).toHaveValue('-2 brick 2x4 chalk');
  await keys.getByRole('button', { name: 'Take back the last word' }).tap();
  await expect(phone.getByLabel('Log a change')).toHaveValue('-2 brick 2x4 ');
  await phone.getByLabel('Log a change').fill('-2 brick 2x4 chalk');
  await keys.getByRole('button', { name: 'Log it' }).tap();
  await expect(phone.getByLabel('Log a change')).toHaveValue('');
  await expect(phone.getByRole('region', { name: /balance/i }).first()).toContainText('72');

  const kept = () =>
    phone.evaluate(async () => {
      let n = 0;
      for (const name of await caches.keys()) n += (await (await caches.open(name)).keys()).length;
      return n;
    });
  await expect.poll(kept).toBeGreaterThan(0);

  // What only the machine itself may do, it may.
  const status = (url: string) => phone.evaluate(async (u) => (await fetch(u)).status, url);
  expect([await status('/api/backup'), await status('/api/devices'), await status('/api/health')]).toEqual([
    403, 403, 200,
  ]);
  await page.reload();
  await page.getByRole('button', { name: 'Revoke Kitchen phone' }).click();
  await expect(page.getByRole('button', { name: 'Revoke Kitchen phone' })).toHaveCount(0);
  expect(await status('/api/health')).toBe(401);
  // What the phone had kept for when the network is away goes with its leave to come in.
  await phone.goto('/builds');
  await expect(phone).toHaveURL(`${THERE}/pair`);
  await expect.poll(kept).toBe(0);
  expect(faults).toEqual([]);
  await context.close();
});

import { expect, test } from './test';
import { spawn, execFileSync, type ChildProcess } from 'node:child_process';
import fs from 'node:fs';
import { balance, log } from './helpers';

const PORT = 3792;
const DATA = 'test-results/restart-data';
const env = { ...process.env, EVARN_DATA: DATA, NEXT_TELEMETRY_DISABLED: '1' };

async function start(): Promise<ChildProcess> {
  const server = spawn(
    process.execPath,
    ['node_modules/next/dist/bin/next', 'start', '-H', '127.0.0.1', '-p', String(PORT)],
    { env, stdio: 'ignore' },
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
  const ended = new Promise((done) => server.on('close', done));
  server.kill('SIGKILL');
  await ended;
}

test('the server is killed and started again: what was logged is there', async ({ page }) => {
  fs.rmSync(DATA, { recursive: true, force: true });
  execFileSync('node_modules/.bin/tsx', ['scripts/seed.ts'], { env });
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
    await page.getByRole('button', { name: 'Keep' }).click();
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
  } finally {
    await kill(server);
  }
});

import { execFileSync, spawn } from 'node:child_process';
import fs from 'node:fs';

/** Starts the production build on fresh demo data. Build first. */
export async function startServer(port: number, data: string): Promise<{ url: string; stop: () => void }> {
  const env = { ...process.env, EVARN_DATA: data, NEXT_TELEMETRY_DISABLED: '1' };
  fs.rmSync(data, { recursive: true, force: true });
  execFileSync('node_modules/.bin/tsx', ['scripts/seed.ts'], { env, stdio: 'inherit' });
  const server = spawn(
    process.execPath,
    ['node_modules/next/dist/bin/next', 'start', '-H', '127.0.0.1', '-p', String(port)],
    { env, stdio: 'ignore' },
  );
  const url = `http://127.0.0.1:${port}`;
  for (let tries = 0; tries < 100; tries++) {
    const status = await fetch(url).then(
      (r) => r.status,
      () => 0,
    );
    if (status === 200) return { url, stop: () => server.kill() };
    await new Promise((done) => setTimeout(done, 200));
  }
  server.kill();
  throw new Error('the server did not start: run sh scripts/build.sh first');
}

import { execFileSync, spawn } from 'node:child_process';
import fs from 'node:fs';

export interface Server {
  readonly url: string;
  readonly stop: () => void;
}

/** Starts the production build on fresh demo data. Build first. */
export async function startServer(port: number, data: string): Promise<Server> {
  const env = { ...process.env, EVARN_DATA: data };
  fs.rmSync(data, { recursive: true, force: true });
  execFileSync(process.execPath, ['node_modules/tsx/dist/cli.mjs', 'scripts/seed.ts'], {
    env,
    stdio: 'inherit',
  });
  return serve(port, data);
}

/** Starts the production build on a workspace that is there. */
export async function serve(port: number, data: string): Promise<Server> {
  const env = { ...process.env, EVARN_DATA: data, PORT: String(port), NEXT_TELEMETRY_DISABLED: '1' };
  const server = spawn(
    process.execPath,
    ['node_modules/next/dist/bin/next', 'start', '-H', '127.0.0.1', '-p', String(port)],
    { env, stdio: 'ignore' },
  );
  const url = `http://127.0.0.1:${port}`;
  for (let tries = 0; tries < 100; tries++) {
    // Not the first page: how long that takes when nothing was asked before is worth measuring.
    const status = await fetch(`${url}/api/steps?since=0`).then(
      (r) => r.status,
      () => 0,
    );
    if (status === 200) return { url, stop: () => server.kill() };
    await new Promise((done) => setTimeout(done, 200));
  }
  server.kill();
  throw new Error('the server did not start: run npm run build first');
}

import { spawn, type ChildProcess } from 'node:child_process';
import fs from 'node:fs';
import net from 'node:net';
import path from 'node:path';
import { fail, ok, type Result } from '@/core/shared/result';
import { dataFolder } from '@/data/database';
import { holderOf } from '@/data/folder-lock';

export type OwnWorkspaceFault =
  /** The folder of one's own work is the one that is open. */
  | { readonly fault: 'is open here' }
  /** Something holds it that answers nowhere. */
  | { readonly fault: 'held' }
  | { readonly fault: 'did not start' };

const held = globalThis as { evarnOwn?: { child: ChildProcess; url: string } | undefined };
/** How long a server may take until it answers, in tries of a quarter second. */
const TRIES = 120;

/** Where one's own work lies when the demo is what is open: EVARN_OWN_DATA, or data/workspace. */
export const ownFolder = (): string => path.resolve(process.env.EVARN_OWN_DATA ?? 'data/workspace');

/**
 * Starts a second server on the folder of one's own work, or gives the address of the one that is there. It ends with this one.
 */
export async function startOwnWorkspace(
  folder = ownFolder(),
): Promise<Result<{ url: string }, OwnWorkspaceFault>> {
  if (folder === dataFolder()) return fail({ fault: 'is open here' });
  if (held.evarnOwn && (await answers(held.evarnOwn.url))) return ok({ url: held.evarnOwn.url });
  const holder = fs.existsSync(/* turbopackIgnore: true */ folder) ? holderOf(folder) : null;
  if (holder)
    return holder.url && (await answers(holder.url)) ? ok({ url: holder.url }) : fail({ fault: 'held' });
  const port = await freePort(Number(process.env.PORT ?? 3717) + 1);
  const url = `http://127.0.0.1:${port}`;
  const child = spawn(
    process.execPath,
    [
      path.join(/* turbopackIgnore: true */ process.cwd(), 'node_modules/next/dist/bin/next'),
      'start',
      '-H',
      '127.0.0.1',
      '-p',
      String(port),
    ],
    { env: { ...process.env, EVARN_DATA: folder, PORT: String(port) }, stdio: 'ignore' },
  );
  let ended = false;
  child.on('exit', () => (ended = true));
  process.once('exit', () => child.kill());
  for (let i = 0; i < TRIES && !ended; i++) {
    if (await answers(url)) {
      held.evarnOwn = { child, url };
      return ok({ url });
    }
    await new Promise((done) => setTimeout(done, 250));
  }
  child.kill();
  return fail({ fault: 'did not start' });
}

const answers = (url: string): Promise<boolean> =>
  fetch(`${url}/api/health`, { signal: AbortSignal.timeout(2000) }).then(
    (r) => r.ok,
    () => false,
  );

/** The first port from here on that nobody listens on. */
async function freePort(from: number): Promise<number> {
  for (let port = from; port < from + 50; port++) {
    const free = await new Promise<boolean>((done) => {
      const probe = net.createServer();
      probe.once('error', () => done(false));
      probe.listen(port, '127.0.0.1', () => probe.close(() => done(true)));
    });
    if (free) return port;
  }
  return 0;
}

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

type Started = Result<{ url: string }, OwnWorkspaceFault>;
const held = globalThis as {
  evarnOwn?: { child: ChildProcess; url: string } | undefined;
  evarnStarting?: Promise<Started> | undefined;
};
/**
 * How long a server that has not ended may take until it answers, in tries of a quarter second: a busy machine takes more
 * than half a minute.
 */
const TRIES = 720;

/** Where one's own work lies when the demo is what is open: EVARN_OWN_DATA, or data/workspace. */
export const ownFolder = (): string => path.resolve(process.env.EVARN_OWN_DATA ?? 'data/workspace');

/**
 * Starts a second server on the folder of one's own work, or gives the address of the one that is there. It ends with this
 * one. Who asks while it is being started waits for the same.
 */
export const startOwnWorkspace = (): Promise<Started> =>
  (held.evarnStarting ??= start(ownFolder()).finally(() => (held.evarnStarting = undefined)));

async function start(folder: string): Promise<Started> {
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
  if (await untilTrue(() => answers(url), { isOver: () => ended })) {
    held.evarnOwn = { child, url };
    return ok({ url });
  }
  child.kill();
  return fail({ fault: 'did not start' });
}

interface Waiting {
  readonly isOver: () => boolean;
  readonly pause?: () => Promise<void>;
}

const aQuarter = (): Promise<void> => new Promise((done) => setTimeout(done, 250));

/** Asks again and again until the answer is yes: false where it is over before, or nobody would wait so long. */
export async function untilTrue(
  ask: () => Promise<boolean>,
  { isOver, pause = aQuarter }: Waiting,
): Promise<boolean> {
  for (let i = 0; i < TRIES && !isOver(); i++) {
    if (await ask()) return true;
    await pause();
  }
  return false;
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

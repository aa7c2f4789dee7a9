import { readRecords } from '@/data/records';
import { readLongLogs } from './keep-openings';
import { workspace, workspaceTrouble } from './workspace';

/** How long after each other it is tried whether the server listens, in milliseconds, and how often. */
const AGAIN_MS = 100;
const TRIES = 100;

/** The pages that a person sees first: the list of builds, and the bench of the newest. */
function firstPages(): string[] {
  if (workspaceTrouble()) return [];
  const builds = readRecords(workspace().db, 'build').filter((b) => !b.archived);
  const [newest] = builds.sort((a, b) => b.createdAt.localeCompare(a.createdAt));
  return ['/builds', ...(newest ? [`/builds/${newest.id}`] : [])];
}

/**
 * Has the server draw the pages that are seen first, once it listens. The first drawing of a page takes up to ten times as
 * long as the next, since its program is read and made fast meanwhile: the seconds until somebody comes are enough for
 * that. What goes wrong here is left alone; whoever asks for the page is told.
 */
export async function warmUp(port: number, pages = firstPages(), againMs = AGAIN_MS): Promise<void> {
  for (const page of pages) await draw(`http://127.0.0.1:${port}${page}`, againMs);
}

/** Has the long logs read that somebody is likely to open; what goes wrong is told to whoever opens one. */
export async function warmLongLogs(): Promise<void> {
  if (!workspaceTrouble()) await readLongLogs(workspace()).catch(() => undefined);
}

async function draw(url: string, againMs: number): Promise<void> {
  for (let n = 0; n < TRIES; n++)
    try {
      await (await fetch(url)).arrayBuffer();
      return;
    } catch {
      await new Promise((done) => setTimeout(done, againMs));
    }
}

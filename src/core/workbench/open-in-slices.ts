import type { Entry } from '../ledger';
import type { BuildSnapshot } from './snapshot';
import { Workbench } from './workbench';

/** Entries that are counted between two turns of whatever else waits: a few milliseconds' worth. */
const SLICE = 500;

/**
 * Opens a build as `new Workbench(snapshot)` does, and lets whoever waits have a turn between slices of its log: `pause`
 * is awaited after each, and may come back at once. A log of 20,000 entries takes longer to count than a page may stand
 * still.
 *
 * @example const workbench = await openInSlices(snapshot, () => new Promise((done) => setTimeout(done, 0)))
 */
export async function openInSlices(snapshot: BuildSnapshot, pause: () => Promise<void>): Promise<Workbench> {
  const entries: Entry[] = [];
  const records = snapshot.records.filter((r) => {
    if (r.type === 'entry') entries.push(r.record);
    return r.type !== 'entry';
  });
  const { surroundings, plannedElsewhere, claims } = snapshot;
  await pause();
  const workbench = new Workbench({ ...snapshot, records, surroundings: [], plannedElsewhere: [] });
  for (let at = 0; at < entries.length; at += SLICE) {
    await pause();
    workbench.takeIn(entries.slice(at, at + SLICE));
  }
  await pause();
  workbench.allTakenIn({ surroundings, plannedElsewhere, ...(claims && { claims }) });
  return workbench;
}

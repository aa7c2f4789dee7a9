import { desc } from 'drizzle-orm';
import type { Handle } from '@/data/database';
import { readRecord } from '@/data/records';
import { actionScopes } from '@/data/schema';
import { readSettled } from './settings';
import { workspace } from './workspace';

/** How many steps are looked back for the build that was worked on last. */
const STEPS = 200;

/** Where the settings want to begin; null = with the list of builds. */
export function startAddress(handle: Handle = workspace()): string | null {
  const { startPage } = readSettled(handle.db).settings;
  if (startPage === 'own parts') return '/own-parts';
  if (startPage === 'builds') return null;
  const last = handle.db
    .select({ scope: actionScopes.scope })
    .from(actionScopes)
    .orderBy(desc(actionScopes.position))
    .limit(STEPS)
    .all()
    .find(({ scope }) => readRecord(handle.db, 'build', scope));
  return last ? `/builds/${last.scope}` : null;
}

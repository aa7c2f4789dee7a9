import { eq } from 'drizzle-orm';
import type { Database } from './database';
import { makeUps } from './schema';

/** The make-up that is kept for a build; undefined when there is none. */
export const readKeptMakeUp = (db: Database, build: string): unknown =>
  db.select({ saved: makeUps.saved }).from(makeUps).where(eq(makeUps.build, build)).get()?.saved;

/** Keeps a build's make-up in place of the one before. */
export const writeKeptMakeUp = (db: Database, build: string, saved: unknown): void => {
  db.insert(makeUps)
    .values({ build, saved })
    .onConflictDoUpdate({ target: makeUps.build, set: { saved } })
    .run();
};

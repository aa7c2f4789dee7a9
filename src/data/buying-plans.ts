import { eq } from 'drizzle-orm';
import type { Database } from './database';
import { buyingPlans } from './schema';

/** The buying plan that is kept for a build; undefined when there is none. */
export const readSavedPlan = (db: Database, build: string): unknown =>
  db.select({ saved: buyingPlans.saved }).from(buyingPlans).where(eq(buyingPlans.build, build)).get()?.saved;

/** Keeps a build's buying plan in place of the one before. */
export const writeSavedPlan = (db: Database, build: string, saved: unknown): void => {
  db.insert(buyingPlans)
    .values({ build, saved })
    .onConflictDoUpdate({ target: buyingPlans.build, set: { saved } })
    .run();
};

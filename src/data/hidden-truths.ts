import { and, eq } from 'drizzle-orm';
import type { LabD65 } from '@/core/colour';
import type { Database } from './database';
import { hiddenTruths } from './schema';

type Triple = readonly [l: number, a: number, b: number];

/** The true colours of a lot's pieces, one by one, for the simulated meter; undefined where the demo has none. */
export function readTruth(db: Database, account: string, element: string): LabD65[] | undefined {
  const row = db
    .select({ labs: hiddenTruths.labs })
    .from(hiddenTruths)
    .where(and(eq(hiddenTruths.account, account), eq(hiddenTruths.element, element)))
    .get();
  return (row?.labs as Triple[] | undefined)?.map(([l, a, b]) => ({ l, a, b, white: 'D65' }));
}

export function writeTruth(db: Database, account: string, element: string, labs: readonly LabD65[]): void {
  const triples = labs.map((c): Triple => [c.l, c.a, c.b]);
  db.insert(hiddenTruths)
    .values({ account, element, labs: triples })
    .onConflictDoUpdate({ target: [hiddenTruths.account, hiddenTruths.element], set: { labs: triples } })
    .run();
}

import { asc, eq, sql } from 'drizzle-orm';
import type { ElementKey } from '@/core/parts';
import type { Database } from './database';
import { setLots, sets } from './schema';

/** An official set of the catalogue, with how many pieces its box holds. */
export interface CatalogueSet {
  readonly code: string;
  readonly name: string;
  readonly maker: string;
  readonly year: number;
  readonly pieces: number;
  readonly extras: number;
}

export interface CatalogueLot {
  readonly element: ElementKey;
  readonly qty: number;
  readonly extra: boolean;
  readonly zone: string;
}

export function readCatalogue(db: Database): CatalogueSet[] {
  return db
    .select({
      code: sets.code,
      name: sets.name,
      maker: sets.maker,
      year: sets.year,
      pieces: sql<number>`coalesce(sum(case when ${setLots.extra} then 0 else ${setLots.qty} end), 0)`,
      extras: sql<number>`coalesce(sum(case when ${setLots.extra} then ${setLots.qty} else 0 end), 0)`,
    })
    .from(sets)
    .leftJoin(setLots, eq(setLots.set, sets.code))
    .groupBy(sets.code)
    .orderBy(asc(sets.name))
    .all();
}

export function readSetLots(db: Database, code: string): CatalogueLot[] {
  const rows = db.select().from(setLots).where(eq(setLots.set, code)).orderBy(asc(setLots.place)).all();
  return rows.map(({ element, qty, extra, zone }) => ({ element: element as ElementKey, qty, extra, zone }));
}

/** In how many sets of the catalogue each of some elements lies; those in none are left out. */
export function boxesWith(db: Database, elements: readonly string[]): Map<string, number> {
  const rows = db.all<{ element: string; boxes: number }>(sql`
    select element, count(distinct "set") as boxes from set_lots
      where element in (select value from json_each(${JSON.stringify(elements)})) group by element`);
  return new Map(rows.map((r) => [r.element, r.boxes]));
}

/** Puts a set into the catalogue, in place of one of the same code. */
export function writeSet(
  db: Database,
  set: Omit<CatalogueSet, 'pieces' | 'extras'>,
  lots: readonly CatalogueLot[],
): void {
  db.delete(setLots).where(eq(setLots.set, set.code)).run();
  const { code, name, maker, year } = set;
  db.insert(sets)
    .values({ code, name, maker, year })
    .onConflictDoUpdate({ target: sets.code, set: { name, maker, year } })
    .run();
  for (let i = 0; i < lots.length; i += 400) {
    const rows = lots.slice(i, i + 400).map((l, k) => ({ ...l, set: code, place: i + k }));
    db.insert(setLots).values(rows).run();
  }
}

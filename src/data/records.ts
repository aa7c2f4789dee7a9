import { asc, eq, getTableColumns, sql, type SQL } from 'drizzle-orm';
import {
  isOfBuild,
  RECORD_TYPES,
  type Diff,
  type Entry,
  type Movement,
  type RecordType,
  type RecordTypes,
  type TypedRecord,
} from '@/core/ledger';
import { openPlaces } from './accounts';
import { askedAgain } from './asked-again';
import type { Database } from './database';
import { movements, recordTable as tableOf } from './schema';

const CHUNK = 400;
/** The one value that a query is asked with. */
const VALUE = sql.placeholder('value');
type RecordTable = ReturnType<typeof tableOf>;

/** Records of a type, all of them or those of one build. */
export function readRecords<T extends RecordType>(db: Database, type: T, build?: string): RecordTypes[T][] {
  if (build === undefined) return readRows(db, type, 'all', '');
  if (type === 'build') return readRows(db, type, 'id', build);
  return isOfBuild(type) ? readRows(db, type, 'build', build) : readRows(db, type, 'all', '');
}

/** The records with some ids, in whatever order; those that are not there are left out. */
export const readById = <T extends RecordType>(
  db: Database,
  type: T,
  ids: readonly string[],
): RecordTypes[T][] => readRows(db, type, 'ids', JSON.stringify(ids));

/** One record, or undefined. */
export function readRecord<T extends RecordType>(
  db: Database,
  type: T,
  id: string,
): RecordTypes[T] | undefined {
  return readRows(db, type, 'id', id)[0];
}

/** How many records of a type there are. */
export const countRecords = (db: Database, type: RecordType): number =>
  db.get<{ n: number }>(sql`select count(*) as n from ${tableOf(type)}`).n;

/** The numbers given in a build so far: the highest, 0 when there is none, and all of them when asked for. */
export function numbersIn(
  db: Database,
  type: 'entry' | 'modification',
  build: string,
): { readonly top: number; all(): number[] } {
  const table = tableOf(type);
  const top = db.get<{ top: number | null }>(sql`select max(no) as top from ${table} where build = ${build}`);
  return {
    top: top?.top ?? 0,
    all: () => db.all<{ no: number }>(sql`select no from ${table} where build = ${build}`).map((r) => r.no),
  };
}

/** What records of a type are asked for by: nothing, one value, or a list of ids as JSON. */
const ASKED_BY = {
  all: () => undefined,
  build: (table: RecordTable) => eq(table.build!, VALUE),
  id: (table: RecordTable) => eq(table.id, VALUE),
  ids: (table: RecordTable) => sql`${table.id} in (select value from json_each(${VALUE}))`,
};

function readRows<T extends RecordType>(
  db: Database,
  type: T,
  by: keyof typeof ASKED_BY,
  value: string,
): RecordTypes[T][] {
  const query = askedAgain(db, `${type} by ${by}`, () => {
    const table = tableOf(type);
    return db.select().from(table).where(ASKED_BY[by](table)).prepare();
  });
  return whole(db, type, query.all({ value }) as unknown as RecordTypes[T][]);
}

const whole = <T extends RecordType>(db: Database, type: T, rows: RecordTypes[T][]): RecordTypes[T][] =>
  type === 'entry' ? (withMovements(db, rows as unknown as Entry[]) as unknown as RecordTypes[T][]) : rows;

/** Entries with their movements, those that fit. */
export const readEntries = (db: Database, where: SQL): Entry[] =>
  whole(
    db,
    'entry',
    db.select().from(tableOf('entry')).where(where).all() as unknown as RecordTypes['entry'][],
  );

function withMovements(db: Database, rows: readonly Entry[]): Entry[] {
  const byEntry = new Map<string, Movement[]>(rows.map((r) => [r.id, []]));
  const query = askedAgain(db, 'movements', () =>
    db
      .select()
      .from(movements)
      .where(sql`${movements.entry} in (select value from json_each(${VALUE}))`)
      .orderBy(asc(movements.entry), asc(movements.place))
      .prepare(),
  );
  for (let i = 0; i < rows.length; i += CHUNK) {
    const ids = rows.slice(i, i + CHUNK).map((r) => r.id);
    for (const { entry, place: _place, ...m } of query.all({ value: JSON.stringify(ids) }))
      byEntry.get(entry)?.push(m as unknown as Movement);
  }
  return rows.map((r) => ({ ...r, movements: byEntry.get(r.id) ?? [] }));
}

/** Writes a diff. Parents go in before children and out after them; the caller's transaction makes it all or nothing. */
export function writeDiff(db: Database, diff: Diff): void {
  for (const { type, record } of inOrder(diff.removed).reverse()) remove(db, type, record.id);
  openPlaces(db, diff);
  const adding = inOrder(diff.added);
  for (const { type, to } of diff.changed) update(db, type, to);
  for (const type of RECORD_TYPES)
    insert(
      db,
      type,
      adding.filter((r) => r.type === type),
    );
}

const inOrder = (records: readonly TypedRecord[]): TypedRecord[] =>
  RECORD_TYPES.flatMap((type) => records.filter((r) => r.type === type));

/** Only the columns a table has: an entry's movements are written apart. */
function rowOf(type: RecordType, record: object): Record<string, unknown> {
  const columns = getTableColumns(tableOf(type));
  return Object.fromEntries(Object.entries(record).filter(([key]) => key in columns));
}

function insert(db: Database, type: RecordType, records: readonly TypedRecord[]): void {
  for (let i = 0; i < records.length; i += CHUNK) {
    const rows = records.slice(i, i + CHUNK).map((r) => rowOf(type, r.record));
    if (rows.length > 0)
      db.insert(tableOf(type))
        .values(rows as never)
        .run();
  }
  if (type === 'entry') for (const r of records) insertMovements(db, r.record as Entry);
}

function insertMovements(db: Database, entry: Entry): void {
  for (let i = 0; i < entry.movements.length; i += CHUNK) {
    const rows = entry.movements.slice(i, i + CHUNK).map((m, k) => ({ ...m, entry: entry.id, place: i + k }));
    db.insert(movements).values(rows).run();
  }
}

function update(db: Database, type: RecordType, record: { id: string }): void {
  db.update(tableOf(type))
    .set(rowOf(type, record) as never)
    .where(eq(tableOf(type).id, record.id))
    .run();
  if (type !== 'entry') return;
  db.delete(movements).where(eq(movements.entry, record.id)).run();
  insertMovements(db, record as Entry);
}

function remove(db: Database, type: RecordType, id: string): void {
  db.delete(tableOf(type))
    .where(eq(tableOf(type).id, id))
    .run();
}
